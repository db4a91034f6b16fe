import { z } from 'zod';
import { shortText } from '../facts/common';
import { CERTAINTIES } from '../facts';

const namedBy = shortText(120, 'The name of who named her').optional();

/** What she is held to be: one species, and others that she may be instead, each with its share of the belief. */
export const speciesBeliefSchema = z
  .object({
    profileId: z.string().min(1).max(80),
    sure: z.enum(CERTAINTIES),
    namedBy,
    /** The name that was given to her, where it is another than that of the profile: a former one, or a species of the genus. */
    called: shortText(120, 'The name she was given').optional(),
    others: z
      .array(
        z.object({
          profileId: z.string().min(1).max(80),
          /** 0..1 of the whole belief. */
          share: z
            .number({ error: 'The share is not a number.' })
            .gt(0, 'A share of nothing says nothing. Leave this species out.')
            .lt(
              1,
              'A share of 100 % leaves nothing for the first species. Lower it, or name this one alone.',
            ),
          namedBy,
        }),
      )
      .max(4, 'More than five species at once say nothing. Take “unknown” instead.')
      .optional(),
  })
  .superRefine((b, ctx) => {
    const others = b.others ?? [];
    const ids = [b.profileId, ...others.map((o) => o.profileId)];
    if (new Set(ids).size < ids.length) {
      ctx.addIssue({
        code: 'custom',
        path: ['others'],
        message: 'One species is named twice. Give it one share.',
      });
    }
    if (others.reduce((sum, o) => sum + o.share, 0) >= 1) {
      ctx.addIssue({
        code: 'custom',
        path: ['others'],
        message: 'The other species take 100 % or more and leave nothing for the first. Lower their shares.',
      });
    }
  });

export type SpeciesBelief = z.infer<typeof speciesBeliefSchema>;

/** Every profile that a belief names. */
export const namedSpecies = (belief: SpeciesBelief): string[] => [
  belief.profileId,
  ...(belief.others ?? []).map((o) => o.profileId),
];
