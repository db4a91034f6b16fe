import type { Series } from '@gentle-burrow/contract';
import { show } from '../../../test/kit';
import { ClimateChart } from './ClimateChart';

const hour = (h: number) => new Date(Date.UTC(2026, 5, 1, h)).toISOString();
const column = (h: number, meanC: number | null): Series['columns'][number] => ({
  at: hour(h),
  n: meanC === null ? 0 : 1,
  tempC: meanC === null ? null : { min: meanC, max: meanC, mean: meanC },
  rh: null,
});
const series = (...meansC: (number | null)[]): Series => ({
  from: hour(0),
  to: hour(meansC.length),
  columns: meansC.map((c, h) => column(h, c)),
});

const drawn = (dots: Series | null) => {
  const { container } = show(
    <ClimateChart
      series={series(24, 24.5, 25, 24.5)}
      other={null}
      dots={dots}
      best={[]}
      chosen={0}
      width={360}
      label="Temperature"
      onChoose={() => {}}
    />,
  );
  return container;
};

test('what was read by hand is a dot beside the course of the logger, which stays as it is', () => {
  const without = drawn(null);
  expect(without.querySelectorAll('circle')).toHaveLength(0);
  const withOne = drawn(series(null, null, 25, null));
  expect(withOne.querySelectorAll('circle')).toHaveLength(1);
  const lines = (c: Element) => [...c.querySelectorAll('path')].map((d) => d.getAttribute('d'));
  expect(lines(withOne)).toEqual(lines(without));
});
