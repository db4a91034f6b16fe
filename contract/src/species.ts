import type { SpeciesProfile } from '@gentle-burrow/core/species';
import { z } from 'zod';

const provenance = z.union([
  z.object({ kind: z.literal('published'), citation: z.string() }),
  z.object({ kind: z.literal('practice') }),
  z.object({ kind: z.literal('prior'), why: z.string() }),
  z.object({ kind: z.literal('learned'), n: z.number().int() }),
]);
const figure = <T extends z.ZodType>(value: T) => z.object({ value, source: provenance });
const span = z.object({ low: z.number(), high: z.number() });
const stage = z.object({
  thresholdC: z.number(),
  optimumC: z.number(),
  upperC: z.number(),
  degreeDays: z.number(),
  logSpread: z.number(),
  source: provenance,
});

export const speciesProfileSchema = z.object({
  id: z.string(),
  name: z.string(),
  plainName: z.string(),
  climate: z.enum(['temperate', 'tropical']),
  founder: figure(z.enum(['fully-claustral', 'semi-claustral', 'socially-parasitic', 'unknown'])),
  queenLengthMm: figure(span),
  workerLengthMm: figure(span),
  boreMm: figure(span),
  bestTempC: figure(span),
  pupae: figure(z.enum(['naked', 'in cocoons', 'unknown'])),
  firstBatch: figure(span),
  winters: figure(z.boolean()),
  inTheCold: figure(z.enum(['rests', 'active'])),
  flightMonths: figure(z.array(z.number().int()).readonly()),
  diet: figure(z.enum(['omnivore', 'harvester'])),
  stages: z.object({ laying: stage, egg: stage, larva: stage, pupa: stage }),
  slowLaying: figure(z.object({ share: z.number(), times: z.number() })),
  queenLogSpread: figure(z.number()),
  cautions: z.array(z.string()),
}) satisfies z.ZodType<SpeciesProfile>;

export const speciesListSchema = z.object({ species: z.array(speciesProfileSchema) });
