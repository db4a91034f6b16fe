import type { HomePart } from '@gentle-burrow/core/facts';
import type { DrawnHome, End } from '@gentle-burrow/core/housing';
import { endAt, linksOf } from '@gentle-burrow/core/light';
import { scaleOf, wholeMm } from '@/features/tube/TubeDrawing';
import { MARGIN_MM, portAt, spanOf, WALL_MM } from './body';

/** Where a part stands in the picture of a home, mm from its upper left corner. */
export interface Placed {
  part: HomePart;
  x: number;
  y: number;
  wide: number;
  tall: number;
  /** A tube whose mouth looks to the left. */
  turned: boolean;
}

interface HomeLayout {
  placed: Placed[];
  /** Joints between two parts, from port to port, mm. */
  joints: { from: { x: number; y: number }; to: { x: number; y: number }; key: string }[];
  wide: number;
  tall: number;
}

/** Wider pictures break into rows, mm: on a phone a tube must stay as high as a line of text. */
const ROW_MM = 400;
const GAP_MM = 10;

const sizeOf = (part: HomePart): { wide: number; tall: number } => {
  if (part.kind !== 'tube') return spanOf(part);
  const wide = wholeMm(part);
  const { height } = scaleOf(part, wide);
  return { wide, tall: height };
};

/** All parts of a home that stand, hers first and what is joined next to it, in rows, to one scale. */
export function layoutOf(home: DrawnHome): HomeLayout {
  const here = home.parts.map((p) => p.part);
  const order = inOrder(home, here);
  const holder = new Map(
    home.links.flatMap((l) => (l.by === 'lies-in' ? [[l.a.partId, l.b.partId] as const] : [])),
  );
  const placed: Placed[] = [];
  let [x, y, rowTall, wide] = [0, 0, 0, 0];
  for (const part of order.filter((p) => !holder.has(p.id))) {
    const size = sizeOf(part);
    const before = placed[placed.length - 1];
    const mouths = before !== undefined && meetMouths(home, before.part, part);
    const gap = x === 0 ? 0 : mouths ? 0 : GAP_MM;
    if (x > 0 && x + gap + size.wide > ROW_MM) {
      y += rowTall + GAP_MM;
      [x, rowTall] = [0, 0];
    }
    const left = x === 0 ? 0 : x + gap;
    placed.push({ part, x: left, y, ...size, turned: part.kind === 'tube' && left > 0 });
    x = left + size.wide;
    rowTall = Math.max(rowTall, size.tall);
    wide = Math.max(wide, x);
  }
  const rowsEnd = y + rowTall;
  centreRows(placed);
  let tall = rowsEnd;
  const inside = new Map<string, number>();
  for (const part of order.filter((p) => holder.has(p.id))) {
    const box = placed.find((p) => p.part.id === holder.get(part.id));
    const size = sizeOf(part);
    const edge = WALL_MM + MARGIN_MM;
    const down = inside.get(box?.part.id ?? '') ?? edge + 2;
    inside.set(box?.part.id ?? '', down + size.tall);
    const one = { part, x: (box?.x ?? 0) + edge, y: (box?.y ?? tall) + down, ...size, turned: false };
    placed.push(one);
    wide = Math.max(wide, one.x + one.wide);
    tall = Math.max(tall, one.y + one.tall);
  }
  return { placed, joints: jointsOf(home, placed), wide, tall };
}

/** Hers first, then what is reached from it joint by joint, then what only stands beside. */
function inOrder(home: DrawnHome, here: readonly HomePart[]): HomePart[] {
  const ids = [home.home];
  for (const id of ids)
    for (const link of linksOf(home, id)) {
      const { partId } = endAt(link, id).there;
      if (!ids.includes(partId)) ids.push(partId);
    }
  const rank = (p: HomePart) => (ids.includes(p.id) ? ids.indexOf(p.id) : ids.length);
  return [...here].sort((a, b) => rank(a) - rank(b));
}

const meetMouths = (home: DrawnHome, a: HomePart, b: HomePart): boolean =>
  a.kind === 'tube' &&
  b.kind === 'tube' &&
  linksOf(home, a.id).some((l) => endAt(l, a.id).there.partId === b.id);

/** Parts of one row stand on one middle line. */
function centreRows(placed: Placed[]): void {
  for (const y of new Set(placed.map((p) => p.y))) {
    const row = placed.filter((p) => p.y === y);
    const tall = Math.max(...row.map((p) => p.tall));
    for (const p of row) p.y = y + (tall - p.tall) / 2;
  }
}

/** Where a port of a part lies in the picture. */
function pointOf(p: Placed, { port }: End): { x: number; y: number } {
  if (p.part.kind === 'tube') return { x: p.turned ? p.x : p.x + p.wide, y: p.y + p.tall / 2 };
  if (port === 'floor') return { x: p.x + p.wide / 2, y: p.y + p.tall / 2 };
  const { x, y, left } = portAt(p.part, port);
  const edge = WALL_MM + MARGIN_MM;
  return { x: p.x + edge + x + (left ? -1 : 1) * (WALL_MM + 2), y: p.y + edge + y };
}

const jointsOf = (home: DrawnHome, placed: readonly Placed[]): HomeLayout['joints'] =>
  home.links.flatMap((l) => {
    const a = placed.find((p) => p.part.id === l.a.partId);
    const b = placed.find((p) => p.part.id === l.b.partId);
    if (!a || !b || l.by === 'lies-in') return [];
    return [{ from: pointOf(a, l.a), to: pointOf(b, l.b), key: l.entryId }];
  });
