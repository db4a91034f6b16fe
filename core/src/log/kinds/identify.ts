import { z } from 'zod';
import { instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';
import { namedSpecies, speciesBeliefSchema } from '../species-belief';

/** Named anew, by someone with a better eye or a better book. */
export const identifySchema = z.object({
  kind: z.literal('identify'),
  at: instantSchema,
  species: speciesBeliefSchema,
  text: noteText.optional(),
});

export const identify = defineKind({
  kind: 'identify',
  schema: identifySchema,
  disturbs: () => null,
  refersTo: ({ species }) => ({ species: namedSpecies(species) }),
});
