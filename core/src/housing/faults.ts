import { dividerFault, type Divider, type HomePart } from '../facts';
import type { HomeChange } from '../log';
import type { Housing, PartNow } from './housing';
import { nounOf, PART_NOUNS } from './nouns';
import { partOf, standing } from './parts';
import {
  endAt,
  freePort,
  hasFloor,
  holdsTubes,
  isShut,
  linksOf,
  portsOf,
  roomsOf,
  withoutJoint,
} from './ports';
import { tallyFault } from './tally';

/**
 * Why a change cannot be, and how to mend it; null when it can.
 * @param ended her colony had ended by then: what it left behind may be taken away whole
 */
export function changeFault(home: Housing, change: HomeChange, ended = false): string | null {
  if (change.what === 'set-up') {
    const { part } = change;
    if (partOf(home, part.id))
      return `This ${PART_NOUNS[part.kind]} stands in her home already. Choose what was done with it instead.`;
    const ports = portsOf({ ...part, setUpAt: '' });
    if (change.port && change.by !== 'beside' && ports.length > 0 && !ports.includes(change.port))
      return 'It has no such port. Choose one that it has.';
    return jointFault(home, null, change, { ...part, setUpAt: '' });
  }
  const part = partOf(home, change.partId);
  if (!part) return 'This part is not in her home. Set it up first.';
  const noun = nounOf(part.part);
  // what stands aside is cleaned, or thrown away after all
  if (part.gone && 'aside' in change && change.aside) return null;
  if (part.gone) return `This ${noun} was taken away. Set it up anew, or take back that it was taken away.`;
  switch (change.what) {
    case 'joined':
      return jointFault(home, part, change);
    case 'parted':
      return linksOf(home, change.partId).length === 0
        ? `This ${noun} is joined to nothing. There is nothing to part.`
        : null;
    case 'gate':
      return gateFault(home, part, change.gate);
    case 'divided':
      return dividedFault(part, change.divider);
    case 'watered':
      return part.part.kind === 'tube'
        ? 'A tube is not watered: set up a fresh one, or write down its water line.'
        : null;
    case 'cleaned':
    case 'covered':
      return null;
    case 'moved-in':
      return movedInFault(home, part, change);
    case 'taken-away':
      if (change.aside && ended) return null;
      if (standing(home).length === 1)
        return `It is her only ${noun === 'tube' ? 'tube' : 'home'}. Set up another before this one is taken away.`;
      return change.partId === home.home
        ? `By her log she is still in this ${noun}. Say first who is in the other one.`
        : null;
  }
}

function movedInFault(
  home: Housing,
  part: PartNow,
  change: Extract<HomeChange, { what: 'moved-in' }>,
): string | null {
  const { queen, brood, workers, waterLineMm, how, tally } = change;
  if (queen === undefined && brood === undefined && workers === undefined)
    return waterLineMm === undefined
      ? 'Nothing is said of who is in it. Choose queen, brood or workers.'
      : lineFault(part, waterLineMm);
  if (queen === false && change.partId === home.home)
    return `By her log she lives in this ${nounOf(part.part)}. Choose the other one, and say that she is in it.`;
  const somebody = queen === true || (brood ?? 'none') !== 'none' || (workers ?? 'none') !== 'none';
  if (somebody && how === 'by-themselves' && change.partId !== home.home && isShut(home, part))
    return `This ${nounOf(part.part)} is shut: nobody walks into it. Write down first that it was opened, or say how they were brought over.`;
  return (tally && tallyFault(tally)) ?? lineFault(part, waterLineMm);
}

type JointOf = Pick<Extract<HomeChange, { what: 'joined' }>, 'by' | 'port' | 'toId' | 'toPort'>;

const ONCE = 'is tied to another already. Part those two first, or set this one beside.';

/** A port takes one part, and no part is tied to itself. */
function jointFault(
  home: Housing,
  part: PartNow | null,
  { by, port, toId, toPort }: JointOf,
  joined: HomePart | undefined = part?.part,
): string | null {
  if (by === 'beside') return null;
  const to = partOf(home, toId ?? home.home);
  if (!to || to.gone) return 'What it is joined to is not in her home. Set that up first.';
  if (to === part) return `A ${nounOf(to.part)} cannot be joined to itself. Choose the other one.`;
  // joined anew in another way: the old joint of the two is no hindrance
  const others = part ? { ...home, links: withoutJoint(home.links, part.part.id, to.part.id) } : home;
  return (
    (part && endFault(others, part, port, 'this')) ??
    (by === 'lies-in' && !(joined && holdsTubes(joined) && !hasFloor(to.part))
      ? floorFault(to)
      : endFault(others, to, toPort, 'her'))
  );
}

/** Why nothing can be tied to a part, or to one of its ports. */
function endFault(
  home: Pick<Housing, 'parts' | 'links'>,
  part: PartNow,
  port: string | undefined,
  whose: string,
): string | null {
  const noun = nounOf(part.part);
  const listed = portsOf(part.part);
  if (port && listed.length > 0 && !listed.includes(port))
    return `The ${noun} has no such port. Choose one that it has.`;
  const isTied = linksOf(home, part.part.id).some((l) => endAt(l, part.part.id).here.port === port);
  if (port ? !isTied : freePort(home, part) !== null) return null;
  return part.part.kind === 'tube'
    ? `The mouth of ${whose} tube ${ONCE}`
    : `${port ? 'That port' : 'Every port'} of the ${noun} ${ONCE}`;
}

/** What lies open in another lies on a floor. */
const floorFault = (to: PartNow): string | null =>
  hasFloor(to.part)
    ? null
    : `Nothing lies open in a ${nounOf(to.part)}. Choose a box or a foraging space, or another joint.`;

function gateFault(home: Housing, part: PartNow, gate: string): string | null {
  if (gate.startsWith('room-'))
    return roomsOf(part.part).includes(gate)
      ? null
      : `This ${nounOf(part.part)} has no such room. Choose one that it has.`;
  const known = portsOf(part.part);
  const tied = linksOf(home, part.part.id).some((l) => endAt(l, part.part.id).here.port === gate);
  return known.includes(gate) || tied
    ? null
    : `This ${nounOf(part.part)} has no such port. Choose one that it has.`;
}

function dividedFault({ part }: PartNow, divider: Divider | null): string | null {
  if (part.kind !== 'tube') return 'Only a tube is divided by a wall. Shut rooms of a nest instead.';
  if (divider === null) return part.divider ? null : 'There is no wall in this tube to take out.';
  return dividerFault(part, divider);
}

const lineFault = ({ part }: PartNow, mm: number | undefined): string | null => {
  if (mm === undefined) return null;
  if (part.kind !== 'tube') return 'Only a tube has a water line. Leave it out.';
  return mm > part.lengthMm
    ? `The water line (${mm} mm) lies beyond the tube (${part.lengthMm} mm). Check the tube's length or the reading.`
    : null;
};
