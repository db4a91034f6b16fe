import type { Cover, Gate, HomePart, Moisture, Purpose, TakenTo } from '../facts';
import { effectiveEntries, type Entry, type EntryOf, type HomeChange } from '../log';
import { msOf, type Instant } from '../quantity';
import { changeFault } from './faults';
import { partOf, standing } from './parts';
import { hasFloor, holdsTubes, freePort, linksOf, withoutJoint, type Link } from './ports';

/** Which share of them is there, 0..1: what was seen is a range. */
export interface Share {
  low: number;
  high: number;
}

export interface Held {
  queen: Share;
  brood: Share;
  workers: Share;
}

/** One part of a home, as the log leaves it. */
export interface PartNow {
  /** As it was set up; `setUpAt` is when it came to her. */
  part: HomePart;
  purpose: Purpose | 'first';
  /** The entry that set it up; null for the one she was taken in with. */
  entryId: string | null;
  gone: { at: Instant; to: TakenTo; entryId: string } | null;
  cover: { value: Cover; since: Instant; entryId: string } | null;
  /** Of its ports and rooms those of which something was said; all others stand open. */
  gates: Record<string, { value: Gate; since: Instant; entryId: string }>;
  holds: Held;
  /** When it was last said who is in it. */
  saidAt: Instant | null;
  /** When its water was filled up or its stone wetted, oldest first. */
  waterings: { at: Instant; ml: number | null; was: Moisture | null; entryId: string }[];
  cleanedAt: Instant | null;
}

/**
 * Offered: nobody was seen in it. Scouts: workers alone, which is no move. Partly: the queen without her brood, or brood
 * without her. Real: queen and brood have crossed. Finished: stragglers too. Done: the old tube was taken away after it.
 * Abandoned: the fresh one was taken away, or another set up instead.
 */
export const MOVE_STAGES = ['offered', 'scouts', 'partly', 'real', 'finished', 'done', 'abandoned'] as const;
export type MoveStage = (typeof MOVE_STAGES)[number];

/** Moving house: from one part to another, for days or weeks. */
export interface Move {
  from: string;
  to: string;
  offeredAt: Instant;
  entryId: string;
  stage: MoveStage;
  /** Since when it has stood there: a sign of progress begins the waiting anew. */
  since: Instant;
  /** When the plugs were swapped, or they were brought over; null when not. */
  swappedAt: Instant | null;
  byHandAt: Instant | null;
}

/** What of a home its picture needs: parts that stand, and what joins them. */
export interface DrawnHome {
  parts: readonly Pick<PartNow, 'part' | 'gates'>[];
  links: readonly Link[];
  home: string;
}

/** What is joined to what, and who lives where. */
export interface Housing {
  /** Every part that was ever hers, in the order in which they came. */
  parts: readonly PartNow[];
  /** What is joined to what now. */
  links: readonly Link[];
  /** The part where the queen lives. */
  home: string;
  /** The move under way. */
  move: Move | null;
  /** Moves that came to an end, one way or the other. */
  past: readonly Move[];
  /** Entries that cannot be, and how to mend each; they change nothing. */
  faults: readonly { entryId: string; at: Instant; says: string }[];
}

const NONE: Share = { low: 0, high: 0 };
const ALL: Share = { low: 1, high: 1 };
/** What a word for a share of them is taken to mean. Priors. */
const SHARES = {
  none: NONE,
  scouts: { low: 0.02, high: 0.2 },
  some: { low: 0.1, high: 0.7 },
  most: { low: 0.5, high: 0.95 },
  all: ALL,
} as const;
const rest = ({ low, high }: Share): Share => ({ low: 1 - high, high: 1 - low });
const nobody = (): Held => ({ queen: NONE, brood: NONE, workers: NONE });

type Mutable = { -readonly [K in keyof Housing]: Housing[K] } & {
  parts: PartNow[];
  links: Link[];
  past: Move[];
  faults: { entryId: string; at: Instant; says: string }[];
};

const newPart = (part: HomePart, purpose: PartNow['purpose'], entryId: string | null): PartNow => ({
  part,
  purpose,
  entryId,
  gone: null,
  cover: null,
  gates: {},
  holds: nobody(),
  saidAt: null,
  waterings: [],
  cleanedAt: null,
});

