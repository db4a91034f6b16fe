import { amendmentSchema, type Entry } from '../../log';
import { day, DAY_ZERO, entry, look, n, QUEEN, testId } from '../../test-kit';
import { ledger } from './ledger';

const intake = () => entry(0, { kind: 'intake' });
const one = (entries: Entry[], onDay: number) => {
  const known = ledger(entries, day(onDay))[QUEEN];
  if (!known) throw new Error('no ledger');
  return known;
};
const amend = (target: Entry, onDay: number, replacement: unknown) =>
  amendmentSchema.parse({
    kind: 'amendment',
    id: testId(),
    queenId: QUEEN,
    at: day(onDay),
    loggedAt: day(onDay),
    amends: target.id,
    replacement,
  });

describe('ledger', () => {
  test('brackets a first appearance by the last look without and the first look with', () => {
    const entries = [intake(), look(7, [0, 0, 0, 0]), look(14, [5, 0, 0, 0]), look(28, [6, 4, 0, 0])];
    const known = one(entries, 30);
    expect(known.appearances.eggs.interval).toEqual({ after: day(7), by: day(14) });
    expect(known.appearances.larvae.interval).toEqual({ after: day(14), by: day(28) });
    expect(known.appearances.pupae.interval).toEqual({ after: day(28), by: null });
    expect(known.looksSpent).toBe(3);
    expect(known.daysSinceDisturbed).toBeCloseTo(2, 10);
  });

  test('does not depend on the order in which entries arrive', () => {
    const entries = [intake(), look(7, [0, 0, 0, 0]), look(14, [5, 0, 0, 0])];
    expect(one([...entries].reverse(), 20)).toEqual(one(entries, 20));
  });

  test('a stage not counted says nothing; a later stage implies the earlier', () => {
    const entries = [intake(), entry(20, { kind: 'look', larvae: n(3, 5) })];
    const known = one(entries, 21);
    expect(known.appearances.eggs).toMatchObject({
      implied: true,
      interval: { after: DAY_ZERO, by: day(20) },
    });
    expect(known.appearances.larvae.implied).toBe(false);
    expect(known.counts.eggs?.at).toBe(DAY_ZERO);
    expect(known.counts.larvae?.range).toEqual({ low: 3, high: 5 });
  });

  test('"perhaps none" is no evidence either way', () => {
    const known = one([intake(), entry(9, { kind: 'look', eggs: n(0, 2) })], 10);
    expect(known.appearances.eggs.interval).toEqual({ after: DAY_ZERO, by: null });
  });

  test('a bought queen with workers has no look without them', () => {
    const known = one([entry(0, { kind: 'intake', found: 'bought', workers: n(6) })], 1);
    expect(known.appearances.workers.interval).toEqual({ after: null, by: DAY_ZERO });
    expect(known.appearances.eggs.interval.after).toBeNull();
  });

  test('brood that is all gone without a worker is lost, and she begins again', () => {
    const entries = [intake(), look(10, [8, 0, 0, 0]), look(20, [5, 2, 0, 0]), look(30, [0, 0, 0, 0])];
    const known = one(entries, 31);
    expect(known.broodLost).toEqual([
      {
        interval: { after: day(20), by: day(30) },
        what: 'brood',
        most: 7,
        entryId: (entries[3] as Entry).id,
      },
    ]);
    expect(known.appearances.eggs.interval).toEqual({ after: day(30), by: null });
  });

  test('brood that has become workers is not lost', () => {
    const known = one([intake(), look(40, [3, 3, 3, 0]), look(60, [0, 0, 0, 7])], 61);
    expect(known.broodLost).toEqual([]);
    expect(known.appearances.workers.interval.by).toBe(day(60));
  });

  test('an amendment replaces, a later one replaces again, and withdrawing it brings the former back', () => {
    const wrong = look(14, [50, 0, 0, 0]);
    const body = { kind: 'look', at: day(14), eggs: n(5) };
    const first = amend(wrong, 15, body);
    const second = amend(wrong, 16, { ...body, eggs: n(6) });
    const undo = amend(second, 17, null);
    const eggs = (...more: Entry[]) => one([intake(), wrong, ...more], 20).counts.eggs?.range.low;
    expect(eggs()).toBe(50);
    expect(eggs(first)).toBe(5);
    expect(eggs(first, second)).toBe(6);
    expect(eggs(first, second, undo)).toBe(5);
  });

  test('a withdrawn look was never spent', () => {
    const wrong = look(14, [5, 0, 0, 0]);
    const known = one([intake(), wrong, amend(wrong, 14, null)], 20);
    expect(known.looksSpent).toBe(0);
    expect(known.appearances.eggs.interval.by).toBeNull();
  });

  test('a look that does not see her is not a death; a look that sees her after one is a contradiction', () => {
    const entries = [intake(), entry(5, { kind: 'look', queen: 'not-seen' })];
    expect(one(entries, 6).loss).toBeNull();
    const dead = entry(8, { kind: 'loss', how: 'died' });
    const known = one([...entries, dead, look(9, [0, 0, 0, 0])], 10);
    expect(known.contradictions[0]?.readings.map((r) => r.entryId)).toContain(dead.id);
  });

  test('refuses the future and broken counts with a sentence', () => {
    expect(() => ledger([intake(), look(9, [0, 0, 0, 0])], day(3))).toThrow(
      /lies in the future. Correct its date/,
    );
    const broken = { ...look(2, [0, 0, 0, 0]), eggs: { low: 9, high: 3 } } as Entry;
    expect(() => ledger([intake(), broken], day(3))).toThrow(
      /upper count \(3\) is below the lower count \(9\)/,
    );
    const nan = { ...look(2, [0, 0, 0, 0]), eggs: { low: NaN, high: null } } as Entry;
    expect(() => ledger([intake(), nan], day(3))).toThrow(/not a whole number/);
  });
});
