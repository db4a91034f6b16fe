import { LEVELS, RANKS, REGIONS, type KindCard, type SpeciesProfile } from '@gentle-burrow/core/species';
import { FIGURE_VALUES, ownKindSchema } from '@gentle-burrow/core/species/own';
import { z } from 'zod';

const provenance = z.union([
  z.object({ kind: z.literal('published'), citation: z.string() }),
  z.object({ kind: z.literal('practice') }),
  z.object({ kind: z.literal('prior'), why: z.string() }),
  z.object({ kind: z.literal('learned'), n: z.number().int(), ofGenus: z.number().int().optional() }),
  z.object({ kind: z.literal('keeper'), says: z.string(), queens: z.number().int().optional() }),
]);
const level = z.enum(LEVELS);
const figure = <T extends z.ZodType>(value: T) => z.object({ value, source: provenance, level });
/** What each figure may be. */
const is = FIGURE_VALUES;
const stage = z.object({
  thresholdC: z.number(),
  optimumC: z.number(),
  upperC: z.number(),
  degreeDays: z.number(),
  logSpread: z.number(),
  source: provenance,
  level,
});

const named = {
  id: z.string(),
  rank: z.enum(RANKS),
  name: z.string(),
  plainName: z.string(),
  kin: z.object({ species: z.string().nullable(), genus: z.string().nullable() }),
  copiedOf: z.string().nullable(),
  climate: z.enum(['temperate', 'tropical']),
  regions: z.array(z.enum(REGIONS)).readonly(),
  status: z.enum(['invasive', 'protected']).nullable(),
  differs: z.object({ says: z.string(), tells: z.string() }).nullable(),
  cautions: z.array(z.string()),
};

export const speciesProfileSchema = z.object({
  ...named,
  founder: figure(is.founder),
  queenLengthMm: figure(is.queenLengthMm),
  workerLengthMm: figure(is.workerLengthMm),
  workerHeadMm: figure(is.workerHeadMm),
  boreMm: figure(is.boreMm),
  colours: figure(is.colours),
  waist: figure(is.waist),
  bestTempC: figure(is.bestTempC),
  pupae: figure(is.pupae),
  firstBatch: figure(is.firstBatch),
  winters: figure(is.winters),
  wintersAs: figure(is.wintersAs),
  rest: figure(is.rest),
  inTheCold: figure(is.inTheCold),
  flightMonths: figure(is.flightMonths),
  queens: figure(is.queens),
  castes: figure(is.castes),
  diet: figure(is.diet),
  climbsGlass: figure(is.climbsGlass),
  defence: figure(is.defence),
  temper: figure(is.temper),
  moveDays: figure(is.moveDays),
  thresholdC: figure(is.thresholdC),
  optimumC: figure(is.optimumC),
  upperC: figure(is.upperC),
  stages: z.object({ laying: stage, egg: stage, larva: stage, pupa: stage }),
  slowLaying: figure(is.slowLaying),
  queenLogSpread: figure(is.queenLogSpread),
}) satisfies z.ZodType<SpeciesProfile>;

const value = <T extends z.ZodType>(of: T) => z.object({ value: of });
const kindCardSchema = z.object({
  ...named,
  retired: z.boolean(),
  otherNames: z.array(z.string()).readonly(),
  founder: z.object({ value: is.founder, source: provenance }),
  queenLengthMm: value(is.queenLengthMm),
  workerLengthMm: value(is.workerLengthMm),
  workerHeadMm: value(is.workerHeadMm),
  pupae: value(is.pupae),
  flightMonths: value(is.flightMonths),
  diet: value(is.diet),
  colours: value(is.colours),
  waist: value(is.waist),
  temper: value(is.temper),
}) satisfies z.ZodType<KindCard>;

export const speciesListSchema = z.object({ species: z.array(kindCardSchema) });

export const ownKindListSchema = z.object({ kinds: z.array(ownKindSchema) });
export { ownKindSchema };
