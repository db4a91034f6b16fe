import { DEFAULT_SETTINGS, type HomePart, type Place, type Spot } from '../../facts';
import { firstBody, usualBody } from '../../housing';
import { seenByOther, twinId, type BodyOf, type Entry, type EntryBody, type HomeChange } from '../../log';
import { addDays, uniformStream, type Instant } from '../../quantity';
import type { Fact } from '../../records';
import { growingHemisphere } from '../../season';
import { speciesProfile } from '../../species/catalogue';
import { broodOn } from '../brood';
import { demoClimate } from './climate';
import { QUEENS, type DemoPlace, type DemoQueen } from './queens';
import { demoStock } from './stock';

/** Makes the id of something written at a moment: ids are made at random, which the core is not. */
export type NewId = (at: Instant) => string;

function demoPlaces(now: Instant, newId: NewId): Record<DemoPlace, Place> {
  const place = (name: string, tempC: number, roomRelHumidity: number, spot: Spot): Place => ({
    id: newId(now),
    name,
    tempC,
    roomRelHumidity,
    winter: null,
    spot,
  });
  const dark = { light: 'dark', vibration: 'none', airConditioning: 'none' } as const;
  return {
    drawer: place('Drawer under the window seat', 24, 0.5, { ...dark, dayLowC: 23, dayHighC: 25 }),
    cupboard: place('Warm cupboard', 26, 0.4, {
      ...dark,
      dayLowC: 25,
      dayHighC: 27.5,
      heat: { source: 'mat', distanceMm: 80, end: 'open', thermostat: true },
    }),
    pantry: place('Pantry shelf', 21, 0.55, {
      light: 'dim',
      vibration: 'some',
      airConditioning: 'none',
      dayLowC: 19,
      dayHighC: 23,
    }),
    winter: {
      ...place('Winter box', 7, 0.7, { ...dark, dayLowC: 5, dayHighC: 8 }),
      winter: { until: addDays(now, 96), thenTempC: 22 },
    },
  };
}

const TUBES = {
  small: { outsideMm: 12, boreMm: 10, lengthMm: 100, waterLineMm: 48, plugs: { innerMm: 10, outerMm: 10 } },
  middling: {
    outsideMm: 16,
    boreMm: 14,
    lengthMm: 150,
    waterLineMm: 85,
    plugs: { innerMm: 15, outerMm: 15 },
  },
  large: { outsideMm: 18, boreMm: 16, lengthMm: 150, waterLineMm: 80, plugs: { innerMm: 15, outerMm: 15 } },
} as const;

/** All facts of the demo, relative to today. The keeper's eye is drawn from a fixed seed. */
export function demoFacts(today: Date, newId: NewId): Fact[] {
  const now = today.toISOString();
  const places = demoPlaces(now, newId);
  const random = uniformStream(17);
  const facts: Fact[] = [
    { fact: 'settings', value: { ...DEFAULT_SETTINGS, hemisphere: growingHemisphere(now) } },
    ...Object.values(places).map((value): Fact => ({ fact: 'place', value })),
  ];
  for (const q of QUEENS) facts.push(...queenFacts(q, places, now, random, newId));
  facts.push(...givenBrood(facts, now, newId));
  facts.push(...demoStock(now, newId));
  facts.push(...demoClimate(places, now, newId));
  return facts;
}

/** Brood that one of them gave to another, in both logs. */
function givenBrood(facts: readonly Fact[], now: Instant, newId: NewId): Fact[] {
  const idOf = (label: string) =>
    facts.flatMap((f) => (f.fact === 'queen' && f.value.label === label ? [f.value.id] : []))[0] ?? '';
  return QUEENS.flatMap(({ label, given }) => {
    if (!given) return [];
    const at = evening(addDays(now, -given.daysAgo - 1), 1);
    const id = newId(at);
    const [donor, recipient] = [idOf(given.by), idOf(label)];
    const counts = { pupae: given.pupae };
    const body = { kind: 'brood', at, way: 'given', otherId: recipient, counts, chilledMinutes: 4 } as const;
    return [
      { ...body, id, queenId: donor, loggedAt: at },
      { ...seenByOther(body, donor), id: twinId(id), queenId: recipient, loggedAt: at },
    ].map((value): Fact => ({ fact: 'entry', value }));
  });
}

