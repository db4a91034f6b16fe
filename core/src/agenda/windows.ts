import { addDays, latest, msOf, phrase, type Instant, type Phrase } from '../quantity';
import type { QueenFacts, QueenView } from '../view';
import type { Window } from './visits';

export const TASKS = ['feed', 'drop-out', 'look', 'fresh-tube', 'plug', 'quarantine'] as const;
export type Task = (typeof TASKS)[number];

/** A window with what is to be done in it. */
export interface Due extends Window {
  task: Task;
  says: Phrase;
  /** Within hours rather than days: not packed with others, told by itself. */
  timer: boolean;
}

/** The same as a row of the shelf carries it: whose it is, the row says. */
export type RowDue = Omit<Due, 'id' | 'queenId' | 'homeId'>;

/** What to have ready for each task (common practice, no source). */
export const PREPARE: Record<Task, readonly string[]> = {
  feed: ['sugar water', 'foil', 'a tiny piece of dead prey'],
  'drop-out': ['a cotton bud'],
  look: ['red light'],
  'fresh-tube': ['a fresh tube', 'tape', 'a dark sleeve'],
  plug: ['a fresh tube', 'tape', 'a dark sleeve'],
  quarantine: ['a lens'],
};

/** The windows of a row of the shelf, whole again. */
export function dueAt(row: { queen: { id: string }; tube: { id: string }; due: readonly RowDue[] }): Due[] {
  return row.due.map((d) => ({
    ...d,
    id: `${row.queen.id}-${d.task}`,
    queenId: row.queen.id,
    homeId: row.tube.id,
  }));
}

/** A look that is due may wait so long before it is missed. Prior. */
const LOOK_SLACK_DAYS = 14;
/** After first workers, a feed may be so late. Prior. */
const FEED_SLACK_DAYS = 3;
/** A fresh tube is begun between so many days before the water may be gone. Priors, as in `watering.ts`. */
const TUBE_EARLY_DAYS = 42;
const TUBE_LATE_DAYS = 21;
const QUARANTINE_SLACK_DAYS = 14;
const FAULT_DAYS = 1;

/**
 * What is due at one queen's tube from now on, as windows. What is overdue begins and is best now. Nothing is due at a
 * queen that is lost, or of whom nothing can be said.
 */
export function windowsOf(
  { queen, tube }: Pick<QueenFacts, 'queen' | 'tube'>,
  view: QueenView,
  now: Instant,
): Due[] {
  const advice = view.counsel;
  if (!advice || (view.ledger.loss && !view.ledger.loss.orphans)) return [];
  const due: Due[] = [];
  const add = (
    task: Task,
    notBefore: Instant,
    best: Instant,
    notAfter: Instant,
    says: Phrase,
    timer = false,
  ) => {
    const from = latest(notBefore, now) as Instant;
    const to = latest(notAfter, from) as Instant;
    const middle = msOf(best) < msOf(from) ? from : msOf(best) > msOf(to) ? to : best;
    due.push({
      id: `${queen.id}-${task}`,
      queenId: queen.id,
      homeId: tube.id,
      task,
      notBefore: from,
      best: middle,
      notAfter: to,
      says,
      timer,
    });
  };
  for (const v of advice.verdicts) {
    if (v.id === 'food') addFood(view, v, now, add);
    else if (v.id === 'water') addWater(view, v, now, add);
    else if (v.id === 'health' && v.until)
      add('quarantine', v.until, v.until, addDays(v.until, QUARANTINE_SLACK_DAYS), [
        'Look her over and end her quarantine.',
      ]);
    else if (v.id === 'look') addLook(view, v, now, add);
  }
  return due;
}

type Verdict = NonNullable<QueenView['counsel']>['verdicts'][number];
type Add = (
  task: Task,
  notBefore: Instant,
  best: Instant,
  notAfter: Instant,
  says: Phrase,
  timer?: boolean,
) => void;

function addFood(view: QueenView, v: Verdict, now: Instant, add: Add): void {
  const { ledger } = view;
  if (ledger.welcomeDrop && ledger.welcomeDrop.goneAt === null) {
    const by = v.until ?? now;
    add('drop-out', now, by, by, ['Take the welcome drop out.'], true);
    return;
  }
  if (ledger.appearances.workers.interval.by) {
    const from = v.until ?? now;
    add('feed', from, from, addDays(from, FEED_SLACK_DAYS), ['A tiny sugar drop, then small dead protein.']);
  } else if (view.founder?.course === 'feed-throughout') {
    const by = v.until ?? now;
    add('feed', addDays(by, -2), addDays(by, -1), by, [
      'Sugar and a tiny piece of dead prey; leftovers out.',
    ]);
  } else if (view.founder?.course === 'offer-and-watch') {
    const from = v.until ?? now;
    add('feed', from, from, addDays(from, 7), ['A tiny protein offer: taken or refused?']);
  }
}

function addWater(view: QueenView, v: Verdict, now: Instant, add: Add): void {
  const fault = v.criteria.find((c) => c.state === 'unmet' && (c.id === 'plug' || c.id === 'mould'));
  if (fault) {
    add('plug', now, now, addDays(now, FAULT_DAYS), fault.says);
    return;
  }
  const dry = view.counsel?.reservoir.dryAt.p10;
  if (!dry) return;
  add(
    'fresh-tube',
    addDays(dry, -TUBE_EARLY_DAYS),
    addDays(dry, -(TUBE_EARLY_DAYS + TUBE_LATE_DAYS) / 2),
    addDays(dry, -TUBE_LATE_DAYS),
    phrase`Offer a fresh tube: her water may be gone by ${{ date: dry }}.`,
  );
}

/** A look is best when the next thing is likely to be there; never before the school allows it. */
function addLook(view: QueenView, v: Verdict, now: Instant, add: Add): void {
  const from = v.until ?? now;
  const next = view.outlook?.next;
  const band = next ? view.outlook?.events[next].band : null;
  const best = latest(from, band?.p50 ?? null) as Instant;
  const last = latest(addDays(from, LOOK_SLACK_DAYS), band?.p90 ?? null) as Instant;
  add('look', from, best, last, ['One short look: brood, water line, plug.']);
}
