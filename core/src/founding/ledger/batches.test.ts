import { amendmentSchema, type Entry } from '../../log';
import { day, entry, look, n, QUEEN, testId } from '../../test-kit';
import { ledger } from './ledger';
import type { QueenLedger } from './queen-ledger';

const intake = () => entry(0, { kind: 'intake' });
const known = (...entries: Entry[]): QueenLedger =>
  ledger([intake(), ...entries], day(200))[QUEEN] as QueenLedger;

describe('batches', () => {
  test('none before eggs; the first from the first eggs on', () => {
    expect(known(look(7, [0, 0, 0, 0])).batches).toEqual([]);
    expect(known(look(7, [0, 0, 0, 0]), look(14, [4, 0, 0, 0])).batches).toMatchObject([
      { eggs: { after: day(7), by: day(14) }, larvae: null, by: 'first' },
    ]);
  });

  test('eggs that come back after a look without are a second batch, between those two looks', () => {
    const one = known(
      look(10, [6, 0, 0, 0]),
      look(25, [0, 6, 0, 0]),
      look(40, [5, 0, 6, 0]),
      look(55, [0, 5, 0, 6]),
      look(70, [0, 0, 5, 6]),
    );
    expect(one.batches).toHaveLength(2);
    expect(one.batches[1]).toMatchObject({
      eggs: { after: day(25), by: day(40) },
      larvae: { after: day(40), by: day(55) },
      pupae: { after: day(55), by: day(70) },
      by: 'gap',
    });
  });

  // Common practice, no source: she lays again when the first brood pupates.
  test('eggs beside pupae are of a second batch even when no look found a gap', () => {
    const one = known(look(10, [6, 0, 0, 0]), look(25, [3, 5, 0, 0]), look(40, [5, 1, 6, 0]));
    expect(one.batches.map((b) => b.by)).toEqual(['first', 'beside-pupae']);
    expect(one.batches[1]?.eggs).toEqual({ after: day(25), by: day(40) });
  });

  test('after all brood was lost the first batch is counted anew', () => {
    const one = known(look(10, [6, 0, 0, 0]), look(20, [0, 0, 0, 0]), look(30, [4, 0, 0, 0]));
    expect(one.broodLost).toHaveLength(1);
    expect(one.batches).toMatchObject([{ eggs: { after: day(20), by: day(30) }, by: 'first' }]);
  });
});

describe('workers of a kind, the dead, and words', () => {
  test('keeps the first appearance and the last count of each caste', () => {
    const at = (d: number, majors: number) =>
      entry(d, { kind: 'look', workers: n(30), majors: n(majors), pupaeIn: 'cocoons' });
    const one = known(at(80, 0), at(100, 1), at(120, 3));
    expect(one.castes.majors).toMatchObject({
      first: { after: day(80), by: day(100) },
      last: { range: { low: 3, high: 3 }, at: day(120) },
    });
    expect(one.castes.alates).toBeNull();
    expect(one.pupaeIn).toBe('cocoons');
  });

  test('dead workers add up as ranges', () => {
    const one = known(
      entry(90, { kind: 'look', deadWorkers: n(1, 2) }),
      entry(100, { kind: 'look', deadWorkers: n(2) }),
    );
    expect(one.deadWorkers).toEqual({ low: 3, high: 4 });
  });

  test('“lots” keeps its word and counts as at least twenty', () => {
    const one = known(entry(90, { kind: 'look', larvae: { low: 20, high: null, word: 'lots' } }));
    expect(one.counts.larvae?.range).toEqual({ low: 20, high: null, word: 'lots' });
    expect(one.appearances.eggs.implied).toBe(true);
  });

  test('an orphan colony and how sure the cause is', () => {
    const one = known(
      look(80, [0, 0, 4, 6]),
      entry(90, { kind: 'loss', how: 'died', cause: 'mould', certainty: 'guess', colonyGoesOn: true }),
    );
    expect(one.loss).toMatchObject({ orphans: true, certainty: 'guess', cause: 'mould' });
  });
});

describe('contradictions are shown with both readings, never resolved', () => {
  const says = (...entries: Entry[]) => known(...entries).contradictions;

  test('an ordinary log has none', () => {
    expect(says(look(7, [0, 0, 0, 0]), look(20, [5, 0, 0, 0]), look(33, [4, 4, 0, 0]))).toEqual([]);
  });

  test('workers nine days after nothing at all', () => {
    const [a, b] = [look(7, [0, 0, 0, 0]), look(16, [0, 0, 0, 4])];
    const [found] = says(a, b);
    expect(found?.says).toMatch(/workers 9 days later/);
    expect(found?.readings.map((r) => r.entryId)).toEqual([a.id, b.id]);
    // workers after four weeks are quick, but no contradiction
    expect(says(look(7, [0, 0, 0, 0]), look(35, [0, 0, 0, 4]))).toEqual([]);
  });

  test('two looks of one hour that cannot both be right; overlapping ranges can', () => {
    const near = (eggs: { low: number; high: number | null }) => entry(14.04, { kind: 'look', eggs });
    const first = entry(14, { kind: 'look', eggs: n(5, 8) });
    expect(says(first, near(n(12)))[0]?.says).toMatch(/5–8 and 12 eggs/);
    expect(says(first, near(n(7, 12)))).toEqual([]);
  });

  test('more callows than workers, more queens than were taken in', () => {
    expect(says(entry(80, { kind: 'look', workers: n(3), callows: n(5) }))[0]?.readings).toHaveLength(2);
    expect(says(entry(80, { kind: 'look', queensSeen: 2 }))[0]?.says).toMatch(/2 queens, yet one was/);
  });

  test('amending one of the two settles it', () => {
    const wrong = entry(80, { kind: 'look', queensSeen: 2 });
    const mend = amendmentSchema.parse({
      kind: 'amendment',
      id: testId(),
      queenId: QUEEN,
      at: day(81),
      loggedAt: day(81),
      amends: wrong.id,
      replacement: { kind: 'look', at: day(80), queensSeen: 1 },
    });
    expect(says(wrong, mend)).toEqual([]);
  });
});
