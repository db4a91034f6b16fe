import type { Preferred } from '@gentle-burrow/core/care';
import { screen } from '@testing-library/react';
import { daysAgo, show } from '../../../../../test/kit';
import { PreferenceCourse } from './PreferenceCourse';
import { courseText } from './step-words';

const year = new Date().getFullYear();
const look = (month: number, tempC: number, p10: number, p90: number): Preferred => ({
  at: new Date(year, month, 3, 12).toISOString(),
  seat: { where: 'between', tempC, saysC: tempC },
  band: { p10, p50: (p10 + p90) / 2, p90 },
});

test('the course of what she prefers is told look by look, in the keeper’s units', () => {
  const course = [look(2, 24, 22, 29.5), look(3, 26, 23.5, 27)];
  expect(courseText(course, 'C')).toMatch(
    /^3 Mar[^;]*: sat at 24 °C, then seemed to prefer 22 °C to 29.5 °C; 3 Apr[^;]*: sat at 26 °C, then seemed to prefer 23.5 °C to 27 °C\.$/,
  );
  expect(courseText(course, 'F')).toMatch(/sat at 75 °F, then seemed to prefer 72 °F to 85 °F/);
});

test('two looks make a course; of one there is nothing to compare', () => {
  const at = (days: number): Preferred => ({ ...look(0, 24, 22, 28), at: daysAgo(days) });
  const one = show(<PreferenceCourse course={[at(3)]} />);
  expect(screen.queryByText(/where she sat/)).toBeNull();
  one.unmount();
  show(<PreferenceCourse course={[at(30), at(3)]} />);
  const drawing = screen.getByRole('img', { name: /sat at .* then seemed to prefer .*; .*sat at/ });
  expect(drawing.querySelectorAll('circle')).toHaveLength(2);
  expect(drawing.querySelectorAll('rect')).toHaveLength(2);
});
