import type { Finding } from '../../facts';
import { addDays, daysBetween, msOf, phrase } from '../../quantity';
import { figure } from '../practice';
import { ask, COMMON_PRACTICE, criterion, verdict, type Rule } from '../verdict';

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

/** How long a new queen stands beside, not among, the others. */
export const QUARANTINE_DAYS = figure('quarantineDays');

/** Is she healthy? Not asked when nothing was found and no quarantine stands. */
export const health: Rule = (c) => {
  const { health: seen } = c.known;
  if (c.life === 'gone' || !seen || (seen.findings.length === 0 && seen.quarantineUntil === null))
    return null;
  const until = seen.quarantineUntil;
  const over = until !== null && msOf(until) <= msOf(c.now);
  const advice = seen.findings.flatMap((f) => FINDING_ADVICE.filter((a) => a.id === f));
  const fresh = daysBetween(seen.at, c.now) <= figure('findingToldDays') && advice.some((a) => a.quarantine);
  const end = ['Look her over and end her quarantine, or lengthen it.'];
  const first = advice.map((a) => `${a.name}. ${a.doNow}`).join(' ');
  return verdict({
    id: 'health',
    question: 'Is she healthy?',
    answer: over ? 'look her over' : until ? 'in quarantine' : 'watch her',
    says: over
      ? ['Her quarantine is over. Look her over once, and end it or lengthen it.']
      : [
          ...(fresh ? [`${first} `] : []),
          ...(until
            ? phrase`She stands beside, not among, the others until ${{ date: until }}.`
            : ['Something was found when she was looked over.']),
        ],
    pressure: over ? 'soon' : 'rest',
    notice: fresh,
    until: over ? null : until,
    criteria: [
      ...advice.map((a) =>
        criterion(a.id, 'unmet', [`${a.name}. ${a.doNow}`], COMMON_PRACTICE, { evidence: [seen.entryId] }),
      ),
      ...(until
        ? [
            criterion(
              'quarantine',
              over ? 'met' : 'unmet',
              phrase`Quarantine until ${{ date: until }}; about ${{ days: QUARANTINE_DAYS }} are usual.`,
              COMMON_PRACTICE,
              { evidence: [seen.entryId] },
            ),
          ]
        : []),
    ],
    asks: until
      ? [ask(c, 'quarantine', [until, until, addDays(until, figure('quarantineSlackDays'))], end)]
      : [],
  });
};
