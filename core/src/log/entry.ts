import { z } from 'zod';
import { COUNT_WORDS } from '../quantity';

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
  'bought-with-workers',
  'swapped',
  'given',
  'small-colony',
  'unknown',
] as const;

const namedBy = shortText(120, 'The name of who named her').optional();

/** What she is held to be: one species, and others that she may be instead, each with its share of the belief. */
export const speciesBeliefSchema = z
  .object({
    profileId: z.string().min(1).max(80),
    sure: z.enum(['certain', 'likely', 'guess']),
    namedBy,
    others: z
      .array(
        z.object({
          profileId: z.string().min(1).max(80),
          /** 0..1 of the whole belief. */
          share: z
            .number({ error: 'The share is not a number.' })
            .gt(0, 'A share of nothing says nothing. Leave this species out.')
            .lt(
              1,
              'A share of 100 % leaves nothing for the first species. Lower it, or name this one alone.',
            ),
          namedBy,
        }),
      )
      .max(4, 'More than five species at once say nothing. Take “unknown” instead.')
      .optional(),
  })
  .superRefine((b, ctx) => {
    const others = b.others ?? [];
    const ids = [b.profileId, ...others.map((o) => o.profileId)];
    if (new Set(ids).size < ids.length) {
      ctx.addIssue({
        code: 'custom',
        path: ['others'],
        message: 'One species is named twice. Give it one share.',
      });
    }
    if (others.reduce((sum, o) => sum + o.share, 0) >= 1) {
      ctx.addIssue({
        code: 'custom',
        path: ['others'],
        message: 'The other species take 100 % or more and leave nothing for the first. Lower their shares.',
      });
    }
  });

export const FINDINGS = ['mites', 'other-parasites', 'injury', 'missing-leg'] as const;

/** Looking her over before she joins the others. */
const inspection = z.object({
  findings: z.array(z.enum(FINDINGS)),
  /** She stands beside, not among, the others until then. */
  quarantineUntil: instantSchema.optional(),
});

export const coordinatesSchema = z.object({
  lat: z
    .number({ error: 'The latitude is not a number.' })
    .min(-90, 'The latitude is below −90°. Check the sign.')
    .max(90, 'The latitude is above 90°. Swap latitude and longitude?'),
  lon: z
    .number({ error: 'The longitude is not a number.' })
    .min(-180, 'The longitude is below −180°. Check the sign.')
    .max(180, 'The longitude is above 180°. Check the figure.'),
  /** Radius within which she was found, m. */
  uncertaintyM: z.number().min(1).max(100_000).default(100),
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
  /** When the day is not known for sure: not before this moment, not after `at`. */
  earliest: instantSchema.optional(),
  found: z.enum(FOUND_HOW),
  where: shortText(200, 'The place she was found').optional(),
  coordinates: coordinatesSchema.optional(),
  weather: shortText(120, 'The weather').optional(),
  wings: z.enum(['winged', 'dealate', 'unknown']).default('unknown'),
  /** Queens in the tube; more than one is against the safe rule. */
  queens: z
    .number({ error: 'The number of queens is not a number.' })
    .int('Half a queen founds nothing. Give a whole number.')
    .min(1, 'There is no queen. Give 1 or more.')
    .max(30, 'More than 30 queens in one tube? Check the number.')
    .optional(),
  inspection: inspection.optional(),
  /** A drop of sugar water no larger than her head was set before her. */
  welcomeDrop: z.boolean().optional(),
  species: speciesBeliefSchema,
  /** Brood and workers that came with her. */
  ...counts,
  text: text.optional(),
});

export const WET_FRONTS = ['dry', 'right', 'at-face', 'soaked', 'leaking'] as const;
/** Workers of a kind, and winged young: part of a look when there are any. */
export const CASTES = ['callows', 'majors', 'repletes', 'alates'] as const;
export type Caste = (typeof CASTES)[number];
export const PUPAE_IN = ['naked', 'cocoons', 'both'] as const;
export const MOULDS = ['none', 'far-plug', 'near-brood'] as const;

