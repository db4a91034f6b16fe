import type { ConnectorForm } from '../facts';
import { need } from '../quantity';
import { headsOf } from '../species';

/** Where nothing is known of her workers: as small as the smallest that are kept, 2 mm long. Prior. */
export const SMALLEST_HEAD_MM = headsOf({ low: 2, high: 2 }).low;

/** How two round ends go into one another. */
export interface JointFit {
  /** Slides in; holds with thread wound round the inner one; or does not go. */
  kind: 'slides' | 'thread' | 'none';
  /** Bore less outside, on the diameter, mm; below 0 the inner one is too thick. */
  gapMm: number;
  /** Turns of thread that fill the gap; 0 when none is needed or none helps. */
  turns: number;
}

interface JointOptions {
  /** The widest gap that still slides and holds, mm. Prior. */
  slideMm?: number;
  /** Thickness of the thread, mm. Prior: sewing thread. */
  threadMm?: number;
}

const SLIDE_MM = 0.4;
const THREAD_MM = 0.3;
/** More thread than that is no joint any more. Prior. */
const MOST_TURNS = 10;

/** Lengths are compared in whole micrometres: 18 − 17.4 is 0.6, whatever binary fractions say. */
const um = (mm: number): number => Math.round(mm * 1000);

/**
 * Whether an outside goes into a bore: it slides when 0 ≤ gap ≤ `slideMm` on the diameter; else each turn of thread adds twice
 * its thickness, turns rounded up, ten at the most.
 * @throws InputError for a length that is none
 */
export function joint(
  inner: { outsideMm: number },
  outer: { boreMm: number },
  { slideMm = SLIDE_MM, threadMm = THREAD_MM }: JointOptions = {},
): JointFit {
  length(inner.outsideMm, 'outsideMm', 'The outside diameter');
  length(outer.boreMm, 'boreMm', 'The bore');
  length(threadMm, 'threadMm', 'The thread');
  need(slideMm >= 0, 'slideMm', `A gap that slides (${slideMm} mm) is 0 or more. Correct it.`);
  const gap = um(outer.boreMm) - um(inner.outsideMm);
  const gapMm = gap / 1000;
  if (gap < 0) return { kind: 'none', gapMm, turns: 0 };
  if (gap <= um(slideMm)) return { kind: 'slides', gapMm, turns: 0 };
  const turns = Math.ceil(gap / (2 * um(threadMm)));
  return turns <= MOST_TURNS ? { kind: 'thread', gapMm, turns } : { kind: 'none', gapMm, turns: 0 };
}

const length = (mm: number, field: string, name: string): void =>
  need(um(mm) > 0, field, `${name} (${mm} mm) is no length. Measure it in mm.`);

/** A round end: what goes into its bore, and what its outside goes into; a hole in a wall has no outside. */
export interface Port {
  boreMm?: number;
  outsideMm?: number;
}

/** A piece that joins two ends. */
export interface Connector {
  id: string;
  name: string;
  form: ConnectorForm;
  ends: readonly [Port, Port];
  /** Opening of a mesh let into its wall, mm; null without one. */
  meshMm: number | null;
  /** How many there are. */
  count: number;
}

interface ChainOptions extends JointOptions {
  /** Head width of the smallest worker, mm: no gap and no mesh may be as wide. */
  headMm: number;
}

/** One joint of a chain: which of the two goes into the other. */
interface ChainJoint extends JointFit {
  inner: 'left' | 'right';
}

export interface Chain {
  /** From the first port to the second; `turned`: its second end comes first. */
  pieces: { connector: Connector; turned: boolean }[];
  /** One more than pieces. */
  joints: ChainJoint[];
  /** What lets air through: a joint by its index, or the mesh of a piece. */
  air: { joint: number } | { piece: number };
}

/** An end that would fit a port: into its bore, or over its outside; mm, from and to. */
export type Wanted = { outsideMm: [number, number] } | { boreMm: [number, number] };

export type ChainFound =
  | { chain: Chain; steps: string[] }
  /** No chain of the stock does: a piece with such an end on either side would. */
  | { chain: null; buy: { a: Wanted[]; b: Wanted[] } };

/** Longer chains are no joints but plumbing. Prior. */
const MOST_PIECES = 4;

/**
 * The shortest chain of connectors between two ports: fewest pieces, then fewest turns of thread, then the smallest widest
 * gap. No gap and no mesh lets the smallest worker out, and at least one lets air in: it is never airtight.
 * @throws InputError for lengths that are none, and for ports without any
 */
export function chainBetween(
  a: Port,
  b: Port,
  connectors: readonly Connector[],
  options: ChainOptions = { headMm: SMALLEST_HEAD_MM },
): ChainFound {
  length(options.headMm, 'headMm', 'The head width');
  for (const [port, name] of [
    [a, 'first'],
    [b, 'second'],
  ] as const)
    need(
      port.boreMm !== undefined || port.outsideMm !== undefined,
      'port',
      `Nothing is known of the ${name} end. Measure its bore, its outside, or both.`,
    );
  for (let n = 0; n <= MOST_PIECES; n++) {
    const best = chainsOf(n, a, b, connectors, options).sort(shorter)[0];
    if (best) return { chain: best, steps: stepsOf(best) };
  }
  return { chain: null, buy: { a: wantedBy(a, options), b: wantedBy(b, options) } };
}

