import type { QueenLedger } from '../founding';
import type { BodyOf } from '../log';
import { msOf, phrase, type Instant } from '../quantity';
import { criterion, PRACTICE, type Verdict } from './verdict';

type Finding = BodyOf<'health'>['findings'][number];

export interface FindingAdvice {
  id: Finding;
  name: string;
  doNow: string;
  quarantine: boolean;
}

/** What to do for each thing found when she is looked over (common practice, no source). */
export const FINDING_ADVICE: readonly FindingAdvice[] = [
  {
    id: 'mites',
    name: 'Mites',
    doNow:
      'Lift single ones off with a fine damp brush; with many, keep her alone, away from all others. Wash hands and tools before the next tube.',
    quarantine: true,
  },
  {
    id: 'other-parasites',
    name: 'Other parasites',
    doNow:
      'Worms, flies’ larvae or fungus: keep her alone and do not open her tube beside others. There is little to be done but wait.',
    quarantine: true,
  },
  {
    id: 'injury',
    name: 'Injured',
    doNow: 'Leave her in the dark and damp, undisturbed. Small wounds close; do not treat her with anything.',
    quarantine: false,
  },
  {
    id: 'missing-leg',
    name: 'A leg is missing',
    doNow: 'Many found well with five. Choose a tube that is not slippery, and give her time.',
    quarantine: false,
  },
];

/** How long a new queen stands beside, not among, the others. Prior. */
export const QUARANTINE_DAYS = 14;

/** Is she healthy? Null when nothing was found and no quarantine stands. */
export function isHealthy(known: QueenLedger, now: Instant): Verdict | null {
  const health = known.health;
  if (!health || (health.findings.length === 0 && health.quarantineUntil === null)) return null;
  const until = health.quarantineUntil;
  const over = until !== null && msOf(until) <= msOf(now);
  const advice = health.findings.flatMap((f) => FINDING_ADVICE.filter((a) => a.id === f));
  return {
    id: 'health',
    question: 'Is she healthy?',
    answer: over ? 'look her over' : until ? 'in quarantine' : 'watch her',
    says: over
      ? [
          'Her quarantine is over. Look her over once, at the next look that is due, and end it or lengthen it.',
        ]
      : until
        ? phrase`She stands beside, not among, the others until ${{ date: until }}.`
        : ['Something was found when she was looked over.'],
    pressure: over ? 'free' : 'rest',
    until: over ? null : until,
    school: null,
    criteria: [
      ...advice.map((a) =>
        criterion(a.id, 'unmet', [`${a.name}. ${a.doNow}`], PRACTICE, { evidence: [health.entryId] }),
      ),
      ...(until
        ? [
            criterion(
              'quarantine',
              over ? 'met' : 'unmet',
              phrase`Quarantine until ${{ date: until }}; about ${{ days: QUARANTINE_DAYS }} are usual.`,
              PRACTICE,
              { evidence: [health.entryId] },
            ),
          ]
        : []),
    ],
    others: [],
  };
}
