import type { ShownQueen } from '@/data/queries';
import { FINDING_ADVICE } from '@gentle-burrow/core/care';
import type { BodyOf } from '@gentle-burrow/core/log';
import { countText } from '@gentle-burrow/core/quantity';
import { MILESTONES } from '@gentle-burrow/core/species';
import type { Finding } from '@gentle-burrow/core/vocabulary';

type Counted = Pick<BodyOf<'look'>, 'eggs' | 'larvae' | 'pupae' | 'workers'>;

/** "eggs 8–15, larvae none". */
export const countsWords = (body: Counted): string =>
  MILESTONES.flatMap((m) => (body[m] ? [`${m} ${countText(body[m])}`] : [])).join(', ');

export const findingWords = (findings: readonly Finding[]): string =>
  findings.length === 0
    ? 'nothing found on her'
    : FINDING_ADVICE.filter((a) => findings.includes(a.id))
        .map((a) => a.name.toLowerCase())
        .join(', ');

/** Whether a count has found workers with her. */
export const mayHaveWorkers = ({ view }: ShownQueen): boolean => {
  const { workers } = view.ledger.counts;
  return workers !== null && workers.range.high !== 0;
};
