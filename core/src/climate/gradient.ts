import { need, within } from '../quantity';

/** How warm it is at a distance from the warm end of a mat or cable. */
export interface GradientPoint {
  mm: number;
  tempC: number;
}

/** T(mm) = roomC + (nearC − roomC) · exp(−mm / lengthMm) */
export interface Gradient {
  /** Temperature at the warm end, 0 mm. */
  nearC: number;
  /** So far from it the excess over the room has fallen to 37 %. */
  lengthMm: number;
}

const TEMPERATURE = { min: -10, max: 90, unit: '°C' };
/** Beyond these the readings show no fall, or nothing but the first of them. */
const LENGTH_MM = { low: 1, high: 5000 };
const STEPS = 200;

/**
 * The fall of warmth along a tube by least squares: for each length the excess at the warm end follows in closed form, and the
 * best length is looked for on a grid and then between its neighbours (variable projection, golden section). Heat that is led
 * along and lost to the air at a rate in proportion to the excess falls exponentially (a cooling fin, any heat-transfer text).
 * @param points two or more, at two distances at least
 * @throws InputError when they are too few, or do not fall from the warm end
 */
export function gradientFit(points: readonly GradientPoint[], roomC: number): Gradient {
  within(roomC, 'roomC', 'The temperature of the room', TEMPERATURE);
  for (const p of points) {
    within(p.mm, 'points', 'The distance', { min: 0, max: 5000, unit: 'mm' });
    within(p.tempC, 'points', 'The temperature', TEMPERATURE);
  }
  need(
    new Set(points.map((p) => p.mm)).size >= 2,
    'points',
    'One distance does not show how the warmth falls. Read the temperature at a second one, a few centimetres on.',
  );
  const fitAt = (lengthMm: number) => excessFit(points, roomC, lengthMm);
  const grid = Array.from(
    { length: STEPS + 1 },
    (_, i) => LENGTH_MM.low * (LENGTH_MM.high / LENGTH_MM.low) ** (i / STEPS),
  );
  let best = 0;
  grid.forEach((l, i) => {
    if (fitAt(l).misfit < fitAt(grid[best] as number).misfit) best = i;
  });
  need(
    best > 0 && best < STEPS && fitAt(grid[best] as number).excessC !== 0,
    'points',
    'These readings do not fall towards the temperature of the room. Check them, which end is the warm one, and the room.',
  );
  const lengthMm = goldenSection((l) => fitAt(l).misfit, grid[best - 1] as number, grid[best + 1] as number);
  return { nearC: roomC + fitAt(lengthMm).excessC, lengthMm };
}

/** Temperature at a distance from the warm end, °C. */
export const gradientAtC = ({ nearC, lengthMm }: Gradient, roomC: number, mm: number): number =>
  roomC + (nearC - roomC) * Math.exp(-mm / lengthMm);

function excessFit(points: readonly GradientPoint[], roomC: number, lengthMm: number) {
  let shape = 0;
  let with_ = 0;
  for (const p of points) {
    const e = Math.exp(-p.mm / lengthMm);
    shape += e * e;
    with_ += e * (p.tempC - roomC);
  }
  // so far away that nothing of the warmth is left: any excess fits as well
  const excessC = shape > 1e-300 ? with_ / shape : 0;
  const misfit = points.reduce(
    (sum, p) => sum + (p.tempC - roomC - excessC * Math.exp(-p.mm / lengthMm)) ** 2,
    0,
  );
  return { excessC, misfit };
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

function goldenSection(f: (x: number) => number, from: number, to: number): number {
  let [a, b] = [from, to];
  while (b - a > 1e-9 * b) {
    const c = b - GOLDEN * (b - a);
    const d = a + GOLDEN * (b - a);
    if (f(c) < f(d)) b = d;
    else a = c;
  }
  return (a + b) / 2;
}
