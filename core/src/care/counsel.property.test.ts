import * as fc from 'fast-check';
import { DEFAULT_SETTINGS, placeSchema, queenSchema, type BodyKind, type KeeperSettings } from '../facts';
import { FIRST_TUBE } from '../founding';
import { usualBody } from '../housing';
import { amendmentSchema, entrySchema, type Entry, type EntryBody } from '../log';
import { addDays, dayOf, msOf, plainText, UTC, type Instant } from '../quantity';
import { KINDS } from '../species/catalogue';
import { QUEEN, testId, TUBE } from '../test-kit';
import { queenView, type QueenFacts, type QueenView } from '../view';
import { PRESSURES } from './index';

/** Random logs of any kind, season and hemisphere, and what must hold of every answer. */

const count = fc.oneof(
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

const body: fc.Arbitrary<Record<string, unknown>> = fc.oneof(
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
    }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      kind: fc.constant('feed'),
      food: fc.constantFrom('sugar', 'protein', 'both', 'seeds'),
      outcome: fc.constantFrom('offered', 'taken', 'left', 'removed'),
      spot: maybe(fc.constantFrom('cell', 'outer-room', 'foraging-space')),
      way: maybe(fc.constantFrom('drop', 'swab', 'foil', 'dish', 'feeder', 'prey')),
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
  { weight: 3, arbitrary: fc.record({ kind: fc.constant('home'), change: homeChange }) },
  fc.record({
    kind: fc.constant('loss'),
    how: fc.constantFrom('died', 'escaped'),
    colonyGoesOn: fc.boolean(),
  }),
);

const situation = fc.record({
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
  log: fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), body), { maxLength: 14 }),
});
type Drawn = typeof situation extends fc.Arbitrary<infer T> ? T : never;

interface Made {
  facts: QueenFacts;
  settings: KeeperSettings;
  now: Instant;
}

