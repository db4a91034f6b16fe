import { placeTemperature, temperatureAt } from '../warmth';
import { DEFAULT_SETTINGS, placeSchema, queenSchema } from '../facts';

import { entrySchema, type Entry } from '../log';
import { msOf, plainText } from '../quantity';
import { day, DAY_ZERO, entry, look, QUEEN, testId, TUBE } from '../test-kit';
import { byUrgency, queenView, shelfRow, viewHoldsUntil, type QueenFacts, type ShelfRow } from './index';

const tube = TUBE;
const place = placeSchema.parse({ id: testId(), name: 'Drawer', tempC: 25, roomRelHumidity: 0.5 });
const queen = queenSchema.parse({
  id: QUEEN,
  label: 'A',
  homeId: tube.id,
  placeId: place.id,
  createdAt: DAY_ZERO,
});
const facts = (entries: Entry[], change: Partial<QueenFacts> = {}): QueenFacts => ({
  queen,
  home: tube,
  place,
  places: [place],
  entries,
  ...change,
});
const view = (f: QueenFacts, onDay: number) => queenView(f, DEFAULT_SETTINGS, day(onDay), { draws: 800 });
const intake = () => entry(0, { kind: 'intake' });

describe("a queen's view", () => {
  test('is the same for the same facts and moment', () => {
    const f = facts([intake(), look(9, [4, 0, 0, 0])]);
    expect(view(f, 12)).toEqual(view(f, 12));
  });

  test("takes the queen's own school before the keeper's", () => {
    const entries = [intake(), look(20, [4, 0, 0, 0])];
    const answer = (lookingSchool: 'weekly' | null) =>
      view(facts(entries, { queen: { ...queen, lookingSchool } }), 28).counsel?.verdicts.find(
        (v) => v.id === 'look',
      )?.answer;
    expect(answer('weekly')).toBe('you may');
    expect(answer(null)).toBe('not yet');
  });

  test('a fault in the log is said, and what can be shown is shown', () => {
    const future = entrySchema.parse({ ...look(90, [1, 0, 0, 0]) });
    const v = view(facts([intake(), future]), 10);
    expect(v.trouble).toMatchObject({ field: 'at', message: expect.stringContaining('Correct its date') });
    expect(v.counsel).toBeNull();
    const row = shelfRow(facts([intake(), future]), v);
    expect(row.pressure).toBe('now');
    expect(plainText(row.says)).toMatch(/Correct its date/);
  });

  test('without an intake she asks for one', () => {
    expect(view(facts([entry(1, { kind: 'note', text: 'found' })]), 2).trouble?.message).toMatch(
      /Log when she was taken in/,
    );
  });

  test('stages that nobody can have seen together do not break it', () => {
    const v = view(facts([intake(), look(0.5, [5, 5, 5, 5])]), 1);
    expect(v.trouble).toBeNull();
    expect(v.outlook?.strained).toBeGreaterThan(1);
  });

  test('her temperature is that of her place, now', () => {
    const winter = { ...place, tempC: 7, winter: { until: day(100), thenTempC: 22 } };
    expect(view(facts([intake()], { place: winter }), 50).tempC).toBe(7);
    expect(view(facts([intake()], { place: winter }), 120).tempC).toBe(22);
    expect(temperatureAt(placeTemperature(place), day(3))).toBe(25);
  });

  test('a wintering queen lays when it is over', () => {
    const winter = { ...place, tempC: 7, winter: { until: day(100), thenTempC: 25 } };
    const eggs = view(facts([intake(), look(10, [0, 0, 0, 0])], { place: winter }), 50).outlook?.events.eggs;
    expect(msOf(eggs?.band.p10 as string)).toBeGreaterThan(msOf(day(100)));
    expect(eggs?.byNow).toBe(0);
  });
});

describe('how long a view holds', () => {
  test('until something in it turns, at the most half an hour', () => {
    const v = view(facts([intake(), look(20, [4, 0, 0, 0])]), 21);
    expect(msOf(viewHoldsUntil(v, day(21))) - msOf(day(21))).toBe(30 * 60_000);
    const soon = new Date(msOf(day(34)) - 5 * 60_000).toISOString();
    const close = queenView(facts([intake(), look(20, [4, 0, 0, 0])]), DEFAULT_SETTINGS, soon, {
      draws: 800,
    });
    expect(viewHoldsUntil(close, soon)).toBe(day(34));
  });
});

describe('the order of the shelf', () => {
  const row = (
    label: string,
    pressure: ShelfRow['pressure'],
    restUntil: string | null = null,
    lost = false,
  ): ShelfRow =>
    ({ queen: { label }, pressure, restUntil, lost: lost ? { how: 'died', at: day(0) } : null }) as ShelfRow;

  test('now, soon, free, at rest by date, then the lost', () => {
    const rows = [
      row('lost', 'rest', null, true),
      row('rest late', 'rest', day(40)),
      row('rest soon', 'rest', day(10)),
      row('free', 'free'),
      row('soon', 'soon'),
      row('now', 'now'),
      row('rest open', 'rest'),
    ];
    expect(rows.sort(byUrgency).map((r) => r.queen.label)).toEqual([
      'now',
      'soon',
      'free',
      'rest soon',
      'rest late',
      'rest open',
      'lost',
    ]);
  });

  test('equals go by name, numbers by size', () => {
    expect([row('T10', 'free'), row('T9', 'free')].sort(byUrgency).map((r) => r.queen.label)).toEqual([
      'T9',
      'T10',
    ]);
  });
});

describe('a row of the shelf', () => {
  test('carries what the drawing needs', () => {
    const f = facts([
      intake(),
      entry(9, { kind: 'look', queen: 'seen', queenAtMm: 112, eggs: { low: 4, high: 6 }, wetFront: 'right' }),
    ]);
    expect(shelfRow(f, view(f, 12))).toMatchObject({
      placeName: 'Drawer',
      profileId: 'tetramorium-immigrans',
      counts: { eggs: { range: { low: 4, high: 6 } } },
      queenAtMm: 112,
      wetFront: 'right',
      next: { event: 'larvae' },
      lost: null,
      lastLookAt: day(9),
    });
  });

  test('what is probably there grows with time', () => {
    const f = facts([intake()]);
    const likely = (onDay: number) => shelfRow(f, view(f, onDay)).likely;
    expect(likely(3).eggs).toBeLessThan(likely(20).eggs);
    expect(likely(60).larvae).toBeGreaterThan(0.8);
    for (const value of Object.values(likely(20))) {
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThanOrEqual(1);
    }
  });
});
