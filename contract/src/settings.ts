import { placeSchema, settingsSchema } from '@gentle-burrow/core/facts';
import { z } from 'zod';

export { settingsSchema };

export const placeListSchema = z.object({ places: z.array(placeSchema) });
