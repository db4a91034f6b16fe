import { z } from 'zod';
import { isZone } from '../quantity';
import { LOOKING_SCHOOL_IDS, NEST_SCHOOL_IDS, SPACE_SCHOOL_IDS } from './vocabulary';

const calendarDay = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'Give the day like 2026-06-03.');

/** What the keeper has decided for all queens. What an older version did not ask is filled in. */
export const settingsSchema = z
  .object({
    lookingSchool: z.enum(LOOKING_SCHOOL_IDS).default('fortnightly'),
    spaceSchool: z.enum(SPACE_SCHOOL_IDS).default('about-fifteen'),
    nestSchool: z.enum(NEST_SCHOOL_IDS).default('count'),
    hemisphere: z.enum(['north', 'south']).default('north'),
    /** The keeper's time zone; null: that of the device or the server that asks. */
    zone: z
      .string()
      .refine(isZone, 'This is not a time zone. Give one like Europe/Berlin.')
      .nullable()
      .default(null),
    /** Weekdays with time for the tubes, 0 Sunday to 6 Saturday; all when empty. */
    weekdays: z
      .array(
        z
          .number()
          .int()
          .min(0, 'Weekdays run from 0 (Sunday) to 6.')
          .max(6, 'Weekdays run from 0 (Sunday) to 6.'),
      )
      .max(7)
      .default([]),
    /** Days away, both inclusive, yyyy-mm-dd. */
    absences: z
      .array(
        z.object({ from: calendarDay, to: calendarDay }).refine((a) => a.to >= a.from, {
          path: ['to'],
          error: 'The absence ends before it begins. Swap the two days.',
        }),
      )
      .max(50, 'More than 50 absences. Remove those that are past.')
      .default([]),
    /** Finished stages of the keeper's own queens move what is expected of the others of their kind. */
    learn: z.boolean().default(true),
  })
  .strict();

export type KeeperSettings = z.infer<typeof settingsSchema>;
export const DEFAULT_SETTINGS: KeeperSettings = settingsSchema.parse({});
