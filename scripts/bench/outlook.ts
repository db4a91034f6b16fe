import { ledger, outlook, speciesProfile, type QueenLedger } from '@gentle-burrow/core';
import { madeUpQueen } from './made-up';
import { ms, percentile, type Row } from './row';

/** One queen's outlook with 4,000 draws, after a warm-up, on this thread. */
export function benchOutlook(): Row[] {
  const now = new Date().toISOString();
  const { queen, entries } = madeUpQueen(3, 12, new Date(now));
  const known = ledger(entries, now)[queen.id] as QueenLedger;
  const times: number[] = [];
  for (let i = 0; i < 60; i++) {
    const start = performance.now();
    outlook(speciesProfile('tetramorium-immigrans'), known, 25, now, { draws: 4000, seed: i });
    if (i >= 20) times.push(performance.now() - start);
  }
  const measured = `median ${ms(percentile(times, 0.5))}, p95 ${ms(percentile(times, 0.95))}`;
  return [{ what: 'outlook of one queen, 4,000 draws', budget: '≤ 30 ms, the aim is 6', measured }];
}
