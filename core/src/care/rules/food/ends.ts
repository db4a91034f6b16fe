import type { Offer } from '../../../founding';
import { addDays, msOf, type Instant } from '../../../quantity';
import { fedThroughout, type Case } from '../../case';
import { figure } from '../../practice';

const HOUR = 1 / 24;

/** Whether food at this place stands outside her cell; where no place is told, only those fed all along have one outside. */
export function standsOutside(c: Case, spot: Offer['spot']): boolean {
  return spot === 'foraging-space' || spot === 'outer-room' || (spot === null && fedThroughout(c.eating));
}

/** When an offer is over: hours for free liquid with a founding queen, a day for protein, days where it stands outside. */
export function endOf(c: Case, { at, food, way, spot, workersThere }: Offer): Instant {
  const hours = (n: number) => addDays(at, n * HOUR);
  if (food === 'seeds') return addDays(at, figure('seedsDays'));
  if (food === 'leaves') return addDays(at, figure('leavesDays'));
  if (food === 'protein') return hours(figure('proteinHours'));
  if (way === 'feeder') return addDays(at, figure('feederDays'));
  if (standsOutside(c, spot))
    return addDays(at, way === 'dish' ? figure('dishDays') : figure('outsideSugarDays'));
  if (way === 'drop' || way === 'swab' || !workersThere) return hours(figure('dropHours'));
  return hours(figure('sugarWithWorkersHours'));
}

export interface OnOffer {
  offer: Offer;
  end: Instant;
}

/** Food that was offered, is not over, and of which nothing is known yet: until it is, nothing more is offered. */
export const openOffers = (c: Case): OnOffer[] =>
  c.known.offers
    .filter((o) => o.outcome === 'open')
    .map((offer) => ({ offer, end: endOf(c, offer) }))
    .filter(({ end }) => msOf(end) > msOf(c.now));

/** Of these the first to be over; null when there is none. */
export const onOffer = (c: Case): OnOffer | null =>
  openOffers(c).sort((a, b) => msOf(a.end) - msOf(b.end))[0] ?? null;
