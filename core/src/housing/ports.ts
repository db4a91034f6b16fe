import type { Gate, HomePart, Joint } from '../facts';
import type { Housing, PartNow } from './housing';

export interface End {
  partId: string;
  /** "mouth", "port-2"; "floor" where the other part lies open in this one. */
  port: string;
}

/** Two parts joined at two ports. */
export interface Link {
  a: End;
  b: End;
  by: Joint;
  gapMm: number | null;
  /** Of a pipe. */
  lengthMm: number | null;
  entryId: string;
}

type Joined = Pick<Housing, 'parts' | 'links'>;

/** The ports of a part by name; none where nobody listed them. */
export const portsOf = (part: HomePart): string[] =>
  part.kind === 'tube' ? ['mouth'] : part.ports.map((_, i) => `port-${i + 1}`);

/** The rooms of a part that can be shut one by one. */
export const roomsOf = (part: HomePart): string[] =>
  part.kind === 'tube' || part.rooms === 1
    ? []
    : Array.from({ length: part.rooms }, (_, i) => `room-${i + 1}`);

export const linksOf = ({ links }: Pick<Housing, 'links'>, partId: string): Link[] =>
  links.filter((l) => l.a.partId === partId || l.b.partId === partId);

/** The end of a link at a part, and the one beyond it. */
export const endAt = ({ a, b }: Link, partId: string): { here: End; there: End } =>
  a.partId === partId ? { here: a, there: b } : { here: b, there: a };

/** The port that a joint takes when none is named; null when all are tied already. */
export function freePort(home: Joined, { part }: PartNow): string | null {
  const tied = new Set(linksOf(home, part.id).map((l) => endAt(l, part.id).here.port));
  const listed = portsOf(part);
  if (listed.length > 0) return listed.find((p) => !tied.has(p)) ?? null;
  // of a part whose ports nobody listed there is always one more
  return `port-${tied.size + 1}`;
}

/** The links without those between two parts. */
export const withoutJoint = (links: readonly Link[], one: string, other: string): Link[] =>
  links.filter(
    ({ a, b }) => !(a.partId === one && b.partId === other) && !(a.partId === other && b.partId === one),
  );

/** Parts with a floor on which another can lie open. */
export const hasFloor = ({ kind }: Pick<HomePart, 'kind'>): boolean =>
  kind === 'box' || kind === 'outworld' || kind === 'dish' || kind === 'nest';

/** What is set around a tube that lies open: a nest is entered by its port. */
export const holdsTubes = ({ kind }: Pick<HomePart, 'kind'>): boolean =>
  kind === 'box' || kind === 'outworld';

/** Ants walk through a door that is open, or narrowed. */
const letsPass = (gate: Gate): boolean => gate === 'open' || gate === 'narrowed';

const gateOf = (home: Joined, { partId, port }: End): Gate =>
  home.parts.find((p) => p.part.id === partId)?.gates[port]?.value ?? 'open';

/** Ants pass: neither end of it is plugged or shut. */
export const passes = (home: Joined, { a, b }: Link): boolean =>
  letsPass(gateOf(home, a)) && letsPass(gateOf(home, b));

/** All rooms of it are shut. */
function roomsShut({ part, gates }: PartNow): boolean {
  const rooms = roomsOf(part);
  return rooms.length > 0 && rooms.every((r) => !letsPass(gates[r]?.value ?? 'open'));
}

/** The share of its floor that is not shut off. */
export function openShare({ part, gates }: PartNow): number {
  const rooms = roomsOf(part);
  if (rooms.length === 0) return 1;
  return rooms.filter((r) => letsPass(gates[r]?.value ?? 'open')).length / rooms.length;
}

/** Nobody walks into it: it is joined, and every way in is shut, or every room behind it. */
export function isShut(home: Joined, now: PartNow): boolean {
  const links = linksOf(home, now.part.id);
  return roomsShut(now) || (links.length > 0 && !links.some((l) => passes(home, l)));
}

/** Every part to which ants can walk from one, that one first. */
export function reachedFrom(home: Joined, partId: string): string[] {
  const found = [partId];
  for (const id of found)
    for (const link of linksOf(home, id)) {
      const next = endAt(link, id).there.partId;
      if (!found.includes(next) && passes(home, link)) found.push(next);
    }
  return found;
}
