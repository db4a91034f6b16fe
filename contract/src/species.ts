import { RANKS, REGIONS, type KindCard, type SpeciesProfile } from '@gentle-burrow/core/species';
import { z } from 'zod';

const provenance = z.union([
  z.object({ kind: z.literal('published'), citation: z.string() }),
  z.object({ kind: z.literal('practice') }),
  z.object({ kind: z.literal('prior'), why: z.string() }),
  z.object({ kind: z.literal('learned'), n: z.number().int() }),
]);
const level = z.enum(RANKS);
const figure = <T extends z.ZodType>(value: T) => z.object({ value, source: provenance, level });
const span = z.object({ low: z.number(), high: z.number() });
const stage = z.object({
  thresholdC: z.number(),
  optimumC: z.number(),
  upperC: z.number(),
  degreeDays: z.number(),
  logSpread: z.number(),
  source: provenance,
  level,
});

export const founderTypeSchema = z.enum([
  'fully-claustral',
  'semi-claustral',
  'socially-parasitic',
  'dependent',
  'unknown',
]);
const pupae = z.enum(['naked', 'in cocoons', 'unknown']);
const diet = z.enum(['omnivore', 'harvester', 'nectar', 'predator', 'fungus']);
const months = z.array(z.number().int()).readonly();

const named = {
  id: z.string(),
  rank: level,
  name: z.string(),
  plainName: z.string(),
  climate: z.enum(['temperate', 'tropical']),
  regions: z.array(z.enum(REGIONS)).readonly(),
  status: z.enum(['invasive', 'protected']).nullable(),
  differs: z.object({ says: z.string(), tells: z.string() }).nullable(),
  cautions: z.array(z.string()),
};

export const speciesProfileSchema = z.object({
  ...named,
  founder: figure(founderTypeSchema),
  queenLengthMm: figure(span),
  workerLengthMm: figure(span),
  workerHeadMm: figure(span),
  boreMm: figure(span),
  bestTempC: figure(span),
  pupae: figure(pupae),
  firstBatch: figure(span),
  winters: figure(z.boolean()),
  wintersAs: figure(z.enum(['larvae', 'adults', 'unknown'])),
  inTheCold: figure(z.enum(['rests', 'active'])),
  flightMonths: figure(months),
  queens: figure(z.enum(['one', 'several', 'either', 'unknown'])),
  castes: figure(z.enum(['alike', 'sizes', 'majors', 'unknown'])),
  diet: figure(diet),
  climbsGlass: figure(z.boolean()),
  defence: figure(
    z.enum(['none', 'bites', 'smears', 'sprays-acid', 'stings-weakly', 'stings', 'stings-badly']),
  ),
  temper: figure(z.enum(['calm', 'quick', 'fierce', 'shy', 'unknown'])),
  moveDays: figure(span),
  thresholdC: figure(z.number()),
  optimumC: figure(z.number()),
  upperC: figure(z.number()),
  stages: z.object({ laying: stage, egg: stage, larva: stage, pupa: stage }),
  slowLaying: figure(z.object({ share: z.number(), times: z.number() })),
  queenLogSpread: figure(z.number()),
}) satisfies z.ZodType<SpeciesProfile>;

const value = <T extends z.ZodType>(of: T) => z.object({ value: of });
export const kindCardSchema = z.object({
  ...named,
  genusId: z.string().nullable(),
  otherNames: z.array(z.string()).readonly(),
  founder: z.object({ value: founderTypeSchema, source: provenance }),
  queenLengthMm: value(span),
  workerLengthMm: value(span),
  workerHeadMm: value(span),
  pupae: value(pupae),
  flightMonths: value(months),
  diet: value(diet),
}) satisfies z.ZodType<KindCard>;

export const speciesListSchema = z.object({ species: z.array(kindCardSchema) });
