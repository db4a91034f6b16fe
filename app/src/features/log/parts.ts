import { countText, FINDING_ADVICE, MILESTONES, type BodyOf, type Finding } from '@gentle-burrow/core';

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
