import { OUTLOOK_EVENTS } from '@gentle-burrow/core/founding';
import { z } from 'zod';
import { band, instant, instantBand, milestones } from '../common';

const eventOutlook = z.object({
  status: z.enum(['seen', 'ahead']),
  band: instantBand,
  earliest: instant.nullable(),
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