/** How two ends are best joined; null when they cannot be, or when the smallest worker would get out. */
export function joinEnds(left: Port, right: Port, options: ChainOptions): ChainJoint | null {
  const ways: ChainJoint[] = [];
  if (left.outsideMm !== undefined && right.boreMm !== undefined)
    ways.push({ ...joint({ outsideMm: left.outsideMm }, { boreMm: right.boreMm }, options), inner: 'left' });
  if (right.outsideMm !== undefined && left.boreMm !== undefined)
    ways.push({ ...joint({ outsideMm: right.outsideMm }, { boreMm: left.boreMm }, options), inner: 'right' });
  return (
    ways
      // pushed to one side the whole gap stands open on the other; thread fills it
      .filter((w) => w.kind === 'thread' || (w.kind === 'slides' && um(w.gapMm) < um(options.headMm)))
      .sort((x, y) => x.turns - y.turns || x.gapMm - y.gapMm)[0] ?? null
  );
}

/** All chains of so many pieces that hold, keep the ants in and let air through. */
function chainsOf(
  n: number,
  a: Port,
  b: Port,
  connectors: readonly Connector[],
  options: ChainOptions,
): Chain[] {
  const found: Chain[] = [];
  const left = new Map(connectors.map((c) => [c.id, c.count]));
  const go = (end: Port, pieces: Chain['pieces'], joints: ChainJoint[]): void => {
    if (pieces.length === n) {
      const last = joinEnds(end, b, options);
      const air = last && airOf(pieces, [...joints, last]);
      if (last && air) found.push({ pieces, joints: [...joints, last], air });
      return;
    }
    for (const connector of connectors) {
      const count = left.get(connector.id) ?? 0;
      // a mesh as wide as a head lets them out
      if (count < 1 || (connector.meshMm !== null && um(connector.meshMm) >= um(options.headMm))) continue;
      left.set(connector.id, count - 1);
      for (const turned of sameEnds(connector) ? [false] : [false, true]) {
        const [near, far] = turned ? [connector.ends[1], connector.ends[0]] : connector.ends;
        const way = joinEnds(end, near, options);
        if (way) go(far, [...pieces, { connector, turned }], [...joints, way]);
      }
      left.set(connector.id, count);
    }
  };
  go(a, [], []);
  return found;
}

const sameEnds = ({ ends: [x, y] }: Connector): boolean =>
  x.boreMm === y.boreMm && x.outsideMm === y.outsideMm;

function airOf(pieces: Chain['pieces'], joints: ChainJoint[]): Chain['air'] | null {
  const mesh = pieces.findIndex(({ connector }) => connector.meshMm !== null && connector.meshMm > 0);
  if (mesh >= 0) return { piece: mesh };
  const open = joints.findIndex((j) => j.kind === 'slides' && j.gapMm > 0);
  return open >= 0 ? { joint: open } : null;
}

/** Of chains of as many pieces: fewer turns, then the smaller widest gap, then by name, so that the answer stays the same. */
function shorter(x: Chain, y: Chain): number {
  const turns = ({ joints }: Chain) => joints.reduce((sum, j) => sum + j.turns, 0);
  const widest = ({ joints }: Chain) => Math.max(...joints.map((j) => (j.kind === 'slides' ? j.gapMm : 0)));
  const names = ({ pieces }: Chain) => pieces.map((p) => `${p.connector.id}${p.turned ? 1 : 0}`).join();
  return turns(x) - turns(y) || widest(x) - widest(y) || (names(x) < names(y) ? -1 : 1);
}

/** The order of assembly: a pipe goes on its connector before the connector goes anywhere; ports come last. */
function stepsOf({ pieces, joints }: Chain): string[] {
  const name = (i: number) =>
    i < 0 ? 'the first end' : i >= pieces.length ? 'the second end' : (pieces[i]?.connector.name ?? '');
  const isPipe = (i: number) => pieces[i]?.connector.form === 'pipe';
  const isPort = (i: number) => i < 0 || i >= pieces.length;
  const order = joints.map((fit, i) => ({ fit, left: i - 1, right: i })).sort((x, y) => rank(x) - rank(y));
  function rank({ left, right }: { left: number; right: number }): number {
    if (isPort(left) || isPort(right)) return 2;
    return isPipe(left) || isPipe(right) ? 0 : 1;
  }
  return order.map(({ fit, left, right }) => {
    const [inner, outer] = fit.inner === 'left' ? [left, right] : [right, left];
    const thread =
      fit.kind === 'thread'
        ? `Wind ${fit.turns} ${fit.turns === 1 ? 'turn' : 'turns'} of thread round ${name(inner)}, then push`
        : 'Push';
    const pipe = isPipe(left) ? left : isPipe(right) ? right : null;
    return pipe !== null && !isPort(left) && !isPort(right)
      ? `${thread} ${name(inner)} ${inner === pipe ? 'into' : 'on'}${inner === pipe ? '' : 'to'} ${name(outer)}, before either goes anywhere else.`
      : `${thread} ${name(inner)} into ${name(outer)}.`;
  });
}

function wantedBy({ boreMm, outsideMm }: Port, { slideMm = SLIDE_MM, headMm }: ChainOptions): Wanted[] {
  // a gap as wide as a head lets them out, one of nothing no air in
  const most = Math.min(slideMm, (um(headMm) - 1) / 1000);
  return [
    ...(boreMm === undefined
      ? []
      : [{ outsideMm: [(um(boreMm) - um(most)) / 1000, boreMm] as [number, number] }]),
    ...(outsideMm === undefined
      ? []
      : [{ boreMm: [outsideMm, (um(outsideMm) + um(most)) / 1000] as [number, number] }]),
  ];
}
