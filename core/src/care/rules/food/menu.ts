import type { Food, Meal } from '../../../facts';
import type { SpeciesProfile } from '../../../species';

/** What those who live on one thing are offered, by who eats. Common practice, no source. */
interface Menu {
  /** What counts as a meal: a hunter on sugar alone is not fed. */
  feeds: readonly Food[];
  /** What is given at once, the usual first. */
  meals: readonly Meal[];
  /** A queen without reserves and without workers: what, and when it comes out. */
  alone: string;
  /** A queen that must eat while she founds. */
  must: string;
  /** A small colony, and a larger one. */
  few: string;
  many: string;
  /** The first meal of the first workers, in a few words and as a sentence. */
  first: string;
  restart: string;
  /** Workers that outlive their queen. */
  orphans: string;
  /** What tells whether she eats while she founds, and what is seen when she does. */
  trial: { what: string; takes: string };
  /** Whether all live on prey, so that it is missed without a look at the larvae. */
  huntsFor: 'larvae' | 'all' | 'nobody';
  /** What is made ready for a feed. */
  ready: readonly string[];
}

const OUTSIDE = 'through the outer room or foraging space, not into her cell; leftovers out after a day.';

const PREY_TRIAL = { what: 'a tiny piece of fresh prey', takes: 'does she take it?' };

export const MENUS: Record<SpeciesProfile['diet']['value'], Menu> = {
  omnivore: {
    feeds: ['sugar', 'protein', 'seeds'],
    meals: ['sugar', 'protein', 'both'],
    alone: 'a tiny drop of sugar water on foil and a tiny piece of dead insect',
    must: `Offer sugar and a tiny piece of dead prey ${OUTSIDE}`,
    few: 'A tiny sugar drop on foil and a small piece of dead prey; out after a day.',
    many: 'Sugar water and several small pieces of dead prey: more as larvae and workers grow; protein out after a day.',
    first: 'a tiny sugar drop',
    restart: 'A tiny sugar drop on foil restarts her laying; small dead protein a few days later.',
    orphans: 'A tiny sugar drop on foil',
    trial: PREY_TRIAL,
    huntsFor: 'larvae',
    ready: ['sugar water', 'foil', 'a tiny piece of dead prey'],
  },
  harvester: {
    feeds: ['seeds', 'protein', 'sugar'],
    meals: ['seeds', 'protein'],
    alone: 'two or three small cracked seeds and a tiny piece of dead insect',
    must: `Offer a few small dry seeds, one or two of them cracked, and a tiny piece of dead prey ${OUTSIDE}`,
    few: 'Small dry seeds, which they store and make their bread of; small dead protein for the larvae, out after a day; sugar little or none.',
    many: 'Small dry seeds, which they store and make their bread of; small dead protein for the larvae, out after a day; sugar little or none.',
    first: 'a few small dry seeds',
    restart: 'A few small dry seeds, and a tiny piece of dead prey a few days later.',
    orphans: 'A few dry seeds',
    trial: PREY_TRIAL,
    huntsFor: 'larvae',
    ready: ['small dry seeds', 'a tiny piece of dead prey'],
  },
  nectar: {
    feeds: ['sugar', 'protein'],
    meals: ['sugar', 'protein', 'both'],
    alone: 'a tiny drop of sugar water on foil and a tiny piece of dead insect',
    must: `Offer sugar water, of which they take much, and a tiny piece of dead prey ${OUTSIDE}`,
    few: 'Sugar water on foil or a swab, of which they take much, and a small piece of dead prey; out after a day.',
    many: 'Sugar water in plenty, kept fresh, for they store it; small pieces of dead prey for the larvae, out after a day.',
    first: 'a tiny sugar drop',
    restart: 'A tiny sugar drop on foil restarts her laying; small dead protein a few days later.',
    orphans: 'A tiny sugar drop on foil',
    trial: PREY_TRIAL,
    huntsFor: 'larvae',
    ready: ['sugar water', 'foil', 'a tiny piece of dead prey'],
  },
  predator: {
    feeds: ['protein'],
    meals: ['protein'],
    alone: 'a small, freshly killed insect',
    must: `Offer a small, freshly killed insect, and a tiny sugar drop that some take, ${OUTSIDE}`,
    few: 'Small, freshly killed prey, its body opened; a tiny sugar drop is taken by some; out after a day.',
    many: 'Fresh prey, as much as is carried in within a day; a sugar drop is taken by some; leftovers out after a day.',
    first: 'a small piece of fresh prey',
    restart: 'A small piece of fresh prey restarts her laying; a tiny sugar drop is taken by some.',
    orphans: 'A small piece of fresh prey',
    trial: PREY_TRIAL,
    huntsFor: 'all',
    ready: ['small, freshly killed prey', 'tweezers'],
  },
  fungus: {
    feeds: ['leaves'],
    meals: ['leaves', 'sugar'],
    alone: 'tiny pieces of fresh, unsprayed leaf or petal for her fungus',
    must: 'Offer tiny pieces of fresh leaf or petal, never sprayed, for her fungus, through an outer room, and keep the air very moist; what wilts comes out. No prey.',
    few: 'Tiny pieces of fresh leaf or petal, never sprayed, a little each time, and very moist air: they feed their fungus, and it feeds them. What wilts comes out.',
    many: 'Fresh leaves and petals, never sprayed, as much as is cut within a day or two, and very moist air: they feed their fungus, and it feeds them. What wilts comes out.',
    first: 'tiny pieces of fresh leaf',
    restart: 'Tiny pieces of fresh leaf or petal, never sprayed: her workers feed the fungus with them.',
    orphans: 'Tiny pieces of fresh leaf for the fungus',
    trial: { what: 'a tiny piece of fresh leaf', takes: 'does her fungus get it?' },
    huntsFor: 'nobody',
    ready: ['fresh, unsprayed leaves or petals', 'tweezers'],
  },
};
