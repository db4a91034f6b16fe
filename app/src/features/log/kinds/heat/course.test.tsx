import type { Preferred } from '@gentle-burrow/core/care';
import { heatAlong } from '@gentle-burrow/core/tube';
import { screen } from '@testing-library/react';
import { daysAgo, show } from '../../../../../test/kit';
import { PreferenceCourse } from './PreferenceCourse';
import { courseText, fallWords } from './step-words';

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

test('what the fall of warmth rests on is said: the readings, the same heat elsewhere, or our prior', () => {
  const tube = { boreMm: 14, lengthMm: 150, end: 'round' as const };
  const one = { matMm: 20, roomC: 20, readings: [{ mm: 130, tempC: 25 }] };
  const two = { ...one, readings: [...one.readings, { mm: 100, tempC: 23 }] };
  expect(fallWords(heatAlong(tube, two, [40]))).toMatch(/as these readings show/);
  expect(fallWords(heatAlong(tube, one, [40, 50, 60]))).toMatch(/3 readings of the heat at this place/);
  expect(fallWords(heatAlong(tube, one, [40]))).toMatch(/from one reading of .*If another mat lies here/);
  expect(fallWords(heatAlong(tube, one))).toMatch(/our own prior/);
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
