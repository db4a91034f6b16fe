import type { Entry } from '../log';
import { sortOut, type Fact } from '../records';
import { profilesWith } from '../species/catalogue';
import { stockLevels } from '../stock';
import { day, entry, n, QUEEN, SHELF, testId, TUBE } from '../test-kit';
import { countCell, countIn } from './cells';
import {
  guessSheet,
  headsOf,
  logRows,
  sheetReader,
  stockRows,
  unmeasuredPlace,
  type SheetContext,
  type SheetKind,
} from './index';

const ZONE = 'Europe/Berlin';
const CONTEXT: SheetContext = {
  now: '2026-07-01T12:00:00.000Z',
  queens: [
    { id: QUEEN, label: 'A1' },
    { id: '018f0000-0000-7000-8000-000000000002', label: 'B' },
  ],
  entryIds: new Set(),
  stock: [],
  places: [SHELF],
  place: SHELF,
};

/** Reads a sheet as it is guessed. */
function read(kind: SheetKind, rows: string[][], context: Partial<SheetContext> = {}) {
  const mapping = guessSheet(kind, rows, ZONE);
  const reader = sheetReader(kind, mapping, { ...CONTEXT, ...context });
  const faults = rows.slice(mapping.headRows).flatMap((row, i) => {
    const fault = reader.read(row);
    return fault === null ? [] : [`${i + 2}: ${fault}`];
  });
  return { mapping, faults, facts: reader.taken(), known: reader.known() };
}
const entriesOf = (facts: readonly Fact[]) => facts.flatMap((f) => (f.fact === 'entry' ? [f.value] : []));

