import {
  DEFAULT_SETTINGS,
  homePartSchema,
  placeSchema,
  probeSchema,
  queenSchema,
  settingsSchema,
  type BodyKind,
} from '../facts';
import { usualBody } from '../housing';
import { entrySchema, type Entry } from '../log';
import { HOUR_MS } from '../climate';
import { addDays, DAY_MS, dayOf, InputError, msOf, need, startOfDay, UTC, type Instant } from '../quantity';
import { askLog, logOf, type Asked, type Fact } from '../records';
import type { SpeciesProfile } from '../species';
import { speciesProfile } from '../species/catalogue';
import { ownKindSchema } from '../species/own';
import { usualTube } from '../tube';

/** One situation as a keeper writes it down: what was logged, a moment, and what must and must not be said. */
export interface Situation {
  case: string;
  /** When she was taken in, yyyy-mm-dd; 1 May 2026 when not given. Days count from its evening. */
  taken?: string;
  /** The moment asked about: a number of days after that, or yyyy-mm-dd. */
  at: number | string;
  species?: string;
  sure?: 'certain' | 'likely' | 'guess';
  /** She has a profile of the keeper's own: a copy of her species with these figures. */
  own?: Record<string, unknown>;
  /** More that was written at intake, as in the export. */
  intake?: Record<string, unknown>;
  place?: Record<string, unknown>;
  /** What of her first tube is not as usual; or `{ kind: cell, ... }`, what of another first home is not. */
  tube?: Record<string, unknown>;
  settings?: Record<string, unknown>;
  /** What a logger showed at her place, or with `elsewhere: true` at the one she is moved to: hour by hour, from day to day. */
  measured?: {
    from: number;
    until: number;
    /** Mean, and what lies between the coolest and the warmest of a day, °C; so much warmer a day, when it changes. */
    mean: number;
    swing?: number;
    trend?: number;
    /** Humidity, %. */
    humidity?: number;
    /** The logger was checked in melting ice, and was right. */
    checked?: boolean;
    elsewhere?: boolean;
  }[];
  log?: Line[];
  must?: Expectation[];
  mustNot?: Expectation[];
}

/**
 * One entry, or the same again every so many days: `look: [eggs, larvae, pupae, workers]` counts all four, anything else
 * stands as in the export.
 */
type Line = {
  day: number;
  every?: number;
  until?: number;
  look?: (number | [number, number] | null)[] | object;
  /** A fresh tube set up for her: how it is joined, and what of it is not as usual. */
  fresh?: { by?: string; purpose?: string; [measure: string]: unknown };
  /** Another part set up: `{ kind: nest, by: pipe, shut: true }`, and what of it is not as usual. */
  ready?: {
    kind: BodyKind;
    by?: string;
    purpose?: string;
    shut?: boolean;
    gapMm?: number;
    mouth?: 'open' | 'narrowed';
    [measure: string]: unknown;
  };
  /** Who was seen in the fresh tube, `ready: true` in the other part, `old: true` in the first home. */
  into?: { old?: boolean; ready?: boolean; [who: string]: unknown };
  /** A door of the other part: `{ gate: room-2, state: open }`. */
  door?: { old?: boolean; gate: string; state: string };
  /** What was watered: the other part, or with `old: true` the first home. */
  wet?: { old?: boolean; [how: string]: unknown };
  /** A wall with a straw in her first tube. */
  wall?: { atMm: number; strawMm: number };
  /** Brood of another colony given to her, or hers to another. */
  brood?: 'given' | 'received';
  /** Lit or dark: the old tube. */
  cover?: string;
  /** Her winter as planned: in another place, from day to day, then back here; null: called off. */
  winter?: { place: object; from: number; until: number } | null;
  /** Which tube was taken away. */
  gone?: 'old' | 'fresh';
  [more: string]: unknown;
};

/** Something that an answer says. All that is given must hold; texts are regular expressions, whatever the case. */
interface Expectation {
  pressure?: string;
  headline?: string;
  /** Anywhere: headline, answers, texts, reasons, windows. */
  anywhere?: string;
  verdict?: string;
  answer?: string;
  text?: string;
  criterion?: string;
  state?: string;
  school?: string;
  due?: string;
  obligatory?: boolean;
  startsFrom?: number | string;
  startsBy?: number | string;
  endsBy?: number | string;
  restFrom?: number | string;
  restBy?: number | string;
  /** The middle of the band of her first workers. */
  workersFrom?: number | string;
  workersBy?: number | string;
  value?: string;
  above?: number;
  below?: number;
  is?: unknown;
}

