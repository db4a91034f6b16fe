import { z } from 'zod';

/** A moment in UTC. */
export const instantSchema = z.iso.datetime({
  error: 'Give a date and time in UTC, like 2026-05-03T18:20:00Z.',
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
  .object({ low: whole('The lower count'), high: whole('The upper count').nullable() })
  .refine((c) => c.high === null || c.high >= c.low, {
    path: ['high'],
    error: 'The upper count is below the lower count. Swap them or correct one.',
  });

const text = z.string().max(4000, 'The note is longer than 4,000 characters. Split it in two.');
const shortText = (max: number, name: string) => z.string().trim().max(max, `${name} is too long.`);
const lineMm = z
  .number({ error: 'The water line is not a number.' })
  .min(0, 'The water line is below 0. Measure from the closed end.')
  .max(500, 'The water line is beyond 500 mm. Check the unit.');

export const FOUND_HOW = [
  'walking',
  'digging',
  'in-water',
  'under-stone',
  'bought',
  'swapped',
  'given',
  'small-colony',
  'unknown',
] as const;

export const speciesBeliefSchema = z.object({
  profileId: z.string().min(1).max(80),
  sure: z.enum(['certain', 'likely', 'guess']),
  namedBy: shortText(120, 'The name of who named her').optional(),
});

const counts = {
  eggs: countSchema.optional(),
  larvae: countSchema.optional(),
  pupae: countSchema.optional(),
  workers: countSchema.optional(),
};

export const intakeSchema = z.object({
  kind: z.literal('intake'),
  at: instantSchema,
  found: z.enum(FOUND_HOW),
  where: shortText(200, 'The place she was found').optional(),
  wings: z.enum(['winged', 'dealate', 'unknown']).default('unknown'),
  species: speciesBeliefSchema,
  /** Brood and workers that came with her. */
  ...counts,
  text: text.optional(),
});

export const WET_FRONTS = ['dry', 'right', 'at-face', 'soaked', 'leaking'] as const;
export const MOULDS = ['none', 'far-plug', 'near-brood'] as const;

export const lookSchema = z.object({
  kind: z.literal('look'),
  at: instantSchema,
  queen: z.enum(['seen', 'not-seen']).optional(),
  /** Where she sat, mm from the closed end. */
  queenAtMm: lineMm.optional(),
  ...counts,
  waterLineMm: lineMm.optional(),
  /** How far the dark wet front has come in the inner plug. */
  wetFront: z.enum(WET_FRONTS).optional(),
  mould: z.enum(MOULDS).optional(),
  text: text.optional(),
});

export const feedSchema = z.object({
  kind: z.literal('feed'),
  at: instantSchema,
  food: z.enum(['sugar', 'protein', 'both']),
  outcome: z.enum(['offered', 'taken', 'left', 'removed']).default('offered'),
  text: text.optional(),
});

export const noteSchema = z.object({
  kind: z.literal('note'),
  at: instantSchema,
  text: text.min(1, 'The note is empty. Write something or leave it out.'),
});

/** A look not taken, on purpose: she is left alone until a date. */
export const restSchema = z.object({
  kind: z.literal('rest'),
  at: instantSchema,
  until: instantSchema,
  text: text.optional(),
});

export const LOSS_CAUSES = [
  'unknown',
  'dried-out',
  'drowned',
  'mould',
  'starved',
  'too-warm',
  'disturbed',
  'injured',
  'other',
] as const;

export const lossSchema = z.object({
  kind: z.literal('loss'),
  at: instantSchema,
  how: z.enum(['died', 'escaped', 'given-away']),
  cause: z.enum(LOSS_CAUSES).default('unknown'),
  text: text.optional(),
});

/** What an entry says, without who it is about or when it was written. */
export const entryBodySchema = z.discriminatedUnion(
  'kind',
  [intakeSchema, lookSchema, feedSchema, noteSchema, restSchema, lossSchema],
  { error: 'The kind of entry is missing or unknown. Use intake, look, feed, note, rest or loss.' },
);

const head = { id: idSchema, queenId: idSchema, loggedAt: instantSchema };

/** Puts another entry right, or withdraws it when the replacement is null. The other entry stays as it was written. */
export const amendmentSchema = z.object({
  kind: z.literal('amendment'),
  ...head,
  at: instantSchema,
  amends: idSchema,
  replacement: entryBodySchema.nullable(),
});

export const entrySchema = z.discriminatedUnion(
  'kind',
  [
    intakeSchema.extend(head),
    lookSchema.extend(head),
    feedSchema.extend(head),
    noteSchema.extend(head),
    restSchema.extend(head),
    lossSchema.extend(head),
    amendmentSchema,
  ],
  {
    error: 'The kind of entry is missing or unknown. Use intake, look, feed, note, rest, loss or amendment.',
  },
);

export type Count = z.infer<typeof countSchema>;
export type EntryBody = z.infer<typeof entryBodySchema>;
export type BodyOf<K extends EntryBody['kind']> = Extract<EntryBody, { kind: K }>;
export type Entry = z.infer<typeof entrySchema>;
export type EntryKind = Entry['kind'];
export type Amendment = z.infer<typeof amendmentSchema>;
export type FactEntry = Exclude<Entry, Amendment>;
export type SpeciesBelief = z.infer<typeof speciesBeliefSchema>;
