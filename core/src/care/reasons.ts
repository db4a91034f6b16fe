import type { Outlook, QueenLedger } from '../founding';
import { addDays, daysBetween, latest, msOf, phrase, type Instant, type Phrase } from '../quantity';
import { broodGoneNow } from './boosting';
import { quietOf } from './disturbance';
import { figure } from './practice';
import type { LookingSchool } from './schools';
import { COMMON_PRACTICE, criterion, OWN_PRIOR, type Criterion } from './verdict';

/** What the reasons for leaving her alone are judged by. */
export interface Undisturbed {
  known: QueenLedger;
  ahead: Outlook | null;
  /** She is fed by the keeper throughout: those feeds do not count as restlessness. */
  mustEat: boolean;
  /** Until when she winters; null when she does not. */
  wintersUntil: Instant | null;
  now: Instant;
}

/** One reason for leaving her alone: until when it holds, and who says so. */
export interface Reason {
  id: ReasonId;
  until: Instant | null;
  says: Phrase;
  source: string;
  evidence: string[];
}

const REASON_IDS = ['settled', 'quiet', 'brood', 'rest', 'winter'] as const;
type ReasonId = (typeof REASON_IDS)[number];

/** Every reason, judged once: the free day is the latest of them, and the criteria of the answer are this list. */
const REASONS: Record<ReasonId, (c: Undisturbed, school: LookingSchool) => Omit<Reason, 'id'> | null> = {
  settled({ known: { intake }, now }) {
    if (!intake) return null;
    const settle = figure('settleDays');
    return {
      until: addDays(intake.at, settle),
      says: phrase`She has had ${{ days: daysBetween(intake.at, now) }} to settle; a first look before ${{ days: settle }} is never needed.`,
      source: COMMON_PRACTICE,
      evidence: [intake.entryId],
    };
  },
  quiet(c, school) {
    const quiet = quietOf(c, school);
    const last = c.known.lastDisturbed;
    if (!quiet || !last) return null;
    return {
      until: quiet.until,
      says: [...ruleOf(c, school), ...phrase` Last disturbed ${{ date: last.at }}.`],
      source: `${COMMON_PRACTICE} (method: ${school.name.toLowerCase()})`,
      evidence: [last.entryId],
    };
  },
  brood({ known, now }) {
    const lost = broodGoneNow(known, now);
    const by = lost?.interval.by;
    if (!lost || !by) return null;
    const quiet = figure('broodLostQuietDays');
    return {
      until: addDays(by, quiet),
      says: phrase`Her ${{ word: lost.what === 'eggs' ? 'eggs were' : 'brood was' }} lost by ${{ date: by }}: ${{ days: quiet }} of quiet let her lay again.`,
      source: OWN_PRIOR,
      evidence: [lost.entryId],
    };
  },
  rest({ known: { restUntil } }) {
    if (!restUntil) return null;
    return {
      until: restUntil.until,
      says: phrase`You chose to leave her alone until ${{ date: restUntil.until }}.`,
      source: 'your own decision',
      evidence: [restUntil.entryId],
    };
  },
  winter({ wintersUntil }) {
    if (!wintersUntil) return null;
    return {
      until: wintersUntil,
      says: phrase`She is wintering until about ${{ date: wintersUntil }}.`,
      source: COMMON_PRACTICE,
      evidence: [],
    };
  },
};

function ruleOf({ ahead }: Undisturbed, school: LookingSchool): Phrase {
  const workers = ahead?.events.workers;
  if (workers?.status === 'seen')
    return phrase`With workers out, ${{ days: figure('withWorkersDays') }} between visits are enough.`;
  if (school.everyDays !== null)
    return phrase`${{ days: school.everyDays }} of quiet after a look, more after heavier things.`;
  return workers?.band.p50
    ? phrase`Hands off until the first workers are likely, ${{ date: workers.band.p50 }}.`
    : ['Hands off until the first workers are likely.'];
}

/** Every reason for leaving her alone by a method, those too that are over. */
export const reasonsFor = (c: Undisturbed, school: LookingSchool): Reason[] =>
  REASON_IDS.flatMap((id) => {
    const reason = REASONS[id](c, school);
    return reason ? [{ id, ...reason }] : [];
  });

/** From when on a look is free by a method: the latest of all reasons; null when it always was. */
export const freeFrom = (c: Undisturbed, school: LookingSchool): Instant | null =>
  latest(...reasonsFor(c, school).map((r) => r.until));

/** A reason as a criterion: its state and its margin follow from its own date, and from no other. */
export function asCriterion({ id, until, says, source, evidence }: Reason, now: Instant): Criterion {
  const days = until === null ? null : daysBetween(until, now);
  return criterion(id, until === null || msOf(until) <= msOf(now) ? 'met' : 'unmet', says, source, {
    evidence,
    margin: days === null ? null : { value: days, unit: 'days' },
  });
}
