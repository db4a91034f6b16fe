import type { Due } from '@gentle-burrow/core/agenda';
import { dayOf } from '@gentle-burrow/core/quantity';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { living, needing } from '@/features/shelf/arrange';
import { dayText, zoneNow } from '@/ui/dates';
import type { ShelfPlan } from './plan';

/** So many queens are named in the sentence; more are counted. */
const NAMED = 3;

/**
 * One calm sentence for the whole shelf. Its date is that of the plan below it: nothing is planned for an earlier day.
 * @param planned what is planned for the shelf; asked for only when nothing presses
 */
export function answer(rows: readonly ShelfRow[], planned: () => ShelfPlan, now = new Date()): string {
  const here = living(rows);
  if (here.length === 0) return 'No living queen stands here.';
  const urgent = needing(rows);
  if (urgent.length === 0) return calm(here, planned(), now);
  const soon = urgent.filter((r) => r.pressure === 'soon').length;
  const pressing = urgent.length - soon;
  const rest = here.length - urgent.length;
  return [
    ...(pressing > 0
      ? [pressing === 1 ? 'One tube needs you now.' : `${inWords(pressing)} tubes need you now.`]
      : []),
    ...(soon > 0 ? [soon === 1 ? 'One will soon.' : `${inWords(soon)} will soon.`] : []),
    ...(rest > 0 ? [`${inWords(rest)} can be left alone.`] : []),
  ].join(' ');
}

/** Nothing presses: what may be done today is said, else the first day on which anything is planned. */
function calm(here: readonly ShelfRow[], plan: ShelfPlan, now: Date): string {
  const zone = zoneNow();
  const days = [
    ...plan.visits.map((v) => ({ day: v.day, due: v.windows as Due[] })),
    ...[...plan.timers, ...(plan.unmet as Due[])].map((d) => ({ day: dayOf(d.best, zone), due: [d] })),
  ].sort((a, b) => a.day.localeCompare(b.day));
  const today = dayOf(now.toISOString(), zone);
  const first = days[0]?.day;
  if (first !== undefined && first <= today) {
    const due = days.filter((d) => d.day <= today).flatMap((d) => d.due);
    const ids = new Set(due.map((d) => d.queenId));
    const names = here.filter((r) => ids.has(r.queen.id)).map((r) => r.queen.label);
    const who = names.length <= NAMED ? LIST.format(names) : `${names.length} queens`;
    return due.every((d) => d.task === 'look')
      ? `Nothing is urgent. You can take one short look at ${who} today.`
      : `Nothing is urgent. You can visit ${who} today.`;
  }
  const until = first === undefined ? '' : ` until ${dayText(`${first}T12:00:00.000Z`, now)}`;
  const free = here.some((r) => r.pressure === 'free');
  return `Nothing needs you${until}.${free ? '' : ' Leave the drawer shut.'}`;
}

const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });

const NUMBERS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];
const inWords = (n: number): string => NUMBERS[n] ?? String(n);
