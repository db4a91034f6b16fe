import { day, DAY_ZERO, entry, look, QUEEN } from '../test-kit';
import { speciesProfile } from '../species/catalogue';
import { ledger } from './ledger/ledger';
import type { QueenLedger } from './ledger/queen-ledger';
import { addEvidence, learnedProfile, stageEvidence, type KindEvidence } from './learning';
import { outlook } from './outlook/outlook';

const TETRA = speciesProfile('tetramorium-immigrans');
const TEMP_C = 25;
const known = (...looks: ReturnType<typeof look>[]): QueenLedger =>
  ledger([entry(0, { kind: 'intake' }), ...looks], day(120))[QUEEN] as QueenLedger;
const said = (one: QueenLedger): KindEvidence => stageEvidence(TETRA, one, TEMP_C, 'north');

/** A queen looked at every `every` days whose stages began on these days. */
const seenEvery = (every: number, began: number[]): QueenLedger => {
  const looks = [];
  for (let d = every; d <= (began[3] as number) + every; d += every)
    looks.push(look(d, began.map((b) => (b <= d ? 5 : 0)) as [number, number, number, number]));
  return known(...looks);
};

const total = (queens: QueenLedger[]): KindEvidence =>
  queens.reduce<KindEvidence>((sum, q) => addEvidence(sum, said(q)), {});

describe('learning from own queens', () => {
  test('nothing finished, nothing learned: the profile stays as it is', () => {
    expect(said(known(look(7, [0, 0, 0, 0])))).toEqual({});
    expect(learnedProfile(TETRA, {}).stages).toEqual(TETRA.stages);
  });

  test('slow queens move the stage, more of them move it further and narrow it; n is told', () => {
    const { egg } = TETRA.stages;
    const usual = egg.degreeDays / (TEMP_C - egg.thresholdC);
    const slow = (i: number) => seenEvery(2, [8, 8 + usual * 1.4 + (i % 3), 60, 80]);
    const after = (n: number) =>
      learnedProfile(TETRA, total(Array.from({ length: n }, (_, i) => slow(i)))).stages.egg;
    expect(after(1).degreeDays).toBeGreaterThan(egg.degreeDays);
    expect(after(6).degreeDays).toBeGreaterThan(after(1).degreeDays);
    expect(after(6).degreeDays).toBeLessThan(egg.degreeDays * 1.5);
    expect(after(6).logSpread).toBeLessThan(after(1).logSpread);
    expect(after(1).logSpread).toBeLessThan(egg.logSpread);
    expect(after(6).source).toEqual({ kind: 'learned', n: 6 });
  });

  // Against integration over a grid of medians: likelihood Φ((ln high − m)/s) − Φ((ln low − m)/s), no closed form used.
  test('one interval moves the median as a grid of medians does', () => {
    const egg = TETRA.stages.egg;
    const rate = TEMP_C - egg.thresholdC;
    const one = seenEvery(7, [10, 30, 50, 70]);
    // eggs in (7, 14], larvae in (28, 35]: the egg stage took 14 to 28 days
    const [low, high] = [Math.log(14 * rate), Math.log(28 * rate)];
    const own = 0.5 * egg.logSpread ** 2;
    const s = Math.sqrt(own + TETRA.queenLogSpread.value ** 2);
    const mean = Math.log(egg.degreeDays);
    // error function after Abramowitz & Stegun 7.1.26
    const phi = (x: number) => {
      const t = 1 / (1 + (0.3275911 * Math.abs(x)) / Math.SQRT2);
      const poly =
        t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
      const erf = 1 - poly * Math.exp((-x * x) / 2);
      return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
    };
    let [mass, first, second] = [0, 0, 0];
    for (let m = mean - 2; m <= mean + 2; m += 0.001) {
      const w = Math.exp(-((m - mean) ** 2) / (2 * own)) * (phi((high - m) / s) - phi((low - m) / s));
      mass += w;
      first += w * m;
      second += w * m * m;
    }
    const grid = { mean: first / mass, variance: second / mass - (first / mass) ** 2 };
    const learned = learnedProfile(TETRA, said(one)).stages.egg;
    expect(Math.log(learned.degreeDays)).toBeCloseTo(grid.mean, 4);
    expect(learned.logSpread ** 2 - 0.5 * egg.logSpread ** 2).toBeCloseTo(grid.variance, 4);
  });

  test('queens of the usual kind, seen only weekly, do not drag the median away', () => {
    const days = (['laying', 'egg', 'larva', 'pupa'] as const).reduce<number[]>((sum, stage) => {
      const { degreeDays, thresholdC } = TETRA.stages[stage];
      return [...sum, (sum[sum.length - 1] ?? 0) + degreeDays / (TEMP_C - thresholdC)];
    }, []);
    const queens = Array.from({ length: 14 }, (_, i) =>
      seenEvery(
        7,
        days.map((d) => d + (i % 7)),
      ),
    );
    const learned = learnedProfile(TETRA, total(queens));
    for (const stage of ['egg', 'larva', 'pupa'] as const)
      expect(Math.abs(learned.stages[stage].degreeDays / TETRA.stages[stage].degreeDays - 1)).toBeLessThan(
        0.1,
      );
  });

  test('what is added can be taken away, so that no queen teaches herself', () => {
    const [a, b] = [seenEvery(3, [6, 15, 30, 45]), seenEvery(3, [9, 22, 40, 60])];
    const without = addEvidence(total([a, b]), said(b), -1);
    for (const stage of ['laying', 'egg', 'larva', 'pupa'] as const) {
      expect(without[stage]?.n).toBe(1);
      expect(without[stage]?.weighted).toBeCloseTo(said(a)[stage]?.weighted as number, 8);
    }
  });

  test('a duration that no queen of the kind shows teaches nothing', () => {
    expect(said(seenEvery(1, [2, 90, 91, 92])).egg).toBeUndefined();
  });

  test('what was learned re-dates the next queen', () => {
    const slow = total([0, 1, 2, 3, 4].map((i) => seenEvery(2, [9, 30 + i, 60 + i, 92 + i])));
    const fresh = ledger([entry(0, { kind: 'intake' })], DAY_ZERO)[QUEEN] as QueenLedger;
    const workers = (profile: typeof TETRA) =>
      outlook(profile, fresh, TEMP_C, DAY_ZERO, { draws: 2000, seed: 3 }).events.workers.band.p50 as string;
    expect(workers(learnedProfile(TETRA, slow)) > workers(TETRA)).toBe(true);
  });
});
