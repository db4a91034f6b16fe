import type { Differs, FigureId, KindFigures, KindRecord, Region, Span, Status } from '../figures';
import { QUEEN_COLOURS } from './looks';
import { restOf } from './rest';
import { COMMONEST, WARMTH_PRIOR } from './warmth';
import { practice, prior, type Figure } from '../provenance';

type TypeName = 'temperate' | 'tropical' | 'parasite';
type Between = readonly [number, number];

/** What is written of a kind, in the shortest form that names every figure. */
interface Sketch {
  plain?: readonly string[];
  /** From which type the rest is taken; that of its genus when a species does not say. */
  type?: TypeName;
  founder?: KindFigures['founder'];
  queenMm?: Between;
  workerMm?: Between;
  headMm?: Between;
  boreMm?: Between;
  colours?: KindFigures['colours'] | undefined;
  waist?: KindFigures['waist'];
  bestC?: Between;
  pupae?: KindFigures['pupae'];
  firstBatch?: Between;
  winters?: boolean;
  wintersAs?: KindFigures['wintersAs'];
  rest?: KindFigures['rest'] | undefined;
  inTheCold?: KindFigures['inTheCold'];
  flies?: readonly number[];
  queens?: KindFigures['queens'];
  castes?: KindFigures['castes'];
  diet?: KindFigures['diet'];
  climbsGlass?: boolean;
  defence?: KindFigures['defence'];
  temper?: KindFigures['temper'];
  moveDays?: Between;
  /** Days at 25 °C. */
  days?: { laying: number; egg: number; larva: number; pupa: number };
  limits?: { thresholdC: number; optimumC: number; upperC: number };
  spreads?: { laying?: number; stage?: number; queen?: number };
  slowLaying?: KindFigures['slowLaying'];
  /** Why these days and limits; they are priors. */
  why?: string;
  status?: Status;
  notes?: readonly string[];
  /** Published sources of single figures. */
  cites?: { readonly [K in FigureId]?: string };
}
interface SpeciesSketch extends Sketch {
  /** The second word of the name. */
  name: string;
  synonyms?: readonly string[];
  in: readonly Region[];
}
export interface GenusSketch extends Sketch {
  name: string;
  type: TypeName;
  differs?: Differs;
  species: readonly SpeciesSketch[];
}

export const genus = (name: string, rest: Omit<GenusSketch, 'name'>): GenusSketch => ({ name, ...rest });

/** Months of flight, 1 to 12, of a kind whose seasons are those of the north. */
export const north = (...months: number[]): readonly number[] => months;
/** Of one whose seasons are those of the south, as they would be in the north. */
export const south = (...months: number[]): readonly number[] =>
  months.map((m) => ((m + 5) % 12) + 1).sort((a, b) => a - b);

const span = ([low, high]: Between): Span => ({ low, high });
const FLIGHTS = 'months in which keepers report flights; they differ from place to place';
const BATCH = 'scaled from 8–15 workers in small black garden-type ants';
const HELD_LOOSELY = 'how far queens and broods of one kind differ';

