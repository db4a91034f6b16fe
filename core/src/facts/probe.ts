import { z } from 'zod';
import { idSchema, instantSchema } from './common';
import { PROBE_KINDS } from './vocabulary';

/** truth = offset + slope · shown */
const correctionSchema = z.object({
  offset: z.number().min(-60).max(60),
  slope: z.number().min(0.2, 'The slope is below 0.2: then the instrument shows next to nothing.').max(5),
});

/** Whatever tells how warm or damp it is at a place: a logger, or a thermometer read by hand. */
export const probeSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Give the probe a name.').max(80, "The probe's name is too long."),
  kind: z.enum(PROBE_KINDS),
  /** Where it has lain, one place after another; the last holds until now. Null: put away. */
  stays: z
    .array(z.object({ from: instantSchema, placeId: idSchema.nullable() }))
    .min(1, 'Say where the probe lies.')
    .max(500)
    .refine(
      (stays) => stays.every((s, i) => i === 0 || Date.parse(s.from) > Date.parse(stays[i - 1]?.from ?? '')),
      {
        error: 'The places of the probe do not follow one another in time.',
      },
    ),
  /** So long it may say nothing before it is asked about, hours; none for what is read by hand. */
  silentAfterH: z
    .number()
    .min(0.1)
    .max(24 * 60)
    .nullable()
    .default(null),
  /** What is done to all that it shows, as checks have told. */
  tempC: correctionSchema.optional(),
  /** Of the humidity as a share, 0..1. */
  rh: correctionSchema.optional(),
});
export type Probe = z.infer<typeof probeSchema>;
