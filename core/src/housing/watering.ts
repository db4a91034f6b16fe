import { waterDensityGPerMl } from '../climate';
import { bodyFloorMm2, type BodyHome } from '../facts';
import { accumulation, addDays, DAY_MS, EIGHT_OF_TEN, msOf, type Band, type Instant } from '../quantity';
import type { Provenance } from '../species';
import { roomsSince, waterLossGPerDay } from '../tube';
import type { PartNow } from './housing';

/** How warm and dry the room of a part is from a moment on. */
export interface RoomThen {
  from: Instant;
  tempC: number;
  roomRelHumidity: number;
}

/** When the water of a part that is watered by hand is used up. */
export interface Watering {
  /** Days between two waterings in the room where it stands now. */
  everyDays: Band;
  /** When it was last watered; when it was set up, where that was never written down. */
  lastAt: Instant;
  /** When it is dry; null in air that takes no water. */
  dryAt: Band<Instant | null>;
  /** What it has to spend when it is wetted as it should be, ml. */
  usableMl: number;
  lossMlPerDay: number;
  /** How many of the keeper's own waterings it has learned from. */
  from: number;
}

const prior = (why: string): Provenance => ({ kind: 'prior', why });

/** What a water source has to spend, and where its water leaves, for a floor of so many mm². */
interface Held {
  floorMm2: number;
  /** Water that may go before it is too dry, ml. */
  usableMl: { value: number; source: Provenance };
  vents: { count: number; diameterMm: number; wallMm: number };
  /** Bare wet face that dries straight into the room, mm². */
  bareMm2: number;
}

const FEW_VENTS = { count: 2, diameterMm: 4, wallMm: 3 };
const NEST_VENTS = { count: 12, diameterMm: 3, wallMm: 2 };

const HELD = {
  cotton: {
    floorMm2: 2400,
    usableMl: { value: 2.1, source: prior('two cotton balls, wet but not dripping') },
    vents: { count: 20, diameterMm: 1.5, wallMm: 1.5 },
    bareMm2: 0,
  },
  plaster: {
    floorMm2: 1200,
    usableMl: { value: 3.75, source: prior('plaster takes up about a third; half of it may go') },
    vents: FEW_VENTS,
    bareMm2: 900,
  },
  'aerated-concrete': {
    floorMm2: 1200,
    usableMl: {
      value: 12,
      source: prior('set so that a usual cell comes to about three days, as keepers say'),
    },
    vents: FEW_VENTS,
    bareMm2: 1600,
  },
  dish: {
    floorMm2: 2500,
    usableMl: { value: 2.25, source: prior('a thin plaster floor, half of its water may go') },
    vents: { count: 4, diameterMm: 2, wallMm: 1 },
    bareMm2: 0,
  },
  sponge: {
    floorMm2: 5400,
    usableMl: { value: 4, source: prior('set so that a usual nest comes to about a week') },
    vents: NEST_VENTS,
    bareMm2: 0,
  },
  tower: {
    floorMm2: 5400,
    usableMl: { value: 15, source: prior('a tower to three quarters') },
    vents: NEST_VENTS,
    bareMm2: 0,
  },
  'plugged-tube': {
    floorMm2: 0,
    usableMl: { value: 10, source: prior('a usual drinker') },
    vents: { count: 0, diameterMm: 1, wallMm: 1 },
    // the face of wet cotton in a bore of 14 mm
    bareMm2: 154,
  },
} satisfies Record<string, Held>;

function heldBy({ kind, water, material }: BodyHome): Held | null {
  if (water === 'none') return null;
  if (water !== 'stone') return HELD[water];
  if (kind === 'dish') return HELD.dish;
  return HELD[material === 'aerated-concrete' ? 'aerated-concrete' : 'plaster'];
}

/** Still air over a bare face: the vapour's way through it, mm. Prior. */
const STILL_AIR_MM = 8;

/** A larger space of the same kind has more of everything: water and bare faces by its floor, vents by its edge. */
const sizeOf = (part: BodyHome, { floorMm2 }: Held): number =>
  floorMm2 === 0 ? 1 : bodyFloorMm2(part) / floorMm2;

const usableMl = (part: BodyHome, held: Held): number =>
  part.waterMl ?? held.usableMl.value * sizeOf(part, held);

/** Who says what a part has to spend. */
export const waterSource = (part: BodyHome): Provenance | null => heldBy(part)?.usableMl.source ?? null;

/**
 * What leaves a part by its vents and its bare wet faces, ml a day.
 *
 * A vent is a short Stefan tube whose way is its wall and the two ends, πd/4 together (diffusion through a hole in a
 * thin wall; Brown & Escombe 1900, Phil. Trans. R. Soc. B 193:223–291, from memory). A bare face dries through a layer
 * of still air.
 */
