import { FINDING_ADVICE, QUARANTINE_DAYS } from '@gentle-burrow/core/care';
import {
  bodyPartSchema,
  countSchema,
  idSchema,
  placeSchema,
  queenSchema,
  tubeSchema,
  type BodyPart,
  type HomePart,
  type Place,
  type StockMove,
} from '@gentle-burrow/core/facts';
import {
  coordinatesSchema,
  effectiveEntries,
  speciesBeliefSchema,
  type Entry,
} from '@gentle-burrow/core/log';
import { FIRST_HOME_KINDS } from '@gentle-burrow/core/housing';
import type { QueenFacts } from '@gentle-burrow/core/view';
import { MILESTONES } from '@gentle-burrow/core/species';
import { addDays, COUNT_FAULT, DAY_MS, startOfDay } from '@gentle-burrow/core/quantity';
import { caughtAlone, FINDINGS, FOUND_HOW, SHAPES } from '@gentle-burrow/core/vocabulary';
import { capital } from '@gentle-burrow/core/words';
import type { NewQueen } from '@gentle-burrow/contract';
import { ROOM_WARM_C } from '@gentle-burrow/core/warmth';
import { v7 } from 'uuid';
import { z } from 'zod';
import { dayInput, zoneNow } from '@/ui/dates';
import { DIVIDER_MM, STRAW_MM } from '@/features/tube/divider';
import { SAMPLE_TUBE } from './tubes';

const mm = tubeSchema.shape;
const LOOKED = ['not', 'clean', 'found'] as const;

/** More tubes are not filled in one evening. Prior. */
export const MOST_SISTERS = 60;

