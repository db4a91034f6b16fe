import { addDays, daysBetween, msOf, type Instant } from '../../quantity';
import { plainGenerator, simulateLooks, simulateQueen } from '../../world/simulated-queens';
import { KINDS, speciesProfile } from '../../species/catalogue';
import type { Entry } from '../../log';
import { day, DAY_ZERO, entry, look, QUEEN } from '../../test-kit';
import { thermometerErrorC } from '../../warmth';
import type { Place } from '../../facts';
import { SOFT_DAYS } from './detection';
import { ledger } from '../ledger/ledger';
import type { QueenLedger } from '../ledger/queen-ledger';
import { lateCatch } from './late-catch';
import { eventDays, outlook, type Outlook, type OutlookEvent } from './outlook';

const TETRA = speciesProfile('tetramorium-immigrans');
const intake = () => entry(0, { kind: 'intake' });
const known = (entries: Entry[], onDay: number): QueenLedger =>
  ledger(entries, day(onDay))[QUEEN] as QueenLedger;
const project = (entries: Entry[], onDay: number, profile = TETRA, tempC = 25, draws = 4000) =>
  outlook(profile, known(entries, onDay), tempC, day(onDay), { draws, seed: 11 });
const dayOf = (o: Outlook, e: OutlookEvent, p: 'p10' | 'p50' | 'p90' = 'p50') =>
  daysBetween(DAY_ZERO, o.events[e].band[p] as Instant);
const width = (o: Outlook, e: OutlookEvent) => dayOf(o, e, 'p90') - dayOf(o, e, 'p10');

