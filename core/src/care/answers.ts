import { foodsOf } from '../facts';
import { asBefore, type QueenLedger } from '../founding';
import { nounOf, underWay } from '../housing';
import type { EntryBody } from '../log';
import { MILESTONES } from '../species';
import type { Case } from './case';
import { figure } from './practice';
import { food, menuOf, PROTEIN_MISSING } from './rules/food';
import { leftoverAsked } from './rules/leftovers';
import { crossing } from './rules/moving';
import type { Task } from './verdict';

export const ANSWER_IDS = [
  'eaten',
  'taken-out',
  'left',
  'fed',
  'as-before',
  'line-as-expected',
  'watered',
  'cleaned',
  'uncovered',
  'all-across',
  'nobody-yet',
] as const;
export type AnswerId = (typeof ANSWER_IDS)[number];

/** What an entry says, but for the moment of the tap that writes it. */
export type SaidNow = EntryBody extends infer B ? (B extends EntryBody ? Omit<B, 'at'> : never) : never;

/** A likely answer to a deed that is asked for: one tap writes it down whole. */
export interface Answer {
  id: AnswerId;
  says: SaidNow;
  /** What of hers it is about, where that could be one of several. */
  about?: string | undefined;
}

/**
 * The likely answers to each deed that can be given whole, by one tap. What needs a figure, a place or a choice of parts has none: its
 * form asks for it.
 */
const ANSWERS: Record<Task, (c: Case) => readonly Answer[]> = {
  feed: (c) => {
    const lacking = food(c)?.answer === PROTEIN_MISSING;
    return menuOf(c)
      .meals.filter((meal) => !lacking || foodsOf(meal).includes('protein'))
      .map((meal) => ({ id: 'fed', says: { kind: 'feed', food: meal, outcome: 'offered' } }));
  },
  'take-out': leftoverAnswers,
  look: (c) => (seenBefore(c.known) ? [{ id: 'as-before', says: asBefore(c.known) }] : []),
  'check-water': (c) => {
    const mm = Math.round(c.water?.lineMm ?? 0);
    return c.water && mm > 0 && c.water.lineErrorMm <= figure('lineKnownMm')
      ? [{ id: 'line-as-expected', says: { kind: 'look', waterLineMm: mm } }]
      : [];
  },
  'water-home': ({ watered }) =>
    watered.map(({ now: { part } }) => ({
      id: 'watered',
      says: { kind: 'home', change: { what: 'watered', partId: part.id } },
      ...(watered.length > 1 ? { about: nounOf(part) } : {}),
    })),
  clean: ({ part }) => [
    { id: 'cleaned', says: { kind: 'home', change: { what: 'cleaned', partId: part.id } } },
  ],
  'move-step': moveAnswers,
  'fresh-home': () => [],
  plug: () => [],
  cool: () => [],
  warm: () => [],
  winter: () => [],
  quarantine: () => [],
  separate: () => [],
  space: () => [],
  nest: () => [],
};

/** The likely answers to a deed, each whole. */
export const answersTo = (c: Case, task: Task): Answer[] => [...ANSWERS[task](c)];

/** What became of the food that is asked about; it names the offer, so that however old it is it is closed. */
function leftoverAnswers(c: Case): Answer[] {
  const offer = leftoverAsked(c);
  if (!offer) return [];
  const became = (id: AnswerId, outcome: 'taken' | 'removed' | 'left'): Answer => ({
    id,
    says: { kind: 'feed', food: offer.food, outcome, offerId: offer.entryId },
  });
  const left = offer.outcome === 'left' ? [] : [became('left', 'left')];
  return [became('eaten', 'taken'), became('taken-out', 'removed'), ...left];
}

/** Who is across, seen through the glass, while they can cross; the last step of a move, which is counted, has its form. */
function moveAnswers(c: Case): Answer[] {
  const { move } = c;
  if (!move || !underWay(move)) return [];
  const { open, lightNext } = crossing(c, move);
  if (!open) return [];
  const there = (id: AnswerId, all: boolean): Answer => ({
    id,
    says: {
      kind: 'home',
      change: {
        what: 'moved-in',
        partId: move.to,
        queen: all,
        brood: all ? 'all' : 'none',
        workers: all ? 'all' : 'none',
        how: 'by-themselves',
      },
    },
  });
  const lit: SaidNow = { kind: 'home', change: { what: 'covered', partId: move.from, cover: 'lit' } };
  return [
    there('all-across', true),
    there('nobody-yet', false),
    ...(lightNext ? [{ id: 'uncovered', says: lit } as const] : []),
  ];
}

/** Whether any stage was ever counted: without that nothing can be as before. */
const seenBefore = ({ counts }: QueenLedger): boolean => MILESTONES.some((m) => counts[m] !== null);
