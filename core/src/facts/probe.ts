import { z } from 'zod';
import { idSchema, instantSchema } from './common';
import { PROBE_KINDS } from './vocabulary';

/** What it showed where the truth is known: over a wet salt, or in melting ice. */
const checkSchema = z.discriminatedUnion('what', [
  z.object({
    what: z.literal('salt'),
    at: instantSchema,
    salt: z.enum(['NaCl', 'KCl']),
    /** In the box, °C. */
    tempC: z
      .number()
      .min(5, 'Below 5 °C the salt tells little. Make the check in a room.')
      .max(40, 'Above 40 °C the salt tells little. Make the check in a room.'),
    /** 0..1 */
    shown: z.number().min(0, 'The humidity is below 0 %.').max(1, 'The humidity is above 100 %.'),
  }),
  z.object({
    what: z.literal('ice'),
    at: instantSchema,
    shownC: z.number().min(-40).max(85),
  }),
]);

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
  /** Checks of it: what is done to all that it shows follows from them. */
  checks: z.array(checkSchema).max(100).default([]),
});
export type Probe = z.infer<typeof probeSchema>;
