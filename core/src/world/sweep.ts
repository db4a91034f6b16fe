import { dueAt, planVisits } from '../agenda';
import { DEFAULT_SETTINGS, type KeeperSettings } from '../facts';
import { dayOf, msOf, plainText, type Instant, type Zone } from '../quantity';
import { logOf } from '../records';
import type { Hemisphere } from '../season';
import { queenView, shelfRow } from '../view';
import { answerTo, failuresOf, type Situation } from './casebook';
import { demoFacts } from './demo';

/** Dates over more than a year: each half month, a leap day, both clock changes of Europe and America, and the turn of the year. */
export const SWEEP_DATES: readonly string[] = [
  '2027-01-01',
  '2027-01-15',
  '2027-02-01',
  '2027-02-14',
  '2027-03-01',
  '2027-03-14',
  '2027-03-28',
  '2027-04-15',
  '2027-05-02',
  '2027-05-16',
  '2027-06-01',
  '2027-06-20',
  '2027-07-07',
  '2027-07-25',
  '2027-08-14',
  '2027-08-31',
  '2027-09-18',
  '2027-10-01',
  '2027-10-15',
  '2027-10-31',
  '2027-11-07',
  '2027-11-30',
  '2027-12-01',
  '2027-12-24',
  '2027-12-31',
  '2028-02-29',
];
export const SWEEP_ZONES: readonly Zone[] = ['Europe/Berlin', 'America/Denver', 'Australia/Sydney'];
const HEMISPHERES: readonly Hemisphere[] = ['north', 'south'];

/** What is wrong with the demo and its visits on a day, a sentence each. */
export function demoFaults(date: string, zone: Zone, draws = 200): string[] {
  let n = 0;
  const id = () => `018f0000-0000-7000-8000-${String(n++).padStart(12, '0')}`;
  const now: Instant = `${date}T18:00:00.000Z`;
  const facts = demoFacts(new Date(now), id);
  const { queens, settings: own } = logOf(facts);
  return HEMISPHERES.flatMap((hemisphere) => {
    const settings: KeeperSettings = { ...DEFAULT_SETTINGS, ...own, hemisphere, zone };
    const where = `${date} ${hemisphere} ${zone}`;
    const rows = queens.map((q) => {
      const view = queenView(q, settings, now, { draws, later: false });
      return { view, row: shelfRow(q, view) };
    });
    const faults = rows.flatMap(({ view, row }) => {
      const of = `${where}, ${row.queen.label}:`;
      const said = view.counsel ? plainText(view.counsel.next, zone) : '';
      return [
        ...(view.trouble ? [`${of} ${view.trouble.message}`] : []),
        ...(said.trim() === '' ? [`${of} nothing is said`] : []),
        ...(/NaN|undefined|Invalid/.test(said) ? [`${of} ${said}`] : []),
        ...row.due
          .filter((d) => msOf(d.notBefore) < msOf(now) || msOf(d.notAfter) < msOf(d.notBefore))
          .map((d) => `${of} the window of ${d.task} lies in the past`),
        ...(row.due.filter((d) => d.task === 'nest' || d.task === 'fresh-home').length > 1
          ? [`${of} two new homes at once`]
          : []),
      ];
    });
    const plan = planVisits(
      rows.flatMap(({ row }) => dueAt(row)),
      { weekdays: [], absences: [], from: now, days: 90, zone },
    );
    const days = plan.visits.map((v) => v.day);
    return [
      ...faults,
      ...plan.unmet.map((w) => `${where}: nobody can come for ${w.id}`),
      ...(days.some((d) => d < dayOf(now, zone)) ? [`${where}: a visit lies in the past`] : []),
      ...(new Set(days).size < days.length ? [`${where}: one day is visited twice`] : []),
    ];
  });
}

/** The same situation so many whole years later: what is right in one year is right in every year. */
export function yearsLater(s: Situation, years: number): Situation {
  const later = (text: string) => text.replace(/\b(20\d\d)(?=-\d\d-\d\d)/g, (y) => String(Number(y) + years));
  const moved = JSON.parse(later(JSON.stringify({ ...s, taken: s.taken ?? '2026-05-01' }))) as Situation;
  return moved;
}

/** Whether a situation names a year or a day of its own in words, which another year would change. */
export const namesItsYear = ({ must = [], mustNot = [] }: Situation): boolean =>
  [...must, ...mustNot].some((e) => /20[\d(]/.test(JSON.stringify([e.text, e.headline, e.anywhere])));

/** What a situation fails when it is so many years later. */
export const failuresLater = (s: Situation, years: number, draws = 600): string[] => {
  const moved = yearsLater(s, years);
  return failuresOf(moved, answerTo(moved, draws));
};
