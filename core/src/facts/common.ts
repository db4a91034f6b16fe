import { z } from 'zod';
import { COUNT_WORDS } from '../quantity';

/** Nothing that a keeper writes is of another time: a slip of the finger, or a clock that was never set. */
const YEARS = { first: 1900, last: 2200 } as const;
export const isOfOurTime = (year: string | number): boolean =>
  Number(year) >= YEARS.first && Number(year) <= YEARS.last;

/** A moment in UTC. */
export const instantSchema = z.iso
  .datetime({ error: 'Give a date and time in UTC, like 2026-05-03T18:20:00Z.' })
  .refine((at) => isOfOurTime(at.slice(0, 4)), {
    error: `Give a year from ${YEARS.first} to ${YEARS.last}.`,
  });

/** Ids are made where the entry is written, so that sending one twice is harmless. */
export const idSchema = z.uuid({ version: 'v7', error: 'The id is not a UUID of version 7.' });

const whole = (name: string) =>
  z
    .number({ error: `${name} is not a number.` })
    .int(`${name} is not a whole number.`)
    .min(0, `${name} is below 0. Write 0 for none.`)
    .max(100_000, `${name} is too large to have been counted in a tube.`);

/** What was seen of one stage: a number, a range, or a word for "could not count". */
export const countSchema = z
  .object({
    low: whole('The lower count'),
    high: whole('The upper count').nullable(),
    /** A word was said instead of a number; the bounds are what the word is taken to mean. */
    word: z.enum(COUNT_WORDS).optional(),
  })
  .refine((c) => c.high === null || c.high >= c.low, {
    path: ['high'],
    error: 'The upper count is below the lower count. Swap them or correct one.',
  });
export type Count = z.infer<typeof countSchema>;

export const noteText = z.string().max(4000, 'The note is longer than 4,000 characters. Split it in two.');
export const shortText = (max: number, name: string) => z.string().trim().max(max, `${name} is too long.`);

/** A length as measured, with the keeper's word for it in every sentence. */
export const mm = (name: string, min: number, max: number) =>
  z
    .number({ error: `${name} is not a number. Give it in mm.` })
    .min(min, `${name} is below ${min} mm. Check the figure and its unit.`)
    .max(max, `${name} is above ${max} mm. Check the figure and its unit.`);
