import { DAY_MS } from '../../quantity';
import { byDay, columnsOf, HOUR_MS, lowestAndHighest, placeRecord, rolled, wholeDays } from '../index';

describe('a thermometer that remembers lowest and highest', () => {
  const at = (iso: string) => Date.parse(iso);
  test('each is put at the hour at which days are usually so, and never in the future', () => {
    const read = lowestAndHighest(18, 25, at('2026-06-10T06:30:00Z'), 'Europe/Berlin');
    // half past eight in the morning there: the lowest was this morning, the highest yesterday
    expect(read).toEqual([
      { ms: at('2026-06-09T13:00:00Z'), tempC: 25, rh: null },
      { ms: at('2026-06-10T03:00:00Z'), tempC: 18, rh: null },
    ]);
    const evening = lowestAndHighest(18, 25, at('2026-06-10T18:00:00Z'), 'Europe/Berlin');
    expect(evening.map((r) => r.ms)).toEqual([at('2026-06-10T03:00:00Z'), at('2026-06-10T13:00:00Z')]);
  });

  test('a week of them is a record whose days swing about the middle', () => {
    const zone = 'UTC';
    const readings = Array.from({ length: 8 }, (_, d) =>
      lowestAndHighest(18, 26, at('2026-06-01T20:00:00Z') + d * DAY_MS, zone),
    ).flat();
    const hours = byDay(columnsOf(readings)).flatMap(({ day, columns }) =>
      rolled(columns, day * DAY_MS, HOUR_MS, 24).filter((h) => h.n > 0),
    );
    const placeId = 'p';
    const probe = { stays: [{ from: '2026-01-01T00:00:00Z', placeId }], checks: [] };
    const record = placeRecord(placeId, [{ probe, hours }]);
    const first = record?.days[0]?.day ?? 0;
    const [day] = wholeDays(record?.days ?? [], first, first);
    expect(day?.meanC).toBeCloseTo(22, 6);
    expect([Math.min(...(day?.partsC ?? [])), Math.max(...(day?.partsC ?? []))]).toEqual([18, 26]);
  });
});
