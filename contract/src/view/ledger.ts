import { DISTURBANCES, speciesBeliefSchema } from '@gentle-burrow/core/log';
import {
  BROOD,
  BROOD_WAYS,
  CERTAINTIES,
  FEED_SPOTS,
  FEED_WAYS,
  FINDINGS,
  FOODS,
  FOUND_HOW,
  LOSS_CAUSES,
  LOSS_WAYS,
  MOULDS,
  MOULD_SIZES,
  PUPAE_IN,
  TROUBLES,
  WET_FRONTS,
} from '@gentle-burrow/core/vocabulary';
import { z } from 'zod';
import { countRange, instant, intervalSchema, milestones } from '../common';
import { founderSign } from './founder';

const id = z.string();

export const lastCount = z.object({ range: countRange, at: instant, entryId: id });

const appearance = z.object({
  interval: intervalSchema,
  afterEntry: id.nullable(),
  byEntry: id.nullable(),
  implied: z.boolean(),
  absentAt: z.array(instant),
});

const caste = z.object({ first: intervalSchema, last: lastCount }).nullable();

const lasting = <S extends z.ZodType>(value: S) =>
  z.object({ value, at: instant, since: instant, entryId: id }).nullable();
const tubeState = {
  waterReadings: z.array(z.object({ at: instant, mm: z.number(), entryId: id })),
  wetFront: lasting(z.enum(WET_FRONTS)),
  mould: lasting(z.enum(MOULDS)),
  mouldSize: z.enum(MOULD_SIZES).nullable(),
  mouldGrew: z.object({ at: instant, entryId: id }).nullable(),
  troubles: z.array(z.object({ what: z.enum(TROUBLES), at: instant, since: instant, entryId: id })),
};

export const ledgerSchema = z.object({
  queenId: id,
  intake: z
    .object({
      entryId: id,
      at: instant,
      earliest: instant.nullable(),
      found: z.enum(FOUND_HOW),
      wings: z.enum(['winged', 'dealate', 'unknown']),
      where: z.string().nullable(),
      queens: z.number().int(),
    })
    .nullable(),
  species: speciesBeliefSchema.nullable(),
  loss: z
    .object({
      entryId: id,
      at: instant,
      how: z.enum(LOSS_WAYS),
      cause: z.enum(LOSS_CAUSES),
      certainty: z.enum(CERTAINTIES).nullable(),
      orphans: z.boolean(),
    })
    .nullable(),
  counts: milestones(lastCount.nullable()),
  lastWorkers: lastCount.nullable(),
  appearances: milestones(appearance),
  batches: z.array(
    z.object({
      eggs: intervalSchema.nullable(),
      larvae: intervalSchema.nullable(),
      pupae: intervalSchema.nullable(),
      workers: intervalSchema.nullable(),
      by: z.enum(['first', 'gap', 'beside-pupae']),
    }),
  ),
  castes: z.object({ callows: caste, majors: caste, repletes: caste, alates: caste }),
  deadWorkers: countRange,
  pupaeIn: z.enum(PUPAE_IN).nullable(),
  workerLook: z
    .object({
      at: instant,
      entryId: id,
      before: lastCount.nullable(),
      workers: countRange.nullable(),
      dead: countRange.nullable(),
    })
    .nullable(),
  queenMissing: z.array(z.object({ at: instant, entryId: id })),
  eggsUnclear: z.object({ at: instant, entryId: id, eggsAt: instant }).nullable(),
  queensSeen: z.object({ n: z.number().int(), at: instant, entryId: id }).nullable(),
  broodLost: z.array(
    z.object({
      interval: intervalSchema,
      what: z.enum(['eggs', 'brood']),
      most: z.number().nullable(),
      entryId: id,
    }),
  ),
  vanished: z.array(
    z.object({
      low: z.number().int(),
      high: z.number().int(),
      what: z.enum(['eggs', 'brood', 'workers']),
      interval: intervalSchema,
      entryIds: z.tuple([id, id]),
    }),
  ),
  broodMoves: z.array(
    z.object({
      at: instant,
      entryId: id,
      way: z.enum(BROOD_WAYS),
      otherId: id,
      counts: z.partialRecord(z.enum(BROOD), z.number().int()),
    }),
  ),
  lastFull: z
    .object({
      at: instant,
      entryId: id,
      counts: milestones(countRange),
      dead: countRange,
      winged: countRange,
    })
    .nullable(),
  looksSpent: z.number().int(),
  lastLook: z.object({ at: instant, entryId: id }).nullable(),
  daysSinceDisturbed: z.number().nullable(),
  lastDisturbed: z.object({ at: instant, entryId: id }).nullable(),
  disturbances: z.array(z.object({ kind: z.enum(DISTURBANCES), at: instant, entryId: id })),
  ...tubeState,
  livesIn: id,
  elsewhere: z.record(id, z.object(tubeState)),
  queenSeen: z.object({ at: instant, atMm: z.number().nullable(), entryId: id }).nullable(),
  offers: z.array(
    z.object({
      entryId: id,
      at: instant,
      food: z.enum(FOODS),
      spot: z.enum(FEED_SPOTS).nullable(),
      way: z.enum(FEED_WAYS).nullable(),
      outcome: z.enum(['open', 'taken', 'left', 'removed']),
      refused: z.boolean(),
      seen: z.object({ at: instant, entryId: id }).nullable(),
      workersThere: z.boolean(),
      rushed: z.boolean(),
    }),
  ),
  heats: z.array(
    z.object({
      at: instant,
      entryId: id,
      matMm: z.number().nullable(),
      roomC: z.number().optional(),
      readings: z.array(z.object({ mm: z.number(), tempC: z.number() })).optional(),
      setC: z.number().optional(),
    }),
  ),
  winterPlan: z
    .object({ entryId: id, placeId: id, from: instant, until: instant, thenPlaceId: id })
    .nullable(),
  seats: z.array(z.object({ at: instant, atMm: z.number(), entryId: id })),
  moves: z.array(z.object({ at: instant, placeId: id, entryId: id })),
  health: z
    .object({
      findings: z.array(z.enum(FINDINGS)),
      quarantineUntil: instant.nullable(),
      at: instant,
      entryId: id,
    })
    .nullable(),
  welcomeDrop: z.object({ at: instant, entryId: id }).nullable(),
  founderSigns: z.array(founderSign(id)),
  restUntil: z.object({ until: instant, entryId: id }).nullable(),
  contradictions: z.array(
    z.object({
      says: z.string(),
      readings: z.array(z.object({ entryId: id, at: instant, says: z.string() })),
    }),
  ),
});
