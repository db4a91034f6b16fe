import {
  FOUND_HOW,
  LOSS_CAUSES,
  MOULDS,
  OUTLOOK_EVENTS,
  PRESSURES,
  speciesBeliefSchema,
  WET_FRONTS,
  type QueenView,
} from '@gentle-burrow/core';
import { z } from 'zod';
import { band, countRange, instant, instantBand, intervalSchema, milestones, phraseSchema } from './common';

const id = z.string();

export const lastCount = z.object({ range: countRange, at: instant, entryId: id });

const appearance = z.object({
  interval: intervalSchema,
  afterEntry: id.nullable(),
  byEntry: id.nullable(),
  implied: z.boolean(),
  absentAt: z.array(instant),
});

export const ledgerSchema = z.object({
  queenId: id,
  intake: z.object({ entryId: id, at: instant, found: z.enum(FOUND_HOW) }).nullable(),
  species: speciesBeliefSchema.nullable(),
  loss: z
    .object({
      entryId: id,
      at: instant,
      how: z.enum(['died', 'escaped', 'given-away']),
      cause: z.enum(LOSS_CAUSES),
    })
    .nullable(),
  counts: milestones(lastCount.nullable()),
  appearances: milestones(appearance),
  broodLost: z.array(z.object({ interval: intervalSchema, entryId: id })),
  looksSpent: z.number().int(),
  lastLook: z.object({ at: instant, entryId: id }).nullable(),
  daysSinceDisturbed: z.number().nullable(),
  lastDisturbed: z.object({ at: instant, entryId: id }).nullable(),
  waterReadings: z.array(z.object({ at: instant, mm: z.number(), entryId: id })),
  wetFront: z.object({ value: z.enum(WET_FRONTS), at: instant, entryId: id }).nullable(),
  mould: z.object({ value: z.enum(MOULDS), at: instant, entryId: id }).nullable(),
  queenSeen: z.object({ at: instant, atMm: z.number().nullable(), entryId: id }).nullable(),
  lastFeed: z
    .object({
      at: instant,
      food: z.enum(['sugar', 'protein', 'both']),
      outcome: z.enum(['offered', 'taken', 'left', 'removed']),
      entryId: id,
    })
    .nullable(),
  restUntil: z.object({ until: instant, entryId: id }).nullable(),
  contradictions: z.array(z.object({ says: z.string(), entryIds: z.array(id) })),
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
  next: z.enum(OUTLOOK_EVENTS).nullable(),
  stillWithout: z.number().nullable(),
  effectiveDraws: z.number(),
  strained: z.number(),
});

const criterion = z.object({
  id: z.string(),
  says: phraseSchema,
  state: z.enum(['met', 'unmet', 'unknown']),
  evidence: z.array(id),
  margin: z.object({ value: z.number(), unit: z.enum(['days', '°C', 'share']) }).nullable(),
  source: z.string(),
  settles: z.string().optional(),
});

const verdict = z.object({
  id: z.enum(['look', 'late', 'water', 'food']),
  question: z.string(),
  answer: z.string(),
  says: phraseSchema,
  pressure: z.enum(PRESSURES),
  until: instant.nullable(),
  school: z.string().nullable(),
  criteria: z.array(criterion),
  others: z
    .array(z.object({ school: z.string(), name: z.string(), answer: z.string(), until: instant.nullable() }))
    .readonly(),
});

export const counselSchema = z.object({
  next: phraseSchema,
  pressure: z.enum(PRESSURES),
  restUntil: instant.nullable(),
  verdicts: z.array(verdict),
  reservoir: z.object({
    lossMlPerDay: band,
    leftMl: z.number(),
    lineMm: z.number(),
    dryAt: instantBand,
    readings: z.number().int(),
  }),
});

export const queenViewSchema = z.object({
  profileId: z.string(),
  tempC: z.number(),
  ledger: ledgerSchema,
  outlook: outlookSchema.nullable(),
  counsel: counselSchema.nullable(),
  trouble: z.object({ field: z.string(), message: z.string() }).nullable(),
}) satisfies z.ZodType<QueenView>;
