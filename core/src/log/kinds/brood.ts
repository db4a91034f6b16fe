import { z } from 'zod';
import { BROOD, BROOD_WAYS, idSchema, instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

const moved = z
  .partialRecord(z.enum(BROOD), z.number().int('Half a pupa is none. Count whole ones.').min(0).max(10_000))
  .refine((counts) => Object.values(counts).some((n) => (n ?? 0) > 0), {
    error: 'No brood was counted. Say how many eggs, larvae or pupae were moved.',
  });
export type BroodMoved = z.infer<typeof moved>;

/**
 * Brood of one colony was given to another: one act, written into both logs. The entry in the other log has the id that
 * `twinId` makes of this one's, and so has all that puts the two right.
 */
export const broodSchema = z.object({
  kind: z.literal('brood'),
  at: instantSchema,
  way: z.enum(BROOD_WAYS),
  /** The colony that it came from, or went to. */
  otherId: idSchema,
  counts: moved,
  /** How long workers were chilled, so that they could be sorted back. */
  chilledMinutes: z.number().min(0).max(120, 'Longer than two hours is no short chill.').optional(),
  text: noteText.optional(),
});

export const brood = defineKind({
  kind: 'brood',
  schema: broodSchema,
  disturbs: ({ way }) => (way === 'given' ? 'by-hand' : 'feed-cell'),
  refersTo: () => ({}),
});
