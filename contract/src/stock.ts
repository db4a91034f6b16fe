import { stockItemSchema, stockMoveSchema } from '@gentle-burrow/core/facts';
import { z } from 'zod';
import { instant } from './common';

/** What is kept ready, and how many tubes to make before the next flights. */
export const stockSchema = z.object({
  levels: z.array(
    z.object({
      item: stockItemSchema,
      count: z.number().int(),
      low: z.boolean(),
      lastMove: stockMoveSchema.nullable(),
    }),
  ),
  plan: z
    .object({
      caught: z.number().int(),
      firstCatch: instant,
      need: z.number().int(),
      make: z.number().int(),
      by: instant,
    })
    .nullable(),
});
export type Stock = z.infer<typeof stockSchema>;
