import { stillThere, type Offer } from '../../founding';
import { addDays, daysBetween, isSome, msOf, phrase, type Phrase } from '../../quantity';
import { MILESTONES } from '../../species';
import type { Case } from '../case';
import { capital } from './expect';
import { endOf } from './food/ends';
import { figure } from '../practice';
import { ask, COMMON_PRACTICE, criterion, verdict, type Rule } from '../verdict';

const HOUR = 1 / 24;
const NAMES = { sugar: 'sugar', protein: 'protein', seeds: 'seeds', leaves: 'leaves' } as const;

/** Every offer has an end: until "taken out" or "eaten up" is logged, taking it out is the next thing due. */
export const leftovers: Rule = (c) => {
  if (c.life === 'gone') return null;
  const there = c.known.offers
    .filter((o) => stillThere(o))
    .map((offer) => ({ offer, end: endOf(c, offer) }))
    .sort((a, b) => msOf(a.end) - msOf(b.end));
  const [first] = there;
  if (!first) return null;
  const { offer, end } = first;
  const due = msOf(end) <= msOf(c.now);
  const word = NAMES[offer.food];
  const hours = daysBetween(c.now, end) * 24;
  const says: Phrase = due
    ? [
        offer.outcome === 'left'
          ? `The ${word} was left: take it out, and the foil or swab it was on.`
          : `Take the ${word} out now, if anything of it is left: ${reason(c, offer)}`,
      ]
    : phrase`${{ word: capital(word) }} stands there. Take it out by ${{ date: end }}.`;
  return verdict({
    id: 'leftovers',
    question: 'Is food left to take out?',
    answer: due ? 'take it out' : 'food stands',
    says,
    pressure: due ? 'now' : hours <= figure('takeOutSoonHours') ? 'soon' : 'rest',
    until: due ? null : end,
    criteria: there.map(({ offer: o, end: e }) =>
      criterion(
        `${o.food}-there`,
        msOf(e) <= msOf(c.now) ? 'unmet' : 'met',
        phrase`${{ word: capital(NAMES[o.food]) }} offered ${{ date: o.at }}; out after ${{ word: lasts(daysBetween(o.at, e)) }}.`,
        COMMON_PRACTICE,
        { evidence: [o.entryId], settles: 'Log it as eaten up or taken out.' },
      ),
    ),
    asks: [
      ask(
        c,
        'take-out',
        due
          ? [c.now, c.now, addDays(c.now, figure('takeOutWithinHours') * HOUR)]
          : [
              hours <= figure('takeOutSoonHours') ? c.now : end,
              end,
              addDays(end, figure('takeOutWithinHours') * HOUR),
            ],
        says,
        { timer: hours <= 24 },
      ),
    ],
  });
};

function reason({ known }: Case, { food }: Offer): string {
  if (food === 'protein') return 'it moulds within a day or two.';
  if (food === 'leaves') return 'what wilts moulds, and mould harms her fungus.';
  const brood = MILESTONES.some((m) => m !== 'workers' && known.counts[m] && isSome(known.counts[m].range));
  return brood ? 'free liquid and brood do not go together.' : 'it fouls, and she may drown in it.';
}

const lasts = (days: number): string =>
  days < 2 ? `${Math.round(days * 24)} hours` : `${Math.round(days)} days`;
