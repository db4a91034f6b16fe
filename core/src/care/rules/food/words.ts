import type { Phrase } from '../../../quantity';
import type { Case } from '../../case';
import { figure } from '../../practice';
import { verdict, type SchoolView, type Verdict } from '../../verdict';

export const foodVerdict = (c: Case, given: Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>): Verdict =>
  verdict({
    id: 'food',
    question: c.life === 'orphans' ? 'Do her workers need food?' : 'Does she need food?',
    ...given,
  });

/** What to offer, by who eats and what they live on. */
export function offerWords(c: Case, who: 'must' | 'colony'): Phrase {
  const seeds = c.profile.diet.value === 'harvester';
  if (who === 'must')
    return [
      'Offer sugar and a tiny piece of dead prey through the outer room or foraging space, not into her cell; leftovers out after a day.',
    ];
  if (seeds)
    return [
      'Small dry seeds, which they store and make their bread of; small dead protein for the larvae, out after a day; sugar little or none.',
    ];
  const many = (c.workers?.range.low ?? 0) >= figure('spaceWorkers');
  return many
    ? [
        'Sugar water and several small pieces of dead prey: more as larvae and workers grow; protein out after a day.',
      ]
    : ['A tiny sugar drop on foil and a small piece of dead prey; out after a day.'];
}

export const firstFood = (c: Case): string =>
  c.profile.diet.value === 'harvester' ? 'a few small dry seeds' : 'a tiny sugar drop';

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
