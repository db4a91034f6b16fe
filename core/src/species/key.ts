import type { Shape } from '../facts/vocabulary';
import type { KindCard } from './card';
import type { Colour, FounderType, KindFigures, Region } from './figures';

/** What a keeper sees of a queen without a lens; null where it was not looked at. */
export interface Seen {
  queenMm: number | null;
  colour: Colour | null;
  waist: Exclude<KindFigures['waist'], 'unknown'> | null;
  shape: Shape | null;
  /** Month of the flight as it would be in the north, 1 to 12. */
  northMonth: number | null;
  region: Region | null;
}
export const TRAITS = ['region', 'northMonth', 'queenMm', 'waist', 'colour', 'shape'] as const;
export type Trait = (typeof TRAITS)[number];
export const NOTHING_SEEN: Seen = {
  queenMm: null,
  colour: null,
  waist: null,
  shape: null,
  northMonth: null,
  region: null,
};

/** Whether what was seen can be of a kind; what is not known of a kind never rules it out. */
type Fit = 'fits' | 'not known' | 'does not';

/** A ruler beside glass is off by so much, and queens differ: mm, and share of the length. Priors. */
const OFF_MM = 0.5;
const OFF_SHARE = 0.1;

/** What a queen looks like who founds so; a sign, no proof. Common practice, no source. */
const FOUNDERS_OF_SHAPE: Record<Shape, readonly FounderType[]> = {
  'large-gaster': ['fully-claustral'],
  between: ['fully-claustral', 'semi-claustral', 'socially-parasitic', 'dependent'],
  'slim-large-head': ['semi-claustral', 'socially-parasitic', 'dependent'],
};

const when = (known: boolean, holds: boolean): Fit => (known ? (holds ? 'fits' : 'does not') : 'not known');

const FITS: { [T in Trait]: (kind: KindCard, seen: NonNullable<Seen[T]>) => Fit } = {
  region: ({ regions }, region) => when(regions.length > 0, regions.includes(region)),
  northMonth: ({ flightMonths: { value } }, month) =>
    // flights shift by a month from place to place
    when(
      value.length > 0,
      [-1, 0, 1].some((d) => value.includes(((month - 1 + d + 12) % 12) + 1)),
    ),
  queenMm: ({ queenLengthMm: { value } }, mm) => {
    const off = OFF_MM + OFF_SHARE * mm;
    return when(true, mm >= value.low - off && mm <= value.high + off);
  },
  waist: ({ waist: { value } }, waist) => when(value !== 'unknown', value === waist),
  colour: ({ colours: { value } }, colour) => when(value.length > 0, value.includes(colour)),
  shape: ({ founder: { value } }, shape) =>
    when(value !== 'unknown', FOUNDERS_OF_SHAPE[shape].includes(value)),
};

const fitOf = <T extends Trait>(trait: T, kind: KindCard, seen: Seen): Fit | null => {
  const value = seen[trait];
  return value === null ? null : FITS[trait](kind, value as NonNullable<Seen[T]>);
};

/** A kind that is left, and how much of what was seen is known of it. */
export interface Left<K extends KindCard> {
  kind: K;
  fits: number;
  notKnown: number;
}
export interface Narrowed<K extends KindCard> {
  /** Best known first. */
  left: Left<K>[];
  /** Of so many species. */
  of: number;
  /** What to look at next: it is expected to leave the fewest; null when nothing would narrow the list. */
  next: Trait | null;
}

/** Species that what was seen can be. Help, never certainty: many kinds are not in the catalogue. */
export function narrowed<K extends KindCard>(kinds: readonly K[], seen: Seen): Narrowed<K> {
  const all = kinds.filter((k) => k.rank === 'species' && !k.retired);
  const left = all.flatMap((kind): Left<K>[] => {
    const fits = TRAITS.map((t) => fitOf(t, kind, seen));
    if (fits.includes('does not')) return [];
    const count = (f: Fit) => fits.filter((one) => one === f).length;
    return [{ kind, fits: count('fits'), notKnown: count('not known') }];
  });
  left.sort((a, b) => b.fits - a.fits || a.kind.name.localeCompare(b.kind.name));
  return {
    left,
    of: all.length,
    next: nextOf(
      left.map((l) => l.kind),
      seen,
    ),
  };
}

/** What a kind itself would answer, so that one can reckon how many would be left. */
const ANSWERS: { [T in Trait]: (kind: KindCard) => readonly NonNullable<Seen[T]>[] } = {
  region: (k) => k.regions,
  northMonth: (k) => k.flightMonths.value,
  queenMm: (k) => [(k.queenLengthMm.value.low + k.queenLengthMm.value.high) / 2],
  waist: (k) => (k.waist.value === 'unknown' ? [] : [k.waist.value]),
  colour: (k) => k.colours.value,
  shape: (k) =>
    k.founder.value === 'unknown'
      ? []
      : [k.founder.value === 'fully-claustral' ? 'large-gaster' : 'slim-large-head'],
};

/** Less than this share ruled out is not worth another question. */
const WORTH = 0.05;

function nextOf(left: readonly KindCard[], seen: Seen): Trait | null {
  if (left.length < 2) return null;
  const open = TRAITS.filter((t) => seen[t] === null);
  const expected = open.map((trait) => {
    const leavesBy = new Map<unknown, number>();
    const leavesWith = (value: unknown): number => {
      const known = leavesBy.get(value);
      if (known !== undefined) return known;
      const answered = { ...seen, [trait]: value };
      const n = left.filter((o) => fitOf(trait, o, answered) !== 'does not').length;
      leavesBy.set(value, n);
      return n;
    };
    // she is as likely one of them as another: how many would each answer leave?
    const each = left.map((k) => {
      const answers = ANSWERS[trait](k);
      if (answers.length === 0) return left.length;
      const leaves = answers.map(leavesWith);
      return leaves.reduce((a, b) => a + b, 0) / leaves.length;
    });
    return { trait, leaves: each.reduce((a, b) => a + b, 0) / each.length };
  });
  const best = expected.reduce<(typeof expected)[number] | null>(
    (a, b) => (a === null || b.leaves < a.leaves ? b : a),
    null,
  );
  return best && best.leaves <= (1 - WORTH) * left.length ? best.trait : null;
}