/** What the five steps ask for. Lengths in mm and temperatures in °C, whatever the keeper's units. */
export const queenFormSchema = z
  .object({
    found: z.enum(FOUND_HOW, { error: 'Say how she came to you; “not known” is an answer too.' }),
    day: z
      .string()
      .regex(/^\d{4}-\d{2}-\d{2}$/, 'The day is not complete. Choose day, month and year.')
      .refine((d) => d <= dayInput(new Date()), 'That day is still to come. Choose today or an earlier day.'),
    /** Empty when the day is known. */
    earliest: z.union([
      z.literal(''),
      z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'The earliest day is not complete.'),
    ]),
    queens: z
      .number({ error: 'The number of queens is not a number.' })
      .int('Half a queen founds nothing. Give a whole number.')
      .min(1, 'There is no queen. Give 1 or more.')
      .max(30, 'More than 30 queens in one tube? Check the number.'),
    /** How many are taken in alike, each in a tube of her own. */
    sisters: z
      .number({ error: 'The number of sisters is not a number.' })
      .int('Enter a whole number of sisters.')
      .min(1, 'Enter 1 for a queen alone, or how many sisters there are.')
      .max(MOST_SISTERS, `More than ${MOST_SISTERS} sisters at once? Take them in in parts.`),
    /** Both or none. */
    lat: coordinatesSchema.shape.lat.nullable(),
    lon: coordinatesSchema.shape.lon.nullable(),
    uncertaintyM: z.number({ error: 'The radius is not a number.' }).min(1).max(100_000),
    weather: z.string().trim().max(120, 'The weather is too long. Shorten it.'),
    /** null until she was looked over. */
    /** Looked over: not yet, and nothing found; or something, and what. */
    looked: z.enum(LOOKED),
    findings: z.array(z.enum(FINDINGS)),
    quarantine: z.boolean(),
    welcomeDrop: z.boolean(),
    shape: z.enum(SHAPES).nullable(),
    /** The other species she may be. */
    others: z.array(z.object({ profileId: z.string(), share: z.number(), namedBy: z.string().optional() })),
    /** From the stock: the piece that is used, or empty. */
    itemId: z.string(),
    divider: z.boolean(),
    where: z.string().trim().max(200, 'The place is too long. Shorten it.'),
    label: queenSchema.shape.label,
    batch: z.string().trim().max(60, 'The batch is too long. Shorten it.'),
    broodWithHer: z.object({
      eggs: countSchema.nullable(),
      larvae: countSchema.nullable(),
      pupae: countSchema.nullable(),
      workers: countSchema.nullable(),
      /** What was typed as a count and is none. */
      unread: z.record(z.string(), z.string().optional()).optional(),
    }),
    profileId: z.string().min(1, 'Choose a species, or one of the two unknowns.'),
    /** By which other name she was found. */
    called: z.string().optional(),
    sure: z.enum(['certain', 'likely', 'guess']),
    namedBy: z.string().trim().max(120, 'The name is too long. Shorten it.'),
    wings: z.enum(['winged', 'dealate', 'unknown']),
    /** What she founds in; the measures of a tube count only for a tube. */
    homeKind: z.enum(['tube', ...FIRST_HOME_KINDS]),
    body: z.custom<BodyPart>().nullable(),
    outsideMm: mm.outsideMm,
    boreMm: mm.boreMm,
    lengthMm: mm.lengthMm,
    end: mm.end,
    waterLineMm: mm.waterLineMm,
    innerMm: mm.plugs.shape.innerMm,
    outerMm: mm.plugs.shape.outerMm,
    /** Empty for a new place. */
    placeId: z.union([z.literal(''), idSchema]),
    placeName: z.string(),
    /** Of a new place: whether anybody has measured, and what. */
    measured: z.boolean(),
    tempC: z.union([z.number(), z.nan()]).nullable(),
    roomRelHumidity: placeSchema.shape.roomRelHumidity,
  })
  .superRefine((f, ctx) => {
    const body = f.homeKind === 'tube' ? null : bodyPartSchema.safeParse(f.body);
    if (body && !body.success)
      ctx.addIssue({
        code: 'custom',
        path: ['body'],
        message: body.error.issues[0]?.message ?? 'Give its measures.',
      });
    const tube = body ? null : tubeSchema.safeParse(tubeOf(f, v7(), new Date().toISOString()));
    for (const issue of tube?.error?.issues ?? []) {
      ctx.addIssue({
        code: 'custom',
        path: [issue.path[issue.path.length - 1] ?? 'waterLineMm'],
        message: issue.message,
      });
    }
    const fault = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (f.looked === 'found' && f.findings.length === 0)
      fault('findings', 'Tick what was found, or choose “Nothing found”.');
    if (f.earliest !== '' && f.earliest > f.day)
      fault('earliest', 'The earliest day lies after the latest. Swap them or correct one.');
    if ((f.lat === null) !== (f.lon === null))
      fault(f.lat === null ? 'lat' : 'lon', 'One coordinate is missing. Give both, or clear the other.');
    const belief = speciesBeliefSchema.safeParse(speciesOf(f));
    const other = belief.error?.issues.find((i) => i.path[0] === 'others');
    if (other) fault('others', other.message);
    const unread = comesWithBrood(f.found) ? Object.entries(f.broodWithHer.unread ?? {}) : [];
    for (const [stage, text] of unread)
      if (text !== undefined) fault('broodWithHer', `${capital(stage)}: “${text}” ${COUNT_FAULT}`);
    if (f.welcomeDrop && hasBrood(f))
      fault(
        'welcomeDrop',
        'She has brood: no free liquid beside it. Offer a swab instead, out after a few hours.',
      );
    const warmth = f.placeId === '' && f.measured ? placeSchema.shape.tempC.safeParse(f.tempC) : null;
    if (warmth && !warmth.success)
      fault(
        'tempC',
        typeof f.tempC === 'number' && Number.isFinite(f.tempC)
          ? (warmth.error.issues[0]?.message ?? '')
          : 'Measure it beside the tubes, or choose “Not measured”.',
      );
    if (f.placeId === '' && f.placeName.trim() === '') {
      ctx.addIssue({
        code: 'custom',
        path: ['placeName'],
        message: 'Give the place a name, like “drawer under the window”.',
      });
    }
  });

export type QueenForm = z.infer<typeof queenFormSchema>;

/** Which fields each step asks for, so that a step is checked before the next. */
export const STEP_FIELDS: (keyof QueenForm)[][] = [
  [
    'found',
    'day',
    'earliest',
    'where',
    'lat',
    'lon',
    'uncertaintyM',
    'weather',
    'label',
    'batch',
    'queens',
    'sisters',
    'wings',
    'broodWithHer',
  ],
  ['looked', 'findings', 'quarantine', 'welcomeDrop'],
  ['profileId', 'sure', 'namedBy', 'others', 'shape'],
  [
    'homeKind',
    'body',
    'outsideMm',
    'boreMm',
    'lengthMm',
    'end',
    'waterLineMm',
    'innerMm',
    'outerMm',
    'itemId',
    'divider',
  ],
  ['placeId', 'placeName', 'measured', 'tempC', 'roomRelHumidity'],
];

/** Does she bring brood with her? */
const hasBrood = (f: Pick<QueenForm, 'found' | 'broodWithHer'>): boolean =>
  comesWithBrood(f.found) &&
  (['eggs', 'larvae', 'pupae'] as const).some(
    (m) => (f.broodWithHer[m]?.high ?? f.broodWithHer[m]?.low ?? 0) > 0,
  );

