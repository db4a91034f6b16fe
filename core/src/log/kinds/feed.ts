import { z } from 'zod';
import { FEED_OUTCOMES, FEED_SPOTS, FEED_WAYS, idSchema, instantSchema, MEALS } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** Food set before her, or what became of it. */
export const feedSchema = z.object({
  kind: z.literal('feed'),
  at: instantSchema,
  food: z.enum(MEALS),
  outcome: z.enum(FEED_OUTCOMES).default('offered'),
  /** Where it was put; not said by older logs. */
  spot: z.enum(FEED_SPOTS).optional(),
  /** How it was put there. */
  way: z.enum(FEED_WAYS).optional(),
  /** They rushed at it on opening. */
  rushed: z.boolean().optional(),
  /** The offer it tells of, by its entry: then it is no meal of its own, however long ago that was. */
  offerId: idSchema.optional(),
  text: noteText.optional(),
});

export const feed = defineKind({
  kind: 'feed',
  schema: feedSchema,
  disturbs: ({ spot, outcome }) => {
    if (spot === 'cell') return 'feed-cell';
    if (spot !== undefined) return 'feed-outside';
    return outcome === 'removed' ? 'take-out' : 'feed';
  },
  refersTo: () => ({}),
});
