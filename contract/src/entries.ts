import { idSchema } from '@gentle-burrow/core/facts';
import { entrySchema } from '@gentle-burrow/core/log';
import { z } from 'zod';

export const MAX_BATCH = 2000;

/** One entry, or a batch of them that is taken whole or not at all. */
export const appendSchema = z.union([
  z.object({
    entries: z
      .array(entrySchema)
      .min(1, 'The batch is empty.')
      .max(MAX_BATCH, `A batch holds at most ${MAX_BATCH} entries. Send it in parts.`),
  }),
  entrySchema,
]);

export const appendedSchema = z.object({
  /** Ids that were new. */
  accepted: z.array(idSchema),
  /** Ids that had been stored before: sending them again changed nothing. */
  known: z.array(idSchema),
});

export const entriesSchema = z.object({ entries: z.array(entrySchema) });
