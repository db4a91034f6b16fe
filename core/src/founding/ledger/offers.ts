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

/** What became of an offer is looked for this long; a meal that is told of later is one of its own, unless it names the offer. Prior. */
const SAME_OFFER_DAYS = 21;

type Seen = NonNullable<Offer['seen']>;

/**
 * Adds what one entry says of food: an offer, or what became of the one that it names, or of the last one of that food. Whatever is told
 * of a food closes every older offer of it: a new offer stands in its place, and what became of it is known by then.
 * @param offers changed in place, oldest first
 */
export function foldFeed(offers: Offer[], feed: EntryOf<'feed'>, workersThere: boolean): void {
  const seen = { at: feed.at, entryId: feed.id };
  for (const food of foodsOf(feed.food)) {
    const mine = offers.filter((o) => o.food === food);
    const told = feed.outcome === 'offered' ? undefined : toldOf(mine, feed);
    const open = mine.filter((o) => stillThere(o) && o !== told);
    close(open, seen);
    if (told) {
      // that leftovers of a meal were taken out later takes no meal away
      if (!stillThere(told)) continue;
      told.refused = feed.outcome === 'left' || (feed.outcome === 'removed' && told.refused);
      told.outcome = feed.outcome as Offer['outcome'];
      told.seen = seen;
      told.rushed ||= feed.rushed ?? false;
      continue;
    }
    if (feed.outcome === 'removed' || feed.offerId) continue;
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

/** The offer that an outcome tells of: the one it names, or the last one while that is near. */
function toldOf(mine: readonly Offer[], { offerId, outcome, at }: EntryOf<'feed'>): Offer | undefined {
  if (offerId) return mine.find((o) => o.entryId === offerId);
  const last = mine.at(-1);
  if (!last || daysBetween(last.at, at) > SAME_OFFER_DAYS) return undefined;
  // what was found left may still be taken out; left again, it was offered again
  return last.outcome === 'open' || (last.outcome === 'left' && outcome === 'removed') ? last : undefined;
}

/** They are over, and whether anything was eaten of them nobody knows. */
function close(offers: readonly Offer[], seen: Seen): void {
  for (const o of offers) {
    o.outcome = 'removed';
    o.seen ??= seen;
  }
}

/** She lives elsewhere: what was put into the home she left is not with her; what stands in a space beside it may be. */
export const leaveBehind = (offers: readonly Offer[], seen: Seen): void =>
  close(
    offers.filter((o) => stillThere(o) && o.spot !== 'foraging-space'),
    seen,
  );

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
