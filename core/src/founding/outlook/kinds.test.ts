import { day, entry, look, n, QUEEN } from '../../test-kit';
import { daysBetween } from '../../quantity';
import type { Entry } from '../../log';
import { speciesProfile } from '../../species/catalogue';
import { ledger, outlook, outlookOfKinds } from '../index';

const fast = speciesProfile('tetramorium-immigrans');
const slow = speciesProfile('camponotus-vagus');
const known = (...entries: Entry[]) => ledger(entries, day(80))[QUEEN]!;
const intake = () => entry(0, { kind: 'intake' });
const workers = (o: ReturnType<typeof outlook>) => daysBetween(day(0), o.events.workers.band.p50!);
const mixed = (k: ReturnType<typeof known>, weight: number, now = day(1)) =>
  outlookOfKinds(
    [
      { profile: fast, weight },
      { profile: slow, weight: 1 - weight },
    ],
    k,
    25,
    now,
    { draws: 4000 },
  );

test('one certain species is the plain outlook', () => {
  const k = known(intake());
  const one = outlookOfKinds([{ profile: fast, weight: 1 }], k, 25, day(1));
  expect(one.outlook).toEqual(outlook(fast, k, 25, day(1)));
  expect(one.shares).toEqual([1]);
});

test('an uncertain one lies between the two, and its band spans both', () => {
  const k = known(intake());
  const [a, b] = [outlook(fast, k, 25, day(1)), outlook(slow, k, 25, day(1))];
  const m = mixed(k, 0.5).outlook;
  expect(workers(m)).toBeGreaterThan(workers(a));
  expect(workers(m)).toBeLessThan(workers(b));
  expect(m.events.workers.band.p10! < b.events.workers.band.p10!).toBe(true);
  expect(m.events.workers.band.p90! > a.events.workers.band.p90!).toBe(true);
});

test('before the log says anything the shares stay as given', () => {
  const { shares } = mixed(known(intake()), 0.7);
  expect(shares[0]).toBeCloseTo(0.7, 2);
  expect(shares[0]! + shares[1]!).toBeCloseTo(1, 12);
});

test('a queen as quick as the one and too quick for the other moves the shares', () => {
  const quick = known(intake(), look(8, [6, 0, 0, 0]), look(19, [0, 6, 0, 0]), look(30, [0, 0, 6, 0]));
  const { shares } = mixed(quick, 0.5, day(31));
  expect(shares[0]).toBeGreaterThan(0.7);
});

test('the shares follow Bayes’ rule: what each species alone would have done until an empty look', () => {
  // no eggs at a look on day 20: the log-normal share still waiting then, by hand, softened by what may be overlooked
  const seen = known(intake(), look(20, [0, 0, 0, 0]));
  const waiting = (profile: typeof fast, after: number) => {
    const free = outlook(profile, known(intake()), 25, day(after), { draws: 40_000 });
    return 1 - free.events.eggs.byNow / (1 - free.neverLays);
  };
  const { shares } = mixed(seen, 0.5, day(21));
  const ratio = shares[1]! / shares[0]!;
  // eggs laid in the days just before the look may have been overlooked: the truth lies between two clear cases
  const bounds = [20, 8].map((d) => waiting(slow, d) / waiting(fast, d)).sort((a, b) => a - b);
  expect(ratio).toBeGreaterThan(bounds[0]! * 0.97);
  expect(ratio).toBeLessThan(bounds[1]! * 1.03);
});

test('a day of capture that is not known for sure widens what follows', () => {
  const sure = outlook(fast, known(intake()), 25, day(1));
  const unsure = outlook(fast, known(entry(0, { kind: 'intake', earliest: day(-30) })), 25, day(1));
  const width = (o: typeof sure) => daysBetween(o.events.workers.band.p10!, o.events.workers.band.p90!);
  expect(width(unsure)).toBeGreaterThan(width(sure));
  expect(unsure.events.workers.band.p10! < sure.events.workers.band.p10!).toBe(true);
});

describe('what the log says of the founder', () => {
  test('offers, wings and signs become evidence, each with its entry', () => {
    const k = known(
      entry(0, { kind: 'intake', wings: 'winged' }),
      entry(8, { kind: 'feed', food: 'protein', outcome: 'left' }),
      entry(9, { kind: 'sign', restless: true, shape: 'slim-large-head' }),
    );
    expect(k.founderSigns.map((s) => [s.kind, s.value])).toEqual([
      ['wings', 'winged'],
      ['protein', 'refused'],
      ['shape', 'slim-large-head'],
      ['restless', true],
    ]);
    expect(k.founderSigns.every((s) => s.entryId.length === 36)).toBe(true);
  });

  test('pupae without a feed: brood raised unfed; with one, or with pupae bought, not', () => {
    const unfed = (...e: Parameters<typeof known>) =>
      known(...e).founderSigns.some((s) => s.kind === 'brood-unfed');
    const looks = [look(20, [4, 0, 0, 0]), look(50, [0, 0, 3, 0])];
    expect(unfed(intake(), ...looks)).toBe(true);
    expect(unfed(intake(), entry(9, { kind: 'feed', food: 'sugar', outcome: 'taken' }), ...looks)).toBe(
      false,
    );
    expect(unfed(entry(0, { kind: 'intake', found: 'bought', pupae: n(3) }))).toBe(false);
  });

  test('a welcome drop was given in the catch vial, and stayed there', () => {
    const drop = entry(0, { kind: 'intake', welcomeDrop: true });
    expect(known(drop)).toMatchObject({ welcomeDrop: { at: day(0) }, offers: [] });
  });

  test('named anew, the later name holds', () => {
    const k = known(
      intake(),
      entry(5, {
        kind: 'identify',
        species: { profileId: 'messor-structor', sure: 'likely', namedBy: 'club' },
      }),
    );
    expect(k.species).toMatchObject({ profileId: 'messor-structor', namedBy: 'club' });
  });
});
