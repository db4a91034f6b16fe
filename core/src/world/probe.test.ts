import { absoluteHumidityGPerM3 } from '../climate';
import { simulateProbe, truthAt, USUAL_PROBE_WORLD, type ProbeWorld } from './probe';

const DAY = 86_400_000;
const START = Date.UTC(2026, 4, 1);
const WORLD: ProbeWorld = { ...USUAL_PROBE_WORLD, seed: 7 };
const run = (world: ProbeWorld, days: number, everyS = 600) => [
  ...simulateProbe(world, START, START + days * DAY, everyS),
];
const temps = (world: ProbeWorld, days: number) => run(world, days).map((r) => r.tempC ?? NaN);
const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;

test('the same seed gives the same readings, another gives others', () => {
  expect(run(WORLD, 2)).toEqual(run(WORLD, 2));
  expect(run({ ...WORLD, seed: 8 }, 2)).not.toEqual(run(WORLD, 2));
});

test('about as many hours are missing as was said', () => {
  const all = run({ ...WORLD, dropOuts: 0.2 }, 60, 3600).length / (60 * 24);
  expect(all).toBeGreaterThan(0.76);
  expect(all).toBeLessThan(0.84);
});

test('afternoons are warmer than early mornings, summer than winter, and the other half of the world the other way round', () => {
  const at = (hour: number) =>
    mean(Array.from({ length: 40 }, (_, d) => truthAt(WORLD, START + d * DAY + hour * 3_600_000).tempC));
  expect(at(15) - at(3)).toBeCloseTo(2 * WORLD.dayC, 0);
  const month = (m: number, south = false) =>
    mean(
      Array.from(
        { length: 240 },
        (_, h) => truthAt({ ...WORLD, south, dayC: 0 }, Date.UTC(2026, m, 5 + h / 8)).tempC,
      ),
    );
  expect(month(6)).toBeGreaterThan(month(0) + 1);
  expect(month(6, true)).toBeLessThan(month(0, true) - 1);
});

test('a mat holds it at least as warm as its thermostat is set, and the water in the air stays the same', () => {
  const world = { ...WORLD, matC: 27, noiseC: 0, driftC: 0 };
  expect(Math.min(...temps(world, 5))).toBeGreaterThan(26.6);
  const cool = truthAt({ ...WORLD, dayC: 0 }, START);
  const warm = truthAt({ ...WORLD, dayC: 0, matC: 27 }, START);
  expect(warm.rh).toBeLessThan(cool.rh - 0.05);
  const grams = [cool, warm].map((t) => absoluteHumidityGPerM3(t.tempC, t.rh));
  expect(Math.abs((grams[1] as number) / (grams[0] as number) - 1)).toBeLessThan(0.03);
});

test('a drifting sensor gains what was said in a year', () => {
  const still = { ...WORLD, noiseC: 0, dropOuts: 0 };
  const last = (driftC: number) => temps({ ...still, driftC }, 365).at(-1) ?? NaN;
  expect(last(1.5) - last(0)).toBeCloseTo(1.5, 1);
});
