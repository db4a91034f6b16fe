import type { Connector } from '../housing';
import { type StockItem, type StockMove } from '../facts';
import { type Hemisphere } from '../season';

import { addDays, instantOf, msOf, type Instant } from '../quantity';

export interface StockLevel {
  item: StockItem;
  /** All changes added up; below zero when more was used than was counted. */
  count: number;
  low: boolean;
  lastMove: StockMove | null;
}

/** What is there now: every change added up. A change of an item that is not known is left out. */
export function stockLevels(items: readonly StockItem[], moves: readonly StockMove[]): StockLevel[] {
  const byItem = new Map<string, StockMove[]>(items.map((i) => [i.id, []]));
  for (const m of moves) byItem.get(m.itemId)?.push(m);
  return items.map((item) => {
    const mine = (byItem.get(item.id) ?? []).sort(
      (a, b) => msOf(a.at) - msOf(b.at) || (a.id < b.id ? -1 : 1),
    );
    const count = mine.reduce((sum, m) => sum + m.delta, 0);
    return { item, count, low: count <= item.lowAt, lastMove: mine[mine.length - 1] ?? null };
  });
}

/** The connectors of a stock, as a chain is looked for among them. */
export const connectorsOf = (levels: readonly StockLevel[]): Connector[] =>
  levels.flatMap(({ item: { id, name, connector }, count }) =>
    connector && count > 0 ? [{ id, name, ...connector, count }] : [],
  );

/** Share of tubes above last season's catch, for broken ones and a better year. Prior. */
const SPARE_SHARE = 1 / 3;
/** Tubes are finished this long before the first flight. Prior. */
const AHEAD_DAYS = 14;

export interface FlightPlan {
  /** Queens taken in during the season looked at. */
  caught: number;
  /** First day of that season's catch. */
  firstCatch: Instant;
  /** Tubes that should be ready, spare ones included. */
  need: number;
  /** Still to be made. */
  make: number;
  /** Ready by this day. */
  by: Instant;
}

/**
 * How many tubes to make before the next flights, from the last season in which queens were caught. A season is the
 * twelve months from the middle of winter.
 * @param catches when each queen was taken in from outdoors
 * @param ready finished tubes in stock; below zero counts as none
 * @returns null when no queen was ever caught
 */
export function tubesToMake(
  catches: readonly Instant[],
  ready: number,
  now: Instant,
  hemisphere: Hemisphere = 'north',
): FlightPlan | null {
  const past = catches.filter((c) => msOf(c) <= msOf(now)).sort((a, b) => msOf(a) - msOf(b));
  const last = past[past.length - 1];
  if (!last) return null;
  const start = seasonStart(last, hemisphere);
  const season = past.filter((c) => msOf(c) >= start);
  const firstCatch = season[0] ?? last;
  let years = 1;
  while (msOf(sameDayLater(firstCatch, years)) < msOf(now)) years++;
  const by = sameDayLater(firstCatch, years);
  const needed = Math.ceil(season.length * (1 + SPARE_SHARE));
  return {
    caught: season.length,
    firstCatch,
    need: needed,
    make: Math.max(0, needed - Math.max(0, ready)),
    by,
  };
}

/** The same day of a later year, the days of preparation before it. */
function sameDayLater(at: Instant, years: number): Instant {
  const d = new Date(msOf(at));
  d.setUTCFullYear(d.getUTCFullYear() + years);
  return addDays(d.toISOString(), -AHEAD_DAYS);
}

function seasonStart(at: Instant, hemisphere: Hemisphere): number {
  const month = hemisphere === 'north' ? 0 : 6;
  const d = new Date(msOf(at));
  const year = d.getUTCMonth() >= month ? d.getUTCFullYear() : d.getUTCFullYear() - 1;
  return msOf(instantOf(Date.UTC(year, month, 1)));
}
