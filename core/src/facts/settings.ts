import { z } from 'zod';
import { isZone } from '../quantity';
import { DEFAULT_SETTINGS, type KeeperSettings } from './default-settings';
import {
  LIGHT_SCHOOL_IDS,
  LOOKING_SCHOOL_IDS,
  NEST_SCHOOL_IDS,
  PATIENCE_SCHOOL_IDS,
  SPACE_SCHOOL_IDS,
} from './vocabulary';

const calendarDay = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'Give the day like 2026-06-03.');

/** Settings as they are sent and stored. What an older version did not ask is filled in. */
export const settingsSchema = z
  .object({
    lookingSchool: z.enum(LOOKING_SCHOOL_IDS).default(DEFAULT_SETTINGS.lookingSchool),
    spaceSchool: z.enum(SPACE_SCHOOL_IDS).default(DEFAULT_SETTINGS.spaceSchool),
    nestSchool: z.enum(NEST_SCHOOL_IDS).default(DEFAULT_SETTINGS.nestSchool),
    lightSchool: z.enum(LIGHT_SCHOOL_IDS).default(DEFAULT_SETTINGS.lightSchool),
    patienceSchool: z.enum(PATIENCE_SCHOOL_IDS).default(DEFAULT_SETTINGS.patienceSchool),
    hemisphere: z.enum(['north', 'south']).default(DEFAULT_SETTINGS.hemisphere),
    zone: z
      .string()
      .refine(isZone, 'This is not a time zone. Give one like Europe/Berlin.')
      .nullable()
      .default(DEFAULT_SETTINGS.zone),
    weekdays: z
      .array(
        z
          .number()
          .int()
          .min(0, 'Weekdays run from 0 (Sunday) to 6.')
          .max(6, 'Weekdays run from 0 (Sunday) to 6.'),
      )
      .max(7)
      .default(() => []),
    absences: z
      .array(
        z.object({ from: calendarDay, to: calendarDay }).refine((a) => a.to >= a.from, {
          path: ['to'],
          error: 'The absence ends before it begins. Swap the two days.',
        }),
      )
      .max(50, 'More than 50 absences. Remove those that are past.')
      .default(() => []),
    learn: z.boolean().default(DEFAULT_SETTINGS.learn),
  })
  .strict() satisfies z.ZodType<KeeperSettings>;
