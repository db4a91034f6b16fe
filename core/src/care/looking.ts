import { addDays, daysBetween, latest, msOf, phrase, type Instant } from '../quantity';
import type { LookingSchoolId } from '../log';
import type { Outlook, QueenLedger } from '../founding';
import { criterion, PRACTICE, type Criterion, type SchoolView, type Verdict } from './verdict';

export interface LookingSchool {
  id: LookingSchoolId;
  name: string;
  says: string;
  /** Days that must lie between disturbances; null: no look before the first workers are likely. */
  everyDays: number | null;
}

/** The schools of looking while a queen founds. Common practice, no source. */
export const LOOKING_SCHOOLS: readonly LookingSchool[] = [
  { id: 'weekly', name: 'Weekly', says: 'One short, planned look a week.', everyDays: 7 },
  { id: 'fortnightly', name: 'Every two weeks', says: 'One look in two weeks.', everyDays: 14 },
  {
    id: 'three-to-four-weeks',
    name: 'Every three to four weeks',
    says: 'At the most one look in three weeks.',
    everyDays: 21,
  },
  {
    id: 'hands-off',
    name: 'Hands off',
    says: 'No look until the date on which the first workers are likely.',
    everyDays: null,
  },
];

export function lookingSchool(id: LookingSchoolId): LookingSchool {
  return LOOKING_SCHOOLS.find((s) => s.id === id) ?? (LOOKING_SCHOOLS[1] as LookingSchool);
}

/** A first look sooner than this after settling is never needed. Practice. */
export const SETTLING_DAYS = 7;
/** Once workers are out, feeding visits show the colony about weekly. Practice. */
const WITH_WORKERS_DAYS = 7;
/** When no date for workers can be given (too cold), hands-off waits this long. Prior. */
const OPEN_WAIT_DAYS = 28;

/** A fault in the tube that is worth opening the drawer for, whatever the school says. */
export interface LookReason {
  says: string;
  entryId: string | null;
}

/** May I look? One answer for the chosen school, and what the others would say. */
export function mayLook(
  known: QueenLedger,
  ahead: Outlook,
  schoolId: LookingSchoolId,
  reason: LookReason | null,
  now: Instant,
): Verdict {
  const school = lookingSchool(schoolId);
  const criteria = lookCriteria(known, ahead, school, now);
  const until = freeFrom(known, ahead, school);
  const free = until === null || msOf(until) <= msOf(now);
  const others: SchoolView[] = LOOKING_SCHOOLS.filter((s) => s.id !== school.id).map((s) => {
    const date = freeFrom(known, ahead, s);
    const open = date === null || msOf(date) <= msOf(now);
    return { school: s.id, name: s.name, answer: open ? 'may look' : 'wait', until: open ? null : date };
  });
  const common = { id: 'look', question: 'May I look?', school: school.name, criteria, others } as const;
  if (reason && !free) {
    return {
      ...common,
      answer: 'yes, once',
      says: [`${reason.says} One short look is worth its cost.`],
      pressure: 'soon',
      until: null,
    };
  }
  if (free) {
    return {
      ...common,
      answer: 'you may',
      says: ['A short, planned look costs her little now. Nothing demands it.'],
      pressure: 'free',
      until: null,
    };
  }
  return {
    ...common,
    answer: 'not yet',
    says: phrase`Leave her alone until ${{ date: until }}.`,
    pressure: 'rest',
    until,
  };
}

/** The moment from which a look is free by a school; null when it always was. */
function freeFrom(known: QueenLedger, ahead: Outlook, school: LookingSchool): Instant | null {
  const settled = known.intake ? addDays(known.intake.at, SETTLING_DAYS) : null;
  return latest(settled, gapEnd(known, ahead, school), known.restUntil?.until);
}

function gapEnd(known: QueenLedger, ahead: Outlook, school: LookingSchool): Instant | null {
  const last = known.lastDisturbed?.at;
  if (!last) return null;
  if (ahead.events.workers.status === 'seen') return addDays(last, WITH_WORKERS_DAYS);
  if (school.everyDays !== null) return addDays(last, school.everyDays);
  return ahead.events.workers.band.p50 ?? addDays(last, OPEN_WAIT_DAYS);
}

function lookCriteria(known: QueenLedger, ahead: Outlook, school: LookingSchool, now: Instant): Criterion[] {
  const list: Criterion[] = [];
  const intake = known.intake;
  if (intake) {
    const days = daysBetween(intake.at, now) - SETTLING_DAYS;
    list.push(
      criterion(
        'settled',
        days >= 0 ? 'met' : 'unmet',
        phrase`She has had ${{ days: days + SETTLING_DAYS }} to settle; a first look before ${{ days: SETTLING_DAYS }} is never needed.`,
        PRACTICE,
        { evidence: [intake.entryId], margin: { value: days, unit: 'days' } },
      ),
    );
  }
  const end = gapEnd(known, ahead, school);
  if (end && known.lastDisturbed) {
    const days = daysBetween(end, now);
    const workers = ahead.events.workers.status === 'seen';
    const rule = workers
      ? phrase`With workers out, a week between visits is enough; the last was ${{ date: known.lastDisturbed.at }}.`
      : school.everyDays === null
        ? phrase`Hands off until the first workers are likely, ${{ date: end }}.`
        : phrase`${{ days: school.everyDays }} between disturbances; the last was ${{ date: known.lastDisturbed.at }}.`;
    list.push(
      criterion(
        'gap',
        days >= 0 ? 'met' : 'unmet',
        rule,
        `${PRACTICE} (school: ${school.name.toLowerCase()})`,
        {
          evidence: [known.lastDisturbed.entryId],
          margin: { value: days, unit: 'days' },
        },
      ),
    );
  }
  if (known.restUntil) {
    const days = daysBetween(known.restUntil.until, now);
    list.push(
      criterion(
        'rest',
        days >= 0 ? 'met' : 'unmet',
        phrase`You chose to leave her alone until ${{ date: known.restUntil.until }}.`,
        'your own decision',
        { evidence: [known.restUntil.entryId], margin: { value: days, unit: 'days' } },
      ),
    );
  }
  return list;
}
