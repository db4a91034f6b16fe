import {
  addCalendarDays,
  calendarDaysBetween,
  dayOf,
  InputError,
  isZone,
  startOfDay,
  weekdayOf,
} from './index';

// Offsets and changes of the clocks: IANA time zone database.
describe('the keeper’s day', () => {
  test.each([
    // 21:30 on 1 June in Chicago (UTC−5 in summer) is 02:30 of the 2nd in UTC
    ['2026-06-02T02:30:00.000Z', 'America/Chicago', '2026-06-01'],
    ['2026-06-02T02:30:00.000Z', 'UTC', '2026-06-02'],
    ['2026-06-02T06:59:59.000Z', 'America/Los_Angeles', '2026-06-01'],
    ['2026-06-02T07:00:00.000Z', 'America/Los_Angeles', '2026-06-02'],
    ['2026-06-01T22:00:00.000Z', 'Europe/Berlin', '2026-06-02'],
    ['2026-01-01T22:59:59.000Z', 'Europe/Berlin', '2026-01-01'],
    ['2026-06-01T12:00:00.000Z', 'Pacific/Auckland', '2026-06-02'],
    ['2026-01-01T10:59:59.000Z', 'Pacific/Auckland', '2026-01-01'],
  ])('%s is in %s the %s', (at, zone, day) => expect(dayOf(at, zone)).toBe(day));

  test.each(['America/Los_Angeles', 'Europe/Berlin', 'Pacific/Auckland', 'UTC'])(
    'in %s each day of a year begins where the one before ends',
    (zone) => {
      for (let day = '2026-01-01'; day < '2027-01-01'; day = addCalendarDays(day, 1)) {
        const start = startOfDay(day, zone);
        expect(dayOf(start, zone)).toBe(day);
        const before = new Date(Date.parse(start) - 1).toISOString();
        expect(dayOf(before, zone)).toBe(addCalendarDays(day, -1));
      }
    },
  );

  test('a day on which the clocks change is still one day', () => {
    expect(
      Date.parse(startOfDay('2026-03-30', 'Europe/Berlin')) -
        Date.parse(startOfDay('2026-03-29', 'Europe/Berlin')),
    ).toBe(23 * 3_600_000);
    expect(calendarDaysBetween('2026-03-28', '2026-03-30')).toBe(2);
  });

  test('weekdays go with the day, not with UTC: 1 June 2026 is a Monday', () => {
    expect(weekdayOf('2026-06-01')).toBe(1);
    expect(weekdayOf(dayOf('2026-06-02T02:30:00.000Z', 'America/Chicago'))).toBe(1);
  });

  test('what is no zone or no day is refused with an example', () => {
    expect(() => dayOf('2026-06-01T00:00:00Z', 'Middle/Earth')).toThrow(
      '"Middle/Earth" is not a time zone. Give one like Europe/Berlin.',
    );
    expect(() => startOfDay('1 June', 'UTC')).toThrow(InputError);
    expect([isZone('Europe/Berlin'), isZone('nowhere')]).toEqual([true, false]);
  });
});
