import { readingsOf } from './columns';
import { guessMapping } from './guess';
import { wallClock } from './local-time';
import { readingsOfLines } from './lines';
import { rowReader, type Mapping } from './table';

const NOW = Date.UTC(2026, 10, 1);
const MAPPING: Mapping = {
  headRows: 0,
  time: 0,
  clock: null,
  order: 'year-month-day',
  zone: 'Europe/Berlin',
  temp: 1,
  tempUnit: 'C',
  rh: 2,
  rhUnit: 'percent',
  decimal: '.',
};

/** Reads rows; what was taken, and what was wrong by line. */
function read(rows: string[][], change: Partial<Mapping> = {}) {
  const reader = rowReader({ ...MAPPING, ...change }, NOW);
  const refused = rows.flatMap((row, i) => {
    const reason = reader.read(row, i + 1);
    return reason ? [`${i + 1}: ${reason}`] : [];
  });
  const taken = readingsOf(reader.taken()).map((r) => ({ ...r, ms: new Date(r.ms).toISOString() }));
  return { taken, refused };
}
const moments = (cells: string[], change: Partial<Mapping> = {}) =>
  read(
    cells.map((c) => [c, '20', '']),
    change,
  ).taken.map((r) => r.ms);

describe('rows of a table', () => {
  test('are read by the clock of the zone, summer and winter', () => {
    expect(moments(['2026-01-15 12:00', '2026-07-15T12:00:30.5'])).toEqual([
      '2026-01-15T11:00:00.000Z',
      '2026-07-15T10:00:30.500Z',
    ]);
  });

  test('agree with the calendar of the runtime itself (Intl) through a year, hour by hour, forth and back', () => {
    const wrong: unknown[] = [];
    for (const zone of ['Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata']) {
      const clock = wallClock(zone);
      const shown = new Intl.DateTimeFormat('sv-SE', {
        timeZone: zone,
        dateStyle: 'short',
        timeStyle: 'medium',
      });
      for (let ms = Date.UTC(2025, 11, 31); ms < Date.UTC(2027, 0, 1); ms += 1_800_000) {
        const wall = Date.parse(`${shown.format(ms).replace(' ', 'T')}Z`);
        const found = clock.momentOf(wall);
        if (!('ms' in found) || found.ms !== ms) wrong.push([zone, new Date(ms), found]);
      }
    }
    expect(wrong).toEqual([]);
  });

  test('an hour that never was is refused with what to do; with a fixed offset it was', () => {
    const { refused } = read([['2026-03-29 02:30', '20', '']]);
    expect(refused[0]).toMatch(/^1: .*never was on a clock of Europe\/Berlin.*fixed offset/);
    expect(moments(['2026-03-29 02:30'], { zone: '+01:00' })).toEqual(['2026-03-29T01:30:00.000Z']);
  });

  test('an hour that came twice is told apart by the order of the rows', () => {
    expect(
      moments([
        '2026-10-25 01:30',
        '2026-10-25 02:00',
        '2026-10-25 02:30',
        '2026-10-25 02:00',
        '2026-10-25 02:30',
      ]),
    ).toEqual([
      '2026-10-24T23:30:00.000Z',
      '2026-10-25T00:00:00.000Z',
      '2026-10-25T00:30:00.000Z',
      '2026-10-25T01:00:00.000Z',
      '2026-10-25T01:30:00.000Z',
    ]);
    // a logger that writes once an hour shows the same hour twice
    expect(moments(['2026-10-25 02:00', '2026-10-25 02:00'])).toEqual([
      '2026-10-25T00:00:00.000Z',
      '2026-10-25T01:00:00.000Z',
    ]);
  });

  test.each([
    ['day-month-year', '03.06.2026 14:05', '2026-06-03T12:05:00.000Z'],
    ['day-month-year', '3/6/26 14:05:10', '2026-06-03T12:05:10.000Z'],
    ['month-day-year', '06/03/2026 2:05 PM', '2026-06-03T12:05:00.000Z'],
    ['month-day-year', '06/03/2026 12:05 am', '2026-06-02T22:05:00.000Z'],
    ['year-month-day', '2026-06-03T14:05:00+05:30', '2026-06-03T08:35:00.000Z'],
    ['year-month-day', '2026-06-03T14:05:00Z', '2026-06-03T14:05:00.000Z'],
    ['unix-seconds', '1780495500', '2026-06-03T14:05:00.000Z'],
    ['unix-milliseconds', '1780495500000', '2026-06-03T14:05:00.000Z'],
  ] as const)('%s: %s', (order, cell, at) => {
    expect(moments([cell], { order })).toEqual([at]);
  });

  test('decimal commas, units behind the figure, °F and shares', () => {
    expect(read([['2026-06-03 12:00', '23,45 °C', '55,5 %']], { decimal: ',' }).taken[0]).toMatchObject({
      tempC: 23.45,
      rh: 0.555,
    });
    // 77 °F is 25 °C: definition of the scale
    expect(
      read([['2026-06-03 12:00', '77', '0.5']], { tempUnit: 'F', rhUnit: 'share' }).taken[0],
    ).toMatchObject({ tempC: 25, rh: 0.5 });
  });

  test('what the logger could not measure is not there; a row without either is refused', () => {
    expect(read([['2026-06-03 12:00', '--', '50']]).taken[0]).toMatchObject({ tempC: null, rh: 0.5 });
    expect(read([['2026-06-03 12:00', 'NaN', '']]).refused[0]).toMatch(
      /neither a temperature nor a humidity/,
    );
  });

  test('each fault says its line and the way to mend it; the others are taken; empty rows are nothing', () => {
    const { taken, refused } = read([
      ['2026-06-03 12:00', '24', '50'],
      ['', '', ''],
      ['03.06.2026 12:10', '24', '50'],
      ['2026-02-30 12:00', '24', '50'],
      ['2026-06-03', '24', '50'],
      ['2026-06-03 12:20', '24,5', '50'],
      ['2026-06-03 12:30', '240', '50'],
      ['2026-06-03 12:40', '24', '150'],
      ['2036-06-03 12:00', '24', '50'],
      ['1970-01-01 00:00', '24', '50'],
    ]);
    expect(taken).toHaveLength(1);
    expect(refused).toEqual([
      expect.stringMatching(/^3: .*not a date in the order year, month, day/),
      expect.stringMatching(/^4: .*not in the calendar/),
      expect.stringMatching(/^5: .*no time of day/),
      expect.stringMatching(/^6: “24,5” is not a temperature.*point or a comma/),
      expect.stringMatching(/^7: 240 °C is outside/),
      expect.stringMatching(/^8: 150 % is no humidity/),
      expect.stringMatching(/^9: .*future/),
      expect.stringMatching(/^10: .*before the year 2000/),
    ]);
  });
});

