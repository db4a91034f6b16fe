import type { BodyPart, Divider, HomePart, TubeMeasures } from '@gentle-burrow/core/facts';
import {
  changeFault,
  freePort,
  hasFloor,
  holdsTubes,
  linksOf,
  partOf,
  portsOf,
  roomsOf,
  standing,
  usualBody,
  type Housing,
  type PartNow,
} from '@gentle-burrow/core/housing';
import { homeSchema, type HomeChange, type Tally } from '@gentle-burrow/core/log';
import type {
  BodyKind,
  BroodThere,
  Cover,
  Gate,
  Joint,
  Moisture,
  MovedHow,
  PartKind,
  Purpose,
  TakenTo,
  WorkersThere,
} from '@gentle-burrow/core/vocabulary';
import { usualTube } from '@gentle-burrow/core/tube';
import { v7 } from 'uuid';
import type { ShownQueen } from '@/data/queries';
import { mayHaveWorkers } from '../../parts';

export type What = HomeChange['what'];

export interface HomeDraft {
  /** An entry that is put right: what it says is not held against what it did. */
  amends: boolean;
  what: What | null;
  /** What is set up: a tube, or something else. */
  kind: PartKind;
  tube: TubeMeasures & { id: string; divider?: Divider; was?: string };
  body: BodyPart;
  itemId: string | null;
  /** What for; as is usual for its kind when not said. */
  purpose: Purpose | null;
  by: Joint | null;
  /** What it is joined to; where she lives when not said. */
  toId: string | null;
  gapMm: number | null;
  lengthMm: number | null;
  shut: boolean;
  /** Of the tube that lies open in it; null while nothing is said. */
  mouth: 'open' | 'narrowed' | null;
  /** Ports that were named in an entry that is put right. */
  ports: { port?: string; toPort?: string };
  /** Another part than the likeliest. */
  partId: string | null;
  gate: string | null;
  state: Gate | null;
  divider: Divider | null;
  ml: number | null;
  was: Moisture | null;
  /** It was opened to be watered; as is usual for it when not said. */
  opened: 'yes' | 'no' | null;
  queen: 'yes' | 'no' | null;
  brood: BroodThere | null;
  workers: WorkersThere | null;
  how: MovedHow;
  waterLineMm: number | null;
  /** Counted on a page of its own; kept as it is when the rest is put right. */
  tally: Tally | null;
  cover: Cover | null;
  to: TakenTo | null;
}

const NO_DRAFT: Omit<HomeDraft, 'tube' | 'body'> = {
  amends: false,
  what: null,
  kind: 'tube',
  itemId: null,
  purpose: null,
  by: null,
  toId: null,
  gapMm: null,
  lengthMm: null,
  shut: false,
  mouth: null,
  ports: {},
  partId: null,
  gate: null,
  state: null,
  divider: null,
  ml: null,
  was: null,
  opened: null,
  queen: null,
  brood: null,
  workers: null,
  how: 'by-themselves',
  waterLineMm: null,
  tally: null,
  cover: null,
  to: null,
};

/** What stands in the form at first: another tube like hers, which is what is mostly at hand. */
export function emptyDraft({ facts }: ShownQueen, partId?: string): HomeDraft {
  const like = facts.home.kind === 'tube' ? facts.home : usualTube('', '');
  const { outsideMm, boreMm, lengthMm, end, waterLineMm, plugs } = like;
  const id = v7();
  return {
    ...NO_DRAFT,
    ...(partId ? { partId } : {}),
    tube: { id, outsideMm, boreMm, lengthMm, end, waterLineMm, plugs },
    body: usualBody(id, 'outworld'),
  };
}

const isAlone = (home: Housing): boolean => standing(home).length === 1;
/** Mostly watered by hand; wet cotton can be laid into any part that is no tube. */
const isWatered = (part: HomePart): boolean => part.kind !== 'tube' && part.water !== 'none';