/** The figures of a sketch, each with who says so: practice for what is seen, a prior for what is reckoned. */
export function figuresOf(s: Sketch): KindRecord['figures'] {
  const why = s.why ?? 'taken from kinds like it';
  const seen = {
    founder: s.founder,
    queenLengthMm: s.queenMm && span(s.queenMm),
    workerLengthMm: s.workerMm && span(s.workerMm),
    workerHeadMm: s.headMm && span(s.headMm),
    boreMm: s.boreMm && span(s.boreMm),
    colours: s.colours,
    waist: s.waist,
    bestTempC: s.bestC && span(s.bestC),
    pupae: s.pupae,
    winters: s.winters,
    wintersAs: s.wintersAs,
    rest: s.rest,
    inTheCold: s.inTheCold,
    queens: s.queens,
    castes: s.castes,
    diet: s.diet,
    climbsGlass: s.climbsGlass,
    defence: s.defence,
    temper: s.temper,
    moveDays: s.moveDays && span(s.moveDays),
  };
  const reckoned = {
    firstBatch: [s.firstBatch && span(s.firstBatch), BATCH],
    flightMonths: [s.flies, FLIGHTS],
    slowLaying: [s.slowLaying, 'six months without eggs has happened'],
    layingDays: [s.days?.laying, why],
    eggDays: [s.days?.egg, why],
    larvaDays: [s.days?.larva, why],
    pupaDays: [s.days?.pupa, why],
    thresholdC: [s.limits?.thresholdC, why],
    optimumC: [s.limits?.optimumC, why],
    upperC: [s.limits?.upperC, why],
    layingLogSpread: [s.spreads?.laying, HELD_LOOSELY],
    stageLogSpread: [s.spreads?.stage, HELD_LOOSELY],
    queenLogSpread: [s.spreads?.queen, 'queens of one species under one keeper differ hugely'],
  } as const;
  const figures: Record<string, Figure<unknown>> = {};
  for (const [id, value] of Object.entries(seen))
    if (value !== undefined)
      figures[id] =
        value === 'unknown' || (id === 'colours' && s.colours?.length === 0)
          ? prior(value, 'not known, or it differs')
          : practice(value);
  for (const [id, [value, because]] of Object.entries(reckoned))
    if (value !== undefined) figures[id] = prior(value, because);
  for (const [id, citation] of Object.entries(s.cites ?? {})) {
    const figure = figures[id];
    if (figure) figures[id] = { ...figure, source: { kind: 'published', citation } };
  }
  return figures as KindRecord['figures'];
}

/** Of the kinds that are kept most it is said that their best warmth is our own prior: their own band, or that of their genus. */
function withWarmth(g: GenusSketch, s: SpeciesSketch, record: KindRecord): KindRecord {
  const band = s.bestC ?? g.bestC;
  if (!band || !COMMONEST.includes(record.id)) return record;
  return { ...record, figures: { ...record.figures, bestTempC: prior(span(band), WARMTH_PRIOR) } };
}

export const typeIdOf = (type: TypeName): string => `unknown-${type}`;
const idOf = (name: string): string => name.toLowerCase().replaceAll(' ', '-');

/**
 * A genus and its species as records.
 * @param waist what the genus has that does not say otherwise
 */
export const recordsOf =
  (waist: KindFigures['waist']) =>
  (g: GenusSketch): KindRecord[] => {
    const genusId = idOf(g.name);
    const own: KindRecord = {
      id: genusId,
      rank: 'genus',
      name: g.name,
      parentId: typeIdOf(g.type),
      typeId: typeIdOf(g.type),
      plainNames: g.plain ?? [],
      synonyms: [],
      regions: [...new Set(g.species.flatMap((s) => s.in))],
      status: g.status ?? null,
      differs: g.differs ?? null,
      notes: g.notes ?? [],
      figures: figuresOf({
        ...g,
        waist: g.waist ?? waist,
        colours: QUEEN_COLOURS[g.name],
        rest: restOf(genusId),
      }),
    };
    return [
      own,
      ...g.species.map((s): KindRecord =>
        withWarmth(g, s, {
          id: idOf(`${g.name} ${s.name}`),
          rank: 'species',
          name: `${g.name} ${s.name}`,
          parentId: genusId,
          typeId: typeIdOf(s.type ?? g.type),
          plainNames: s.plain ?? [],
          synonyms: s.synonyms ?? [],
          regions: s.in,
          status: s.status ?? null,
          differs: null,
          notes: s.notes ?? [],
          figures: figuresOf({
            ...s,
            colours: QUEEN_COLOURS[`${g.name} ${s.name}`],
            rest: restOf(idOf(`${g.name} ${s.name}`)),
          }),
        }),
      ),
    ];
  };
