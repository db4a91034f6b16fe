import { showDatesIn } from '@/ui/dates';
import { dayFault, momentOf, whenOf } from './when';

const NOW = new Date('2026-06-10T15:00:00Z');
const INTAKE = '2026-06-01T21:30:00.000Z';

afterEach(() => showDatesIn(null));

describe.each([
  ['UTC', '2026-06-05T20:00:00.000Z'],
  ['America/Los_Angeles', '2026-06-06T03:00:00.000Z'],
  ['Europe/Berlin', '2026-06-05T18:00:00.000Z'],
  ['Pacific/Auckland', '2026-06-05T08:00:00.000Z'],
])('the moment of what was seen or done, in %s', (zone, evening) => {
  beforeEach(() => showDatesIn(zone));

  test('is now, or the evening of another day there', () => {
    expect(momentOf(null, NOW, INTAKE)).toBe(NOW.toISOString());
    expect(momentOf(whenOf(NOW.toISOString()).day, NOW, INTAKE)).toBe(NOW.toISOString());
    expect(momentOf('2026-06-05', NOW, INTAKE)).toBe(evening);
  });
  test('on the day of intake never before it', () => {
    const { day } = whenOf(INTAKE);
    expect(momentOf(day, NOW, INTAKE) > INTAKE).toBe(true);
    expect(dayFault(day, NOW, { from: INTAKE })).toBeNull();
  });
  test('an amended entry keeps its hour while its day stays', () => {
    const was = '2026-06-05T10:12:00.000Z';
    const { day } = whenOf(was);
    expect(momentOf(day, NOW, INTAKE, was)).toBe(was);
    expect(momentOf('2026-06-07', NOW, INTAKE, was)).not.toBe(was);
  });
});

test('a day to come there is refused, though it has begun elsewhere', () => {
  const late = new Date('2026-06-10T23:30:00Z');
  showDatesIn('Pacific/Auckland');
  expect(dayFault('2026-06-11', late, { from: INTAKE })).toBeNull();
  showDatesIn('America/Los_Angeles');
  expect(dayFault('2026-06-11', late, { from: INTAKE })).toMatch(/still to come/);
  expect(dayFault('2026-05-31', late, { from: INTAKE })).toMatch(/taken in on 2026-06-01/);
  expect(dayFault('2026-06', late, { from: INTAKE })).toMatch(/not complete/);
});

test('an intake is not later than what was written after it, and as early as need be', () => {
  const limits = { from: null, to: '2026-06-04T20:00:00.000Z' };
  showDatesIn('UTC');
  expect(dayFault('2026-06-05', NOW, limits)).toMatch(/written of her on 2026-06-04 already/);
  expect(dayFault('2026-06-04', NOW, limits)).toBeNull();
  expect(dayFault('2019-06-04', NOW, limits)).toBeNull();
});

describe('earlier today', () => {
  beforeEach(() => showDatesIn('Europe/Berlin'));
  const at = (time: string) => momentOf(null, NOW, INTAKE, undefined, time);
  const fault = (time: string, from = INTAKE) => dayFault(null, NOW, { from }, time);

  test("is an hour of the keeper's clock", () => expect(at('08:30')).toBe('2026-06-10T06:30:00.000Z'));
  test('is neither to come nor before she was there, and whole', () => {
    expect(fault('08:30')).toBeNull();
    expect(fault('17:30')).toMatch(/still to come/);
    expect(fault('')).toMatch(/Give hours and minutes/);
    expect(fault('08:30', '2026-06-10T09:00:00.000Z')).toMatch(/before she was taken in/);
  });
});