/** What may be done at a home as it is, the likeliest first. */
export function whatsOf(home: Housing, draft: HomeDraft): What[] {
  if (draft.amends && draft.what) return [draft.what];
  const parts = standing(home).map((p) => p.part);
  const named = draft.partId === null ? null : (parts.find((p) => p.id === draft.partId) ?? null);
  const about = named ? [named] : parts;
  const watered: What[] = about.some(isWatered) ? ['watered'] : [];
  const laid: What[] = watered.length === 0 && about.some((p) => p.kind !== 'tube') ? ['watered'] : [];
  const gated: What[] = about.some((p) => gatesOf(home, p).length > 0) ? ['gate'] : [];
  const divided: What[] = about.some((p) => p.kind === 'tube') ? ['divided'] : [];
  if (isAlone(home)) {
    const solid: What[] = parts.some((p) => p.kind !== 'tube') ? ['gate', 'cleaned'] : [];
    return [
      ...watered,
      ...laid,
      'set-up',
      ...divided,
      ...solid.filter((w) => w !== 'gate' || gated.length > 0),
    ];
  }
  const joined: What[] = home.links.length > 0 ? ['parted'] : [];
  return [
    ...watered,
    'moved-in',
    ...laid,
    ...gated,
    'covered',
    'joined',
    ...joined,
    'taken-away',
    'cleaned',
    ...divided,
    'set-up',
  ];
}

export const whatOf = (home: Housing, draft: HomeDraft): What => {
  const whats = whatsOf(home, draft);
  if (draft.what && whats.includes(draft.what)) return draft.what;
  // a part that was tapped is mostly tapped because it is watered
  if (draft.partId !== null || isAlone(home)) return whats[0] as What;
  return 'moved-in';
};

/** Doors of a part: its ports, those that are tied, and its rooms; the mouth of a tube only where something is tied to it. */
export function gatesOf(home: Housing, part: HomePart): string[] {
  const tied = linksOf(home, part.id).map((l) => (l.a.partId === part.id ? l.a.port : l.b.port));
  const ports = part.kind === 'tube' ? [] : portsOf(part);
  return [...new Set([...ports, ...tied.filter((t) => t !== 'floor'), ...roomsOf(part)])];
}

/** Parts at which something can be done. */
export function partsFor(home: Housing, what: What): HomePart[] {
  const parts = standing(home).map((p) => p.part);
  switch (what) {
    case 'watered':
      return parts.filter((p) => p.kind !== 'tube');
    case 'gate':
      return parts.filter((p) => gatesOf(home, p).length > 0);
    case 'divided':
      return parts.filter((p) => p.kind === 'tube');
    case 'parted':
      return parts.filter((p) => linksOf(home, p.id).length > 0);
    default:
      return parts;
  }
}

/** The part that is likeliest meant: of a move the fresh one is entered and joined, the old one lit and taken away. */
export function partIdOf(home: Housing, draft: HomeDraft): string {
  const what = whatOf(home, draft);
  const able = partsFor(home, what).map((p) => p.id);
  if (draft.partId !== null && (draft.amends || able.includes(draft.partId))) return draft.partId;
  const other = able.filter((id) => id !== home.home).at(-1) ?? home.home;
  const { move } = home;
  switch (what) {
    case 'moved-in':
    case 'joined':
      return move?.to ?? other;
    case 'covered':
      return move?.from ?? home.home;
    case 'watered':
    case 'divided':
      return able.includes(home.home) ? home.home : (able[0] ?? home.home);
    default:
      return other;
  }
}

/** What a kind is mostly set up for. */
const USUAL_PURPOSE: Record<PartKind, Purpose> = {
  tube: 'move',
  nest: 'move',
  cell: 'move',
  dish: 'move',
  box: 'room',
  outworld: 'room',
  'joint-chamber': 'room',
  drinker: 'water',
};
export const purposeOf = ({ purpose, kind }: HomeDraft): Purpose => purpose ?? USUAL_PURPOSE[kind];

/** Another kind is chosen: its usual measures stand there at once. */
export const kindChosen = ({ body }: HomeDraft, kind: PartKind): Partial<HomeDraft> =>
  kind === 'tube' ? { kind } : { kind, body: usualBody(body.id, kind as BodyKind), itemId: null };

/** Whether a count has found brood with her; where none is known nobody asks where it is. */
export const mayHaveBrood = ({ view }: ShownQueen): boolean =>
  (['eggs', 'larvae', 'pupae'] as const).some((m) => {
    const count = view.ledger.counts[m];
    return count !== null && count.range.high !== 0;
  });

