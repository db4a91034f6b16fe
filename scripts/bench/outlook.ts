import { ledger, outlook, type QueenLedger } from '@gentle-burrow/core/founding';
import { speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { madeUpQueen } from './made-up';
import { ms, percentile, type Row } from './row';

/** As exact as so many independent draws; the outlook's are spread evenly (a test holds the two against each other). */
const [INDEPENDENT, EVEN] = [4000, 2000];

/** One queen's outlook, after a warm-up, on this thread. */
export function benchOutlook(): Row[] {
  const now = new Date().toISOString();
  const { queen, entries } = madeUpQueen(3, 12, new Date(now));
  const known = ledger(entries, now)[queen.id] as QueenLedger;
  const measured = (draws: number): string => {
    const times: number[] = [];
    for (let i = 0; i < 60; i++) {
      const start = performance.now();
      outlook(speciesProfile('tetramorium-immigrans'), known, 25, now, { draws, seed: i });
      if (i >= 20) times.push(performance.now() - start);
    }
    return `median ${ms(percentile(times, 0.5))}, p95 ${ms(percentile(times, 0.95))}`;
  };
  return [
    { what: 'outlook of one queen, 4,000 draws', budget: '≤ 30 ms', measured: measured(INDEPENDENT) },
    {
      what: 'the same, 2,000 even draws: as exact as 4,000 independent ones',
      budget: 'the aim is 6 ms',
      measured: measured(EVEN),
    },
  ];
}
