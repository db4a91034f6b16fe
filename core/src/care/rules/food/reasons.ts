import { isMeal, lastMeal, refusalsOf, type Offer, type Refusals } from '../../../founding';
import { daysBetween, isSome, latest, msOf, phrase, type Instant, type Phrase } from '../../../quantity';
import { counted, capital } from '../../../words';
import type { Case } from '../../case';
import { figure } from '../../practice';
import { COMMON_PRACTICE, criterion, OWN_LOG, OWN_PRIOR, type Criterion } from '../../verdict';
import { openOffers } from './ends';
import { menuOf } from './words';

const FOUNDER_NAMES = {
  'fully-claustral': 'fully claustral: she founds without eating',
  'semi-claustral': 'semi-claustral: she must eat while she founds',
  'socially-parasitic': 'a social parasite: she needs host workers',
  dependent: 'one that founds with workers of her own, never alone',
} as const;

const SETTLES = {
  species: 'A name for the species tells most.',
  shape: 'Compare her shape with the silhouettes: that tells most.',
  wings: 'Whether she has wings.',
  restless: 'Whether she paces and searches a week after settling tells most.',
  protein: 'A tiny protein offer tells most: taken or refused.',
  'brood-unfed': 'Whether larvae grow to pupae without food tells most.',
} as const;

/** What she is held to be: of one whose workers are gone that no longer matters, and the likeliest is named. */
function founderTypeOf({ founder: { probabilities: p }, eating }: Case): keyof typeof FOUNDER_NAMES {
  const notAlone = p.dependent > p['socially-parasitic'] ? 'dependent' : 'socially-parasitic';
  switch (eating) {
    case 'must':
    case 'perhaps':
      return 'semi-claustral';
    case 'no':
      return 'fully-claustral';
    case 'spent':
      return p['semi-claustral'] > p['fully-claustral'] ? 'semi-claustral' : 'fully-claustral';
    case 'alone':
    case 'host-fed':
    case 'dependent':
      return notAlone;
  }
}

/** What kind of founder she is held to be, and how sure that is. */
export function founderCriterion(c: Case): Criterion {
  const { founder, eating } = c;
  const type = founderTypeOf(c);
  return criterion(
    'founder',
    eating === 'perhaps' ? 'unknown' : 'met',
    phrase`${{ word: eating === 'perhaps' ? 'Perhaps' : 'Held to be' }} ${{ word: FOUNDER_NAMES[type] }} (${{ percent: 100 * founder.probabilities[type] }}).`,
    'her species, her shape and what she did, weighed together',
    founder.tellsMost ? { settles: SETTLES[founder.tellsMost.kind] } : {},
  );
}

export function fedCriterion(meal: Offer | null, days: number, byDays: number, usual: Phrase): Criterion {
  return criterion(
    'fed',
    days >= byDays ? 'unmet' : 'met',
    [...(meal ? phrase`Last meal ${{ days }} ago; ` : ['No meal is logged; ']), ...usual, '.'],
    COMMON_PRACTICE,
    {
      evidence: meal ? [meal.entryId] : [],
      margin: { value: byDays - days, unit: 'days' },
    },
  );
}

/** What she does not live on is no meal, and that she leaves it tells nothing. */
const refusalsHere = (c: Case): Refusals[] =>
  refusalsOf(c.known.offers).filter(({ food }) => menuOf(c).feeds.includes(food));

/** The food that is to be changed: refused so often in a row that it is named; null when none is. */
export function refusedFood(c: Case): Refusals | null {
  const [worst] = refusalsHere(c);
  return worst && worst.row.length >= figure('refusals') ? worst : null;
}

/** Each food apart: what was taken does not make up for what was left. */
export const refusalCriteria = (c: Case): Criterion[] =>
  refusalsHere(c).map(({ food, row }, i) =>
    criterion(
      i === 0 ? 'refused' : `refused-${food}`,
      'unmet',
      phrase`${{ word: capital(food) }} refused ${{ word: counted(row.length, 'time') }} in a row: what is left is no meal.`,
      OWN_LOG,
      { evidence: row.map((o) => o.entryId) },
    ),
  );

export function eager(last: Offer | null): Criterion[] {
  if (!last?.rushed) return [];
  return [
    criterion(
      'rushed',
      'unmet',
      ['They rushed at the food: they were underfed. Feed sooner, or more.'],
      COMMON_PRACTICE,
      {
        evidence: [last.entryId],
      },
    ),
  ];
}

/** Protein is missed where larvae were seen, where nobody has looked for them for weeks, and always by those who hunt for all. */
function wantsPrey(c: Case): boolean {
  const { huntsFor } = menuOf(c);
  if (huntsFor === 'nobody') return false;
  if (huntsFor === 'all') return true;
  const larvae = c.known.counts.larvae;
  if (larvae && isSome(larvae.range)) return true;
  const unseen = !larvae || daysBetween(larvae.at, c.now) > figure('periodDays');
  return unseen && c.life === 'colony';
}

/** The answer of one that lacks protein, whatever else stands with her. */
export const PROTEIN_MISSING = 'protein is missing';

/** Larvae grow on protein: sugar alone for weeks starves them. */
export function proteinMissing(
  c: Case,
  afterDays: number,
): { missing: boolean; says: Phrase; criteria: Criterion[] } {
  const larvae = c.known.counts.larvae;
  const seen = larvae !== null && isSome(larvae.range);
  // what lives on a fungus brings larvae up on it
  const has = wantsPrey(c);
  const meals = c.known.offers.filter(isMeal);
  const protein = lastMeal(c.known.offers, 'protein');
  const first = meals[0]?.at ?? null;
  const since = latest(protein?.at ?? first, seen ? larvaeSince(c) : null);
  const days = since ? daysBetween(since, c.now) : 0;
  // what is with her now has its chance first
  const offered = openOffers(c).some(({ offer }) => offer.food === 'protein');
  const missing = has && meals.length > 0 && days > afterDays && !offered;
  const says = seen
    ? phrase`Larvae are there, and for ${{ days }} no protein was taken: sugar alone does not raise them. A tiny piece of dead prey now.`
    : phrase`Give a small piece of freshly killed prey now. For ${{ days }} no protein was taken, and her species ${{ word: menuOf(c).huntsFor === 'all' ? 'lives on it' : 'needs it for brood' }}.`;
  if (!has || meals.length === 0) return { missing, says, criteria: [] };
  return {
    missing,
    says,
    criteria: [
      criterion(
        'protein',
        missing ? 'unmet' : 'met',
        missing
          ? says
          : protein
            ? phrase`Protein last taken ${{ date: protein.at }}; sugar runs workers, protein grows brood.`
            : ['Sugar runs workers, protein grows brood.'],
        `${COMMON_PRACTICE}; the days are ${OWN_PRIOR}`,
        { evidence: protein ? [protein.entryId] : larvae ? [larvae.entryId] : [] },
      ),
    ],
  };
}

/** When the larvae that are there came: by the reckoning, which knows how long nobody had looked; else when they were seen. */
function larvaeSince({ known, ahead }: Case): Instant | null {
  const seen = known.appearances.larvae.interval.by ?? known.counts.larvae?.at ?? null;
  const reckoned = ahead?.events.larvae.band.p50 ?? null;
  return seen !== null && reckoned !== null && msOf(reckoned) < msOf(seen) ? reckoned : seen;
}
