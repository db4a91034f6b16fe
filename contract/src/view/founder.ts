import { founderTypeSchema } from '@gentle-burrow/core/species/own';
import { CERTAINTIES, SHAPES } from '@gentle-burrow/core/vocabulary';
import { z } from 'zod';

const id = z.string();

/** A sign of how she founds, with where it comes from. */
export const founderSign = <I extends z.ZodType>(entryId: I) => {
  const said = { source: z.string(), entryId };
  return z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('shape'), value: z.enum(SHAPES), ...said }),
    z.object({ kind: z.literal('wings'), value: z.enum(['winged', 'dealate']), ...said }),
    z.object({ kind: z.literal('restless'), value: z.boolean(), ...said }),
    z.object({ kind: z.literal('protein'), value: z.enum(['accepted', 'refused']), ...said }),
    z.object({ kind: z.literal('brood-unfed'), value: z.boolean(), ...said }),
  ]);
};

export const founderBeliefSchema = z.object({
  probabilities: z.object({
    'fully-claustral': z.number(),
    'semi-claustral': z.number(),
    'socially-parasitic': z.number(),
    dependent: z.number(),
  }),
  evidence: z.array(
    z.object({
      evidence: z.union([
        z.object({
          kind: z.literal('species'),
          founder: founderTypeSchema,
          weight: z.number(),
          sure: z.enum(CERTAINTIES).optional(),
          known: z.boolean().optional(),
          source: z.string(),
          entryId: id.optional(),
        }),
        founderSign(id.optional()),
      ]),
      factor: z.number(),
    }),
  ),
  course: z.enum(['water-only', 'offer-and-watch', 'feed-throughout', 'no-plan']),
  tellsMost: z
    .object({
      kind: z.enum(['species', 'shape', 'wings', 'restless', 'protein', 'brood-unfed']),
      bits: z.number(),
    })
    .nullable(),
});
