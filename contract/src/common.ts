import { COUNT_WORDS } from '@gentle-burrow/core/quantity';
import { z } from 'zod';

export const instant = z.iso.datetime().describe('A moment, ISO 8601 in UTC');

export const countRange = z.object({
  low: z.number().int(),
  high: z.number().int().nullable(),
  word: z.enum(COUNT_WORDS).optional(),
});
export const intervalSchema = z.object({ after: instant.nullable(), by: instant.nullable() });
export const band = z.object({ p10: z.number(), p50: z.number(), p90: z.number() });
export const instantBand = z.object({
  p10: instant.nullable(),
  p50: instant.nullable(),
  p90: instant.nullable(),
});

export const phraseSchema = z
  .array(
    z.union([
      z.string(),
      z.object({ date: instant }),
      z.object({ tempC: z.number() }),
      z.object({ tempDiffC: z.number() }),
      z.object({ mm: z.number() }),
      z.object({ days: z.number() }),
      z.object({ percent: z.number() }),
      z.object({ word: z.string() }),
    ]),
  )
  .describe('A sentence: words, and values to be shown in the keeper’s units');

/** What every failed request answers. */
export const errorSchema = z.object({
  error: z.object({
    code: z.string(),
    message: z.string().describe('A sentence: what is wrong and how to mend it'),
    field: z.string().optional(),
  }),
});
export type ErrorBody = z.infer<typeof errorSchema>;

export const milestones = <T extends z.ZodType>(item: T) =>
  z.object({ eggs: item, larvae: item, pupae: item, workers: item });