describe('a log that was kept in a spreadsheet', () => {
  // common practice of keepers, no source: a row a look, counts or ranges, a word of food, notes
  const rows = [
    ['Date', 'Queen', 'Eggs', 'Larvae', 'Pupae', 'Workers', 'Seen', 'Fed', 'Water line (mm)', 'Notes'],
    ['03.06.2026', 'A1', '12', '', '', '0', 'yes', '', '', 'calm'],
    ['17.06.2026', 'a1', '10-15', '3+', 'none', '', 'x', 'honey', '41,5', ''],
    ['18.06.2026', 'B', '', '', '', '', '', 'fly, left', '', ''],
    ['19.06.2026', 'B', '', '', '', '', '', '', '', "'=a note that begins oddly"],
    ['', '', '', '', '', '', '', '', '', ''],
  ];

  test('becomes looks, feeds and notes, each on its day', () => {
    const { mapping, faults, facts } = read('log', rows);
    expect(faults).toEqual([]);
    expect(mapping).toMatchObject({ order: 'day-month-year', decimal: ',', zone: ZONE });
    expect(entriesOf(facts).map(({ id: _id, loggedAt: _loggedAt, ...rest }) => rest)).toEqual([
      {
        kind: 'look',
        queenId: QUEEN,
        at: '2026-06-03T10:00:00.000Z',
        queen: 'seen',
        eggs: n(12),
        workers: n(0),
        text: 'calm',
      },
      {
        kind: 'look',
        queenId: QUEEN,
        at: '2026-06-17T10:00:00.000Z',
        queen: 'seen',
        eggs: n(10, 15),
        larvae: n(3, null),
        pupae: n(0),
        waterLineMm: 41.5,
      },
      { kind: 'feed', queenId: QUEEN, at: '2026-06-17T10:00:00.000Z', food: 'sugar', outcome: 'offered' },
      {
        kind: 'feed',
        queenId: CONTEXT.queens[1]?.id,
        at: '2026-06-18T10:00:00.000Z',
        food: 'protein',
        outcome: 'left',
      },
      {
        kind: 'note',
        queenId: CONTEXT.queens[1]?.id,
        at: '2026-06-19T10:00:00.000Z',
        text: '=a note that begins oddly',
      },
    ]);
  });

  test('read in twice it is the same, whatever the day on which it is read', () => {
    const first = read('log', rows).facts;
    const again = read('log', rows, { now: '2026-09-01T00:00:00.000Z' }).facts;
    expect(again).toEqual(first);
    expect(new Set(entriesOf(first).map((e) => e.id)).size).toBe(5);
    // UUID version 7 of the moment (RFC 9562, 5.7)
    const [one] = entriesOf(first) as [Entry];
    expect(parseInt(one.id.slice(0, 13).replace('-', ''), 16)).toBe(Date.parse(one.at));
    expect(one.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  });

  test.each([
    [['31.02.2026', 'A1', '1'], /not in the calendar/],
    [['03.06.2026', 'C', '1'], /no queen “C” here/],
    [['03.06.2026', '', '1'], /It has no queen/],
    [['', 'A1', '1'], /It has no date/],
    [['03.06.2027', 'A1', '1'], /lies in the future/],
    [['03.06.2026', 'A1', 'many'], /“many” is not a count/],
    [['03.06.2026', 'A1', '15-10'], /Swap them/],
    [['03.06.2026', 'A1', '', '', '', '', 'perhaps'], /neither yes nor no/],
    [['03.06.2026', 'A1', '', '', '', '', '', 'apple'], /“apple” is no food/],
    [['03.06.2026', 'A1', '', '', '', '', '', '', 'low'], /is not a water line/],
    [['03.06.2026', 'A1'], /tells nothing/],
  ])('%j is refused with what to do', (row, says) => {
    const { faults, facts } = read('log', [rows[0] as string[], rows[1] as string[], row]);
    expect(faults).toEqual([expect.stringMatching(says)]);
    expect(facts).toHaveLength(1);
  });

  test('two queens of one letter are not told apart', () => {
    const queens = [...CONTEXT.queens, { id: testId(), label: 'A1' }];
    expect(read('log', rows, { queens }).faults[0]).toMatch(/There are 2 queens “A1”/);
  });

  test('day and month are told apart by what can be read', () => {
    const american = [
      ['Date', 'Queen', 'Eggs'],
      ['06/17/2026', 'A1', '3'],
      ['06/03/2026', 'A1', '2'],
    ];
    expect(read('log', american).mapping.order).toBe('month-day-year');
    const iso = [
      ['Queen', 'Date', 'Time', 'Eggs'],
      ['A1', '2026-06-17', '18:30', '3'],
    ];
    expect(entriesOf(read('log', iso).facts)[0]?.at).toBe('2026-06-17T16:30:00.000Z');
  });
});

test('a log that went out and comes in again is passed over where it is here, and comes back where it is not', () => {
  const feed = entry(6, { kind: 'feed', food: 'sugar', outcome: 'taken' });
  const entries = [
    entry(0, { kind: 'intake' }),
    entry(5, { kind: 'look', queen: 'seen', eggs: n(10, 15), larvae: n(3, null), text: '=SUM(A1)' }),
    feed,
    entry(7, { kind: 'note', text: 'calm' }),
  ];
  const queen = {
    id: QUEEN,
    label: 'A1',
    batch: '',
    homeId: TUBE.id,
    placeId: SHELF.id,
    lookingSchool: null,
    createdAt: day(0),
  };
  const out = logRows(
    [{ queen, home: TUBE, place: SHELF, places: [SHELF], entries }],
    profilesWith([]),
    ZONE,
  );
  const heads = headsOf('log');
  expect(out.every((row) => Object.keys(row).every((k) => heads.includes(k)))).toBe(true);
  const sheet = [heads, ...out.map((row) => heads.map((h) => String(row[h] ?? '')))];
  const here = read('log', sheet, { entryIds: new Set(entries.map((e) => e.id)) });
  expect(here).toMatchObject({ faults: [], facts: [], known: 4 });
  const { facts } = read('log', sheet);
  // how she came is told by another sheet
  const [, ...others] = entries;
  const back = entriesOf(facts).filter((e) => others.some((o) => o.id === e.id));
  const bare = (e: Entry) => ({ ...e, at: e.at.slice(0, 16), loggedAt: '' });
  expect(back.map(bare)).toEqual(others.map(bare));
});

describe('captures', () => {
  const rows = [
    ['Queen', 'Species', 'Date', 'Found', 'Site', 'Latitude', 'Longitude', 'Remarks'],
    ['M1', 'Messor structor', '2026-05-03', 'walking', 'Millrace Meadow', '48.1374', '-11.5755', 'large'],
    ['M2', 'cf. Messor', '2026-05-03', 'from a friend', '', '', '', ''],
  ];

  test('become queens with a usual tube, at the place that is chosen', () => {
    const { faults, facts } = read('captures', rows);
    expect(faults).toEqual([]);
    expect(facts.map((f) => f.fact)).toEqual(['home', 'queen', 'entry', 'home', 'queen', 'entry']);
    expect(entriesOf(facts)).toMatchObject([
      {
        found: 'walking',
        where: 'Millrace Meadow',
        coordinates: { lat: 48.1374, lon: -11.5755 },
        species: { profileId: 'messor-structor', sure: 'likely' },
        text: 'large',
      },
      { found: 'unknown', species: { called: 'cf. Messor' } },
    ]);
    // everything that they rest on is there
    const here = (kind: string, id: string): Fact | undefined =>
      kind === 'place' && id === SHELF.id ? { fact: 'place', value: SHELF } : undefined;
    expect(
      sortOut(
        facts.map((fact, i) => ({ line: i, fact })),
        here,
      ).refused,
    ).toEqual([]);
    expect(read('captures', rows).facts).toEqual(facts);
  });

  test('without a place nothing is taken: nobody is put anywhere in silence', () => {
    const { facts, faults } = read('captures', rows, { place: null });
    expect(facts).toEqual([]);
    expect(faults[0]).toMatch(/names no place\. Choose where/);
  });

  test('a column may name the place: one that is here, or a new one of which nothing is measured', () => {
    const told = [
      ['Tube', 'Date', 'Place'],
      ['M1', '2026-05-03', SHELF.name.toUpperCase()],
      ['M2', '2026-05-03', 'Cellar'],
      ['M3', '2026-05-03', 'cellar'],
      ['M4', '2026-05-03', ''],
    ];
    const { facts, faults } = read('captures', told);
    expect(faults).toEqual([]);
    const placed = facts.flatMap((f) => (f.fact === 'queen' ? [[f.value.label, f.value.placeId]] : []));
    const cellar = unmeasuredPlace('Cellar');
    expect(placed).toEqual([
      ['M1', SHELF.id],
      ['M2', cellar.id],
      ['M3', cellar.id],
      ['M4', SHELF.id],
    ]);
    expect(facts.filter((f) => f.fact === 'place')).toEqual([{ fact: 'place', value: cellar }]);
    expect(cellar.spot).toEqual({ measured: false });
  });

  test('a room that nobody has measured may be chosen', () => {
    const { facts } = read('captures', rows, { place: unmeasuredPlace('Room') });
    expect(facts.filter((f) => f.fact === 'place')).toMatchObject([
      { value: { name: 'Room', spot: { measured: false } } },
    ]);
    expect(
      sortOut(
        facts.map((fact, i) => ({ line: i, fact })),
        () => undefined,
      ).refused,
    ).toEqual([]);
  });

  test('who is here already is passed over; a letter twice, half a coordinate and a wrong one are refused', () => {
    const queens = [{ id: testId(), label: 'm1' }];
    expect(read('captures', rows, { queens })).toMatchObject({ known: 1, faults: [] });
    const [head] = rows as [string[]];
    const faults = read('captures', [
      head,
      ['N', '', '2026-05-03'],
      ['N', '', '2026-05-04'],
      ['O', '', '2026-05-04', '', '', '48.1'],
      ['P', '', '2026-05-04', '', '', '148.1', '11'],
    ]).faults;
    expect(faults).toEqual([
      expect.stringMatching(/^3: “N” stands in a row above/),
      expect.stringMatching(/^4: Latitude and longitude belong together/),
      expect.stringMatching(/^5: The latitude is above 90/),
    ]);
  });
});

describe('stock', () => {
  const item = { id: testId(), kind: 'plug' as const, name: 'Cotton', tube: null, lowAt: 2 };
  const stock = stockLevels(
    [item],
    [{ id: testId(), itemId: item.id, at: day(0), delta: 10, why: 'bought', queenId: null }],
  );

  test('what was counted becomes what is here, and a second time nothing changes', () => {
    const sheet = [
      ['name', 'kind', 'count', 'low at'],
      ['cotton', 'plug', '7', '2'],
      ['Petri dish', '', '3', ''],
    ];
    const { facts, faults } = read('stock', sheet, { stock });
    expect(faults).toEqual([]);
    const items = [
      item,
      ...facts.flatMap((f) => (f.fact === 'stock-item' && f.value.id !== item.id ? [f.value] : [])),
    ];
    const moves = facts.flatMap((f) => (f.fact === 'stock-move' ? [f.value] : []));
    const after = stockLevels(items, [
      ...moves,
      { id: testId(), itemId: item.id, at: day(0), delta: 10, why: 'bought', queenId: null },
    ]);
    expect(after.map((l) => [l.item.name, l.item.kind, l.count])).toEqual([
      ['Cotton', 'plug', 7],
      ['Petri dish', 'other', 3],
    ]);
    expect(read('stock', sheet, { stock: after })).toMatchObject({ facts: [], known: 2 });
    // and so does what went out
    const heads = headsOf('stock');
    const out = [heads, ...stockRows(after).map((row) => heads.map((h) => String(row[h])))];
    expect(read('stock', out, { stock: after })).toMatchObject({ facts: [], known: 2, faults: [] });
  });

  test.each([['1.5'], ['-2'], ['ten']])('%s pieces are refused', (count) => {
    expect(
      read('stock', [
        ['name', 'count'],
        ['Cotton', count],
      ]).faults,
    ).toHaveLength(1);
  });
});

test('a count goes out as it comes in again', () => {
  for (const count of [
    n(0),
    n(7),
    n(10, 15),
    n(12, null),
    { low: 1, high: null, word: 'some' as const },
    undefined,
  ])
    expect(countIn(String(countCell(count)))).toEqual(count);
});
