import { usualBody } from '../housing';
import { day, entry, QUEEN, testId, TUBE } from '../test-kit';
import type { Queen } from '../facts';
import { corrected, isWithdrawn, type Entry } from './index';

const queen: Queen = {
  id: QUEEN,
  label: 'A',
  batch: '',
  homeId: TUBE.id,
  placeId: '018f0000-0000-7000-8000-000000000009',
  lookingSchool: null,
  createdAt: day(0),
};
const named = (onDay: number, was: string, is: string) =>
  entry(onDay, { kind: 'correct', label: { was, is } } as never);
const withdraw = (e: Entry, onDay: number): Entry =>
  ({
    kind: 'amendment',
    id: testId(),
    queenId: QUEEN,
    at: day(onDay),
    loggedAt: day(onDay),
    amends: e.id,
    replacement: null,
  }) as Entry;
const facts = (...entries: Entry[]) => ({ queen, home: TUBE, entries });
const labelOf = (...entries: Entry[]) => corrected(facts(...entries)).queen.label;

describe('what stands outside the log, put right in it', () => {
  const [first, second] = [named(1, 'A', 'B'), named(3, 'B', 'C')];

  test('the last correction holds, in whatever order they are read', () => {
    expect(labelOf(first)).toBe('B');
    expect(labelOf(second, first)).toBe('C');
  });
  test('a withdrawn one gives way to the one before, and the first to what was written', () => {
    expect(labelOf(first, second, withdraw(second, 4))).toBe('B');
    expect(labelOf(first, withdraw(first, 4))).toBe('A');
    const undone = withdraw(second, 4);
    expect(labelOf(first, second, undone, withdraw(undone, 5))).toBe('C');
  });
  test('applied twice it changes nothing more, also after a withdrawal', () => {
    const once = corrected(facts(first, second));
    expect(corrected(once)).toEqual(once);
    const later = corrected({ ...once, entries: [first, second, withdraw(first, 5), withdraw(second, 6)] });
    expect(later.queen.label).toBe('A');
  });
  test('a tube keeps its id and its day; what was not corrected stays', () => {
    const { id, kind, setUpAt, ...was } = TUBE;
    const e = entry(2, { kind: 'correct', tube: { was, is: { ...was, lengthMm: 200 } } } as never);
    expect(corrected(facts(e)).home).toEqual({ ...TUBE, id, kind, setUpAt, lengthMm: 200 });
    expect(corrected(facts(e)).queen).toEqual(queen);
  });
  test('so does a first home that is no tube; a correction of the other kind changes neither', () => {
    const cell = { ...usualBody('h', 'cell'), setUpAt: TUBE.setUpAt };
    const { id, setUpAt, ...was } = cell;
    const e = entry(2, { kind: 'correct', body: { was, is: { ...was, widthMm: 45 } } } as never);
    const inCell = { ...facts(e), home: cell };
    expect(corrected(inCell).home).toEqual({ ...cell, id, setUpAt, widthMm: 45 });
    expect(corrected(facts(e)).home).toEqual(TUBE);
  });
  test('without a correction the very same facts come back', () => {
    const plain = facts(entry(0, { kind: 'intake' }));
    expect(corrected(plain)).toBe(plain);
  });
});

describe('a queen taken in by mistake', () => {
  const intake = entry(0, { kind: 'intake' });
  test('is withdrawn with her intake, and back with it', () => {
    expect(isWithdrawn([intake])).toBe(false);
    const gone = withdraw(intake, 1);
    expect(isWithdrawn([intake, gone])).toBe(true);
    expect(isWithdrawn([intake, gone, withdraw(gone, 2)])).toBe(false);
  });
  test('an intake put right is no withdrawal, and a log without one says nothing', () => {
    const { id: _id, queenId: _q, loggedAt: _l, ...body } = intake as Entry & { kind: 'intake' };
    const right = { ...withdraw(intake, 1), replacement: { ...body, queens: 2 } } as Entry;
    expect(isWithdrawn([intake, right])).toBe(false);
    expect(isWithdrawn([])).toBe(false);
  });
});
