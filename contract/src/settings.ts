import { LOOKING_SCHOOL_IDS, placeSchema, type KeeperSettings } from '@gentle-burrow/core';
import { z } from 'zod';

export const settingsSchema = z
  .object({
    lookingSchool: z.enum(LOOKING_SCHOOL_IDS),
    hemisphere: z.enum(['north', 'south']),
  })
  .strict() satisfies z.ZodType<KeeperSettings>;

export const placeListSchema = z.object({ places: z.array(placeSchema) });
