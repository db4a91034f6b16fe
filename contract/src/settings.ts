import { LOOKING_SCHOOL_IDS, placeSchema, type KeeperSettings } from '@gentle-burrow/core';
import { z } from 'zod';

const calendarDay = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'Give the day like 2026-06-03.');

export const settingsSchema = z
  .object({
    lookingSchool: z.enum(LOOKING_SCHOOL_IDS),
    hemisphere: z.enum(['north', 'south']),
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
    absences: z
      .array(
        z.object({ from: calendarDay, to: calendarDay }).refine((a) => a.to >= a.from, {
          path: ['to'],
          error: 'The absence ends before it begins. Swap the two days.',
        }),
      )
      .max(50, 'More than 50 absences. Remove those that are past.')
      .default([]),
    learn: z.boolean().default(true),
  })
  .strict() satisfies z.ZodType<KeeperSettings>;

export const placeListSchema = z.object({ places: z.array(placeSchema) });
