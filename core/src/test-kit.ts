import { usualTube } from './tube/usual-tube';
import { caseOf, counsel, type Case, type CaseInput } from './care';
import { placeSchema, type LookingSchoolId } from './facts';
import { emptyLedger, founderBelief, ledger, outlook } from './founding';
import { entrySchema, type Entry, type EntryBody } from './log';
import { addDays, type Instant } from './quantity';
import { speciesProfile } from './species/catalogue';

/** Helpers for tests: a small log written by hand. */
export const QUEEN = '018f0000-0000-7000-8000-000000000001';
export const DAY_ZERO: Instant = '2026-05-01T18:00:00.000Z';

let serial = 0;
export const testId = (): string => `018f0000-0000-7000-9000-${String(++serial).padStart(12, '0')}`;

export const day = (n: number): Instant => addDays(DAY_ZERO, n);

/** Distributes over the union, so that each kind keeps its own fields; `at` is given as a day. */
type BodyInput<B = EntryBody> = B extends EntryBody
  ? Partial<Omit<B, 'kind' | 'at'>> & Pick<B, 'kind'>
  : never;

export function entry(onDay: number, body: BodyInput, queenId = QUEEN): Entry {
  const defaults =
    body.kind === 'intake'
      ? { found: 'walking', species: { profileId: 'tetramorium-immigrans', sure: 'certain' } }
      : {};
  return entrySchema.parse({
    ...defaults,
    ...body,
    id: testId(),
    queenId,
    at: day(onDay),
    loggedAt: day(onDay),
  });
}

export const n = (low: number, high: number | null = low) => ({ low, high });

/** A look that counted eggs, larvae, pupae and workers. */
export function look(onDay: number, [eggs, larvae, pupae, workers]: [number, number, number, number]): Entry {
  return entry(onDay, {
    kind: 'look',
    queen: 'seen',
    eggs: n(eggs),
    larvae: n(larvae),
    pupae: n(pupae),
    workers: n(workers),
  });
}

/** A usual tube, set up on the first day. */
export const TUBE = usualTube(testId(), DAY_ZERO);

export const SHELF = { id: testId(), name: 'Shelf', tempC: 25, roomRelHumidity: 0.5, winter: null };

export interface Told {
  school?: LookingSchoolId;
  species?: string;
  place?: object;
  home?: CaseInput['home'];
}

/** What a case is made from, for a log on a day. */
export function inputOf(
  entries: Entry[],
  onDay: number,
  { school = 'fortnightly', species = 'tetramorium-immigrans', place = {}, home = TUBE }: Told = {},
): CaseInput {
  const profile = speciesProfile(species);
  const now = day(onDay);
  const known = ledger(entries, now)[QUEEN] ?? emptyLedger(QUEEN);
  const where = placeSchema.parse({ ...SHELF, ...place });
  const founder = founderBelief([
    { kind: 'species', founder: profile.founder.value, weight: 1, source: 'test' },
    ...known.founderSigns,
  ]);
  return {
    profile,
    ledger: known,
    outlook: outlook(profile, known, where.tempC, now, { draws: 1500, seed: 3 }),
    founder,
    home,
    place: where,
    lookingSchool: school,
    now,
  };
}

export const caseAt = (entries: Entry[], onDay: number, told: Told = {}): Case =>
  caseOf(inputOf(entries, onDay, told));

/** Counsel for a log on a day, with its verdicts by name. */
export function advise(entries: Entry[], onDay: number, told: Told = {}) {
  const input = inputOf(entries, onDay, told);
  const given = counsel(input);
  const verdict = (id: string) => {
    const found = given.verdicts.find((v) => v.id === id);
    if (!found) throw new Error(`no ${id}`);
    return found;
  };
  return { ...given, verdict, ahead: input.outlook as NonNullable<CaseInput['outlook']> };
}