/**
 * Folds what was done at her home. Nothing is refused: what cannot be is listed among the faults and changes nothing.
 * @param first the part she was taken in with, as corrected
 * @param entries her effective `home` entries, oldest first
 * @param endedAt when nobody lived in it any more; null while somebody does
 */
export function housing(
  first: HomePart,
  entries: readonly EntryOf<'home'>[],
  endedAt: Instant | null = null,
): Housing {
  const one: Mutable = {
    parts: [{ ...newPart(first, 'first', null), holds: { queen: ALL, brood: ALL, workers: ALL } }],
    links: [],
    home: first.id,
    move: null,
    past: [],
    faults: [],
  };
  for (const entry of entries) {
    const says = changeFault(one, entry.change, endedAt !== null && msOf(entry.at) >= msOf(endedAt));
    if (says) one.faults.push({ entryId: entry.id, at: entry.at, says });
    else apply(one, entry);
  }
  return one;
}

/** The same for a queen's facts, amendments applied: as it is after all of them, or as it was at a moment. */
export function housingOf(
  { home, entries }: { home: HomePart; entries: readonly Entry[] },
  at?: Instant,
): Housing {
  // most logs say nothing of it
  if (!entries.some((e) => e.kind === 'home')) return housing(home, []);
  const log = effectiveEntries(entries).flatMap(({ entry }) =>
    entry !== null && (at === undefined || msOf(entry.at) <= msOf(at)) ? [entry] : [],
  );
  return housing(
    home,
    log.filter((e) => e.kind === 'home'),
    endOf(log),
  );
}

/** When the colony of a log ended, with nobody left; null while it has not. */
export const endOf = (log: readonly Entry[]): Instant | null =>
  log.reduce<Instant | null>((end, e) => (e.kind === 'loss' && !e.colonyGoesOn ? e.at : end), null);
/** The part she lived in at a moment. */
export function partAt(facts: { home: HomePart; entries: readonly Entry[] }, at: Instant): HomePart {
  const home = housingOf(facts, at);
  return partOf(home, home.home)?.part ?? facts.home;
}

function apply(one: Mutable, { change, at, id }: EntryOf<'home'>): void {
  if (change.what === 'set-up') {
    const { part, purpose } = change;
    const now = newPart({ ...part, setUpAt: at }, purpose, id);
    one.parts.push(now);
    join(one, now, change, id);
    if (change.shut) shutDoor(one, now, at, id);
    if (change.mouth) narrowMouth(one, now, change.mouth, at, id);
    if (purpose === 'move') begin(one, part.id, at, id);
    return;
  }
  const now = partOf(one, change.partId) as PartNow;
  switch (change.what) {
    case 'joined':
      return join(one, now, change, id);
    case 'parted':
      one.links = one.links.filter((l) => !linksOf(one, change.partId).includes(l));
      return;
    case 'gate':
      now.gates = { ...now.gates, [change.gate]: { value: change.state, since: at, entryId: id } };
      return;
    case 'divided':
      if (now.part.kind === 'tube') now.part = divided(now.part, change.divider);
      return;
    case 'watered':
      // what had no water has it now: wet cotton was laid into it
      if (now.part.kind !== 'tube' && now.part.water === 'none') now.part = { ...now.part, water: 'cotton' };
      now.waterings = [...now.waterings, { at, ml: change.ml ?? null, was: change.was ?? null, entryId: id }];
      return;
    case 'cleaned':
      now.cleanedAt = at;
      return;
    case 'covered':
      now.cover = { value: change.cover, since: at, entryId: id };
      return;
    case 'moved-in':
      return movedIn(one, now, change, at);
    case 'taken-away': {
      now.gone = { at, to: change.to, entryId: id };
      one.links = one.links.filter((l) => !linksOf(one, change.partId).includes(l));
      const { move } = one;
      if (move?.from === change.partId) end(one, 'done', at);
      else if (move?.to === change.partId) end(one, 'abandoned', at);
    }
  }
}

function divided(
  { divider: _, ...tube }: Extract<HomePart, { kind: 'tube' }>,
  divider: Extract<HomeChange, { what: 'divided' }>['divider'],
): HomePart {
  return divider ? { ...tube, divider } : tube;
}