const speciesOf = (f: Pick<QueenForm, 'profileId' | 'sure' | 'namedBy' | 'called' | 'others'>) => ({
  profileId: f.profileId,
  sure: f.sure,
  ...(f.called ? { called: f.called } : {}),
  ...(f.namedBy ? { namedBy: f.namedBy } : {}),
  ...(f.others.length > 0 ? { others: f.others } : {}),
});

type TubeFields = Pick<
  QueenForm,
  'outsideMm' | 'boreMm' | 'lengthMm' | 'end' | 'waterLineMm' | 'innerMm' | 'outerMm' | 'divider'
>;

export function tubeOf(f: TubeFields, id: string, setUpAt: string) {
  return {
    id,
    kind: 'tube' as const,
    outsideMm: f.outsideMm,
    boreMm: f.boreMm,
    lengthMm: f.lengthMm,
    end: f.end,
    waterLineMm: f.waterLineMm,
    plugs: { innerMm: f.innerMm, outerMm: f.outerMm },
    ...(f.divider ? { divider: wallOf(f) } : {}),
    setUpAt,
  };
}

/** The wall of a tube in which she is fed: it leaves the feeding room before it. */
const wallOf = (f: Pick<TubeFields, 'lengthMm' | 'outerMm'>) => ({
  atMm: f.lengthMm - f.outerMm - DIVIDER_MM,
  strawMm: STRAW_MM,
});

/** What she is taken in with, whatever it is. */
function homeOf(f: QueenForm, setUpAt: string): HomePart {
  return f.homeKind === 'tube' || f.body === null
    ? tubeOf(f, v7(), setUpAt)
    : { ...f.body, id: v7(), setUpAt };
}

/** Brood or workers may come with a queen that was not caught alone. */
export const comesWithBrood = (found: QueenForm['found'] | undefined): boolean =>
  found !== undefined && !caughtAlone(found);

/** Taken from outdoors, where the day is known to the keeper, and the law asks. */
export const isPurchase = (found: QueenForm['found'] | undefined): boolean =>
  found === 'bought' || found === 'bought-with-workers' || found === 'swapped' || found === 'given';

/** A finding that calls for standing apart. */
export const wantsQuarantine = (findings: readonly string[]): boolean =>
  FINDING_ADVICE.some((a) => a.quarantine && findings.includes(a.id));

/**
 * Facts from a checked form: ids are made here, so that sending it twice is harmless.
 * @returns the queen as she is taken in, and what was seen of her shape as an entry of its own
 */
export function newQueenOf(
  form: QueenForm,
  places: readonly Place[],
  now = new Date(),
): { body: NewQueen; sign: Entry | null } {
  const noon = (day: string) => addDays(startOfDay(day, zoneNow()), 0.5);
  const at = form.day === dayInput(now) ? now.toISOString() : noon(form.day);
  const queenId = v7();
  const home = homeOf(form, at);
  const place: Place = places.find((p) => p.id === form.placeId) ?? {
    id: v7(),
    name: form.placeName.trim(),
    tempC: form.measured ? (form.tempC ?? ROOM_WARM_C) : ROOM_WARM_C,
    roomRelHumidity: form.roomRelHumidity,
    winter: null,
    ...(form.measured ? {} : { spot: { measured: false } }),
  };
  const brood = comesWithBrood(form.found) ? form.broodWithHer : null;
  const counts = Object.fromEntries(MILESTONES.flatMap((m) => (brood?.[m] ? [[m, brood[m]]] : [])));
  const until = new Date(Date.parse(at) + QUARANTINE_DAYS * DAY_MS).toISOString();
  const head = { queenId, at, loggedAt: now.toISOString() };
  const intake: Extract<Entry, { kind: 'intake' }> = {
    kind: 'intake',
    id: v7(),
    ...head,
    found: form.found,
    ...(form.earliest && form.earliest < form.day ? { earliest: noon(form.earliest) } : {}),
    ...(form.where ? { where: form.where } : {}),
    ...(form.lat !== null && form.lon !== null
      ? { coordinates: { lat: form.lat, lon: form.lon, uncertaintyM: form.uncertaintyM } }
      : {}),
    ...(form.weather ? { weather: form.weather } : {}),
    wings: form.wings,
    ...(form.queens > 1 ? { queens: form.queens } : {}),
    ...(form.looked !== 'not'
      ? {
          inspection: {
            findings: form.looked === 'found' ? form.findings : [],
            ...(form.quarantine ? { quarantineUntil: until } : {}),
          },
        }
      : {}),
    ...(form.welcomeDrop ? { welcomeDrop: true } : {}),
    species: speciesOf(form),
    ...counts,
  };
  const used: StockMove[] =
    form.itemId && form.homeKind === 'tube'
      ? [{ id: v7(), itemId: form.itemId, at: now.toISOString(), delta: -1, why: 'used', queenId }]
      : [];
  return {
    body: {
      queen: {
        id: queenId,
        label: form.label.trim(),
        batch: form.batch,
        homeId: home.id,
        placeId: place.id,
        lookingSchool: null,
        createdAt: now.toISOString(),
      },
      home,
      place,
      intake,
      ...(used.length > 0 ? { used } : {}),
    },
    sign: form.shape ? { kind: 'sign', id: v7(), ...head, shape: form.shape } : null,
  };
}