const QUEEN = '018f0000-0000-7000-8000-000000000001';
const PLACE = '018f0000-0000-7000-8000-000000000002';
const OTHER_PLACE = '018f0000-0000-7000-8000-000000000004';
const TUBE = '018f0000-0000-7000-8000-000000000003';
const FRESH = '018f0000-0000-7000-8000-000000000005';
const READY = '018f0000-0000-7000-8000-000000000006';
const OWN_KIND = '018f0000-0000-7000-8000-000000000008';
const OTHER_QUEEN = '018f0000-0000-7000-8000-000000000007';
const EVENING = 18.5 / 24;
const FIRST_DAY = '2026-05-01';

/** The facts of a situation, as an export would hold them. */
export function factsOf(s: Situation): Fact[] {
  const zero = addDays(startOfDay(s.taken ?? FIRST_DAY, UTC), EVENING);
  let serial = 0;
  const id = () => `018f0000-0000-7000-9000-${String(++serial).padStart(12, '0')}`;
  const entry = (day: number, body: object): Entry => {
    const at = addDays(zero, day);
    return entrySchema.parse({ ...body, id: id(), queenId: QUEEN, at, loggedAt: at });
  };
  const kind = speciesProfile(s.species ?? 'tetramorium-immigrans');
  const species = { profileId: s.own ? OWN_KIND : kind.id, sure: s.sure ?? 'certain' };
  const place = { name: 'Drawer', tempC: bestOf(kind), roomRelHumidity: 0.5, ...s.place };
  const facts: Fact[] = [
    { fact: 'settings', value: settingsSchema.parse({ ...DEFAULT_SETTINGS, zone: UTC, ...s.settings }) },
    ...(s.own ? [ownKind(kind, s.own, zero)] : []),
    { fact: 'place', value: placeSchema.parse({ id: PLACE, ...place }) },
    {
      fact: 'home',
      value: firstHome(s.tube, zero),
    },
    {
      fact: 'queen',
      value: queenSchema.parse({ id: QUEEN, label: 'A', homeId: TUBE, placeId: PLACE, createdAt: zero }),
    },
    {
      fact: 'entry',
      value: entry(0, { kind: 'intake', found: 'walking', wings: 'dealate', species, ...s.intake }),
    },
  ];
  for (const { day, every, until, look, to, winter, ...body } of s.log ?? []) {
    const elsewhere = to ?? winter?.place;
    if (elsewhere)
      facts.push({
        fact: 'place',
        value: placeSchema.parse({ id: OTHER_PLACE, ...place, name: 'Elsewhere', ...(elsewhere as object) }),
      });
    const whole = to
      ? { kind: 'move', placeId: OTHER_PLACE, ...body }
      : winter !== undefined
        ? { kind: 'winter', plan: planOf(winter, zero) }
        : (homeOf(body) ?? bodyOf(look, body));
    for (let d = day; d <= (until ?? day); d += every ?? Infinity)
      facts.push({ fact: 'entry', value: entry(d, whole) });
  }
  return [...facts, ...measuredFacts(s, zero)];
}

/** Each stretch is a logger of its own. */
function measuredFacts({ measured = [] }: Situation, zero: Instant): Fact[] {
  return measured.flatMap(
    ({ from, until, mean, swing = 0, trend = 0, humidity, checked, elsewhere }, i): Fact[] => {
      const id = `018f0000-0000-7000-a000-${String(i + 1).padStart(12, '0')}`;
      const start = addDays(zero, from);
      const probe = {
        id,
        name: `Logger ${i + 1}`,
        kind: 'logger',
        stays: [{ from: start, placeId: elsewhere ? OTHER_PLACE : PLACE }],
        checks: checked ? [{ what: 'ice', at: start, shownC: 0 }] : [],
      };
      const ms = Array.from(
        { length: Math.round((until - from) * 24) + 1 },
        (_, h) => msOf(start) + h * HOUR_MS,
      );
      // warmest at three in the afternoon
      const tempC = ms.map(
        (at) =>
          mean +
          (trend * (at - msOf(start))) / DAY_MS +
          (swing / 2) * Math.cos((2 * Math.PI * (at - 15 * HOUR_MS)) / DAY_MS),
      );
      const rh = ms.map(() => (humidity === undefined ? null : humidity / 100));
      return [
        { fact: 'probe', value: probeSchema.parse(probe) },
        { fact: 'readings', value: { probeId: id, ms, tempC, rh } },
      ];
    },
  );
}

function firstHome(tube: Record<string, unknown> = {}, zero: Instant) {
  const { kind = 'tube', ...measures } = tube as { kind?: 'tube' | BodyKind };
  return homePartSchema.parse(
    kind === 'tube'
      ? { ...usualTube(TUBE, zero), ...measures }
      : { ...usualBody(TUBE, kind), setUpAt: zero, ...measures },
  );
}

