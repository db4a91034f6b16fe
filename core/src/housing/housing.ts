import type { Cover, Joint, TakenTo, TubeHome, TubePurpose } from '../facts';
import { tallyFault } from './tally';
import { effectiveEntries, type Entry, type EntryOf, type HomeChange } from '../log';
import { msOf, type Instant } from '../quantity';

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

/** One tube of a home, as the log leaves it. */
export interface PartNow {
  /** As it was set up; `setUpAt` is when it came to her. */
  tube: TubeHome;
  purpose: TubePurpose | 'first';
  /** The entry that set it up; null for the tube she was taken in with. */
  entryId: string | null;
  gone: { at: Instant; to: TakenTo; entryId: string } | null;
  cover: { value: Cover; since: Instant; entryId: string } | null;
  /** How it is tied to another part, mouth to mouth; null for the one that others are tied to. */
  joint: { to: string; by: Joint; gapMm: number | null; entryId: string } | null;
  holds: Held;
  /** When it was last said who is in it. */
  saidAt: Instant | null;
}

/**
 * Offered: nobody was seen in it. Scouts: workers alone, which is no move. Partly: the queen without her brood, or brood
 * without her. Real: queen and brood have crossed. Finished: stragglers too. Done: the old tube was taken away after it.
 * Abandoned: the fresh one was taken away, or another set up instead.
 */
export const MOVE_STAGES = ['offered', 'scouts', 'partly', 'real', 'finished', 'done', 'abandoned'] as const;
export type MoveStage = (typeof MOVE_STAGES)[number];

/** Moving house: from one tube to another, for days or weeks. */
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

/** What is joined to what, and who lives where. */
export interface Housing {
  /** Every tube that was ever hers, in the order in which they came. */
  parts: readonly PartNow[];
  /** The part where the queen lives. */
  home: string;
  /** The move under way. */
  move: Move | null;
  /** Moves that came to an end, one way or the other. */
  past: readonly Move[];
  /** Entries that cannot be, and how to mend each; they change nothing. */
  faults: readonly { entryId: string; at: Instant; says: string }[];
}

export const partOf = ({ parts }: Pick<Housing, 'parts'>, id: string): PartNow | undefined =>
  parts.find((p) => p.tube.id === id);

/** A fresh tube stands ready and she has not crossed into it. */
export const underWay = (move: Move | null): boolean =>
  move !== null && move.stage !== 'real' && move.stage !== 'finished';

/** The parts that were not taken away. */
export const standing = ({ parts }: Pick<Housing, 'parts'>): PartNow[] => parts.filter((p) => !p.gone);

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
  past: Move[];
  faults: { entryId: string; at: Instant; says: string }[];
};

/**
 * Folds what was done at her home. Nothing is refused: what cannot be is listed among the faults and changes nothing.
 * @param first the tube she was taken in with, as corrected
 * @param entries her effective `home` entries, oldest first
 */
export function housing(first: TubeHome, entries: readonly EntryOf<'home'>[]): Housing {
  const one: Mutable = {
    parts: [
      {
        tube: first,
        purpose: 'first',
        entryId: null,
        gone: null,
        cover: null,
        joint: null,
        holds: { queen: ALL, brood: ALL, workers: ALL },
        saidAt: null,
      },
    ],
    home: first.id,
    move: null,
    past: [],
    faults: [],
  };
  for (const entry of entries) {
    const says = changeFault(one, entry.change);
    if (says) one.faults.push({ entryId: entry.id, at: entry.at, says });
    else apply(one, entry);
  }
  return one;
}

/** The same for a queen's facts, amendments applied: as it is after all of them, or as it was at a moment. */
export function housingOf(
  { tube, entries }: { tube: TubeHome; entries: readonly Entry[] },
  at?: Instant,
): Housing {
  // most logs say nothing of it
  if (!entries.some((e) => e.kind === 'home')) return housing(tube, []);
  return housing(
    tube,
    effectiveEntries(entries).flatMap(({ entry }) =>
      entry?.kind === 'home' && (at === undefined || msOf(entry.at) <= msOf(at)) ? [entry] : [],
    ),
  );
}