/** Longer ago than this is more often a slip than a memory, days. */
const LONG_AGO_DAYS = 400;

/** What may be a slip but need not be: asked back once, never refused. */
export function doubtsOf(
  { label = '', day = '', earliest = '' }: Partial<QueenForm>,
  taken: readonly string[],
  now = new Date(),
): string[] {
  const name = label.trim().toLowerCase();
  const old = [day, earliest].find(
    (d) => d !== '' && now.getTime() - Date.parse(`${d}T12:00:00Z`) > LONG_AGO_DAYS * DAY_MS,
  );
  return [
    ...(name !== '' && taken.some((t) => t.toLowerCase() === name)
      ? [`There is a queen called ${label.trim()} already. Is this another one of that name?`]
      : []),
    ...(old ? [`${old} is more than a year ago. Is the year right?`] : []),
  ];
}

/** The form as it would have been filled in for a queen that is there: for a sister like her. */
export function formOf({ queen, home, entries }: QueenFacts): QueenForm | null {
  const intake = effectiveEntries(entries).find(({ entry }) => entry?.kind === 'intake')?.entry;
  if (intake?.kind !== 'intake') return null;
  return {
    ...(emptyForm() as QueenForm),
    found: intake.found,
    where: intake.where ?? '',
    lat: intake.coordinates?.lat ?? null,
    lon: intake.coordinates?.lon ?? null,
    uncertaintyM: intake.coordinates?.uncertaintyM ?? 100,
    weather: intake.weather ?? '',
    wings: intake.wings,
    label: queen.label,
    batch: queen.batch,
    profileId: intake.species.profileId,
    sure: intake.species.sure,
    called: intake.species.called,
    namedBy: intake.species.namedBy ?? '',
    others: intake.species.others ?? [],
    ...homeFields(home),
    placeId: queen.placeId,
  };
}

/** Her first home as the form asks for it. */
function homeFields(home: HomePart): Partial<QueenForm> {
  if (home.kind !== 'tube') {
    const { setUpAt: _, ...body } = home;
    return { homeKind: home.kind as QueenForm['homeKind'], body };
  }
  const { outsideMm, boreMm, lengthMm, end, waterLineMm, plugs, divider } = home;
  return {
    ...{ outsideMm, boreMm, lengthMm, end, waterLineMm },
    innerMm: plugs.innerMm,
    outerMm: plugs.outerMm,
    divider: divider !== undefined,
  };
}

/** The next letter or number that is free: A, B … Z, A2 … */
export function nextLabel(taken: readonly string[]): string {
  const used = new Set(taken.map((t) => t.toUpperCase()));
  for (let round = 1; ; round++) {
    for (let c = 65; c <= 90; c++) {
      const label = String.fromCharCode(c) + (round === 1 ? '' : String(round));
      if (!used.has(label)) return label;
    }
  }
}

/** What stands in the form at first. */
export const emptyForm = (): Partial<QueenForm> => ({
  day: dayInput(new Date()),
  earliest: '',
  queens: 1,
  sisters: 1,
  lat: null,
  lon: null,
  uncertaintyM: 100,
  weather: '',
  looked: 'not',
  findings: [],
  quarantine: false,
  welcomeDrop: false,
  shape: null,
  others: [],
  itemId: '',
  divider: false,
  where: '',
  label: '',
  batch: '',
  broodWithHer: { eggs: null, larvae: null, pupae: null, workers: null },
  profileId: '',
  sure: 'likely',
  namedBy: '',
  wings: 'unknown',
  homeKind: 'tube',
  body: null,
  outsideMm: SAMPLE_TUBE.outsideMm,
  boreMm: SAMPLE_TUBE.boreMm,
  lengthMm: SAMPLE_TUBE.lengthMm,
  end: SAMPLE_TUBE.end,
  waterLineMm: SAMPLE_TUBE.waterLineMm,
  innerMm: SAMPLE_TUBE.plugs.innerMm,
  outerMm: SAMPLE_TUBE.plugs.outerMm,
  placeId: '',
  placeName: '',
  measured: true,
  tempC: null,
  roomRelHumidity: 0.5,
});