/** What was done at her home, in full. */
function homeOf({
  fresh,
  ready,
  into,
  door,
  wet,
  wall,
  cover,
  gone,
  ...body
}: Pick<Line, 'fresh' | 'ready' | 'into' | 'door' | 'wet' | 'wall' | 'cover' | 'gone'>): object | null {
  const { id: _id, setUpAt: _at, ...usual } = usualTube('', '');
  const entryOf = (change: object) => ({ kind: 'home', change, ...body });
  if (fresh) {
    const { by = 'taped', purpose = 'move', ...measures } = fresh;
    return entryOf({ what: 'set-up', part: { ...usual, id: FRESH, ...measures }, purpose, by });
  }
  if (ready) {
    const { kind, by = 'pipe', purpose = 'move', shut, gapMm, mouth, ...measures } = ready;
    const part = { ...usualBody(READY, kind), ...measures };
    return entryOf({
      what: 'set-up',
      part,
      purpose,
      by,
      ...(shut ? { shut } : {}),
      ...(gapMm === undefined ? {} : { gapMm }),
      ...(mouth ? { mouth } : {}),
    });
  }
  if (into) {
    const { old, ready: other, ...who } = into;
    return entryOf({ what: 'moved-in', partId: old ? TUBE : other ? READY : FRESH, ...who });
  }
  if (door) {
    const { old, ...which } = door;
    return entryOf({ what: 'gate', partId: old ? TUBE : READY, ...which });
  }
  if (wet) {
    const { old, ...how } = wet;
    return entryOf({ what: 'watered', partId: old ? TUBE : READY, ...how });
  }
  if (wall) return entryOf({ what: 'divided', partId: TUBE, divider: wall });
  if (cover) return entryOf({ what: 'covered', partId: TUBE, cover });
  if (gone) return entryOf({ what: 'taken-away', partId: gone === 'old' ? TUBE : FRESH, to: 'cleaned' });
  return null;
}

const planOf = (winter: NonNullable<Line['winter']> | null, zero: Instant): object | null =>
  winter && {
    placeId: OTHER_PLACE,
    from: addDays(zero, winter.from),
    until: addDays(zero, winter.until),
    thenPlaceId: PLACE,
  };

const bestOf = ({ bestTempC: { value } }: SpeciesProfile): number => Math.round((value.low + value.high) / 2);

const ownKind = (copied: SpeciesProfile, figures: Record<string, unknown>, at: Instant): Fact => ({
  fact: 'own-kind',
  value: ownKindSchema.parse({
    id: OWN_KIND,
    name: 'Hers',
    copiedOf: copied.id,
    copiedName: copied.name,
    figures: Object.fromEntries(
      Object.entries(figures).map(([id, value]) => [id, { value, says: 'the keeper' }]),
    ),
    changedAt: at,
  }),
});

function bodyOf(look: Line['look'], body: Record<string, unknown>): object {
  if (Array.isArray(look)) {
    const stages = ['eggs', 'larvae', 'pupae', 'workers'];
    const count = (n: number | [number, number]) =>
      Array.isArray(n) ? { low: n[0], high: n[1] } : { low: n, high: n };
    const counts = look.flatMap((n, i) => (n === null ? [] : [[stages[i] as string, count(n)] as const]));
    return { kind: 'look', queen: 'seen', ...Object.fromEntries(counts), ...body };
  }
  if (look) return { kind: 'look', ...look, ...body };
  const short = ['feed', 'note', 'rest', 'loss', 'knock', 'health', 'sign', 'identify', 'brood'].find(
    (k) => k in body,
  );
  if (short === undefined) return body;
  const { [short]: value, ...rest } = body;
  if (short === 'feed') return { kind: 'feed', food: value, outcome: 'taken', ...rest };
  if (short === 'loss') return { kind: 'loss', how: value, ...rest };
  if (short === 'brood') return { kind: 'brood', way: value, otherId: OTHER_QUEEN, ...rest };
  if (short === 'note') return { kind: 'note', text: value, ...rest };
  return { kind: short, ...(value as object), ...rest };
}

/** The moment that a situation asks about. */
export function momentOf(s: Situation, when: number | string = s.at): Instant {
  const zero = addDays(startOfDay(s.taken ?? FIRST_DAY, UTC), EVENING);
  return typeof when === 'number' ? addDays(zero, when) : addDays(startOfDay(when, UTC), EVENING);
}

