import { addDays, daysBetween, msOf, type Instant } from '../../quantity';
import type { Entry } from '../../log';
import { day, entry, look, n, QUEEN } from '../../test-kit';
import { speciesProfile } from '../../species/catalogue';
import { nextWinter } from './later-batches';
import { ledger } from '../ledger/ledger';
import type { QueenLedger } from '../ledger/queen-ledger';
import { outlook, type LaterOutlook, type Outlook } from './outlook';

const TETRA = speciesProfile('tetramorium-immigrans');
const intake = () => entry(0, { kind: 'intake' });
const project = (entries: Entry[], onDay: number, tempC = 24, profile = TETRA) =>
  outlook(profile, ledger(entries, day(onDay))[QUEEN] as QueenLedger, tempC, day(onDay), {
    draws: 4000,
    seed: 5,
  });
const inLater = (o: Outlook): LaterOutlook => {
  if (!o.later) throw new Error('not asked for');
  return o.later;
};
const days = (from: Instant | null | undefined, to: Instant | null | undefined) =>
  daysBetween(from as Instant, to as Instant);

describe('the coming winter', () => {
  // Common practice, no source: cooling begins about the end of October in the north, half a year later in the south.
  test('begins with November in the north and May in the south, and not for tropical kinds', () => {
    expect(nextWinter(TETRA, '2026-06-10T00:00:00.000Z', 'north')).toBe('2026-10-30T00:00:00.000Z');
    expect(nextWinter(TETRA, '2026-12-10T00:00:00.000Z', 'north')).toBeNull();
    expect(nextWinter(TETRA, '2026-12-10T00:00:00.000Z', 'south')).toBe('2027-04-30T00:00:00.000Z');
    expect(nextWinter(TETRA, '2026-03-10T00:00:00.000Z', 'north')).toBe('2026-10-30T00:00:00.000Z');
    expect(nextWinter(speciesProfile('unknown-tropical'), '2026-06-10T00:00:00.000Z', 'north')).toBeNull();
  });
});

describe('later batches', () => {
  // Common practice, no source: when the last pupa of the first batch has come out, the second batch is turning larva.
  test('the second batch is egg or young larva when the first is out', () => {
    const o = project([intake()], 0);
    const laid = o.later?.secondBatch.eggs.p50;
    expect(days(o.events.pupae.band.p50, laid)).toBeGreaterThan(0);
    expect(days(o.events.workers.band.p50, laid)).toBeLessThan(0);
    const { degreeDays, thresholdC } = TETRA.stages.egg;
    const hatched = addDays(laid as Instant, degreeDays / (24 - thresholdC));
    expect(Math.abs(days(hatched, o.events.firstBatchEnd.band.p50))).toBeLessThan(14);
  });

  // Common practice, no source: 20 to 30 workers in the first winter are normal, 55 exceptional.
  test('a queen caught in the middle of June goes into winter with some twenty to thirty workers', () => {
    const caught = ledger([entry(45, { kind: 'intake' })], day(45))[QUEEN] as QueenLedger;
    const byWinter = outlook(TETRA, caught, 23, day(45), { draws: 4000, seed: 5 }).later?.byWinter;
    expect(byWinter?.on).toBe('2026-10-30T00:00:00.000Z');
    expect(byWinter?.workers.p50).toBeGreaterThanOrEqual(18);
    expect(byWinter?.workers.p50).toBeLessThanOrEqual(32);
    expect(byWinter?.workers.p90).toBeLessThan(60);
  });

  test('a place too cold for brood brings no workers by winter', () => {
    expect(project([intake()], 0, 8).later?.byWinter?.workers.p90).toBe(0);
  });

  test('workers that were counted are the least there can be', () => {
    const entries = [intake(), look(14, [5, 0, 0, 0]), look(30, [0, 9, 0, 0]), look(60, [4, 2, 0, 17])];
    const o = project(entries, 60);
    expect(o.later?.byWinter?.workers.p10).toBeGreaterThanOrEqual(17);
    expect(o.later?.inside.workers.count.p10).toBeGreaterThanOrEqual(17);
  });

  test('eggs seen again hold the second batch between those looks', () => {
    const entries = [intake(), look(9, [5, 0, 0, 0]), look(24, [0, 9, 0, 0]), look(36, [6, 0, 8, 0])];
    const { eggs } = inLater(project(entries, 36)).secondBatch;
    expect(msOf(eggs.p10 as Instant)).toBeGreaterThanOrEqual(msOf(day(24)));
    expect(msOf(eggs.p90 as Instant)).toBeLessThanOrEqual(msOf(day(36)));
  });
});

describe('what is probably inside', () => {
  test('nothing on the first day; eggs alone a few days after they were seen', () => {
    const fresh = inLater(project([intake()], 0)).inside;
    expect(fresh.eggs.chance + fresh.workers.chance).toBeLessThan(0.05);
    const laid = inLater(project([intake(), look(10, [6, 0, 0, 0])], 12)).inside;
    expect(laid.eggs.chance).toBeGreaterThan(0.95);
    expect(laid.pupae.chance).toBeLessThan(0.05);
  });

  test('six eggs do not become sixty pupae', () => {
    const seen = entry(20, { kind: 'look', eggs: n(0), larvae: n(6), pupae: n(0), workers: n(0) });
    const { larvae, pupae } = inLater(project([intake(), look(9, [6, 0, 0, 0]), seen], 32)).inside;
    // six are counted to within a fifth
    expect(larvae.count.p90).toBeLessThanOrEqual(8);
    expect(pupae.count.p90).toBeLessThanOrEqual(8);
    expect(larvae.count.p50 + pupae.count.p50).toBeGreaterThanOrEqual(3);
  });
});