/** Her tube lies open in what is set up, and not the other way round. */
export const isAround = (home: Housing, draft: HomeDraft): boolean => {
  const to = partOf(home, toIdOf(home, draft, null))?.part;
  return (
    whatOf(home, draft) === 'set-up' &&
    draft.by === 'lies-in' &&
    holdsTubes({ kind: draft.kind }) &&
    to !== undefined &&
    !hasFloor(to)
  );
};

/** A tube of hers that could lie open in a box: its mouth is free. */
export const openTube = (home: Housing): PartNow | undefined =>
  standing(home)
    .filter((p) => p.part.kind === 'tube' && freePort(home, p) !== null)
    .sort((a, b) => Number(b.part.id === home.home) - Number(a.part.id === home.home))[0];

/** What a part is joined to while nobody says: where she lives, if that can still be joined, or else what can. */
export function toIdOf(home: Housing, { toId, by, kind, what }: HomeDraft, except: string | null): string {
  if (toId !== null) return toId;
  const holds = what !== 'joined' && holdsTubes({ kind });
  const able = standing(home).filter(
    (p) =>
      p.part.id !== except && (by === 'lies-in' && !holds ? hasFloor(p.part) : freePort(home, p) !== null),
  );
  return (able.find((p) => p.part.id === home.home) ?? able[0])?.part.id ?? home.home;
}

function jointOf(draft: HomeDraft, home: Housing, except: string | null): object {
  const { by, gapMm, lengthMm, ports, mouth } = draft;
  if (by === null || by === 'beside') return { by };
  const toId = toIdOf(home, draft, except);
  return {
    by,
    ...ports,
    ...(toId !== home.home ? { toId } : {}),
    ...(mouth && isAround(home, draft) ? { mouth } : {}),
    ...(by !== 'lies-in' && gapMm !== null ? { gapMm } : {}),
    ...(by === 'pipe' && lengthMm !== null ? { lengthMm } : {}),
  };
}

function changeOf(draft: HomeDraft, shown: ShownQueen): unknown {
  const home = shown.view.housing;
  const what = whatOf(home, draft);
  if (what === 'set-up') {
    const part = draft.kind === 'tube' ? { kind: 'tube', ...draft.tube } : draft.body;
    const shut = draft.shut && draft.by !== null && draft.by !== 'beside' ? { shut: true } : {};
    return { what, part, purpose: purposeOf(draft), ...jointOf(draft, home, null), ...shut };
  }
  const partId = partIdOf(home, draft);
  switch (what) {
    case 'joined':
      return { what, partId, ...jointOf(draft, home, partId) };
    case 'parted':
    case 'cleaned':
      return { what, partId };
    case 'gate':
      return { what, partId, gate: draft.gate ?? onlyGate(home, partId), state: draft.state };
    case 'divided':
      return { what, partId, divider: draft.divider };
    case 'watered':
      return {
        what,
        partId,
        ...(draft.ml === null ? {} : { ml: draft.ml }),
        ...(draft.was === null ? {} : { was: draft.was }),
        ...(openedOf(home, partId, draft) === 'yes' ? { opened: true } : {}),
      };
    case 'covered':
      return { what, partId, cover: draft.cover };
    case 'taken-away':
      return { what, partId, to: draft.to };
    case 'moved-in': {
      const { queen, how, waterLineMm, tally } = draft;
      // what she has none of has come along
      const brood = draft.brood ?? (queen === 'yes' && !mayHaveBrood(shown) ? 'all' : null);
      const workers = draft.workers ?? (queen === 'yes' && !mayHaveWorkers(shown) ? 'all' : null);
      return {
        what,
        partId,
        ...(queen === null ? {} : { queen: queen === 'yes' }),
        ...(brood === null ? {} : { brood }),
        ...(workers === null ? {} : { workers }),
        how,
        ...(tally ? { tally } : {}),
        ...(waterLineMm === null ? {} : { waterLineMm }),
      };
    }
  }
}

/** What holds wet cotton is opened for it; stone, sponge and tower are mostly reached from outside. */
export function openedOf(home: Housing, partId: string, { opened, amends }: HomeDraft): 'yes' | 'no' {
  if (opened !== null) return opened;
  const part = partOf(home, partId)?.part;
  return !amends && part && part.kind !== 'tube' && (part.water === 'cotton' || part.kind === 'dish')
    ? 'yes'
    : 'no';
}

