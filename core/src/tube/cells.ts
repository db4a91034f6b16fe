import { waterDensityGPerMl } from '../climate';
import { within, type Band } from '../quantity';
import type { Provenance } from '../species';
import { waterLossGPerDay } from './water';

/** A founding home that is not a tube: a body that holds water, and a space that vents to the room. */
export interface FoundingCell {
  id: 'damp-box' | 'plaster-cell' | 'concrete-cell' | 'dish-cell';
  name: string;
  how: string;
  /** Inside of the space, mm. */
  lengthMm: number;
  widthMm: number;
  heightMm: number;
  /** Volume of what holds the water, ml, for the inside size above. */
  holderMl: number;
  /** Share of the holder's volume that is water when it is wetted as it should be, and may go before it is too dry. */
  usableShare: { value: number; source: Provenance };
  vents: { count: number; diameterMm: number; wallMm: number };
  /** Bare outer face of the holder that dries straight into the room, mm². */
  bareMm2: number;
}

const prior = (why: string): Provenance => ({ kind: 'prior', why });

/** Usual sizes; the keeper gives his own (common practice, no source; the shares are priors). */
export const FOUNDING_CELLS: readonly FoundingCell[] = [
  {
    id: 'damp-box',
    name: 'Small ventilated box with wet cotton balls',
    how: 'Wet the cotton, not the floor; keep one dry corner.',
    lengthMm: 60,
    widthMm: 40,
    heightMm: 25,
    holderMl: 6,
    usableShare: { value: 0.35, source: prior('two cotton balls, wet but not dripping') },
    vents: { count: 20, diameterMm: 1.5, wallMm: 1.5 },
    bareMm2: 0,
  },
  {
    id: 'plaster-cell',
    name: 'Plaster founding cell',
    how: 'Wet from outside with a blunt syringe until the plaster darkens; never into the cell.',
    lengthMm: 40,
    widthMm: 30,
    heightMm: 12,
    holderMl: 25,
    usableShare: { value: 0.15, source: prior('plaster takes up about a third; half of it may go') },
    vents: { count: 2, diameterMm: 4, wallMm: 3 },
    bareMm2: 900,
  },
  {
    id: 'concrete-cell',
    name: 'Aerated-concrete founding cell',
    how: 'Wet by syringe about every three days, more often in heat, not daily: mould.',
    lengthMm: 40,
    widthMm: 30,
    heightMm: 12,
    holderMl: 60,
    usableShare: {
      value: 0.2,
      source: prior('set so that a usual cell comes to about three days, as keepers say'),
    },
    vents: { count: 2, diameterMm: 4, wallMm: 3 },
    bareMm2: 1600,
  },
  {
    id: 'dish-cell',
    name: 'Dish-type founding cell',
    how: 'A lidded dish with a damp plaster floor; re-wet at the rim.',
    lengthMm: 50,
    widthMm: 50,
    heightMm: 12,
    holderMl: 15,
    usableShare: { value: 0.15, source: prior('a thin plaster floor, half of its water may go') },
    vents: { count: 4, diameterMm: 2, wallMm: 1 },
    bareMm2: 0,
  },
];

/** Still air over a bare face: the vapour's way through it, mm. Prior. */
const STILL_AIR_MM = 8;
/** Spread of the answer: vents, draught, how wet it was. Prior; p10 and p90 stand a factor of 1.9 away. */
const LOG_SPREAD = 0.5;
const Z90 = 1.2816;

export interface Rewetting {
  usableMl: number;
  lossMlPerDay: number;
  /** Days until it must be wetted again. */
  days: Band;
  /** Disturbances this costs in a month of thirty days, at the middle figure. */
  disturbancesPerMonth: number;
}

/**
 * How often a founding cell must be wetted, from its size and the room: usable water over what leaves by its vents and
 * its bare faces.
 *
 * A vent is a short Stefan tube whose way is its wall and the two ends, πd/4 together (diffusion through a hole in a
 * thin wall; Brown & Escombe 1900, Phil. Trans. R. Soc. B 193:223–291, from memory). A bare face dries through a layer
 * of still air.
 * @throws InputError for sizes or a room that cannot be
 */
export function rewetting(
  cell: FoundingCell,
  { lengthMm, widthMm }: { lengthMm: number; widthMm: number },
  room: { tempC: number; roomRelHumidity: number },
): Rewetting {
  within(lengthMm, 'lengthMm', 'The length of the space', { min: 10, max: 400, unit: 'mm' });
  within(widthMm, 'widthMm', 'The width of the space', { min: 10, max: 400, unit: 'mm' });
  // a larger space of the same kind has more of everything: water by its floor, vents and bare faces too
  const size = (lengthMm * widthMm) / (cell.lengthMm * cell.widthMm);
  const { count, diameterMm, wallMm } = cell.vents;
  const density = waterDensityGPerMl(room.tempC);
  const oneVent = waterLossGPerDay({
    boreMm: diameterMm,
    pathMm: wallMm + (Math.PI * diameterMm) / 4,
    ...room,
  });
  const vents = oneVent * count * Math.sqrt(size);
  const bare = cell.bareMm2 * size;
  const bareLoss =
    bare > 0 ? waterLossGPerDay({ boreMm: 10, pathMm: STILL_AIR_MM, ...room }) * (bare / (Math.PI * 25)) : 0;
  const usableMl = cell.holderMl * size * cell.usableShare.value;
  const lossMlPerDay = (vents + bareLoss) / density;
  const p50 = lossMlPerDay > 0 ? usableMl / lossMlPerDay : Infinity;
  const far = Math.exp(Z90 * LOG_SPREAD);
  return {
    usableMl,
    lossMlPerDay,
    days: { p10: p50 / far, p50, p90: p50 * far },
    disturbancesPerMonth: 30 / p50,
  };
}