function make(s: Drawn): Made {
  const zero = addDays('2026-01-01T18:30:00.000Z', s.takenDay);
  const now = addDays(zero, s.age);
  const place = placeSchema.parse({ id: testId(), name: 'Drawer', tempC: s.tempC, roomRelHumidity: 0.5 });
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
    ...s.log.map(([share, { restDays, quarantineDays, ...b }]) => {
      const at = addDays(zero, share * s.age);
      return write(at, {
        ...b,
        ...(b.kind === 'move' ? { placeId: other.id } : {}),
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
    facts: { queen, home: tube, place: moved ? other : place, places: [place, other], entries },
    settings: {
      ...DEFAULT_SETTINGS,
      ...{
        hemisphere: s.hemisphere,
        lookingSchool: s.lookingSchool,
        spaceSchool: s.spaceSchool,
        nestSchool: s.nestSchool,
      },
    },
    now,
  };
}

const viewOf = ({ facts, settings, now }: Made): QueenView => queenView(facts, settings, now, { draws: 150 });
const rank = (p: (typeof PRESSURES)[number]) => PRESSURES.indexOf(p);

function sentences({ counsel }: QueenView): string[] {
  if (!counsel) return [];
  return [
    plainText(counsel.next),
    ...counsel.verdicts.flatMap((v) => [
      v.question,
      v.answer,
      plainText(v.says),
      ...v.criteria.map((c) => plainText(c.says)),
      ...v.others.map((o) => o.answer),
    ]),
    ...counsel.due.map((d) => plainText(d.says)),
  ];
}

/** Runs a check on many random situations; a failure tells the situation and the answer. */
function always(check: (made: Made, view: QueenView) => void, numRuns = 250): void {
  fc.assert(
    fc.property(situation, (s) => {
      const made = make(s);
      check(made, viewOf(made));
    }),
    { numRuns, seed: 20260601 },
  );
}

describe('of any log', () => {
  test('nobody rests past what must be done, and what must be done now presses now', () => {
    always(({ now }, { counsel }) => {
      if (!counsel) return;
      for (const d of counsel.due) {
        expect(msOf(d.notBefore)).toBeGreaterThanOrEqual(msOf(now));
        expect(msOf(d.best)).toBeGreaterThanOrEqual(msOf(d.notBefore));
        expect(msOf(d.notAfter)).toBeGreaterThanOrEqual(msOf(d.best));
        if (!d.obligatory) continue;
        if (counsel.restUntil) expect(msOf(counsel.restUntil)).toBeLessThanOrEqual(msOf(d.notBefore));
        if (msOf(d.notBefore) <= msOf(now)) expect(`${d.task}: ${counsel.pressure}`).toMatch(/soon|now/);
      }
      if (counsel.restUntil) expect(msOf(counsel.restUntil)).toBeGreaterThan(msOf(now));
    });
  });

  test('the headline is as grave as the gravest answer, and every answer that presses has its reason', () => {
    always((_, { counsel }) => {
      if (!counsel || counsel.verdicts.length === 0) return;
      const gravest = Math.max(
        ...counsel.verdicts
          .filter((v) => v.id !== 'look' || v.pressure !== 'rest')
          .map((v) => rank(v.pressure)),
      );
      if (gravest >= rank('soon')) expect(rank(counsel.pressure)).toBe(gravest);
      for (const v of counsel.verdicts)
        if (rank(v.pressure) >= rank('soon')) expect(v.says.length).toBeGreaterThan(0);
      expect(new Set(counsel.verdicts.map((v) => v.id)).size).toBe(counsel.verdicts.length);
      expect(new Set(counsel.due.map((d) => d.task)).size).toBe(counsel.due.length);
    });
  });

  test('one date for one question: "leave her alone until" names the day on which the rest ends', () => {
    always((_, view) => {
      const { counsel } = view;
      for (const text of sentences(view)) {
        const said = /leave her alone until (\d{4}-\d{2}-\d{2})/i.exec(text)?.[1];
        if (said && !/^You chose/.test(text))
          expect(said).toBe(counsel?.restUntil ? dayOf(counsel.restUntil, UTC) : 'nothing');
      }
    });
  });

  test('no sentence is empty, broken or without a number where one should be', () => {
    always((_, view) => {
      for (const text of sentences(view)) {
        expect(text.trim()).not.toBe('');
        expect(text).not.toMatch(
          /NaN|undefined|null|Infinity|\[object|  |\.\.|\b1 (looks|eggs|days|workers|times|queens|refusals|weeks|clutches)\b/,
        );
        expect(text).not.toMatch(/\bbits?\b|Bayes|\bodds\b|theorem/);
      }
      const numbers = JSON.stringify(view.outlook ?? {});
      expect(numbers).not.toMatch(/NaN/);
    });
  });

  test('no date that has passed is given as a forecast or an end', () => {
    always(({ now }, { counsel }) => {
      if (!counsel) return;
      const today = dayOf(now, UTC);
      for (const v of counsel.verdicts) if (v.until) expect(msOf(v.until)).toBeGreaterThan(msOf(now));
      for (const text of [plainText(counsel.next), ...counsel.verdicts.map((v) => plainText(v.says))]) {
        for (const [, date] of text.matchAll(
          /(?:alone until|No look before|any day until|fed? again from|are likely about|will run out between|wake her about|begins about) (\d{4}-\d{2}-\d{2})/g,
        ))
          expect(`${date} in: ${text}`.slice(0, 10) >= today).toBe(true);
      }
    });
  });

  test('in the cold of winter nobody is fed, looked at or warmed before the time', () => {
    always((_, { counsel }) => {
      const winter = counsel?.verdicts.find((v) => v.id === 'winter');
      if (winter?.answer !== 'she winters') return;
      expect(counsel?.due.map((d) => d.task)).not.toContain('feed');
      // but for a colony that is dying
      const asked = counsel?.verdicts.some(
        (v) => (v.id === 'losses' || v.id === 'queens') && v.asks.length > 0,
      );
      if (!asked) expect(counsel?.due.map((d) => d.task)).not.toContain('look');
      expect(counsel?.verdicts.find((v) => v.id === 'food')?.answer).toBe('not in winter');
    });
  });

  test('home and log agree on where she lives, and nobody lives in a tube that was taken away', () => {
    always((_, { housing, ledger, part }) => {
      expect(ledger.livesIn).toBe(housing.home === TUBE.id ? FIRST_TUBE : housing.home);
      expect(part.id).toBe(housing.home);
      expect(housing.parts.find((p) => p.part.id === housing.home)?.gone).toBeNull();
      for (const { holds, gone } of housing.parts) {
        for (const share of Object.values(holds)) {
          expect(share.low).toBeGreaterThanOrEqual(0);
          expect(share.high).toBeLessThanOrEqual(1);
          expect(share.low).toBeLessThanOrEqual(share.high);
        }
        if (gone) expect(holds.queen.low).toBe(0);
      }
    });
  });

  test('what is given to "never lays" is missing from her eggs', () => {
    always((_, { outlook }) => {
      if (!outlook || outlook.events.eggs.status === 'seen') return;
      expect(outlook.events.eggs.byNow + outlook.neverLays).toBeLessThanOrEqual(1 + 1e-9);
    });
  });

  test('the order in which facts arrive changes nothing', () => {
    fc.assert(
      fc.property(situation, fc.integer(), (s, seed) => {
        const made = make(s);
        const random = (n: number) => Math.abs(Math.sin(seed + n * 12.9898) * 43758.5453) % 1;
        const entries = made.facts.entries
          .map((e, i) => [random(i), e] as const)
          .sort(([a], [b]) => a - b)
          .map(([, e]) => e);
        expect(viewOf({ ...made, facts: { ...made.facts, entries } })).toEqual(viewOf(made));
      }),
      { numRuns: 60, seed: 7 },
    );
  });

  test('an amended log says what the log would say that was written right at once', () => {
    fc.assert(
      fc.property(situation, fc.nat(), body, (s, which, wrong) => {
        const right = make(s);
        const target = right.facts.entries[which % right.facts.entries.length] as Entry;
        if (target.kind === 'amendment') return;
        const { id, queenId, loggedAt, ...good } = target;
        // the same kind, written wrongly at first
        const bad = {
          ...good,
          text: 'wrongly written',
          ...(wrong.kind === good.kind && good.kind === 'look' ? { eggs: { low: 3, high: 3 } } : {}),
        };
        const first = entrySchema.safeParse({ ...bad, id, queenId, loggedAt });
        if (!first.success) return;
        const amendment = amendmentSchema.parse({
          kind: 'amendment',
          id: testId(),
          queenId,
          at: right.now,
          loggedAt: right.now,
          amends: id,
          replacement: good as EntryBody,
        });
        const entries = [...right.facts.entries.map((e) => (e.id === id ? first.data : e)), amendment];
        expect(viewOf({ ...right, facts: { ...right.facts, entries } })).toEqual(viewOf(right));
      }),
      { numRuns: 60, seed: 11 },
    );
  });
});
