import * as fc from 'fast-check';
import { byDay, columnsOf, DAY_HOURS, HOUR_MS, placeRecord, rolled, type PlaceRecord } from './climate';
import { DEFAULT_SETTINGS, placeSchema, queenSchema, type BodyKind, type KeeperSettings } from './facts';
import { usualBody } from './housing';
import { entrySchema, type Entry } from './log';
import { addDays, DAY_MS, instantOf, msOf, type Instant } from './quantity';
import { KINDS } from './species/catalogue';
import { QUEEN, testId, TUBE } from './test-kit';
import type { QueenFacts } from './view';

/** Random lives of any kind, season and hemisphere: logs, homes, moves, readings, heat, winters. For tests alone. */

export const count = fc.oneof(
  fc.constant({ low: 0, high: 0 }),
  fc.integer({ min: 1, max: 40 }).map((n) => ({ low: n, high: n })),
  fc
    .tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 10 }))
    .map(([a, b]) => ({ low: a, high: a + b })),
  fc.constant({ low: 20, high: null, word: 'lots' as const }),
);
const maybe = <T>(arb: fc.Arbitrary<T>) => fc.option(arb, { nil: undefined });

const FRESH = '018f0000-0000-7000-8000-0000000000f1';
const { id: _id, setUpAt: _at, ...MEASURES } = TUBE;
const joint = fc.constantFrom('beside', 'taped', 'vented-joint');
const NEST = '018f0000-0000-7000-8000-0000000000f2';
const eitherTube = fc.constantFrom(FRESH, TUBE.id, NEST);
/** What may be done at her home, also what cannot be. */
const homeChange: fc.Arbitrary<Record<string, unknown>> = fc.oneof(
  fc.record({
    what: fc.constant('set-up'),
    part: fc.integer({ min: 5, max: 90 }).map((waterLineMm) => ({ ...MEASURES, id: FRESH, waterLineMm })),
    purpose: fc.constantFrom('move', 'room'),
    by: joint,
  }),
  fc.record({ what: fc.constant('joined'), partId: eitherTube, by: joint }),
  fc.record({
    what: fc.constant('covered'),
    partId: eitherTube,
    cover: fc.constantFrom('dark', 'lit'),
  }),
  fc.record({
    what: fc.constant('moved-in'),
    partId: eitherTube,
    queen: maybe(fc.boolean()),
    brood: maybe(fc.constantFrom('none', 'some', 'all')),
    workers: maybe(fc.constantFrom('none', 'scouts', 'some', 'most', 'all')),
    how: fc.constantFrom('by-themselves', 'plug-swap', 'by-hand'),
    waterLineMm: maybe(fc.integer({ min: 1, max: 90 })),
  }),
  fc.record({ what: fc.constant('taken-away'), partId: eitherTube, to: fc.constant('cleaned') }),
  fc.record({
    what: fc.constant('set-up'),
    part: fc.constantFrom('nest', 'outworld', 'box', 'cell').map((k) => usualBody(NEST, k as BodyKind)),
    purpose: fc.constantFrom('move', 'room'),
    by: fc.constantFrom('beside', 'pipe', 'lies-in'),
    shut: maybe(fc.boolean()),
  }),
  fc.record({
    what: fc.constant('gate'),
    partId: eitherTube,
    gate: fc.constantFrom('mouth', 'port-1', 'room-1', 'room-2'),
    state: fc.constantFrom('open', 'plugged', 'shut'),
  }),
  fc.record({
    what: fc.constant('watered'),
    partId: eitherTube,
    was: maybe(fc.constantFrom('dry', 'right', 'still-wet')),
  }),
  fc.record({
    what: fc.constant('divided'),
    partId: eitherTube,
    divider: fc.constantFrom({ atMm: 120, strawMm: 4 }, null),
  }),
  fc.record({ what: fc.constantFrom('parted', 'cleaned'), partId: eitherTube }),
);