function queenFacts(
  q: DemoQueen,
  places: Record<DemoPlace, Place>,
  now: Instant,
  random: () => number,
  newId: NewId,
): Fact[] {
  const place = places[q.place];
  const settled = evening(addDays(now, -q.takenIn), 0);
  const home = firstHome(q, settled, newId);
  const queen = {
    id: newId(settled),
    label: q.label,
    batch: q.batch,
    homeId: home.id,
    placeId: place.id,
    lookingSchool: q.school ?? null,
    createdAt: settled,
  };
  const bodies = [
    intake(q, settled),
    ...looks(q, home, place, settled, random),
    ...feeds(q, settled),
    ...others(q, settled, places),
    ...changes(q, home, settled, newId),
  ].filter((b) => b.at <= now);
  const entries = bodies.map((b): Fact => {
    const value = { ...b, id: newId(b.at), queenId: queen.id, loggedAt: b.at } as Entry;
    return { fact: 'entry', value };
  });
  return [{ fact: 'home', value: home }, { fact: 'queen', value: queen }, ...entries];
}

function firstHome(q: DemoQueen, settled: Instant, newId: NewId): HomePart {
  const id = newId(settled);
  if (q.wateredEvery) return { ...firstBody(id, 'cell'), setUpAt: settled };
  return {
    ...TUBES[q.tube ?? 'middling'],
    ...(q.waterLineMm ? { waterLineMm: q.waterLineMm } : {}),
    id,
    kind: 'tube',
    end: 'round',
    setUpAt: settled,
  };
}

/** The keeper's hour: some days after, at nine in the evening or so. */
function evening(at: Instant, days: number): Instant {
  return `${addDays(at, days).slice(0, 10)}T19:${String(10 + (Math.round(days) % 45)).padStart(2, '0')}:00.000Z`;
}

function intake(q: DemoQueen, at: Instant): EntryBody {
  return {
    kind: 'intake',
    at,
    found: q.found,
    where: q.where,
    wings: q.found === 'bought' || q.found === 'swapped' ? 'unknown' : 'dealate',
    species: {
      profileId: q.species,
      sure: q.sure ?? 'likely',
      ...(q.others ? { others: q.others } : {}),
    },
    ...(q.workersAtIntake ? { workers: { low: q.workersAtIntake, high: q.workersAtIntake + 2 } } : {}),
    ...q.intake,
    ...(q.quarantineDays
      ? { inspection: { findings: ['mites' as const], quarantineUntil: addDays(at, q.quarantineDays) } }
      : {}),
  };
}

function looks(
  q: DemoQueen,
  home: HomePart,
  place: Place,
  settled: Instant,
  random: () => number,
): EntryBody[] {
  const bodies: EntryBody[] = [];
  const lossMmPerDay = (place.tempC > 15 ? 0.42 : 0.12) * (0.8 + 0.5 * random());
  for (let day = q.looks.first; day < q.takenIn; day += q.looks.every) {
    if (q.died !== undefined && day >= q.died) break;
    const brood = broodOn(q, day);
    const since = q.movedHouse !== undefined && day > q.movedHouse + 5 ? q.movedHouse : 0;
    bodies.push({
      kind: 'look',
      at: evening(settled, day),
      queen: 'seen',
      eggs: seenAs(brood.eggs, random),
      larvae: seenAs(brood.larvae, random),
      pupae: seenAs(brood.pupae, random),
      workers: seenAs(brood.workers + (q.workersAtIntake ?? 0), random),
      ...inTube(home, day - since, random, lossMmPerDay),
      mould: q.mould && day > 15 && since === 0 ? q.mould : 'none',
    });
  }
  return bodies;
}

/** What only a tube shows: where she sits, its water line, how far its plug is wet. */
function inTube(
  home: HomePart,
  day: number,
  random: () => number,
  lossMmPerDay: number,
): Partial<BodyOf<'look'>> {
  const share = random();
  if (home.kind !== 'tube') return {};
  return {
    queenAtMm: Math.round(home.waterLineMm + home.plugs.innerMm + 6 + share * 14),
    waterLineMm: Math.round(Math.max(4, home.waterLineMm - lossMmPerDay * day)),
    wetFront: 'right',
  };
}

/** Few are counted; many are given as a range. */
function seenAs(n: number, random: () => number): { low: number; high: number } {
  if (n <= 4) return { low: n, high: n };
  const blur = Math.max(1, Math.round(n * 0.2 * random()));
  return { low: n - blur, high: n + blur };
}

