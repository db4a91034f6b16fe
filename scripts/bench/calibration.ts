import {
  addDays,
  eventDays,
  ledger,
  speciesProfile,
  type Entry,
  type QueenLedger,
} from '@gentle-burrow/core';
import { v7 } from 'uuid';
import { plainGenerator, simulateLooks, simulateQueen } from '../../core/src/simulated-queens';
import type { Row } from './row';

const QUEENS = 2500;
const DRAWS = 1000;
const FROM = '2026-05-01T18:00:00.000Z';
const CASES = [
  { id: 'tetramorium-immigrans', tempC: 25 },
  { id: 'camponotus-vagus', tempC: 26 },
  { id: 'temnothorax-nylanderi', tempC: 23 },
] as const;
const RHYTHMS = [
  { name: 'weekly', every: 7 },
  { name: 'monthly', every: 28 },
] as const;
const BANDS = [0.5, 0.8, 0.95];

/**
 * How often the outlook's bands for the first workers hold the truth, on queens simulated apart from it and asked about
 * on a random day, as long as no look has found workers. Within two binomial standard errors is marked as such.
 */
export function benchCalibration(): Row[] {
  return CASES.flatMap(({ id, tempC }) =>
    RHYTHMS.map(({ name, every }): Row => {
      const held = coverage(id, tempC, every);
      const says = BANDS.map((share, k) => {
        const got = (held[k] as number) / QUEENS;
        const error = 2 * Math.sqrt((share * (1 - share)) / QUEENS);
        return `${Math.round(share * 100)} % band holds ${(100 * got).toFixed(1)} %${Math.abs(got - share) <= error ? '' : ' (outside binomial error)'}`;
      });
      return {
        what: `calibration, ${speciesProfile(id).name}, ${name} looks, n=${QUEENS}`,
        budget: 'within binomial error',
        measured: says.join(', '),
      };
    }),
  );
}

function coverage(id: string, tempC: number, every: number): number[] {
  const profile = speciesProfile(id);
  const random = plainGenerator(every * 7919 + id.length);
  const held = BANDS.map(() => 0);
  for (let asked = 0; asked < QUEENS;) {
    const truth = simulateQueen(profile, tempC, random);
    const today = 3 + random() * 80;
    const days = Array.from({ length: Math.floor(today / every) }, (_, i) => every * (i + 1));
    const looks = simulateLooks(truth, days, random);
    if (looks[looks.length - 1]?.[3]) continue; // seen: nothing left to foretell
    const known = logged(id, days, looks, addDays(FROM, today));
    const at = eventDays(profile, known, tempC, addDays(FROM, today), 'workers', {
      draws: DRAWS,
      seed: asked,
    });
    const rank = at.filter((d) => d <= (truth[3] as number)).length / DRAWS;
    BANDS.forEach((share, k) => {
      if (Math.abs(rank - 0.5) <= share / 2) held[k] = (held[k] as number) + 1;
    });
    asked++;
  }
  return held;
}

function logged(id: string, days: readonly number[], looks: readonly boolean[][], now: string): QueenLedger {
  const queenId = v7();
  const head = (at: string) => ({ id: v7(), queenId, at, loggedAt: at });
  const n = (there: boolean | undefined) => ({ low: there ? 5 : 0, high: there ? 5 : 0 });
  const entries: Entry[] = [
    {
      kind: 'intake',
      ...head(FROM),
      found: 'walking',
      wings: 'dealate',
      species: { profileId: id, sure: 'certain' },
    },
    ...looks.map((found, i): Entry => ({
      kind: 'look',
      ...head(addDays(FROM, days[i] as number)),
      eggs: n(found[0]),
      larvae: n(found[1]),
      pupae: n(found[2]),
      workers: n(found[3]),
    })),
  ];
  return ledger(entries, now)[queenId] as QueenLedger;
}