function lossMlPerDay(
  part: BodyHome,
  held: Held,
  { tempC, roomRelHumidity }: Omit<RoomThen, 'from'>,
): number {
  const room = { tempC, roomRelHumidity };
  const { count, diameterMm, wallMm } = held.vents;
  const size = sizeOf(part, held);
  const vent = waterLossGPerDay({ boreMm: diameterMm, pathMm: wallMm + (Math.PI * diameterMm) / 4, ...room });
  const face = waterLossGPerDay({ boreMm: FACE_BORE_MM, pathMm: STILL_AIR_MM, ...room });
  const faces = (held.bareMm2 * size) / ((Math.PI / 4) * FACE_BORE_MM ** 2);
  return (vent * count * Math.sqrt(size) + face * faces) / waterDensityGPerMl(Math.max(0, tempC));
}

/** A bare face is reckoned as so many round ones of this width, mm. */
const FACE_BORE_MM = 10;

/** Spread of ln(true time / reckoned time) before any watering was written down: vents, draught, how wet it was. Prior. */
const LOG_SPREAD = 0.5;
/** The same of one watering of the keeper's own, by whether it was said how wet it was before. Priors. */
const LOG_ERROR = { said: 0.35, unsaid: 0.7 };
/** What is left, or overdrawn, when it was found still wet or dry. Priors. */
const FOUND = { dry: Math.log(0.75), right: 0, 'still-wet': Math.log(1.25) };
/** Between two waterings that teach something, as shares of what it has to spend. Priors. */
const [LEAST_TOOK, MOST_TOOK] = [0.05, 3];

/**
 * How often a part is watered, by its area, what it holds, warmth and room air, corrected by the keeper's own waterings: what
 * the air took between two of them against what the source holds, and whether it was found dry, right or still wet.
 * @param now the moment whose room tells how often it is watered
 * @returns null for a tube, and for a part without water of its own
 */
export function wateringOf(
  { part, waterings }: Pick<PartNow, 'part' | 'waterings'>,
  rooms: readonly RoomThen[],
  now: Instant,
): Watering | null {
  if (part.kind === 'tube') return null;
  const source = heldBy(part);
  if (source === null) return null;
  const spendMl = usableMl(part, source);
  const day = (at: Instant): number => (msOf(at) - msOf(part.setUpAt)) / DAY_MS;
  const since = roomsSince(rooms, part.setUpAt);
  const lost = accumulation(
    since.slice(1).map((room) => day(room.from)),
    since.map((room) => lossMlPerDay(part, source, room)),
  );
  const fills: { at: Instant; was: PartNow['waterings'][number]['was'] }[] = [
    { at: part.setUpAt, was: null },
    ...waterings,
  ];
  let [precision, sum, from] = [1 / LOG_SPREAD ** 2, 0, 0];
  fills.forEach(({ at, was }, i) => {
    const before = fills[i - 1];
    const took = before ? (lost.gathered(day(at)) - lost.gathered(day(before.at))) / spendMl : 0;
    // two of one visit say nothing; nor does a gap in which it would have been dry several times: it was watered, and not written down
    if (took < LEAST_TOOK || took > MOST_TOOK) return;
    const weight = 1 / (was ? LOG_ERROR.said : LOG_ERROR.unsaid) ** 2;
    precision += weight;
    sum += weight * (Math.log(took) + (was ? FOUND[was] : 0));
    from += 1;
  });
  const [middle, spread] = [sum / precision, 1 / Math.sqrt(precision)];
  const held = (z: number): number => spendMl * Math.exp(middle + z * spread);
  const last = fills[fills.length - 1] as { at: Instant };
  const wetDay = day(last.at);
  const perDay = lost.rateOn(Math.max(wetDay, day(now)));
  const dry = (z: number): Instant | null => {
    const dryDay = lost.dayOf(lost.gathered(wetDay) + held(z));
    return dryDay - wetDay > HORIZON_DAYS ? null : addDays(part.setUpAt, dryDay);
  };
  const band = <T>(of: (z: number) => T): Band<T> => ({
    p10: of(-EIGHT_OF_TEN),
    p50: of(0),
    p90: of(EIGHT_OF_TEN),
  });
  return {
    // in air that takes no water it is told to the horizon: what is beyond it has no end, and no number
    everyDays: band((z) => Math.min(HORIZON_DAYS, held(z) / perDay)),
    lastAt: last.at,
    dryAt: band(dry),
    usableMl: spendMl,
    lossMlPerDay: perDay,
    from,
  };
}

/** Beyond ten years nothing is told. */
const HORIZON_DAYS = 3650;
