import { homePartSchema, stockItemSchema, stockMoveSchema } from '@gentle-burrow/core/facts';
import { MOULDS } from '@gentle-burrow/core/vocabulary';
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
  /** Parts in which nobody lives any more and that may be used again, with their history. */
  used: z.array(
    z.object({
      part: homePartSchema,
      queenId: z.string(),
      asideAt: instant,
      left: z.boolean(),
      cleanedAt: instant.nullable(),
      stays: z.array(
        z.object({ queenId: z.string(), label: z.string(), from: instant, until: instant.nullable() }),
      ),
      mould: z.enum(MOULDS).nullable(),
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
