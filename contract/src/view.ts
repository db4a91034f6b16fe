import { PRESSURES, TASKS, VERDICT_IDS } from '@gentle-burrow/core/care';
import { homePartSchema } from '@gentle-burrow/core/facts';
import { MOVE_STAGES } from '@gentle-burrow/core/housing';
import { OUTLOOK_EVENTS } from '@gentle-burrow/core/founding';
import { DISTURBANCES, speciesBeliefSchema } from '@gentle-burrow/core/log';
import type { QueenView } from '@gentle-burrow/core/view';
import {
  BROOD,
  BROOD_WAYS,
  CERTAINTIES,
  COVERS,
  FEED_SPOTS,
  FEED_WAYS,
  FOODS,
  FINDINGS,
  FOUND_HOW,
  GATES,
  JOINTS,
  MOISTURES,
  SHAPES,
  TAKEN_TO,
  PURPOSES,
  LOSS_CAUSES,
  LOSS_WAYS,
  MOULD_SIZES,
  MOULDS,
  PUPAE_IN,
  TROUBLES,
  WET_FRONTS,
} from '@gentle-burrow/core/vocabulary';
import { z } from 'zod';
import { band, countRange, instant, instantBand, intervalSchema, milestones, phraseSchema } from './common';
import { founderTypeSchema } from '@gentle-burrow/core/species/own';

const id = z.string();

export const lastCount = z.object({ range: countRange, at: instant, entryId: id });

const appearance = z.object({
  interval: intervalSchema,
  afterEntry: id.nullable(),
  byEntry: id.nullable(),
  implied: z.boolean(),
  absentAt: z.array(instant),
});

const founderSign = <I extends z.ZodType>(entryId: I) => {
  const said = { source: z.string(), entryId };
  return z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('shape'), value: z.enum(SHAPES), ...said }),
    z.object({ kind: z.literal('wings'), value: z.enum(['winged', 'dealate']), ...said }),
    z.object({ kind: z.literal('restless'), value: z.boolean(), ...said }),
    z.object({ kind: z.literal('protein'), value: z.enum(['accepted', 'refused']), ...said }),
    z.object({ kind: z.literal('brood-unfed'), value: z.boolean(), ...said }),
  ]);
};