/** The tube she lived in at a moment. */
export function tubeAt(facts: { tube: TubeHome; entries: readonly Entry[] }, at: Instant): TubeHome {
  const home = housingOf(facts, at);
  return partOf(home, home.home)?.tube ?? facts.tube;
}

/** Why a change cannot be, and how to mend it; null when it can. */
export function changeFault(home: Housing, change: HomeChange): string | null {
  if (change.what === 'set-up')
    return partOf(home, change.part.id)
      ? 'This tube stands in her home already. Choose what was done with it instead.'
      : mouthFault(home, change.part.id, change.by);
  const part = partOf(home, change.partId);
  if (!part) return 'This tube is not in her home. Set it up first.';
  if (part.gone) return 'This tube was taken away. Set it up anew, or take back that it was taken away.';
  switch (change.what) {
    case 'joined':
      return change.partId === home.home
        ? 'A tube cannot be joined to itself. Choose the other one.'
        : mouthFault(home, change.partId, change.by);
    case 'covered':
      return null;
    case 'moved-in':
      if (change.queen === undefined && change.brood === undefined && change.workers === undefined)
        return change.waterLineMm === undefined
          ? 'Nothing is said of who is in it. Choose queen, brood or workers.'
          : lineFault(part, change.waterLineMm);
      if (change.queen === false && change.partId === home.home)
        return 'By her log she lives in this tube. Choose the other one, and say that she is in it.';
      return (change.tally && tallyFault(change.tally)) ?? lineFault(part, change.waterLineMm);
    case 'taken-away':
      if (standing(home).length === 1)
        return 'It is her only tube. Set up another before this one is taken away.';
      return change.partId === home.home
        ? 'By her log she is still in this tube. Say first who is in the other one.'
        : null;
  }
}

/** A tube has one mouth, and one mouth takes one tube. */
const mouthFault = (home: Housing, id: string, by: Joint): string | null =>
  by !== 'beside' && standing(home).some((p) => p.tube.id !== id && p.joint !== null)
    ? 'The mouth of her tube is tied to another already. Part those two first, or set this one beside.'
    : null;

const lineFault = ({ tube }: PartNow, mm: number | undefined): string | null =>
  mm !== undefined && mm > tube.lengthMm
    ? `The water line (${mm} mm) lies beyond the tube (${tube.lengthMm} mm). Check the tube's length or the reading.`
    : null;

function apply(one: Mutable, { change, at, id }: EntryOf<'home'>): void {
  if (change.what === 'set-up') {
    const { part, purpose, by, gapMm } = change;
    one.parts.push({
      tube: { ...part, setUpAt: at },
      purpose,
      entryId: id,
      gone: null,
      cover: null,
      joint: by === 'beside' ? null : { to: one.home, by, gapMm: gapMm ?? null, entryId: id },
      holds: nobody(),
      saidAt: null,
    });
    if (purpose === 'move') begin(one, part.id, at, id);
    return;
  }
  const part = partOf(one, change.partId) as PartNow;
  switch (change.what) {
    case 'joined':
      part.joint =
        change.by === 'beside'
          ? null
          : { to: one.home, by: change.by, gapMm: change.gapMm ?? null, entryId: id };
      return;
    case 'covered':
      part.cover = { value: change.cover, since: at, entryId: id };
      return;
    case 'moved-in':
      return movedIn(one, part, change, at);
    case 'taken-away': {
      part.gone = { at, to: change.to, entryId: id };
      for (const p of one.parts) if (p === part || p.joint?.to === part.tube.id) p.joint = null;
      const { move } = one;
      if (move?.from === change.partId) end(one, 'done', at);
      else if (move?.to === change.partId) end(one, 'abandoned', at);
    }
  }
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
  if (queen === true) one.home = part.tube.id;
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
