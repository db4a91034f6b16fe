import { z } from 'zod';
import { instant } from './common';

/** Pictures of one queen, oldest first. */
export const photoListSchema = z.object({
  photos: z.array(
    z.object({ id: z.string(), at: instant, width: z.number().int(), height: z.number().int() }),
  ),
});