describe('what stands in which column', () => {
  test('is guessed from names, decimals and dates that can be read', () => {
    const rows = [
      ['Nr', 'Datum', 'Temperatur (°C)', 'Feuchte (%)'],
      ['1', '28.05.2026 13:00:00', '23,4', '51,2'],
      ['2', '28.05.2026 13:10:00', '23,5', '51,0'],
    ];
    expect(guessMapping(rows, 'Europe/Berlin', NOW)).toMatchObject({
      headRows: 1,
      time: 1,
      order: 'day-month-year',
      temp: 2,
      tempUnit: 'C',
      rh: 3,
      rhUnit: 'percent',
      decimal: ',',
    });
  });

  test('date and time apart, in °F, humidity as a share, below lines of the logger', () => {
    const rows = [
      ['Logger 17'],
      ['day', 'time', 'rh', 'temperature °F'],
      ['2026-05-28', '13:00', '0.51', '74.1'],
      ['2026-05-28', '13:10', '0.52', '74.3'],
    ];
    expect(guessMapping(rows, 'Europe/Berlin', NOW)).toMatchObject({
      headRows: 2,
      time: 0,
      clock: 1,
      temp: 3,
      tempUnit: 'F',
      rh: 2,
      rhUnit: 'share',
    });
  });

  test('a table without dates gives nothing', () => {
    expect(
      guessMapping(
        [
          ['a', 'b'],
          ['1', '2'],
        ],
        'Europe/Berlin',
        NOW,
      ),
    ).toBeNull();
  });
});

describe('lines of a probe', () => {
  test('a moment, °C and %, "-" for what is not measured', () => {
    expect(readingsOfLines('2026-06-01T12:00:00Z 24.31 55.0\n\n2026-06-01T12:10:00Z 24.3\r\n', NOW)).toEqual({
      readings: [
        { ms: Date.UTC(2026, 5, 1, 12), tempC: 24.31, rh: 0.55 },
        { ms: Date.UTC(2026, 5, 1, 12, 10), tempC: 24.3, rh: null },
      ],
    });
  });

  test.each([
    ['yesterday 24', 1, /not a moment/],
    ['2026-06-01T12:00:00Z 24 55\n2026-06-01T12:10:00Z warm', 2, /outside/],
    ['2026-06-01T12:00:00Z 24 55 extra', 1, /more on it/],
    ['2026-06-01T12:00:00 24', 1, /not a moment/],
  ])('%s', (text, line, reason) => {
    expect(readingsOfLines(text, NOW)).toEqual({ line, reason: expect.stringMatching(reason) });
  });
});
