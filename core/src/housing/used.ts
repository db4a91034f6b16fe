import type { HomePart, LossWay, Mould } from '../facts';
import { effectiveEntries, type Entry } from '../log';
import { daysBetween, msOf, type Instant } from '../quantity';
import { endOf, housing, type PartNow } from './housing';

/** Who lived in a part, and how long. */
export interface Stay {
  queenId: string;
  label: string;
  from: Instant;
  until: Instant | null;
}

/** A part in which nobody lives any more and which can be used again, with all that is known of what went on in it. */
export interface UsedPart {
  part: HomePart;
  /** In whose log it stands. */
  queenId: string;
  asideAt: Instant;
  /** Nobody took it away: it stands where its colony ended. */
  left: boolean;
  /** Cleaned since nobody lives in it; null while it is not. */
  cleanedAt: Instant | null;
  /** From container to container, oldest first. */
  stays: Stay[];
  /** The worst that was ever seen in it; null when nobody ever said. */
  mould: Mould | null;
}

/** What is gathered from: a queen's name, her first home, her log. */
export interface Keeping {
  queen: { id: string; label: string };
  home: HomePart;
  entries: readonly Entry[];
}

/** What was left behind longer ago than that is not asked about any more, days. A prior. */
export const LEFT_DAYS = 365;

/** Ways to end after which the home stands empty. */
const LEAVES_ITS_HOME: ReadonlySet<LossWay> = new Set(['died', 'escaped', 'infertile']);

const WORSE: readonly (Mould | null)[] = [null, 'none', 'far-plug', 'near-brood'];
const worse = (a: Mould | null, b: Mould | null): Mould | null =>
  WORSE.indexOf(a) >= WORSE.indexOf(b) ? a : b;

interface History {
  now: PartNow;
  queenId: string;
  stays: Stay[];
  mould: Mould | null;
  /** When the colony of its home ended and left it behind; null while it lives, or when the home went with it. */
  leftAt: Instant | null;
}

/**
 * Parts that were taken away, or left by a colony that ended, and neither thrown away nor set up again; the newest first. What a part was before, in the home of
 * another, is its history too.
 * @param all every queen who ended, or in whose log a part was taken away, or one that had been used was set up
 */
export function usedParts(all: readonly Keeping[], now: Instant): UsedPart[] {
  const histories = new Map(all.flatMap(historiesOf).map((h) => [h.now.part.id, h]));
  const again = new Set([...histories.values()].flatMap(({ now }) => now.part.was ?? []));
  return [...histories.values()]
    .flatMap((h): UsedPart[] => {
      const { gone, part, cleanedAt } = h.now;
      const asideAt = gone?.at ?? h.leftAt;
      if (asideAt === null || (!gone && daysBetween(asideAt, now) > LEFT_DAYS)) return [];
      if (gone?.to === 'thrown-away' || again.has(part.id)) return [];
      const { stays, mould } = whole(h, histories);
      const cleaned = gone?.to === 'cleaned' ? gone.at : cleanedAt;
      return [
        {
          part,
          queenId: h.queenId,
          asideAt,
          left: gone === null,
          cleanedAt: cleaned !== null && msOf(cleaned) >= msOf(asideAt) ? cleaned : null,
          stays,
          mould,
        },
      ];
    })
    .sort((a, b) => msOf(b.asideAt) - msOf(a.asideAt));
}

/** What is known of a part in the homes before this one is added to what is known of it here. */
function whole(h: History, all: ReadonlyMap<string, History>): Pick<UsedPart, 'stays' | 'mould'> {
  let { stays, mould } = h;
  const seen = new Set([h.now.part.id]);
  for (let was = h.now.part.was; was && !seen.has(was);) {
    seen.add(was);
    const before = all.get(was);
    stays = [...(before?.stays ?? []), ...stays];
    mould = worse(mould, before?.mould ?? null);
    was = before?.now.part.was;
  }
  return { stays, mould };
}

/** Every part of one home: when she lived in it, and the worst mould that a look found while she did. */
function historiesOf({ queen, home, entries }: Keeping): History[] {
  const log = effectiveEntries(entries).flatMap(({ entry }) => entry ?? []);
  const changes = log.filter((e) => e.kind === 'home');
  const { parts, faults } = housing(home, changes, endOf(log));
  const histories = new Map(
    parts.map((now): [string, History] => [
      now.part.id,
      { now, queenId: queen.id, stays: [], mould: null, leftAt: null },
    ]),
  );
  const wrong = new Set(faults.map((f) => f.entryId));
  let here: string | null = null;
  let from: Instant = home.setUpAt;
  const leave = (until: Instant | null) => {
    const history = here === null ? undefined : histories.get(here);
    history?.stays.push({ queenId: queen.id, label: queen.label, from, until });
  };
  here = home.id;
  for (const e of log) {
    if (e.kind === 'home' && !wrong.has(e.id) && e.change.what === 'moved-in' && e.change.queen === true) {
      if (e.change.partId === here) continue;
      leave(e.at);
      here = e.change.partId;
      from = e.at;
    } else if (e.kind === 'look' && e.mould) {
      const history = histories.get(here);
      if (history) history.mould = worse(history.mould, e.mould);
    } else if (e.kind === 'loss' && !e.colonyGoesOn) {
      leave(e.at);
      here = '';
      // what is given away or joined to others takes its home along
      if (LEAVES_ITS_HOME.has(e.how)) for (const history of histories.values()) history.leftAt = e.at;
    }
  }
  if (here !== '') leave(null);
  return [...histories.values()];
}

/** Why a used part is not to be used as it is, and what to do first; null when it is clean. */
export function usedFault({ cleanedAt, mould }: Pick<UsedPart, 'cleanedAt' | 'mould'>): string | null {
  if (cleanedAt !== null && mould !== 'near-brood') return null;
  if (mould === 'near-brood')
    return 'There was mould at the brood in it: sterilise it before anybody lives in it again, or throw it away.';
  return 'It is not cleaned: hot water and soap, then dry it well, before anybody lives in it again.';
}
