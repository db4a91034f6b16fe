import { usualTube } from '../tube/usual-tube';
import { amendmentSchema, effectiveEntries, entrySchema, lookSchema, type Entry } from './index';
import { placeSchema, queenSchema, tubeSchema } from '../facts';
import { day, entry, n, QUEEN, testId } from '../test-kit';

const head = { id: testId(), queenId: QUEEN, at: day(1), loggedAt: day(1) };
const faultsOf = (value: unknown) =>
  (entrySchema.safeParse(value).error?.issues ?? []).map((i) => `${i.path.join('.')}: ${i.message}`);

describe('what can be written', () => {
  test.each([
    ['intake', { found: 'walking', species: { profileId: 'messor-structor', sure: 'likely' } }],
    ['look', { queen: 'seen', eggs: n(8, 15), waterLineMm: 71, wetFront: 'right', mould: 'none' }],
    ['feed', { food: 'sugar', outcome: 'taken' }],
    ['note', { text: 'quiet' }],
    ['rest', { until: day(20) }],
    ['loss', { how: 'died', cause: 'unknown' }],
    ['amendment', { amends: testId(), replacement: null }],
  ])('%s', (kind, fields) => {
    expect(faultsOf({ ...head, kind, ...fields })).toEqual([]);
  });

  test('a look may say as little as that there was one', () => {
    expect(faultsOf({ ...head, kind: 'look' })).toEqual([]);
  });

  test('fields of no kind are dropped, not kept', () => {
    expect(entrySchema.parse({ ...head, kind: 'note', text: 'x', secret: 1 })).not.toHaveProperty('secret');
  });
});

describe('what cannot', () => {
  test.each([
    ['a note without words', { kind: 'note', text: '' }, /text: The note is empty/],
    ['a note too long', { kind: 'note', text: 'x'.repeat(4001) }, /longer than 4,000 characters/],
    ['eggs upside down', { kind: 'look', eggs: n(9, 2) }, /eggs.high: The upper count is below/],
    ['half an egg', { kind: 'look', eggs: n(0.5, 2) }, /eggs.low: The lower count is not a whole number/],
    [
      'eggs that are no number',
      { kind: 'look', eggs: { low: NaN, high: null } },
      /eggs.low: The lower count is not a number/,
    ],
    [
      'water below the closed end',
      { kind: 'look', waterLineMm: -4 },
      /waterLineMm: The water line is below 0/,
    ],
    ['water in metres', { kind: 'look', waterLineMm: 7100 }, /Check the unit/],
    ['an unknown food', { kind: 'feed', food: 'cake' }, /food/],
    ['an unknown kind', { kind: 'wish' }, /Use intake, look, feed/],
    [
      'a time without a zone',
      { kind: 'note', text: 'x', at: '2026-05-01T10:00:00' },
      /at: Give a date and time in UTC/,
    ],
    [
      'an id of version 4',
      { kind: 'note', text: 'x', id: '11111111-1111-4111-8111-111111111111' },
      /version 7/,
    ],
  ])('%s', (_, fields, says) => {
    expect(faultsOf({ ...head, ...fields }).join('\n')).toMatch(says);
  });

  test('an amendment cannot replace by another amendment', () => {
    const inner = { kind: 'amendment', ...head, amends: testId(), replacement: null };
    expect(amendmentSchema.safeParse({ ...inner, id: testId(), replacement: inner }).success).toBe(false);
  });
});

describe('two devices that amend one entry', () => {
  const written = entry(0, { kind: 'note', text: 'one queen' });
  const amend = (text: string, onDay: number, over: string | null | undefined): Entry => ({
    kind: 'amendment',
    id: testId(),
    queenId: written.queenId,
    at: day(onDay),
    loggedAt: day(onDay),
    amends: written.id,
    ...(over === undefined ? {} : { over }),
    replacement: { kind: 'note', at: written.at, text },
  });
  const rivalOf = (...entries: Entry[]) => effectiveEntries([written, ...entries])[0]?.rival;

  test('the later holds, and the one that it did not know of is shown beside it', () => {
    const [a, b] = [amend('two queens', 1, null), amend('three queens', 2, null)];
    const [found] = effectiveEntries([written, b, a]);
    expect(found?.entry).toMatchObject({ text: 'three queens' });
    expect(found?.rival?.id).toBe(a.id);
  });
  test('one that knew of the other is no rival, nor is one that says the same', () => {
    const a = amend('two queens', 1, null);
    expect(rivalOf(a, amend('three queens', 2, a.id))).toBeNull();
    expect(rivalOf(a, amend('two queens', 2, null))).toBeNull();
  });
  test('once it is settled nobody asks again', () => {
    const [a, b] = [amend('two queens', 1, null), amend('three queens', 2, null)];
    expect(rivalOf(a, b, amend('two queens', 3, b.id))).toBeNull();
  });
  test('older logs do not say what they knew, and are left as they were', () => {
    expect(rivalOf(amend('two queens', 1, undefined), amend('three queens', 2, undefined))).toBeNull();
  });
});