describe('outlook', () => {
  // First workers one to three months after capture, by species and warmth, of those that found without food in a tube; the
  // winter ant takes her time (common practice, no source).
  test('first workers come within one to three months at her best warmth', () => {
    const usual = KINDS.map((k) => speciesProfile(k.id)).filter(
      (s) => s.rank !== 'species' || s.stages.egg.level === 'species',
    );
    const days = usual.flatMap((s): [string, number][] => {
      if (s.founder.value !== 'fully-claustral' || s.id.startsWith('prenolepis')) return [];
      const { low, high } = s.bestTempC.value;
      return [[s.name, dayOf(project([intake()], 0, s, (low + high) / 2, 1000), 'workers')]];
    });
    expect(days.length).toBeGreaterThan(30);
    expect(days.filter(([, d]) => !(d > 28 && d < 95))).toEqual([]);
  });

  // Common practice, no source: eggs usually within one to two weeks; the first batch comes out over about a week.
  test('eggs come in one to two weeks, and the first batch within about a week of its first worker', () => {
    const o = project([intake()], 0, speciesProfile('unknown-temperate'), 24);
    expect(dayOf(o, 'eggs')).toBeGreaterThan(5);
    expect(dayOf(o, 'eggs')).toBeLessThan(16);
    const batch = dayOf(project([intake()], 0), 'firstBatchEnd') - dayOf(project([intake()], 0), 'workers');
    expect(batch).toBeGreaterThan(3);
    expect(batch).toBeLessThan(14);
  });

  test('the same seed gives the same answer, another seed nearly the same', () => {
    const k = known([intake()], 0);
    const run = (seed: number) => outlook(TETRA, k, 25, DAY_ZERO, { draws: 4000, seed });
    expect(run(5)).toEqual(run(5));
    expect(Math.abs(dayOf(run(5), 'workers') - dayOf(run(6), 'workers'))).toBeLessThan(1.5);
  });

  // Independent draws would err by √(p(1−p)/n) in the share below a p-quantile (binomial distribution, any statistics text).
  test('2,000 even draws are as exact as 4,000 independent ones', () => {
    const k = known([intake(), look(14, [0, 0, 0, 0])], 16);
    const many = eventDays(TETRA, k, 25, day(16), 'workers', { draws: 100_000, seed: 1 });
    const seeds = 40;
    let excess = 0;
    for (let seed = 0; seed < seeds; seed++) {
      const o = outlook(TETRA, k, 25, day(16), { draws: 2000, seed, later: false });
      for (const p of [10, 50, 90] as const) {
        const quantile = dayOf(o, 'workers', `p${p}`);
        const share = many.filter((d) => d < quantile).length / many.length;
        excess += (share - p / 100) ** 2 / (((p / 100) * (1 - p / 100)) / 4000);
      }
    }
    expect(excess / (3 * seeds)).toBeLessThan(1);
  });

  test('warmer is sooner, up to the optimum', () => {
    const at = (t: number) => dayOf(project([intake()], 0, TETRA, t), 'workers');
    expect(at(27)).toBeLessThan(at(24));
    expect(at(24)).toBeLessThan(at(20));
    expect(at(34)).toBeGreaterThan(at(29));
  });

  test('a checked thermometer tightens the range, an unchecked one is off by a degree and a half in two of ten', () => {
    const k = known([intake(), look(7, [0, 0, 0, 0]), look(8, [5, 0, 0, 0])], 8);
    const run = (place: Pick<Place, 'spot'>) =>
      outlook(TETRA, k, 20, day(8), {
        draws: 4000,
        seed: 11,
        thermometerErrorC: thermometerErrorC(place),
      });
    expect(width(run({ spot: { thermometerChecked: true } }), 'workers')).toBeLessThan(
      width(run({}), 'workers'),
    );
    // common practice, no source: one or two degrees. Normal errors lie within 1.2816 standard errors in eight of ten
    expect(1.2816 * thermometerErrorC({})).toBeCloseTo(1.5, 1);
    // where nobody has measured, three degrees (prior), whatever else is said of a thermometer
    const nobody = { spot: { measured: false, thermometerChecked: true } };
    expect(1.2816 * thermometerErrorC(nobody)).toBeCloseTo(3, 1);
    expect(width(run(nobody), 'workers')).toBeGreaterThan(1.2 * width(run({}), 'workers'));
  });

  test('each look tightens the range for workers', () => {
    const entries = [intake()];
    const widths = [width(project(entries, 1), 'workers')];
    entries.push(look(7, [0, 0, 0, 0]), look(14, [5, 0, 0, 0]));
    widths.push(width(project(entries, 14), 'workers'));
    entries.push(look(21, [8, 0, 0, 0]), look(28, [5, 4, 0, 0]));
    widths.push(width(project(entries, 28), 'workers'));
    entries.push(look(35, [3, 6, 0, 0]), look(42, [2, 5, 2, 0]));
    widths.push(width(project(entries, 42), 'workers'));
    for (let i = 1; i < widths.length; i++) expect(widths[i]).toBeLessThan(widths[i - 1] as number);
  });

  test('a late queen re-dates herself: nothing yet means later, and a slow egg stage means slow pupae', () => {
    const early = project([intake(), look(9, [3, 0, 0, 0]), look(17, [6, 3, 0, 0])], 30);
    const late = project([intake(), look(22, [0, 0, 0, 0]), look(29, [4, 0, 0, 0])], 30);
    expect(dayOf(late, 'workers')).toBeGreaterThan(dayOf(early, 'workers') + 12);
    const slow = project(
      [
        intake(),
        look(7, [0, 0, 0, 0]),
        look(8, [3, 0, 0, 0]),
        look(25, [9, 0, 0, 0]),
        look(27, [9, 2, 0, 0]),
      ],
      27,
    );
    const quick = project(
      [
        intake(),
        look(7, [0, 0, 0, 0]),
        look(8, [3, 0, 0, 0]),
        look(15, [9, 0, 0, 0]),
        look(17, [9, 2, 0, 0]),
      ],
      27,
    );
    const fromLarvae = (o: Outlook) => dayOf(o, 'workers') - dayOf(o, 'larvae');
    expect(fromLarvae(slow)).toBeGreaterThan(fromLarvae(quick) + 2);
  });

  test('what has been seen lies where the log says, what is ahead does not lie in the past', () => {
    const o = project([intake(), look(7, [0, 0, 0, 0]), look(14, [5, 0, 0, 0]), look(30, [5, 0, 0, 0])], 30);
    expect(o.events.eggs.status).toBe('seen');
    expect(dayOf(o, 'eggs', 'p90')).toBeLessThanOrEqual(14);
    // larvae may have been overlooked at the look of day 30, but not for longer than SOFT_DAYS
    expect(dayOf(o, 'larvae', 'p10')).toBeGreaterThanOrEqual(30 - SOFT_DAYS);
    expect(dayOf(o, 'larvae', 'p90')).toBeGreaterThan(30);
    expect(o.next).toBe('larvae');
  });

  test('stillWithout is the share of the prior that takes this long', () => {
    const o = project([intake(), look(40, [0, 0, 0, 0])], 40);
    // outside the simulation: log-normal laying time, median 6 days at 25 °C, spread 0.8; ln(40/6)/0.8 = 2.37 → 0.9 % of
    // nine in ten; the tenth waits five times as long: ln(40/30)/0.8 = 0.36 → 36 %. Together 4.4 %; what a look may
    // overlook and a thermometer may hide add a little
    expect(o.stillWithout as number).toBeGreaterThan(0.04);
    expect(o.stillWithout as number).toBeLessThan(0.065);
  });

  test('a log that no queen of the kind explains widens the range and says so', () => {
    const o = project([intake(), look(2, [9, 0, 0, 0]), look(4, [9, 6, 0, 0]), look(6, [5, 9, 4, 0])], 6);
    expect(o.strained).toBeGreaterThan(1);
    expect(project([intake(), look(14, [5, 0, 0, 0])], 14).strained).toBe(1);
  });

  test('brood in a place too cold for brood is explained by a warmer past', () => {
    const o = project([intake(), look(14, [5, 0, 0, 0])], 20, TETRA, 7);
    expect(o.events.eggs.status).toBe('seen');
    expect(o.events.larvae.band.p50).toBeNull();
  });

  test('a queen bought with workers has her stages behind her', () => {
    const bought = entry(0, { kind: 'intake', found: 'bought', workers: { low: 7, high: 9 } });
    const o = project([bought], 5);
    expect(o.events.workers.status).toBe('seen');
    expect(msOf(o.events.eggs.band.p50 as string)).toBeLessThan(msOf(DAY_ZERO));
  });

  test('refuses what it cannot work with', () => {
    expect(() => project([entry(0, { kind: 'note', text: 'found her' })], 1)).toThrow(/no intake/);
    expect(() => outlook(TETRA, known([intake()], 0), NaN, DAY_ZERO)).toThrow(/temperature/i);
    expect(() => outlook(TETRA, known([intake()], 0), 25, DAY_ZERO, { draws: 1.5 })).toThrow(/draws/);
  });
});