/** What the application says of a situation. */
export function answerTo(s: Situation, draws = 1200): Asked['queens'][number] {
  const [queen] = askLog(logOf(factsOf(s)), momentOf(s), UTC, draws).queens;
  need(queen !== undefined, 'case', `"${s.case}" has no queen yet at its moment. Ask about a later day.`);
  return queen;
}

/** Every expectation that an answer fails, as a sentence. */
export function failuresOf(s: Situation, answer = answerTo(s)): string[] {
  const tell = (e: Expectation) => JSON.stringify(e);
  return [
    ...(s.must ?? []).filter((e) => !holds(s, answer, e)).map((e) => `must: ${tell(e)}`),
    ...(s.mustNot ?? []).filter((e) => holds(s, answer, e)).map((e) => `must not: ${tell(e)}`),
    ...(pressesAndIsDue(s, answer) ? [] : ['always: what presses now has a deed for today']),
  ];
}

/** Whoever presses now stands in today's visit, in every situation: else the plan and the headline name two days. */
function pressesAndIsDue(s: Situation, { pressure, due }: Answer): boolean {
  const now = momentOf(s);
  const today = dayOf(now, UTC);
  return (
    pressure !== 'now' ||
    due.some((d) => msOf(d.notBefore) <= msOf(now) && (d.timer || dayOf(d.notAfter, UTC) === today))
  );
}

type Answer = Asked['queens'][number];
const has = (pattern: string | undefined, text: string): boolean =>
  pattern === undefined || new RegExp(pattern, 'i').test(text);

function holds(s: Situation, a: Answer, e: Expectation): boolean {
  const at = (when: number | string) => msOf(momentOf(s, when));
  const ms = (i: Instant | null) => (i === null ? Infinity : msOf(i));
  // where something presses there is no rest at all
  const rest = a.pressure === 'now' || a.pressure === 'soon' ? -Infinity : ms(a.restUntil);
  if (e.verdict === undefined && e.due === undefined && e.pressure !== undefined && a.pressure !== e.pressure)
    return false;
  if (!has(e.headline, a.headline)) return false;
  if (e.anywhere !== undefined && !allTexts(a).some((t) => has(e.anywhere, t))) return false;
  if (e.restFrom !== undefined && !(rest >= at(e.restFrom))) return false;
  if (e.restBy !== undefined && !(rest <= at(e.restBy))) return false;
  const workers = ms(a.outlook?.workers?.p50 ?? null);
  if (e.workersFrom !== undefined && !(workers >= at(e.workersFrom))) return false;
  if (e.workersBy !== undefined && !(workers <= at(e.workersBy))) return false;
  if (e.value !== undefined && !valueHolds(a, e)) return false;
  if (e.verdict !== undefined && !a.verdicts.some((v) => v.id === e.verdict && verdictHolds(v, e)))
    return false;
  if (e.due !== undefined)
    return a.due.some(
      (d) =>
        d.task === e.due &&
        (e.obligatory === undefined || d.obligatory === e.obligatory) &&
        (e.startsFrom === undefined || ms(d.notBefore) >= at(e.startsFrom)) &&
        (e.startsBy === undefined || ms(d.notBefore) <= at(e.startsBy)) &&
        (e.endsBy === undefined || ms(d.notAfter) <= at(e.endsBy)) &&
        has(e.text, d.text),
    );
  return true;
}

function verdictHolds(v: Answer['verdicts'][number], e: Expectation): boolean {
  if (e.pressure !== undefined && v.pressure !== e.pressure) return false;
  if (e.school !== undefined) return v.others.some((o) => o.school === e.school && has(e.answer, o.answer));
  if (!has(e.answer, v.answer)) return false;
  if (e.due === undefined && e.criterion === undefined && !has(e.text, v.text)) return false;
  if (e.criterion === undefined) return true;
  return v.criteria.some(
    (c) => c.id === e.criterion && (e.state === undefined || c.state === e.state) && has(e.text, c.text),
  );
}

function valueHolds(a: Answer, { value = '', above, below, is }: Expectation): boolean {
  const found = value
    .split('.')
    .reduce<unknown>((o, k) => (o as Record<string, unknown> | null)?.[k] ?? null, a);
  if (is !== undefined) return found === is;
  if (typeof found !== 'number') throw new InputError('value', `There is no number at "${value}".`);
  return (above === undefined || found > above) && (below === undefined || found < below);
}

/** Every sentence of an answer. */
function allTexts(a: Answer): string[] {
  return [
    a.headline,
    ...a.verdicts.flatMap((v) => [v.answer, v.text, ...v.criteria.map((c) => c.text)]),
    ...a.due.map((d) => d.text),
  ];
}
