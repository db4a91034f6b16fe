import { day, DAY_ZERO, entry, look, QUEEN } from '../test-kit';
import { profilesWith, speciesProfile } from '../species/catalogue';
import { ledger } from './ledger/ledger';
import type { QueenLedger } from './ledger/queen-ledger';
import { addEvidence, learnedProfile, stageEvidence, taughtOf, type KindEvidence } from './learning';
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

const learned = (evidence: KindEvidence) => learnedProfile(TETRA, { own: evidence, kin: {} });
const total = (queens: QueenLedger[]): KindEvidence =>
  queens.reduce<KindEvidence>((sum, q) => addEvidence(sum, said(q)), {});

describe('learning from own queens', () => {
  test('nothing finished, nothing learned: the profile stays as it is', () => {
    expect(said(known(look(7, [0, 0, 0, 0])))).toEqual({});
    expect(learned({}).stages).toEqual(TETRA.stages);
  });

  test('slow queens move the stage, more of them move it further and narrow it; n is told', () => {
    const { egg } = TETRA.stages;
    const usual = egg.degreeDays / (TEMP_C - egg.thresholdC);
    const slow = (i: number) => seenEvery(2, [8, 8 + usual * 1.4 + (i % 3), 60, 80]);
    const after = (n: number) => learned(total(Array.from({ length: n }, (_, i) => slow(i)))).stages.egg;
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
    const after = learned(said(one)).stages.egg;
    expect(Math.log(after.degreeDays)).toBeCloseTo(grid.mean, 4);
    expect(after.logSpread ** 2 - 0.5 * egg.logSpread ** 2).toBeCloseTo(grid.variance, 4);
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
    const after = learned(total(queens));
    for (const stage of ['egg', 'larva', 'pupa'] as const)
      expect(Math.abs(after.stages[stage].degreeDays / TETRA.stages[stage].degreeDays - 1)).toBeLessThan(0.1);
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
    expect(workers(learned(slow)) > workers(TETRA)).toBe(true);
  });
});