describe('tubes, places, queens', () => {
  const tube = usualTube(testId(), day(0));
  const says = (change: object) =>
    (tubeSchema.safeParse({ ...tube, ...change }).error?.issues ?? []).map((i) => i.message).join('\n');

  test('a usual tube is taken', () => expect(says({})).toBe(''));
  test.each([
    [{ boreMm: 16 }, /bore \(16 mm\) is not smaller than the outside \(16 mm\)/],
    [{ waterLineMm: 151 }, /lies beyond the tube \(150 mm\)/],
    [{ waterLineMm: 120 }, /leave no chamber/],
    [{ lengthMm: 5 }, /below 20 mm/],
    [{ lengthMm: NaN }, /not a number/],
    [{ plugs: { innerMm: 0, outerMm: 15 } }, /inner plug is below 2 mm/],
  ])('%j is refused', (change, expected) => expect(says(change)).toMatch(expected));

  test('a place has a name, a warmth in which ants live, and a humidity as a share', () => {
    const place = { id: testId(), name: 'Drawer', tempC: 24, roomRelHumidity: 0.5 };
    expect(placeSchema.parse(place).winter).toBeNull();
    for (const change of [{ name: ' ' }, { tempC: -3 }, { tempC: 77 }, { roomRelHumidity: 50 }]) {
      expect(placeSchema.safeParse({ ...place, ...change }).success).toBe(false);
    }
  });

  test('a queen needs a name to be told from her sisters', () => {
    const queen = { id: testId(), label: ' ', homeId: testId(), placeId: testId(), createdAt: day(0) };
    expect(queenSchema.safeParse(queen).error?.issues[0]?.message).toMatch(/letter or a name/);
  });
});

describe('amendments', () => {
  const look = () => entry(5, { kind: 'look', eggs: n(50) });
  const amend = (amends: string, loggedDay: number, replacement: unknown) =>
    amendmentSchema.parse({
      ...head,
      kind: 'amendment',
      id: testId(),
      loggedAt: day(loggedDay),
      amends,
      replacement,
    });
  const body = (eggs: number) => lookSchema.parse({ kind: 'look', at: day(5), eggs: n(eggs) });

  test('keep the original beside what holds now', () => {
    const wrong = look();
    const [item] = effectiveEntries([wrong, amend(wrong.id, 6, body(5))]);
    expect(item?.original).toBe(wrong);
    expect(item?.entry).toMatchObject({ id: wrong.id, eggs: { low: 5, high: 5 } });
  });

  test('the last written wins, in whatever order they arrive', () => {
    const wrong = look();
    const [a, b] = [amend(wrong.id, 6, body(5)), amend(wrong.id, 7, body(6))];
    for (const order of [
      [wrong, a, b],
      [b, a, wrong],
      [a, wrong, b],
    ]) {
      expect(effectiveEntries(order)[0]?.entry).toMatchObject({ eggs: { low: 6 } });
    }
  });

  test('withdrawn and brought back, as often as one likes', () => {
    const wrong = look();
    const gone = amend(wrong.id, 6, null);
    const back = amend(gone.id, 7, null);
    const goneAgain = amend(back.id, 8, null);
    expect(effectiveEntries([wrong, gone])[0]?.entry).toBeNull();
    expect(effectiveEntries([wrong, gone, back])[0]?.entry).toMatchObject({ eggs: { low: 50 } });
    expect(effectiveEntries([wrong, gone, back, goneAgain])[0]?.entry).toBeNull();
  });

  test('can move an entry to another day, and the order follows', () => {
    const first = entry(3, { kind: 'note', text: 'first' });
    const wrong = look();
    const earlier = amend(wrong.id, 6, { ...body(5), at: day(1) });
    expect(effectiveEntries([first, wrong, earlier]).map((e) => e.original.id)).toEqual([wrong.id, first.id]);
  });
});
