import { ROOM_WARM_C } from '@gentle-burrow/core/warmth';
import { v7 } from 'uuid';
import { newQueenSchema } from '@gentle-burrow/contract';
import {
  doubtsOf,
  emptyForm,
  formOf,
  newQueenOf,
  nextLabel,
  queenFormSchema,
  type QueenForm,
} from './queen-form';
import { sisterOf } from './LikeTheLast';

const GOOD: QueenForm = queenFormSchema.parse({
  ...emptyForm(),
  found: 'bought',
  label: 'A',
  broodWithHer: { eggs: null, larvae: null, pupae: null, workers: { low: 6, high: 8 } },
  profileId: 'messor-structor',
  placeName: 'Drawer',
  tempC: 24,
});

const faults = (change: Partial<Record<keyof QueenForm, unknown>>) =>
  (queenFormSchema.safeParse({ ...GOOD, ...change }).error?.issues ?? []).map(
    (i) => `${i.path[0] as string}: ${i.message}`,
  );

test('a good form becomes facts that the contract takes', () => {
  const { body } = newQueenOf(queenFormSchema.parse(GOOD), []);
  expect(newQueenSchema.safeParse(body).error).toBeUndefined();
  expect(body.intake).toMatchObject({ workers: { low: 6, high: 8 } });
  expect(body.place.name).toBe('Drawer');
});

test('brood is not kept for a queen caught alone', () => {
  expect(newQueenOf({ ...GOOD, found: 'walking' }, []).body.intake).not.toHaveProperty('workers');
});

test('a place where nobody has measured is held loosely, and says so', () => {
  const form = queenFormSchema.parse({ ...GOOD, measured: false, tempC: null });
  expect(newQueenOf(form, []).body.place).toMatchObject({ tempC: ROOM_WARM_C, spot: { measured: false } });
  // where the place is known its warmth is not asked again
  const { place } = newQueenOf(GOOD, []).body;
  expect(faults({ placeId: place.id, placeName: '', tempC: null })).toEqual([]);
});

test('a place that is known is used, not made again', () => {
  const { place } = newQueenOf(GOOD, []).body;
  expect(newQueenOf({ ...GOOD, placeId: place.id }, [place]).body.place).toBe(place);
});

test('a first evening in full: span of days, private coordinates, findings, shares, shape, stock', () => {
  const itemId = v7();
  const form = queenFormSchema.parse({
    ...GOOD,
    found: 'under-stone',
    day: '2026-06-05',
    earliest: '2026-06-01',
    lat: 10.5,
    lon: -3.25,
    looked: 'found',
    findings: ['mites'],
    quarantine: true,
    queens: 2,
    shape: 'large-gaster',
    others: [{ profileId: 'manica-rubida', share: 0.3, namedBy: 'a friend' }],
    itemId,
  });
  const { body, sign } = newQueenOf(form, []);
  expect(newQueenSchema.safeParse(body).error).toBeUndefined();
  expect(body.intake).toMatchObject({
    coordinates: { lat: 10.5, lon: -3.25, uncertaintyM: 100 },
    inspection: { findings: ['mites'] },
    queens: 2,
    species: { others: [{ profileId: 'manica-rubida', share: 0.3 }] },
  });
  const days = (a: string, b: string) => (Date.parse(b) - Date.parse(a)) / 86_400_000;
  expect(days(body.intake.earliest!, body.intake.at)).toBe(4);
  expect(days(body.intake.at, body.intake.inspection!.quarantineUntil!)).toBe(14);
  expect(body.used).toMatchObject([{ itemId, delta: -1, why: 'used', queenId: body.queen.id }]);
  expect(sign).toMatchObject({ kind: 'sign', shape: 'large-gaster', queenId: body.queen.id });
});

test('not looked over is not the same as nothing found', () => {
  expect(newQueenOf(GOOD, []).body.intake).not.toHaveProperty('inspection');
  expect(newQueenOf({ ...GOOD, looked: 'clean' }, []).body.intake.inspection).toEqual({ findings: [] });
});