/** Where there is one door only, it is the one that is meant. */
function onlyGate(home: Housing, partId: string): string | null {
  const now = partOf(home, partId);
  const gates = now ? gatesOf(home, now.part) : [];
  return gates.length === 1 ? (gates[0] ?? null) : null;
}

/** The change as it would be written, or what of it cannot be; both null while something is not chosen yet. */
export function checked(
  draft: HomeDraft,
  shown: ShownQueen,
): { change: HomeChange | null; fault: string | null } {
  const read = homeSchema.shape.change.safeParse(changeOf(draft, shown));
  if (!read.success) return { change: null, fault: null };
  const fault = draft.amends ? null : changeFault(shown.view.housing, read.data);
  return fault ? { change: null, fault } : { change: read.data, fault: null };
}

/** The part of another home that answers to one of this: the first tube to the first tube, the second box to the second. */
function counterpart(from: Housing, to: Housing, id: string): string | null {
  const kind = partOf(from, id)?.part.kind;
  const alike = (home: Housing) => standing(home).filter((p) => p.part.kind === kind);
  return alike(to)[alike(from).findIndex((p) => p.part.id === id)]?.part.id ?? null;
}

/** The same change at another home; null where it cannot be done there, and for who is in which part, which is seen of each. */
export function forOther(draft: HomeDraft, from: ShownQueen, to: ShownQueen): HomeDraft | null {
  const [here, there] = [from.view.housing, to.view.housing];
  const what = whatOf(here, draft);
  if (what === 'moved-in' || !whatsOf(there, draft).includes(what)) return null;
  const of = (id: string | null) => (id === null ? null : counterpart(here, there, id));
  const [partId, toId] = [of(draft.partId), of(draft.toId)];
  if ((draft.partId !== null && partId === null) || (draft.toId !== null && toId === null)) return null;
  const id = v7();
  const { was: _, ...tube } = draft.tube;
  return { ...draft, what, partId, toId, tube: { ...tube, id }, body: { ...draft.body, id } };
}

type Jointed = Extract<HomeChange, { what: 'set-up' | 'joined' }>;
const jointDraft = ({ by, gapMm, lengthMm, toId, port, toPort }: Jointed): Partial<HomeDraft> => ({
  by,
  gapMm: gapMm ?? null,
  lengthMm: lengthMm ?? null,
  toId: toId ?? null,
  ports: { ...(port ? { port } : {}), ...(toPort ? { toPort } : {}) },
});

/** An entry as it would have been filled in. */
export function draftOf(change: HomeChange, empty: HomeDraft): HomeDraft {
  const draft: HomeDraft = { ...empty, amends: true, what: change.what };
  if (change.what === 'set-up') {
    const { part, purpose, shut = false, mouth = null } = change;
    const joint = { ...jointDraft(change), purpose, shut, mouth };
    if (part.kind !== 'tube') return { ...draft, ...joint, kind: part.kind, body: part };
    const { kind: _, ...tube } = part;
    return { ...draft, ...joint, kind: 'tube', tube: tube as HomeDraft['tube'] };
  }
  draft.partId = change.partId;
  switch (change.what) {
    case 'joined':
      return { ...draft, ...jointDraft(change) };
    case 'parted':
    case 'cleaned':
      return draft;
    case 'gate':
      return { ...draft, gate: change.gate, state: change.state };
    case 'divided':
      return { ...draft, divider: change.divider };
    case 'watered':
      return {
        ...draft,
        ml: change.ml ?? null,
        was: change.was ?? null,
        opened: change.opened ? 'yes' : 'no',
      };
    case 'covered':
      return { ...draft, cover: change.cover };
    case 'taken-away':
      return { ...draft, to: change.to };
    case 'moved-in':
      return {
        ...draft,
        queen: change.queen === undefined ? null : change.queen ? 'yes' : 'no',
        brood: change.brood ?? null,
        workers: change.workers ?? null,
        how: change.how,
        waterLineMm: change.waterLineMm ?? null,
        tally: change.tally ?? null,
      };
  }
}
