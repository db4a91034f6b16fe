import { ANSWER_IDS, PRESSURES, TASKS, VERDICT_IDS, type SaidNow } from '@gentle-burrow/core/care';
import { z } from 'zod';
import { band, instant, instantBand, phraseSchema } from '../common';

const id = z.string();

const criterion = z.object({
  id: z.string(),
  says: phraseSchema,
  state: z.enum(['met', 'unmet', 'unknown']),
  evidence: z.array(id),
  margin: z.object({ value: z.number(), unit: z.enum(['days', '°C', 'share', 'workers']) }).nullable(),
  source: z.string(),
  settles: z.string().optional(),
});

const askSchema = z.object({
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

const answer = z.object({
  id: z.enum(ANSWER_IDS),
  says: z
    .looseObject({ kind: z.string() })
    .describe('The entry that one tap writes, but for its moment') as unknown as z.ZodType<SaidNow>,
  about: z.string().optional(),
});
export const dueSchema = askSchema.extend({ answers: z.array(answer) });

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
  due: z.array(dueSchema),
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