function feeds(q: DemoQueen, settled: Instant): EntryBody[] {
  if (!q.feedEvery) return [];
  const bodies: EntryBody[] = [];
  const semi = speciesProfile(q.species).founder.value === 'semi-claustral';
  const first = semi || q.workersAtIntake ? 1 : daysToWorkers(q) + 5;
  for (let day = first; day < q.takenIn; day += q.feedEvery) {
    bodies.push({
      kind: 'feed',
      at: evening(settled, day),
      food: semi ? 'both' : day % 2 ? 'sugar' : 'protein',
      outcome: day % 5 === 0 ? 'left' : 'taken',
    });
  }
  return bodies;
}

function daysToWorkers(q: DemoQueen): number {
  let day = 0;
  while (day < q.takenIn && broodOn(q, day).workers === 0) day++;
  return day;
}

/** What was done at her home since she was taken in. */
function changes(q: DemoQueen, home: HomePart, settled: Instant, newId: NewId): EntryBody[] {
  const entryOn = (day: number, change: HomeChange): EntryBody => ({
    kind: 'home',
    at: evening(settled, day),
    change,
  });
  const bodies: EntryBody[] = [];
  if (q.fresh !== undefined) {
    const id = newId(evening(settled, q.fresh));
    const part = { ...TUBES[q.tube ?? 'middling'], id, kind: 'tube', end: 'round' } as const;
    bodies.push(entryOn(q.fresh, { what: 'set-up', part, purpose: 'move', by: 'taped', gapMm: 0.2 }));
  }
  if (q.movedHouse !== undefined) {
    const id = newId(evening(settled, q.movedHouse));
    const part = { ...TUBES[q.tube ?? 'middling'], id, kind: 'tube', end: 'round' } as const;
    const here = { queen: true, brood: 'all', workers: 'all', how: 'by-themselves' } as const;
    bodies.push(
      entryOn(q.movedHouse, { what: 'set-up', part, purpose: 'move', by: 'taped', gapMm: 0.2 }),
      entryOn(q.movedHouse + 5, { what: 'moved-in', partId: id, ...here }),
      entryOn(q.movedHouse + 6, { what: 'taken-away', partId: home.id, to: 'cleaned' }),
    );
  }
  if (q.space !== undefined) {
    const part = usualBody(newId(evening(settled, q.space)), 'outworld');
    bodies.push(
      entryOn(q.space, { what: 'set-up', part, purpose: 'room', by: 'pipe', gapMm: 0, lengthMm: 60 }),
    );
  }
  if (q.wall !== undefined && home.kind === 'tube') {
    const divider = { atMm: home.lengthMm - home.plugs.outerMm - 25, strawMm: 4 };
    bodies.push(entryOn(q.wall, { what: 'divided', partId: home.id, divider }));
  }
  for (let day = q.wateredEvery ?? Infinity; day < q.takenIn; day += q.wateredEvery ?? Infinity)
    bodies.push(
      entryOn(day, {
        what: 'watered',
        partId: home.id,
        ml: 3,
        was: day % 4 === 0 ? 'still-wet' : 'right',
      }),
    );
  return bodies;
}

function others(q: DemoQueen, settled: Instant, places: Record<DemoPlace, Place>): EntryBody[] {
  const bodies: EntryBody[] = (q.notes ?? []).map(([day, text]) => ({
    kind: 'note',
    at: evening(settled, day),
    text,
  }));
  if (q.moved) {
    const [day, to] = q.moved;
    bodies.push({ kind: 'move', at: evening(settled, day), placeId: places[to].id });
  }
  if (q.signs) {
    const [day, sign] = q.signs;
    bodies.push({ kind: 'sign', at: evening(settled, day), ...sign });
  }
  if (q.restDays) {
    bodies.push({
      kind: 'rest',
      at: evening(settled, q.takenIn - 3),
      until: addDays(settled, q.takenIn + q.restDays),
    });
  }
  if (q.died !== undefined) {
    bodies.push({
      kind: 'loss',
      at: evening(settled, q.died),
      how: 'died',
      cause: 'unknown',
      text: 'On her back beside her brood. Tube clean, water left, no mould.',
    });
  }
  return bodies;
}