export const body: fc.Arbitrary<Record<string, unknown>> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({
      kind: fc.constant('look'),
      queen: maybe(fc.constantFrom('seen', 'not-seen')),
      queensSeen: maybe(fc.integer({ min: 0, max: 2 })),
      eggs: maybe(count),
      larvae: maybe(count),
      pupae: maybe(count),
      workers: maybe(count),
      deadWorkers: maybe(count),
      waterLineMm: maybe(fc.integer({ min: 1, max: 110 })),
      wetFront: maybe(fc.constantFrom('dry', 'right', 'at-face', 'soaked', 'leaking')),
      mould: maybe(fc.constantFrom('none', 'far-plug', 'near-brood')),
      troubles: maybe(fc.constantFrom(['flooded'], ['brown-water'], ['black-water'], ['dirt'], [])),
      alates: maybe(count),
    }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      kind: fc.constant('feed'),
      food: fc.constantFrom('sugar', 'protein', 'both', 'seeds', 'leaves'),
      outcome: fc.constantFrom('offered', 'taken', 'left', 'removed'),
      spot: maybe(fc.constantFrom('cell', 'outer-room', 'foraging-space')),
      way: maybe(fc.constantFrom('drop', 'swab', 'foil', 'dish', 'feeder', 'prey')),
      rushed: maybe(fc.boolean()),
    }),
  },
  fc.record({ kind: fc.constant('knock') }),
  fc.record({ kind: fc.constant('rest'), restDays: fc.integer({ min: 1, max: 60 }) }),
  fc.record({
    kind: fc.constant('health'),
    findings: fc.constant(['mites']),
    quarantineDays: fc.integer({ min: -5, max: 30 }),
  }),
  fc.record({
    kind: fc.constant('sign'),
    protein: maybe(fc.constantFrom('accepted', 'refused')),
    restless: maybe(fc.boolean()),
  }),
  fc.record({ kind: fc.constant('move') }),
  fc.record({
    kind: fc.constant('heat'),
    matMm: fc.constantFrom(0, 10, 60),
    roomC: fc.constantFrom(16, 21, 25),
    readings: fc.constantFrom(
      [{ mm: 90, tempC: 30 }],
      [{ mm: 140, tempC: 66 }],
      [
        { mm: 90, tempC: 24 },
        { mm: 130, tempC: 28 },
      ],
    ),
    setC: maybe(fc.constantFrom(27, 30)),
  }),
  fc.record({
    kind: fc.constant('winter'),
    winterIn: fc.integer({ min: 0, max: 200 }),
    winterDays: fc.integer({ min: 20, max: 160 }),
  }),
  { weight: 3, arbitrary: fc.record({ kind: fc.constant('home'), change: homeChange }) },
  fc.record({
    kind: fc.constant('loss'),
    how: fc.constantFrom('died', 'escaped'),
    colonyGoesOn: fc.boolean(),
  }),
);

export const situation = fc.record({
  species: fc.constantFrom(...KINDS.map((k) => k.id)),
  sure: fc.constantFrom('certain' as const, 'likely' as const, 'guess' as const),
  found: fc.constantFrom('walking', 'bought', 'bought-with-workers', 'given'),
  queens: fc.integer({ min: 1, max: 2 }),
  takenDay: fc.integer({ min: 0, max: 365 }),
  age: fc.integer({ min: 0, max: 400 }),
  tempC: fc.constantFrom(4, 7, 12, 17, 21, 24, 26, 29, 33, 36, 41),
  otherC: fc.constantFrom(6, 20, 25, 38),
  hemisphere: fc.constantFrom('north' as const, 'south' as const),
  lookingSchool: fc.constantFrom(
    'weekly' as const,
    'fortnightly' as const,
    'three-to-four-weeks' as const,
    'hands-off' as const,
  ),
  spaceSchool: fc.constantFrom('first-workers' as const, 'about-fifteen' as const, 'tube-full' as const),
  nestSchool: fc.constantFrom(
    'count' as const,
    'packed-full' as const,
    'as-late-as-possible' as const,
    'first-major' as const,
    'behaviour' as const,
  ),
  /** What was read at her place of late: so many hours of so much, ending so long ago. */
  read: maybe(
    fc.record({
      tempC: fc.constantFrom(-3, 5, 13, 22, 26, 31, 38),
      hours: fc.constantFrom(1, 12, 90),
      agoH: fc.constantFrom(0, 20, 200),
    }),
  ),
  spot: maybe(
    fc.constantFrom(
      { dayLowC: 18, dayHighC: 28 },
      { vibration: 'strong' as const, light: 'sun' as const },
      { heat: { source: 'mat' as const, distanceMm: 10, end: 'water' as const } },
      { measured: false },
    ),
  ),
  lightSchool: fc.constantFrom('at-once' as const, 'offer-first' as const, 'never' as const),
  patienceSchool: fc.constantFrom('week' as const, 'two-weeks' as const, 'as-long-as-it-takes' as const),
  log: fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), body), { maxLength: 14 }),
});
export type Drawn = typeof situation extends fc.Arbitrary<infer T> ? T : never;