export const lookSchema = z.object({
  kind: z.literal('look'),
  at: instantSchema,
  queen: z.enum(['seen', 'not-seen']).optional(),
  /** Where she sat, mm from the closed end. */
  queenAtMm: lineMm.optional(),
  /** How many queens, where there is more than one. */
  queensSeen: z.number().int().min(0).max(30).optional(),
  ...counts,
  /** Callows, majors and repletes are among the workers. */
  callows: countSchema.optional(),
  majors: countSchema.optional(),
  repletes: countSchema.optional(),
  alates: countSchema.optional(),
  /** Newly found dead, since the look before. */
  deadWorkers: countSchema.optional(),
  pupaeIn: z.enum(PUPAE_IN).optional(),
  /** Pictures taken at this look. */
  photos: z.array(idSchema).max(6, 'More than six photos of one look. Leave some out.').optional(),
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

/** Infertile: alive, and given up as a founder. Merged: her colony was joined to another. */
export const LOSS_WAYS = ['died', 'escaped', 'given-away', 'merged', 'infertile'] as const;

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

export const CERTAINTIES = ['certain', 'likely', 'guess'] as const;

export const lossSchema = z.object({
  kind: z.literal('loss'),
  at: instantSchema,
  how: z.enum(LOSS_WAYS),
  cause: z.enum(LOSS_CAUSES).default('unknown'),
  /** How sure the keeper is of the cause. */
  certainty: z.enum(CERTAINTIES).optional(),
  /** Workers and brood live on without her. */
  colonyGoesOn: z.boolean().optional(),
  text: text.optional(),
});

/** The tube was carried to another place. */
export const moveSchema = z.object({
  kind: z.literal('move'),
  at: instantSchema,
  placeId: idSchema,
  text: text.optional(),
});

/** The tube was knocked, dropped or shaken, not on purpose. */
export const knockSchema = z.object({
  kind: z.literal('knock'),
  at: instantSchema,
  text: text.optional(),
});

/** Looked over again: findings, and the quarantine that follows or ends. */
export const healthSchema = z.object({
  kind: z.literal('health'),
  at: instantSchema,
  findings: z.array(z.enum(FINDINGS)),
  /** null ends the quarantine. */
  quarantineUntil: instantSchema.nullable(),
  text: text.optional(),
});

/** Named anew, by someone with a better eye or a better book. */
export const identifySchema = z.object({
  kind: z.literal('identify'),
  at: instantSchema,
  species: speciesBeliefSchema,
  text: text.optional(),
});

export const SHAPES = ['large-gaster', 'between', 'slim-large-head'] as const;

/** Something seen of her that tells what kind of founder she is. */
export const signSchema = z.object({
  kind: z.literal('sign'),
  at: instantSchema,
  shape: z.enum(SHAPES).optional(),
  /** Paces and searches a week after she settled. */
  restless: z.boolean().optional(),
  protein: z.enum(['accepted', 'refused']).optional(),
  /** Larvae grew to pupae without any food given. */
  broodUnfed: z.boolean().optional(),
  text: text.optional(),
});

/** What an entry says, without who it is about or when it was written. */
export const entryBodySchema = z.discriminatedUnion(
  'kind',
  [
    intakeSchema,
    lookSchema,
    feedSchema,
    noteSchema,
    restSchema,
    lossSchema,
    moveSchema,
    knockSchema,
    healthSchema,
    identifySchema,
    signSchema,
  ],
  {
    error:
      'The kind of entry is missing or unknown. Use intake, look, feed, note, rest, loss, move, knock, health, identify or sign.',
  },
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
    moveSchema.extend(head),
    knockSchema.extend(head),
    healthSchema.extend(head),
    identifySchema.extend(head),
    signSchema.extend(head),
    amendmentSchema,
  ],
  {
    error:
      'The kind of entry is missing or unknown. Use intake, look, feed, note, rest, loss, move, knock, health, identify, sign or amendment.',
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
