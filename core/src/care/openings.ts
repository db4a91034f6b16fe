import { endAt, linksOf, reachedFrom, standing, type Housing, type Link, type PartNow } from '../housing';
import { narrowerThan, type Heads } from './gap';

/** An opening of a home through which the smallest workers of a kind walk out. */
export interface WideOpening {
  what: 'mesh' | 'gap' | 'port';
  part: PartNow;
  mm: number;
}

/** As wide as the head of her smallest worker, or wider: they walk through. */
const letsThrough = ({ workerHeadMm: { value } }: Heads, mm: number): boolean => mm >= value.low;

/** What is said where such a width is entered; undefined where it holds them, or nothing was entered. */
export function widthFault(heads: Heads, mm: number | null): string | undefined {
  return mm !== null && letsThrough(heads, mm)
    ? `Her smallest workers can walk through ${mm} mm. It must be narrower than ${narrowerThan(heads)}.`
    : undefined;
}

/** What is said of ports as wide as that where they are entered: one that leads nowhere must be closed; undefined where they hold. */
export function portCaution(heads: Heads, mm: number | undefined): string | undefined {
  return mm !== undefined && letsThrough(heads, mm)
    ? `Plug every port that leads nowhere. Workers walk through anything as wide as ${narrowerThan(heads)}.`
    : undefined;
}

/** Every opening of what she can reach that is too wide: meshes, gaps at joints, ports that were opened and lead nowhere. */
export function wideOpenings(heads: Heads, home: Housing): WideOpening[] {
  const reached = reachedFrom(home, home.home);
  const parts = standing(home).filter((p) => reached.includes(p.part.id));
  return [
    ...parts.flatMap((part): WideOpening[] => {
      const mm = part.part.kind === 'tube' ? null : part.part.meshMm;
      return mm !== null && letsThrough(heads, mm) ? [{ what: 'mesh', part, mm }] : [];
    }),
    ...home.links.flatMap(({ a, gapMm }): WideOpening[] => {
      const part = parts.find((p) => p.part.id === a.partId);
      return part && gapMm !== null && letsThrough(heads, gapMm) ? [{ what: 'gap', part, mm: gapMm }] : [];
    }),
    ...parts.flatMap((part) => openPorts(heads, home, part)),
  ];
}

/** What lies open in another part leads into that one. */
const liesIn = (links: readonly Link[], partId: string): boolean =>
  links.some((l) => l.by === 'lies-in' && l.a.partId === partId);

function openPorts(heads: Heads, home: Housing, part: PartNow): WideOpening[] {
  const links = linksOf(home, part.part.id);
  if (part.part.kind === 'tube' || liesIn(links, part.part.id)) return [];
  const tied = links.map((l) => endAt(l, part.part.id).here.port);
  return part.part.ports.flatMap(({ boreMm }, i): WideOpening[] => {
    const port = `port-${i + 1}`;
    // of a port of which nobody has said anything it is not held that it stands open
    return part.gates[port]?.value === 'open' && !tied.includes(port) && letsThrough(heads, boreMm)
      ? [{ what: 'port', part, mm: boreMm }]
      : [];
  });
}