export interface Made {
  facts: QueenFacts;
  settings: KeeperSettings;
  now: Instant;
}

export function make(s: Drawn): Made {
  const zero = addDays('2026-01-01T18:30:00.000Z', s.takenDay);
  const now = addDays(zero, s.age);
  const place = placeSchema.parse({
    id: testId(),
    name: 'Drawer',
    tempC: s.tempC,
    roomRelHumidity: 0.5,
    ...(s.spot ? { spot: s.spot } : {}),
  });
  const other = placeSchema.parse({ id: testId(), name: 'Elsewhere', tempC: s.otherC, roomRelHumidity: 0.5 });
  const write = (at: Instant, b: object): Entry =>
    entrySchema.parse({ ...b, id: testId(), queenId: QUEEN, at, loggedAt: at });
  const entries: Entry[] = [
    write(zero, {
      kind: 'intake',
      found: s.found,
      wings: 'dealate',
      queens: s.queens,
      species: { profileId: s.species, sure: s.sure },
    }),
    ...s.log.map(([share, { restDays, quarantineDays, winterIn, winterDays, ...b }]) => {
      const at = addDays(zero, share * s.age);
      return write(at, {
        ...b,
        ...(b.kind === 'move' ? { placeId: other.id } : {}),
        ...(b.kind === 'winter'
          ? {
              plan: {
                placeId: other.id,
                from: addDays(at, winterIn as number),
                until: addDays(at, (winterIn as number) + (winterDays as number)),
                thenPlaceId: place.id,
              },
            }
          : {}),
        ...(restDays === undefined ? {} : { until: addDays(at, restDays as number) }),
        ...(quarantineDays === undefined
          ? {}
          : {
              quarantineUntil: (quarantineDays as number) < 0 ? null : addDays(at, quarantineDays as number),
            }),
      });
    }),
  ];
  const moved = entries.some((e) => e.kind === 'move');
  const tube = { ...TUBE, setUpAt: zero };
  const queen = queenSchema.parse({
    id: QUEEN,
    label: 'A',
    homeId: tube.id,
    placeId: place.id,
    createdAt: zero,
  });
  return {
    facts: {
      queen,
      home: tube,
      place: moved ? other : place,
      places: [place, other],
      entries,
      measured: s.read ? recordsOf(moved ? other.id : place.id, s.read, now) : [],
    },
    settings: {
      ...DEFAULT_SETTINGS,
      ...{
        hemisphere: s.hemisphere,
        lookingSchool: s.lookingSchool,
        spaceSchool: s.spaceSchool,
        nestSchool: s.nestSchool,
        lightSchool: s.lightSchool,
        patienceSchool: s.patienceSchool,
      },
    },
    now,
  };
}

function recordsOf(
  placeId: string,
  { tempC, hours, agoH }: NonNullable<Drawn['read']>,
  now: Instant,
): PlaceRecord[] {
  const last = msOf(now) - agoH * HOUR_MS;
  const readings = Array.from({ length: hours }, (_, i) => ({ ms: last - i * HOUR_MS, tempC, rh: 0.5 }));
  const columns = columnsOf(readings.reverse());
  const rolledHours = byDay(columns).flatMap(({ day, columns: some }) =>
    rolled(some, day * DAY_MS, HOUR_MS, DAY_HOURS).filter((h) => h.n > 0),
  );
  const probe = { stays: [{ from: instantOf(0), placeId }], checks: [] };
  const record = placeRecord(placeId, [{ probe, hours: rolledHours }]);
  return record ? [record] : [];
}

/** Every number of an answer that is none: where it stands, and what stands there. JSON would write null for it. */
export function numbersThatAreNone(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path}: ${value}`];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, v]) => numbersThatAreNone(v, `${path}.${key}`));
}
