import { z } from 'zod';
import { countSchema, FINDINGS, FOUND_HOW, instantSchema, WINGS } from '../../facts';
import { noteText, shortText } from '../../facts/common';
import { defineKind } from '../kind';
import { namedSpecies, speciesBeliefSchema } from '../species-belief';

/** Looking her over before she joins the others. */
const inspection = z.object({
  findings: z.array(z.enum(FINDINGS)),
  /** She stands beside, not among, the others until then. */
  quarantineUntil: instantSchema.optional(),
});

export const coordinatesSchema = z.object({
  lat: z
    .number({ error: 'The latitude is not a number.' })
    .min(-90, 'The latitude is below −90°. Check the sign.')
    .max(90, 'The latitude is above 90°. Swap latitude and longitude?'),
  lon: z
    .number({ error: 'The longitude is not a number.' })
    .min(-180, 'The longitude is below −180°. Check the sign.')
    .max(180, 'The longitude is above 180°. Check the figure.'),
  /** Radius within which she was found, m. */
  uncertaintyM: z.number().min(1).max(100_000).default(100),
});

export const intakeSchema = z.object({
  kind: z.literal('intake'),
  at: instantSchema,
  /** When the day is not known for sure: not before this moment, not after `at`. */
  earliest: instantSchema.optional(),
  found: z.enum(FOUND_HOW),
  where: shortText(200, 'The place she was found').optional(),
  coordinates: coordinatesSchema.optional(),
  weather: shortText(120, 'The weather').optional(),
  wings: z.enum(WINGS).default('unknown'),
  /** Queens in the tube; more than one is against the safe rule. */
  queens: z
    .number({ error: 'The number of queens is not a number.' })
    .int('Half a queen founds nothing. Give a whole number.')
    .min(1, 'There is no queen. Give 1 or more.')
    .max(30, 'More than 30 queens in one tube? Check the number.')
    .optional(),
  inspection: inspection.optional(),
  /** A drop of sugar water no larger than her head was set before her. */
  welcomeDrop: z.boolean().optional(),
  species: speciesBeliefSchema,
  /** Brood and workers that came with her. */
  eggs: countSchema.optional(),
  larvae: countSchema.optional(),
  pupae: countSchema.optional(),
  workers: countSchema.optional(),
  text: noteText.optional(),
});

export const intake = defineKind({
  kind: 'intake',
  schema: intakeSchema,
  disturbs: () => 'intake',
  refersTo: ({ species }) => ({ species: namedSpecies(species) }),
});
