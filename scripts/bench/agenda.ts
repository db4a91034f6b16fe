import { planVisits, type Window } from '@gentle-burrow/core/agenda';
import { addDays, uniformStream } from '@gentle-burrow/core/quantity';
import { ms, percentile, type Row } from './row';

const QUEENS = 500;
const DAYS = 90;

/** Packs the windows of five hundred tubes, four each, into visits on two weekdays. */
export function benchAgenda(): Row[] {
  const from = new Date().toISOString();
  const random = uniformStream(11);
  const windows: Window[] = [];
  for (let q = 0; q < QUEENS; q++) {
    for (let w = 0; w < 4; w++) {
      const start = random() * (DAYS - 10);
      const length = 7 + random() * 30;
      const id = String(q).padStart(12, '0');
      windows.push({
        id: `${id}-${w}`,
        queenId: id,
        homeId: id,
        notBefore: addDays(from, start),
        best: addDays(from, start + length / 2),
        notAfter: addDays(from, start + length),
      });
    }
  }
  const times: number[] = [];
  for (let i = 0; i < 12; i++) {
    const begin = performance.now();
    planVisits(windows, { weekdays: [0, 3], absences: [], from, days: DAYS });
    if (i >= 2) times.push(performance.now() - begin);
  }
  return [
    {
      what: 'agenda of 500 queens × 90 days, 2,000 windows, two weekdays',
      budget: 'none set',
      measured: `median ${ms(percentile(times, 0.5))}, p95 ${ms(percentile(times, 0.95))}`,
    },
  ];
}
