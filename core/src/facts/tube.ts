import { z } from 'zod';
import { idSchema, instantSchema, mm } from './common';

const measures = {
  outsideMm: mm("The tube's outside diameter", 4, 100),
  boreMm: mm("The tube's bore", 3, 80),
  lengthMm: mm("The tube's length", 20, 500),
  end: z.enum(['round', 'flat']),
  waterLineMm: mm('The water line', 0, 500),
  plugs: z.object({
    innerMm: mm('The inner plug', 2, 200),
    outerMm: mm('The outer plug', 2, 200),
  }),
};
/** A wall of cotton with a straw through it, that makes two rooms of her cell. */
export const dividerSchema = z.object({
  /** Where it stands, mm from the closed end. */
  atMm: mm('The place of the wall', 5, 500),
  strawMm: mm('The bore of the straw', 1, 12),
});
export type Divider = z.infer<typeof dividerSchema>;
const measured = z.object(measures);
/** Written only where there is one. */
const sometimes = {
  divider: dividerSchema.optional(),
  /** What it was before, in the home of another. */
  was: idSchema.optional(),
};

/** What of a tube is measured when it is set up. */
export const tubeMeasuresSchema = measured.superRefine(mustFit);
export type TubeMeasures = z.infer<typeof tubeMeasuresSchema>;

/** A founding tube, as it was set up. Lengths run from the deepest point of the closed end. */
export const tubeSchema = z
  .object({ id: idSchema, kind: z.literal('tube'), ...measures, ...sometimes, setUpAt: instantSchema })
  .superRefine(mustFit);

/** A tube as a part of a home: its measures, and an id that it keeps in whosever home it stands. */
export const tubePartSchema = z
  .object({ id: idSchema, kind: z.literal('tube'), ...measures, ...sometimes })
  .superRefine(mustFit);
export type TubePart = z.infer<typeof tubePartSchema>;

export type TubeHome = z.infer<typeof tubeSchema>;

function mustFit(
  t: z.infer<typeof measured> & { divider?: Divider | undefined },
  ctx: z.RefinementCtx,
): void {
  const fault = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
  if (t.boreMm >= t.outsideMm) {
    fault(
      'boreMm',
      `The bore (${t.boreMm} mm) is not smaller than the outside (${t.outsideMm} mm). Swap them.`,
    );
  }
  if (t.lengthMm <= t.boreMm) {
    fault(
      'lengthMm',
      `The tube (${t.lengthMm} mm) is not longer than it is wide (${t.boreMm} mm). Check both.`,
    );
  }
  if (t.waterLineMm > t.lengthMm) {
    fault(
      'waterLineMm',
      `The water line (${t.waterLineMm} mm) lies beyond the tube (${t.lengthMm} mm). Check the tube's length or the reading.`,
    );
  } else if (t.waterLineMm + t.plugs.innerMm + t.plugs.outerMm >= t.lengthMm) {
    fault('waterLineMm', 'Water and plugs leave no chamber. Use less water, shorter plugs or a longer tube.');
  }
  const says = t.divider && dividerFault(t, t.divider);
  if (says) fault('divider', says);
}

/** Why a wall cannot stand there, and how to mend it; null when it can. */
export function dividerFault(
  { waterLineMm, lengthMm, boreMm, plugs }: z.infer<typeof measured>,
  { atMm, strawMm }: Divider,
): string | null {
  if (strawMm >= boreMm)
    return `The straw (${strawMm} mm) is not narrower than the tube (${boreMm} mm). Take a thinner one.`;
  const [from, to] = [waterLineMm + plugs.innerMm, lengthMm - plugs.outerMm];
  return atMm <= from || atMm >= to
    ? `The wall (${atMm} mm) does not stand in her cell, which goes from ${from} to ${to} mm. Set it between the two plugs.`
    : null;
}
