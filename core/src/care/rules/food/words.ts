import { lastMeal, type Offer } from '../../../founding';
import { phrase, type Phrase } from '../../../quantity';
import { FOOD_WORDS } from '../../../words';
import type { Case } from '../../case';
import { figure } from '../../practice';
import { verdict, type SchoolView, type Verdict } from '../../verdict';
import type { OnOffer } from './ends';
import { MENUS } from './menu';

export const foodVerdict = (c: Case, given: Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>): Verdict =>
  verdict({
    id: 'food',
    question: c.life === 'orphans' ? 'Do her workers need food?' : 'Does she need food?',
    ...given,
    // what is made ready follows from what her species lives on
    asks: (given.asks ?? []).map((a) => ({ ...a, ready: menuOf(c).ready })),
  });

/** What those of her kind live on. */
export const menuOf = ({ profile }: Case) => MENUS[profile.diet.value];

/** Her last meal, by what counts as one for her species. */
export const lastMealOf = (c: Case, offers: readonly Offer[] = c.known.offers): Offer | null =>
  lastMeal(offers, ...menuOf(c).feeds);

/** What to offer, by who eats and what they live on. */
export function offerWords(c: Case, who: 'must' | 'colony'): Phrase {
  const menu = menuOf(c);
  if (who === 'must') return [menu.must];
  return [(c.workers?.range.low ?? 0) >= figure('spaceWorkers') ? menu.many : menu.few];
}

export const CLAUSTRAL_SCHOOLS: SchoolView[] = [
  {
    school: 'welcome-drop',
    name: 'Welcome drop',
    answer: 'one drop in the catch vial, never with brood',
    until: null,
  },
  {
    school: 'early-honey',
    name: 'Early honey',
    answer: 'one or two drops of diluted honey early on, on a swab, out after a few hours',
    until: null,
  },
];

/** Food is with her, and what becomes of it is not known yet. */
export function waitAndSee({ offer: { food, workersThere }, end }: OnOffer): Phrase {
  const { noun, subject, comes, it } = FOOD_WORDS[food];
  const [who, eat] = workersThere ? ['they', 'eat'] : ['she', 'eats'];
  return phrase`Wait and see whether ${{ word: who }} ${{ word: eat }} the ${{ word: noun }}; ${{ word: subject }} ${{ word: comes }} out by ${{ date: end }}. Log what became of ${{ word: it }}.`;
}