test('something found says what, and is not written as nothing', () => {
  expect(faults({ looked: 'found' })).toEqual(['findings: Tick what was found, or choose “Nothing found”.']);
  const found = { ...GOOD, looked: 'found' as const, findings: ['mites' as const] };
  expect(newQueenOf(found, []).body.intake.inspection).toEqual({ findings: ['mites'] });
});

test('what may be a slip is asked back, what is usual is not', () => {
  const now = new Date('2026-06-05T12:00:00Z');
  const asked = (form: object) => doubtsOf({ label: 'K', day: '2026-06-01', ...form }, ['A', 'b'], now);
  expect(asked({})).toEqual([]);
  expect(asked({ label: ' B ' })).toEqual([
    'There is a queen called B already. Is this another one of that name?',
  ]);
  expect(asked({ day: '1926-06-01' })).toEqual(['1926-06-01 is more than a year ago. Is the year right?']);
  expect(asked({ earliest: '2020-06-01' })).toHaveLength(1);
  expect(asked({ day: '2025-09-01' })).toEqual([]);
});

test('a sister is like the last in everything but what is hers alone, on any device', () => {
  const told = {
    ...GOOD,
    label: 'K',
    where: 'Millrace Meadow',
    weather: 'warm',
    others: [{ profileId: 'manica-rubida', share: 0.3 }],
    looked: 'found' as const,
    findings: ['mites' as const],
    shape: 'between' as const,
  };
  const { queen, home, place, intake } = newQueenOf(told, []).body;
  const last = formOf({ queen, home, place, places: [place], entries: [intake] });
  const sister = sisterOf(last as QueenForm, [place]);
  expect(queenFormSchema.parse(sister)).toMatchObject({
    where: 'Millrace Meadow',
    weather: 'warm',
    profileId: 'messor-structor',
    others: [{ profileId: 'manica-rubida', share: 0.3 }],
    placeId: place.id,
    looked: 'not',
    findings: [],
  });
  expect(sister).toMatchObject({ shape: null, welcomeDrop: false, queens: 1 });
  expect(sister.broodWithHer.workers).toBeNull();
});

test.each([
  [{ earliest: '2026-12-24', day: '2026-06-05' }, /^earliest: The earliest day lies after/],
  [{ lat: 10, lon: null }, /^lon: One coordinate is missing/],
  [{ lat: 95, lon: 3 }, /^lat: The latitude is above 90/],
  [{ queens: 0 }, /^queens: There is no queen/],
  [{ others: [{ profileId: 'manica-rubida', share: 1.2 }] }, /^others: .*100 %/],
  [{ others: [{ profileId: 'messor-structor', share: 0.2 }] }, /^others: One species is named twice/],
  [
    { welcomeDrop: true, broodWithHer: { ...GOOD.broodWithHer, eggs: { low: 3, high: 3 } } },
    /^welcomeDrop: She has brood/,
  ],
  [{ found: undefined }, /^found: Say how she came/],
  [{ day: '2999-01-01' }, /^day: That day is still to come/],
  [{ label: '  ' }, /^label: Give her a letter/],
  [{ profileId: '' }, /^profileId: Choose a species/],
  [{ waterLineMm: 160 }, /^waterLineMm: The water line \(160 mm\) lies beyond the tube \(150 mm\)/],
  [{ waterLineMm: 125 }, /^waterLineMm: Water and plugs leave no chamber/],
  [{ boreMm: 17 }, /^boreMm: The bore \(17 mm\) is not smaller/],
  [{ placeName: '' }, /^placeName: Give the place a name/],
  [{ tempC: 60 }, /^tempC: .*no queen lives there/],
  [{ tempC: NaN }, /^tempC: Measure it beside the tubes, or choose “Not measured”/],
  [{ tempC: null }, /^tempC: Measure it beside the tubes/],
])('%j is refused with the way to mend it', (change, says) => {
  expect(faults(change).join('\n')).toMatch(says);
});

test('the next free letter goes on after Z', () => {
  expect(nextLabel([])).toBe('A');
  expect(nextLabel(['a', 'B', 'D'])).toBe('C');
  expect(nextLabel([...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'])).toBe('A2');
});