const founderBeliefSchema = z.object({
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

const eventOutlook = z.object({
  status: z.enum(['seen', 'ahead']),
  band: instantBand,
  byNow: z.number(),
});

export const outlookSchema = z.object({
  events: z.object({
    eggs: eventOutlook,
    larvae: eventOutlook,
    pupae: eventOutlook,
    workers: eventOutlook,
    firstBatchEnd: eventOutlook,
  }),
  later: z
    .object({
      secondBatch: z.object({ eggs: instantBand, workers: instantBand }),
      byWinter: z.object({ on: instant, workers: band }).nullable(),
      inside: milestones(z.object({ chance: z.number(), count: band })),
    })
    .nullable(),
  next: z.enum(OUTLOOK_EVENTS).nullable(),
  stillWithout: z.number().nullable(),
  neverLays: z.number(),
  wintersFirst: z.number(),
  found: z.number(),
  offset: z
    .object({ meanC: z.number(), errorC: z.number() })
    .describe('How much warmer she has stood than the thermometer shows, by her own stages'),
  effectiveDraws: z.number(),
  strained: z.number(),
});

const criterion = z.object({
  id: z.string(),
  says: phraseSchema,
  state: z.enum(['met', 'unmet', 'unknown']),
  evidence: z.array(id),
  margin: z.object({ value: z.number(), unit: z.enum(['days', '°C', 'share', 'workers']) }).nullable(),
  source: z.string(),
  settles: z.string().optional(),
});

export const askSchema = z.object({
  task: z.enum(TASKS),
  notBefore: instant,
  best: instant,
  notAfter: instant,
  obligatory: z.boolean(),
  says: phraseSchema,
  timer: z.boolean(),
  ready: z
    .array(z.string())
    .readonly()
    .optional()
    .describe('What is made ready for it, where that depends on her'),
});

const verdict = z.object({
  id: z.enum(VERDICT_IDS),
  question: z.string(),
  answer: z.string(),
  says: phraseSchema,
  pressure: z.enum(PRESSURES),
  until: instant.nullable(),
  school: z.string().nullable(),
  criteria: z.array(criterion).readonly(),
  others: z
    .array(z.object({ school: z.string(), name: z.string(), answer: z.string(), until: instant.nullable() }))
    .readonly(),
  notice: z.boolean(),
  asks: z.array(askSchema).readonly(),
});

const reservoir = z.object({
  lossMlPerDay: band,
  leftMl: z.number(),
  lineMm: z.number(),
  lineErrorMm: z.number(),
  dryAt: instantBand,
  readings: z.number().int(),
  pace: z.object({ low: z.number(), high: z.number() }).nullable(),
});

export const counselSchema = z.object({
  next: phraseSchema,
  pressure: z.enum(PRESSURES),
  restUntil: instant.nullable(),
  verdicts: z.array(verdict),
  due: z.array(askSchema),
  water: reservoir.nullable(),
  otherWater: reservoir.nullable(),
  watering: z.array(
    z.object({
      partId: id,
      everyDays: band,
      lastAt: instant,
      dryAt: instantBand,
      usableMl: z.number(),
      lossMlPerDay: z.number(),
      from: z.number().int(),
    }),
  ),
  peace: z.object({
    spent: z.number(),
    allowed: z.number().nullable(),
    nextFree: instant.nullable(),
    perWeek: z.number(),
    looks: z.number().int(),
    restless: z.boolean(),
    lastAt: instant.nullable(),
    evidence: z.array(id),
  }),
});

const stageEvidence = z
  .object({ n: z.number().int(), precision: z.number(), weighted: z.number() })
  .optional();
/** What finished stages of the keeper's own queens say of one kind. */
export const kindEvidenceSchema = z.object({
  laying: stageEvidence,
  egg: stageEvidence,
  larva: stageEvidence,
  pupa: stageEvidence,
});

const share = z.object({ low: z.number(), high: z.number() });
const moveSchema = z.object({
  from: id,
  to: id,
  offeredAt: instant,
  entryId: id,
  stage: z.enum(MOVE_STAGES),
  since: instant,
  swappedAt: instant.nullable(),
  byHandAt: instant.nullable(),
});
const linkEnd = z.object({ partId: id, port: z.string() });
const links = z
  .array(
    z.object({
      a: linkEnd,
      b: linkEnd,
      by: z.enum(JOINTS),
      gapMm: z.number().nullable(),
      lengthMm: z.number().nullable(),
      entryId: id,
    }),
  )
  .readonly();
const gates = z.record(z.string(), z.object({ value: z.enum(GATES), since: instant, entryId: id }));

/** What of a home its picture needs. */
export const drawnHomeSchema = z.object({
  parts: z.array(z.object({ part: homePartSchema, gates })).readonly(),
  links,
  home: id,
});

/** What is joined to what, and who lives where. */
const housingSchema = z.object({
  parts: z
    .array(
      z.object({
        part: homePartSchema,
        purpose: z.enum(['first', ...PURPOSES]),
        entryId: id.nullable(),
        gone: z.object({ at: instant, to: z.enum(TAKEN_TO), entryId: id }).nullable(),
        cover: z.object({ value: z.enum(COVERS), since: instant, entryId: id }).nullable(),
        gates,
        holds: z.object({ queen: share, brood: share, workers: share }),
        saidAt: instant.nullable(),
        waterings: z.array(
          z.object({
            at: instant,
            ml: z.number().nullable(),
            was: z.enum(MOISTURES).nullable(),
            entryId: id,
          }),
        ),
        cleanedAt: instant.nullable(),
      }),
    )
    .readonly(),
  links,
  home: id,
  move: moveSchema.nullable(),
  past: z.array(moveSchema).readonly(),
  faults: z.array(z.object({ entryId: id, at: instant, says: z.string() })).readonly(),
});

export const heatFallSchema = z
  .object({ placeId: id, lengthMm: z.number() })
  .describe(
    'In how many mm the warmth of the heat at a place was read to fall to 37 % of its excess over the room',
  );

export const queenViewSchema = z.object({
  profileId: z.string(),
  species: z.array(
    z.object({ profileId: z.string(), share: z.number(), now: z.number(), namedBy: z.string().nullable() }),
  ),
  founder: founderBeliefSchema.nullable(),
  teaches: z.object({ profileId: z.string(), stages: kindEvidenceSchema }).nullable(),
  falls: z.array(heatFallSchema).describe('Read at her own tubes'),
  learnedFrom: z.object({ kind: z.number().int(), genus: z.number().int() }),
  tempC: z.number(),
  warmth: z
    .object({ measuredSince: instant.nullable(), errorC: z.number() })
    .describe('Since when it was measured (null: it was told), and the standard error of who measured'),
  housing: housingSchema,
  part: homePartSchema.describe('The part she lives in now'),
  ledger: ledgerSchema,
  outlook: outlookSchema.nullable(),
  counsel: counselSchema.nullable(),
  trouble: z.object({ field: z.string(), message: z.string() }).nullable(),
}) satisfies z.ZodType<QueenView>;
