import { foodsOf, type Food, type FeedSpot, type FeedWay } from '../../facts';
import { daysBetween, msOf, type Instant } from '../../quantity';
import type { EntryOf } from '../../log';

/** One food set before her, and what became of it. */
export interface Offer {
  entryId: string;
  at: Instant;
  food: Food;
  spot: FeedSpot | null;
  way: FeedWay | null;
  /** Open: nobody has said what became of it. Left: not eaten, and still there. */
  outcome: 'open' | 'taken' | 'left' | 'removed';
  /** Not eaten when last seen: removed or not, it was no meal. */
  refused: boolean;
  /** When the outcome was seen, and which entry says so. */
  seen: { at: Instant; entryId: string } | null;
  /** Workers ate with her, or instead of her. */
  workersThere: boolean;
  rushed: boolean;
}

/** What became of an offer is looked for this long; later, it is an offer of its own. Prior. */
const SAME_OFFER_DAYS = 21;

/**
 * Adds what one entry says of food: an offer, or what became of the last one of that food. A new offer stands in the
 * place of an older one of the same food.
 * @param offers changed in place, oldest first
 */
export function foldFeed(offers: Offer[], feed: EntryOf<'feed'>, workersThere: boolean): void {
  for (const food of foodsOf(feed.food)) {
    const last = offers.filter((o) => o.food === food).at(-1);
    const near = last !== undefined && daysBetween(last.at, feed.at) <= SAME_OFFER_DAYS;
    // what was found left may still be taken out; left again, it was offered again
    const same =
      near && (last.outcome === 'open' || (last.outcome === 'left' && feed.outcome === 'removed'))
        ? last
        : undefined;
    const seen = { at: feed.at, entryId: feed.id };
    if (feed.outcome !== 'offered' && same) {
      same.refused = feed.outcome === 'left' || (feed.outcome === 'removed' && same.refused);
      same.outcome = feed.outcome;
      same.seen = seen;
      same.rushed ||= feed.rushed ?? false;
      continue;
    }
    if (feed.outcome === 'removed') continue;
    if (near && stillThere(last)) last.outcome = 'removed';
    offers.push({
      entryId: feed.id,
      at: feed.at,
      food,
      spot: feed.spot ?? null,
      way: feed.way ?? null,
      outcome: feed.outcome === 'offered' ? 'open' : feed.outcome,
      refused: feed.outcome === 'left',
      seen: feed.outcome === 'offered' ? null : seen,
      workersThere,
      rushed: feed.rushed ?? false,
    });
  }
}

/** Whether something of it may still lie there. */
export const stillThere = (offer: Offer): boolean => offer.outcome === 'open' || offer.outcome === 'left';

/** Whether it counts as a meal: an offer of which nothing is known is none. */
export const isMeal = (offer: Offer): boolean => offer.outcome === 'taken';

/** The last meal, of some foods or of any. */
export function lastMeal(offers: readonly Offer[], ...foods: readonly Food[]): Offer | null {
  return offers.filter((o) => isMeal(o) && (foods.length === 0 || foods.includes(o.food))).at(-1) ?? null;
}

/** How often one food was refused since it was last taken, the newest refusal last. */
export interface Refusals {
  food: Food;
  row: Offer[];
}

/**
 * Refusals count for each food apart: that sugar was taken says nothing of protein. The food that was refused most often in a row
 * comes first; foods that are taken are left out.
 */
export function refusalsOf(offers: readonly Offer[]): Refusals[] {
  const foods = [...new Set(offers.map((o) => o.food))];
  return foods
    .map((food): Refusals => {
      const mine = offers.filter((o) => o.food === food);
      const meal = lastMeal(mine);
      // an offer of which nothing is known yet ends no row, and is none of it
      return { food, row: mine.filter((o) => o.refused && (meal === null || msOf(o.at) > msOf(meal.at))) };
    })
    .filter(({ row }) => row.length > 0)
    .sort((a, b) => b.row.length - a.row.length);
}