describe('caught late in the season', () => {
  test('lays in spring rather than now, when the kind winters', () => {
    const autumn = '2026-10-10T10:00:00.000Z';
    const late = lateCatch(TETRA, autumn, 'north');
    expect(late.chance).toBeGreaterThan(0.5);
    expect(addDays(autumn, late.springDay)).toBe('2027-03-01T00:00:00.000Z');
    expect(lateCatch(speciesProfile('unknown-tropical'), autumn, 'north').chance).toBe(0);
    expect(lateCatch(TETRA, '2026-05-10T10:00:00.000Z', 'north').chance).toBe(0);
  });

  test('half a year later in the south', () => {
    const april = '2026-04-10T10:00:00.000Z';
    expect(lateCatch(TETRA, april, 'south').chance).toBe(
      lateCatch(TETRA, '2026-10-10T10:00:00.000Z', 'north').chance,
    );
    expect(lateCatch(TETRA, '2026-11-10T10:00:00.000Z', 'south').chance).toBe(0);
  });
});

describe('calibration', () => {
  // The bench does the same for three species, weekly and monthly looks and three bands, with 1,000 queens each.
  test('on 400 simulated queens with weekly looks the 80 % band for workers holds the truth for 74–86 %', () => {
    const random = plainGenerator(20260501);
    let held = 0;
    let asked = 0;
    while (asked < 400) {
      const truth = simulateQueen(TETRA, 25, random);
      const today = 7 + Math.floor(random() * 6) * 7;
      if ((truth[3] as number) <= today) continue; // nothing left to foretell
      const days = Array.from({ length: today / 7 }, (_, i) => 7 * (i + 1));
      const looks = simulateLooks(truth, days, random).map((found, i) =>
        look(days[i] as number, found.map((f) => (f ? 5 : 0)) as [number, number, number, number]),
      );
      const o = outlook(TETRA, known([intake(), ...looks], today), 25, day(today), {
        draws: 800,
        seed: asked,
      });
      const at = truth[3] as number;
      if (at >= dayOf(o, 'workers', 'p10') && at <= dayOf(o, 'workers', 'p90')) held++;
      asked++;
    }
    expect(held / asked).toBeGreaterThanOrEqual(0.74);
    expect(held / asked).toBeLessThanOrEqual(0.86);
  });

  test('the band is the middle of the days that may be', () => {
    const k = known([intake(), look(14, [5, 0, 0, 0])], 14);
    const days = eventDays(TETRA, k, 25, day(14), 'workers', { draws: 4000, seed: 2 });
    const o = outlook(TETRA, k, 25, day(14), { draws: 4000, seed: 2 });
    expect(days).toHaveLength(4000);
    expect(days[2000] as number).toBeCloseTo(dayOf(o, 'workers'), 1);
    expect(days[400] as number).toBeCloseTo(dayOf(o, 'workers', 'p10'), 1);
  });
});
