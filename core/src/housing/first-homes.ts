import type { BodyHome, BodyPart } from '../facts';
import type { Instant } from '../quantity';
import { usualBody } from './usual-body';
import { wateringOf, type Watering } from './watering';

/** What a queen may found in when there is no tube. */
export interface FirstHome {
  id: string;
  kind: FirstHomeKind;
  name: string;
  how: string;
  part: Omit<BodyPart, 'id'>;
}

export const FIRST_HOME_KINDS = ['box', 'cell', 'dish'] as const;
export type FirstHomeKind = (typeof FIRST_HOME_KINDS)[number];

function usual(kind: FirstHomeKind, rest: Partial<BodyPart>): Omit<BodyPart, 'id'> {
  const { id: _, ...part } = usualBody('', kind);
  return { ...part, ...rest };
}

/** Of usual sizes; the keeper gives his own (common practice, no source). */
export const FIRST_HOMES: readonly FirstHome[] = [
  {
    id: 'damp-box',
    kind: 'box',
    name: 'Small ventilated box with wet cotton balls',
    how: 'Wet the cotton, not the floor; keep one dry corner.',
    part: usual('box', { widthMm: 60, depthMm: 40, heightMm: 25, water: 'cotton' }),
  },
  {
    id: 'plaster-cell',
    kind: 'cell',
    name: 'Plaster founding cell',
    how: 'Wet from outside with a blunt syringe until the plaster darkens; never into the cell.',
    part: usual('cell', { material: 'plaster' }),
  },
  {
    id: 'concrete-cell',
    kind: 'cell',
    name: 'Aerated-concrete founding cell',
    how: 'Wet by syringe about every three days, more often in heat, not daily: mould.',
    part: usual('cell', { material: 'aerated-concrete' }),
  },
  {
    id: 'dish-cell',
    kind: 'dish',
    name: 'Dish-type founding cell',
    how: 'A lidded dish with a damp plaster floor; re-wet at the rim.',
    part: usual('dish', { material: 'plaster', water: 'stone' }),
  },
];

/** The likeliest of a kind, as the first answer of a form; of cells that of aerated concrete, which keeps water longest. */
export function firstBody(id: string, kind: FirstHomeKind): BodyPart {
  const found = FIRST_HOMES.filter((h) => h.kind === kind).at(-1) as FirstHome;
  return { ...found.part, id };
}

/** How often a home is wetted in a room before any watering was written down; null where it has no water. */
export const wetting = (
  part: Omit<BodyPart, 'id'>,
  room: { tempC: number; roomRelHumidity: number },
  now: Instant,
): Watering | null =>
  wateringOf(
    { part: { ...part, id: '', setUpAt: now } as BodyHome, waterings: [] },
    [{ from: now, ...room }],
    now,
  );

/** Openings, or jolts, that its water costs in a month of thirty days. */
export const disturbancesPerMonth = ({ everyDays }: Watering): number => 30 / everyDays.p50;
