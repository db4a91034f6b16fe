import { usualTube } from '@gentle-burrow/core/tube';
import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { KIND_CARDS, KINDS, speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { queenView, type QueenFacts } from '@gentle-burrow/core/view';
import {
  appendSchema,
  errorSchema,
  MAX_BATCH,
  newQueenSchema,
  queenPatchSchema,
  queenViewSchema,
  settingsSchema,
  speciesListSchema,
  speciesProfileSchema,
} from './index';

const id = (n: number) => `018f0000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const at = '2026-05-01T18:00:00.000Z';
const [QUEEN, TUBE, PLACE] = [id(1), id(2), id(3)];
const taking = {
  queen: {
    id: QUEEN,
    label: 'A',
    batch: '',
    homeId: TUBE,
    placeId: PLACE,
    lookingSchool: null,
    createdAt: at,
  },
  home: usualTube(TUBE, at),
  place: { id: PLACE, name: 'Drawer', tempC: 24, roomRelHumidity: 0.5, winter: null },
  intake: {
    kind: 'intake',
    id: id(4),
    queenId: QUEEN,
    at,
    loggedAt: at,
    found: 'walking',
    wings: 'dealate',
    species: { profileId: 'messor-structor', sure: 'likely' },
  },
};
const note = (n: number) => ({ kind: 'note', id: id(n), queenId: QUEEN, at, loggedAt: at, text: 'x' });
const pathsOf = (result: { error?: { issues: { path: PropertyKey[] }[] } | undefined }) =>
  (result.error?.issues ?? []).map((i) => i.path.join('.'));

test('whatever the core derives has the shape that is promised', () => {
  const parsed = newQueenSchema.parse(taking);
  const facts: QueenFacts = { ...parsed, places: [parsed.place], entries: [parsed.intake] };
  for (const now of ['2026-05-02T00:00:00.000Z', '2026-08-01T00:00:00.000Z', '2029-01-01T00:00:00.000Z']) {
    const view = queenView(facts, DEFAULT_SETTINGS, now, { draws: 400 });
    expect(queenViewSchema.safeParse(view).error).toBeUndefined();
  }
  expect(speciesListSchema.safeParse({ species: KIND_CARDS }).error).toBeUndefined();
  for (const { id } of KINDS)
    expect(speciesProfileSchema.safeParse(speciesProfile(id)).error).toBeUndefined();
});

test('no number that is none crosses the wire', () => {
  const parsed = newQueenSchema.parse(taking);
  const view = queenView(
    { ...parsed, places: [parsed.place], entries: [parsed.intake] },
    DEFAULT_SETTINGS,
    at,
    { draws: 400 },
  );
  expect(queenViewSchema.safeParse({ ...view, tempC: NaN }).success).toBe(false);
  // JSON would write null for a number that is none: the view itself is gone through
  const none = (value: unknown): boolean =>
    typeof value === 'number'
      ? !Number.isFinite(value)
      : value !== null && typeof value === 'object' && Object.values(value).some(none);
  expect(none({ deep: [{ n: NaN }] })).toBe(true);
  expect(none(view)).toBe(false);
});

test.each([
  ['another tube', { home: { ...taking.home, id: id(9) } }, 'queen.homeId'],
  ['another place', { place: { ...taking.place, id: id(9) } }, 'queen.placeId'],
  ['another queen', { intake: { ...taking.intake, queenId: id(9) } }, 'intake.queenId'],
])('taking her in with %s is refused', (_, change, path) => {
  expect(pathsOf(newQueenSchema.safeParse({ ...taking, ...change }))).toContain(path);
});

test('one entry or a batch; not none, and not more than a batch holds', () => {
  expect(appendSchema.safeParse(note(10)).success).toBe(true);
  expect(appendSchema.safeParse({ entries: [note(10), note(11)] }).success).toBe(true);
  expect(appendSchema.safeParse({ entries: [] }).success).toBe(false);
  const many = Array.from({ length: MAX_BATCH + 1 }, (_, k) => note(100 + k));
  expect(appendSchema.safeParse({ entries: many }).success).toBe(false);
});

test('only what may be changed about a queen can be', () => {
  expect(queenPatchSchema.safeParse({ label: 'B', lookingSchool: null }).success).toBe(true);
  expect(queenPatchSchema.safeParse({ id: id(9) }).success).toBe(false);
  expect(queenPatchSchema.parse({ label: 'B' })).toEqual({ label: 'B' });
});

test('settings are whole and known', () => {
  expect(settingsSchema.safeParse(DEFAULT_SETTINGS).success).toBe(true);
  expect(settingsSchema.safeParse({ ...DEFAULT_SETTINGS, lookingSchool: 'hourly' }).success).toBe(false);
  expect(settingsSchema.safeParse({ ...DEFAULT_SETTINGS, zone: 'Middle/Earth' }).success).toBe(false);
  expect(settingsSchema.safeParse({ ...DEFAULT_SETTINGS, colour: 'red' }).success).toBe(false);
  // what an older version did not ask is filled in
  expect(settingsSchema.parse({ lookingSchool: 'weekly' })).toEqual({
    ...DEFAULT_SETTINGS,
    lookingSchool: 'weekly',
  });
});

test('an error has a code and a sentence', () => {
  expect(errorSchema.safeParse({ error: { code: 'x', message: 'Mend it.' } }).success).toBe(true);
  expect(errorSchema.safeParse({ error: 'x' }).success).toBe(false);
});
