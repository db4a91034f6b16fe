import { need, within } from '../quantity';

/** The inside of a test tube. Lengths run from the deepest point of the closed end towards the mouth. */
export interface TubeShape {
  boreMm: number;
  lengthMm: number;
  end: 'round' | 'flat';
}

/** Lengths of the two cotton plugs along the tube. */
export interface Plugs {
  /** Holds the water back; begins at the water line. */
  innerMm: number;
  /** Closes the mouth. */
  outerMm: number;
}

/** Practice, no source: a firm inner plug about as long as a thumbnail, a looser one at the mouth. */
export const USUAL_PLUGS: Plugs = { innerMm: 15, outerMm: 15 };

/** Share of a right inner plug that is dry: what drinks when water is pushed out, and the first of the vapour's way. Prior. */
export const DRY_SHARE = 1 / 3;

/** @throws InputError when this cannot be a tube */
export function checkTube(tube: TubeShape): TubeShape {
  within(tube.boreMm, 'boreMm', "The tube's bore", { min: 3, max: 80, unit: 'mm' });
  within(tube.lengthMm, 'lengthMm', "The tube's length", { min: 20, max: 500, unit: 'mm' });
  need(
    tube.end === 'round' || tube.end === 'flat',
    'end',
    `The closed end "${tube.end}" is neither round nor flat. Choose one of the two.`,
  );
  need(
    tube.lengthMm > tube.boreMm,
    'lengthMm',
    `The tube (${tube.lengthMm} mm) is not longer than it is wide (${tube.boreMm} mm). Check length and bore.`,
  );
  return tube;
}

function checkFilled(tube: TubeShape, filledMm: number, field: string): void {
  checkTube(tube);
  within(filledMm, field, 'The water line', { min: 0, max: 500, unit: 'mm' });
  need(
    filledMm <= tube.lengthMm,
    field,
    `The water line (${filledMm} mm) lies beyond the tube (${tube.lengthMm} mm). Check the tube's length or the reading.`,
  );
}

/**
 * Volume of the tube from its closed end up to a line, ml.
 * A round end is half a sphere of the bore's radius r: depth h within it holds π·h²·(r − h/3).
 * @throws InputError when the line lies beyond the tube
 */
export function tubeVolumeMl(tube: TubeShape, filledMm: number): number {
  checkFilled(tube, filledMm, 'filledMm');
  const r = tube.boreMm / 2;
  const section = Math.PI * r * r;
  if (tube.end === 'flat') return (section * filledMm) / 1000;
  const depth = Math.min(filledMm, r);
  const cap = Math.PI * depth * depth * (r - depth / 3);
  return (cap + section * (filledMm - depth)) / 1000;
}

/**
 * The line up to which a volume fills the tube, mm: the inverse of `tubeVolumeMl`. Closed form along the cylinder,
 * Newton's method within a round end.
 * @throws InputError when the tube does not hold that much
 */
export function waterLineForMl(tube: TubeShape, volumeMl: number): number {
  const fullMl = tubeVolumeMl(tube, tube.lengthMm);
  within(volumeMl, 'volumeMl', 'The volume', { min: 0, max: fullMl, unit: 'ml' });
  const r = tube.boreMm / 2;
  const section = Math.PI * r * r;
  const mm3 = volumeMl * 1000;
  if (tube.end === 'flat') return mm3 / section;
  const cap = (2 / 3) * section * r;
  if (mm3 >= cap) return r + (mm3 - cap) / section;
  let depth = r / 2;
  for (let i = 0; i < 40 && mm3 > 0; i++) {
    depth -= (Math.PI * depth * depth * (r - depth / 3) - mm3) / (Math.PI * depth * (2 * r - depth));
  }
  return mm3 > 0 ? depth : 0;
}

/**
 * Length of the dry room left for the queen between the two plugs, mm.
 * @throws InputError when water and plugs leave no room
 */
export function chamberLengthMm(tube: TubeShape, waterLineMm: number, plugs: Plugs = USUAL_PLUGS): number {
  checkFilled(tube, waterLineMm, 'waterLineMm');
  within(plugs.innerMm, 'innerMm', 'The inner plug', { min: 0, max: 200, unit: 'mm' });
  within(plugs.outerMm, 'outerMm', 'The outer plug', { min: 0, max: 200, unit: 'mm' });
  const chamberMm = tube.lengthMm - waterLineMm - plugs.innerMm - plugs.outerMm;
  need(
    chamberMm > 0,
    'waterLineMm',
    `Water (${waterLineMm} mm) and plugs (${plugs.innerMm} and ${plugs.outerMm} mm) leave no chamber in a tube of ` +
      `${tube.lengthMm} mm. Use less water, shorter plugs or a longer tube.`,
  );
  return chamberMm;
}