/** Ties a part to another; only beside it, it is tied to nothing. */
function join(
  one: Mutable,
  { part }: PartNow,
  change: Pick<
    Extract<HomeChange, { what: 'joined' }>,
    'by' | 'port' | 'toId' | 'toPort' | 'gapMm' | 'lengthMm'
  >,
  entryId: string,
): void {
  const { by, port, toId = one.home, toPort, gapMm = null, lengthMm = null } = change;
  if (by === 'beside') {
    one.links = one.links.filter((l) => !linksOf(one, part.id).includes(l));
    return;
  }
  one.links = withoutJoint(one.links, part.id, toId);
  const free = (id: string): string => freePort(one, partOf(one, id) as PartNow) ?? 'port-1';
  const other = partOf(one, toId)?.part;
  // of two of which one lies in the other, the one with a floor holds the other
  const holds = by === 'lies-in' && other !== undefined && !hasFloor(other) && holdsTubes(part);
  const end = (id: string, named: string | undefined) => ({ partId: id, port: named ?? free(id) });
  const floor = (id: string) => ({ partId: id, port: 'floor' });
  one.links.push({
    a: holds ? end(toId, toPort) : end(part.id, port),
    b: holds ? floor(part.id) : by === 'lies-in' ? floor(toId) : end(toId, toPort),
    by,
    gapMm,
    lengthMm,
    entryId,
  });
}

/** A part that is made ready in advance is shut at the joint. */
function shutDoor(one: Mutable, now: PartNow, at: Instant, entryId: string): void {
  const link = linksOf(one, now.part.id)[0];
  if (link) now.gates = { [link.a.port]: { value: 'shut', since: at, entryId } };
}

/** How wide the mouth stands of the tube that lies open in it. */
function narrowMouth(
  one: Mutable,
  { part }: PartNow,
  value: 'open' | 'narrowed',
  since: Instant,
  entryId: string,
): void {
  const link = linksOf(one, part.id).find((l) => l.by === 'lies-in');
  const lying = link && partOf(one, link.a.partId);
  if (link && lying) lying.gates = { ...lying.gates, [link.a.port]: { value, since, entryId } };
}

function begin(one: Mutable, to: string, at: Instant, entryId: string): void {
  if (one.move) end(one, 'abandoned', at);
  one.move = {
    from: one.home,
    to,
    offeredAt: at,
    entryId,
    stage: 'offered',
    since: at,
    swappedAt: null,
    byHandAt: null,
  };
}

function end(one: Mutable, stage: 'done' | 'abandoned', at: Instant): void {
  if (one.move) one.past.push({ ...one.move, stage, since: at });
  one.move = null;
}

function movedIn(
  one: Mutable,
  part: PartNow,
  { queen, brood, workers, how }: Extract<HomeChange, { what: 'moved-in' }>,
  at: Instant,
): void {
  const said: Partial<Held> = {
    ...(queen === undefined ? {} : { queen: queen ? ALL : NONE }),
    ...(brood === undefined ? {} : { brood: SHARES[brood] }),
    ...(workers === undefined ? {} : { workers: SHARES[workers] }),
  };
  if (Object.keys(said).length === 0) return;
  part.holds = { ...part.holds, ...said };
  part.saidAt = at;
  const others = standing(one).filter((p) => p !== part);
  for (const other of others)
    for (const who of Object.keys(said) as (keyof Held)[]) {
      const left = rest(said[who] as Share);
      // of several others nobody said which: up to all that are left
      other.holds = { ...other.holds, [who]: others.length === 1 ? left : { low: 0, high: left.high } };
    }
  if (queen === true) one.home = part.part.id;
  const { move } = one;
  if (!move) return;
  const stage = stageOf((partOf(one, move.to) as PartNow).holds);
  one.move = {
    ...move,
    stage,
    since: stage === move.stage ? move.since : at,
    swappedAt: how === 'plug-swap' ? at : move.swappedAt,
    byHandAt: how === 'by-hand' || how === 'tipped-out' ? at : move.byHandAt,
  };
}

/** Brood or workers of which nothing was ever said count as all there is where she is. */
function stageOf({ queen, brood, workers }: Held): MoveStage {
  const crossed = (s: Share) => s.high > 0;
  if (queen.low === 1 && crossed(brood)) return brood.low === 1 && workers.low === 1 ? 'finished' : 'real';
  if (queen.low === 1 || crossed(brood)) return 'partly';
  return crossed(workers) ? 'scouts' : 'offered';
}
