import { stillThere, type Offer } from '../../founding';
import { addDays, daysBetween, isSome, msOf, phrase, type Instant, type Phrase } from '../../quantity';
import { MILESTONES } from '../../species';
import { FOOD_WORDS, capital } from '../../words';
import type { Case } from '../case';
import { endOf, standsOutside } from './food/ends';
import { figure } from '../practice';
import { ask, COMMON_PRACTICE, criterion, verdict, type Rule, type Verdict } from '../verdict';

const HOUR = 1 / 24;

/** Every offer has an end: until "taken out" or "eaten up" is logged, taking it out is the next thing due. */
export const leftovers: Rule = (c) => {
  if (c.life === 'gone') return null;
  const { there, old } = standingOf(c);
  const [first] = there;
  if (!first) return old ? askedQuietly(c, old) : null;
  const { offer, end } = first;
  const due = msOf(end) <= msOf(c.now);
  const { noun, was, it, subject } = FOOD_WORDS[offer.food];
  const hours = daysBetween(c.now, end) * 24;
  const says: Phrase = due
    ? [
        offer.outcome === 'left'
          ? `Take out the uneaten ${noun}, and the foil or swab ${subject} ${was} on.`
          : `Take the ${noun} out now, if any of ${it} is left: ${reason(c, offer)}`,
      ]
    : phrase`${{ word: capital(noun) }} ${{ word: was === 'was' ? 'is' : 'are' }} with her. Take ${{ word: it }} out by ${{ date: end }}.`;
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
        phrase`${{ word: capital(FOOD_WORDS[o.food].noun) }} offered ${{ date: o.at }}; out after ${{ word: lasts(daysBetween(o.at, e)) }}.`,
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

/** What may still stand with her: that whose end is near or lately over, the first to be over first; else the last that is asked about. */
function standingOf(c: Case): { there: Standing[]; old: Standing | undefined } {
  const all = c.known.offers
    .filter((o) => stillThere(o))
    .map((offer) => ({ offer, end: endOf(c, offer) }))
    .sort((a, b) => msOf(a.end) - msOf(b.end));
  const within = (days: number) => all.filter((o) => daysBetween(o.end, c.now) <= days);
  return {
    there: within(figure('leftoversPressDays')),
    old: within(figure('leftoversAskedDays')).at(-1),
  };
}

/** The offer of which it is asked what became of it; null when none is. */
export function leftoverAsked(c: Case): Offer | null {
  const { there, old } = standingOf(c);
  return (there[0] ?? old)?.offer ?? null;
}

interface Standing {
  offer: Offer;
  end: Instant;
}

/** Food whose end is long over, and of which nobody has said what became of it: it is asked once, and presses nobody. */
function askedQuietly(c: Case, { offer }: Standing): Verdict {
  const { noun, was, it } = FOOD_WORDS[offer.food];
  return verdict({
    id: 'leftovers',
    question: 'Is food left to take out?',
    answer: 'what became of it?',
    says: phrase`Log whether the ${{ word: noun }} of ${{ date: offer.at }} ${{ word: was }} eaten or taken out. Nothing has been logged about ${{ word: it }} since.`,
    pressure: 'free',
    criteria: [
      criterion(
        `${offer.food}-there`,
        'unknown',
        phrase`${{ word: capital(noun) }} offered ${{ date: offer.at }}.`,
        COMMON_PRACTICE,
        { evidence: [offer.entryId], settles: 'Log it as eaten up or taken out.' },
      ),
    ],
    asks: [
      ask(
        c,
        'take-out',
        [c.now, c.now, addDays(c.now, figure('overdueDays'))],
        phrase`Log what became of the ${{ word: noun }} of ${{ date: offer.at }}.`,
        { obligatory: false },
      ),
    ],
  });
}

/** Why it comes out: by what it is and where it was put. */
function reason(c: Case, { food, spot }: Offer): string {
  switch (food) {
    case 'protein':
      return 'it moulds within a day or two.';
    case 'leaves':
      return 'wilted leaves mould, and mould harms her fungus.';
    case 'seeds':
      return 'damp seeds sprout and mould.';
    case 'sugar': {
      if (standsOutside(c, spot)) return 'it ferments and draws mould.';
      const { counts } = c.known;
      const brood = MILESTONES.some((m) => m !== 'workers' && counts[m] && isSome(counts[m].range));
      return brood ? 'free liquid and brood do not go together.' : 'it fouls, and she may drown in it.';
    }
  }
}

const lasts = (days: number): string =>
  days < 2 ? `${Math.round(days * 24)} hours` : `${Math.round(days)} days`;