describe('learning by genus', () => {
  const NIGER = speciesProfile('lasius-niger');
  const evidence = (id: string, off: number, precision: number, n = 3): KindEvidence => {
    const { degreeDays } = speciesProfile(id).stages.egg;
    return { egg: { n, precision, weighted: precision * (Math.log(degreeDays) + off) } };
  };
  const eggs = (learned: Record<string, KindEvidence>, profile = NIGER) =>
    learnedProfile(profile, taughtOf(profile, learned, speciesProfile)).stages.egg;

  test('sisters that were slow make her slower too, by less than queens of her own kind would; n is told apart', () => {
    const sisters = eggs({ 'lasius-flavus': evidence('lasius-flavus', 0.3, 200) });
    const own = eggs({ 'lasius-niger': evidence('lasius-niger', 0.3, 200) });
    expect(sisters.degreeDays).toBeGreaterThan(NIGER.stages.egg.degreeDays);
    expect(sisters.degreeDays).toBeLessThan(own.degreeDays);
    expect(sisters.logSpread).toBeGreaterThan(own.logSpread);
    expect(sisters.source).toEqual({ kind: 'learned', n: 0, ofGenus: 3 });
    expect(own.source).toEqual({ kind: 'learned', n: 3 });
    const both = eggs({
      'lasius-niger': evidence('lasius-niger', 0.3, 200),
      'lasius-flavus': evidence('lasius-flavus', 0.3, 200, 5),
    });
    expect(both.source).toEqual({ kind: 'learned', n: 3, ofGenus: 5 });
  });

  test('another genus teaches nothing, and a type of which nothing is known has no kin', () => {
    expect(eggs({ 'messor-structor': evidence('messor-structor', 0.3, 200) })).toEqual(NIGER.stages.egg);
    const unknown = speciesProfile('unknown-temperate');
    expect(eggs({ 'unknown-tropical': evidence('unknown-tropical', 0.3, 200) }, unknown)).toEqual(
      unknown.stages.egg,
    );
  });

  test('many sisters settle what the genus shares, never what is her own', () => {
    const many = eggs({
      'lasius-flavus': evidence('lasius-flavus', 0.2, 1e6),
      'lasius-alienus': evidence('lasius-alienus', 0.2, 1e6),
      'lasius-emarginatus': evidence('lasius-emarginatus', 0.2, 1e6),
      'lasius-brunneus': evidence('lasius-brunneus', 0.2, 1e6),
    });
    const { logSpread, degreeDays } = NIGER.stages.egg;
    expect(many.degreeDays).toBeLessThan(degreeDays * Math.exp(0.2));
    // half of the variance is between queens, and half of the rest is the kind's own
    expect(many.logSpread).toBeGreaterThan(Math.sqrt(0.75) * logSpread);
  });

  // Against conditioning of the joint normal of (genus, two sisters, herself) on what was seen, by elimination: the textbook
  // formula for a conditional normal (e.g. Gelman et al., appendix A.1), none of the sums above.
  test('agrees with the conditional normal of the whole genus', () => {
    const ids = ['lasius-flavus', 'lasius', 'lasius-niger'] as const;
    const seen = [
      { off: 0.25, precision: 150 },
      { off: -0.1, precision: 60 },
      { off: 0.4, precision: 90 },
    ];
    const own = ids.map((id) => 0.5 * speciesProfile(id).stages.egg.logSpread ** 2);
    // each kind shares half of what is uncertain of it with its genus; she is reckoned by the genus' share of her own
    const shared = 0.5 * (own[2] as number);
    const cov = (i: number, j: number): number => shared + (i === j ? 0.5 * (own[i] as number) : 0);
    // of what was seen: with its own error
    const S = [0, 1, 2].map((i) => [0, 1, 2].map((j) => cov(i, j) + (i === j ? 1 / seen[i]!.precision : 0)));
    const solve = (A: number[][], b: number[]): number[] => {
      const M = A.map((row, i) => [...row, b[i] as number]);
      for (let i = 0; i < 3; i++)
        for (let j = 0; j < 3; j++) {
          if (j === i) continue;
          const f = M[j]![i]! / M[i]![i]!;
          for (let k = i; k < 4; k++) M[j]![k]! -= f * M[i]![k]!;
        }
      return M.map((row, i) => row[3]! / row[i]!);
    };
    const k = [0, 1, 2].map((j) => cov(2, j));
    const weights = solve(
      S,
      seen.map((s) => s.off),
    );
    const gains = solve(S, k);
    const mean = k.reduce((sum, c, j) => sum + c * weights[j]!, 0);
    const variance = cov(2, 2) - k.reduce((sum, c, j) => sum + c * gains[j]!, 0);
    const stage = eggs(
      Object.fromEntries(ids.map((id, i) => [id, evidence(id, seen[i]!.off, seen[i]!.precision)])),
    );
    expect(Math.log(stage.degreeDays / NIGER.stages.egg.degreeDays)).toBeCloseTo(mean, 6);
    expect(stage.logSpread ** 2 - 0.5 * NIGER.stages.egg.logSpread ** 2).toBeCloseTo(variance, 6);
  });

  test('a profile that was made of what the queens said counts none of them twice', () => {
    const taught = { 'lasius-niger': evidence('lasius-niger', 0.3, 200) };
    const after = eggs(taught);
    const value = after.degreeDays / (25 - after.thresholdC);
    const own = (queens?: number) => {
      const id = '018f2b6e-7c1d-7aaa-8bbb-0123456789ab';
      const figure = { value, says: 'my own queens', ...(queens ? { queens } : {}) };
      const kind = {
        ...{ id, name: 'Mine', copiedOf: 'lasius-niger', copiedName: 'Lasius niger' },
        ...{ figures: { eggDays: figure }, changedAt: '2026-05-01T10:00:00Z' },
      };
      const profileOf = profilesWith([kind]);
      return learnedProfile(profileOf(id), taughtOf(profileOf(id), taught, profileOf)).stages.egg;
    };
    expect(own(3).degreeDays).toBeCloseTo(after.degreeDays, 6);
    expect(own(3).logSpread).toBeCloseTo(after.logSpread, 6);
    // a figure of another source is moved by them
    expect(own().degreeDays).toBeGreaterThan(after.degreeDays * 1.01);
  });
});
