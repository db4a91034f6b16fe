import type { HomePart, Queen } from '../facts';
import type { Life } from '../cohort';
import type { AskedDeed, Pressure } from '../care';

import type { Band, Instant, Phrase } from '../quantity';
import { MILESTONES, type Milestone } from '../species';
import { standing, type DrawnHome, type Housing } from '../housing';
import type { LastCount, OutlookEvent } from '../founding';
import type { QueenFacts } from './basis';
import type { QueenView } from './queen-view';

/** One queen as the shelf shows her: enough to draw her home and say what she needs. */
export interface ShelfRow {
  queen: Queen;
  /** The part she lives in. */
  part: HomePart;
  /** All parts of her home with what joins them, when there are more than the one she lives in. */
  home: DrawnHome | null;
  placeId: string;
  placeName: string;
  profileId: string;
  counts: Record<Milestone, LastCount | null>;
  /** Chance that each stage has begun by now, 0..1. */
  likely: Record<Milestone, number>;
  queenAtMm: number | null;
  /** Where the water line stands now by reckoning, mm; null when she lives in no tube. */
  lineMm: number | null;
  wetFront: string | null;
  says: Phrase;
  pressure: Pressure;
  restUntil: Instant | null;
  next: { event: OutlookEvent; band: Band<Instant | null> } | null;
  lost: { how: string; at: Instant } | null;
  /** Workers live on without her. */
  orphans: boolean;
  lastLookAt: Instant | null;
  /** Her life so far, for what the shelf shows as a whole; null without an intake. */
  life: Life | null;
  /** Whether she is to be fed, in a few words; null when nothing is said of it. */
  feeding: string | null;
  /** Where she was found, for the search alone. */
  site: string | null;
  /** What is due at her tube, as windows. */
  due: AskedDeed[];
}

/** What was taken away is not drawn. */
function homeOf({ parts, links, home }: Housing): ShelfRow['home'] {
  const here = standing({ parts }).map(({ part, gates }) => ({ part, gates }));
  return here.length > 1 ? { parts: here, links, home } : null;
}

export function shelfRow({ queen, place }: QueenFacts, view: QueenView): ShelfRow {
  const { ledger: known, outlook: ahead, counsel: advice, part } = view;
  const event = ahead?.next ?? null;
  return {
    queen,
    part,
    home: homeOf(view.housing),
    placeId: place.id,
    placeName: place.name,
    profileId: view.profileId,
    counts: known.counts,
    likely: Object.fromEntries(MILESTONES.map((m) => [m, ahead?.events[m].byNow ?? 0])) as Record<
      Milestone,
      number
    >,
    queenAtMm: known.queenSeen?.atMm ?? null,
    lineMm: part.kind === 'tube' ? (advice?.water?.lineMm ?? part.waterLineMm) : null,
    wetFront: known.wetFront?.value ?? null,
    says: advice?.next ?? [view.trouble?.message ?? 'Nothing is known of her yet.'],
    pressure: advice?.pressure ?? 'now',
    restUntil: advice?.restUntil ?? null,
    next: ahead && event ? { event, band: ahead.events[event].band } : null,
    orphans: known.loss?.orphans ?? false,
    lost: known.loss && !known.loss.orphans ? { how: known.loss.how, at: known.loss.at } : null,
    lastLookAt: known.lastLook?.at ?? null,
    life: known.intake
      ? {
          from: known.intake.at,
          eggs: known.appearances.eggs.interval,
          workers: known.appearances.workers.interval,
          cameWithWorkers: known.appearances.workers.byEntry === known.intake.entryId,
          ended: known.loss ? { at: known.loss.at, how: known.loss.how } : null,
        }
      : null,
    feeding: advice?.verdicts.find((v) => v.id === 'food')?.answer ?? null,
    site: known.intake?.where ?? null,
    due: advice?.due ?? [],
  };
}
