import { placeSchema, settingsSchema } from '@gentle-burrow/core';
import { z } from 'zod';

export { settingsSchema };

export const placeListSchema = z.object({ places: z.array(placeSchema) });
