import { CAUTION_OF } from './cautions';
import { headsOf } from './head';
import {
  FIGURE_IDS,
  type FigureId,
  type KindFigures,
  type KindRecord,
  type Level,
  type Span,
} from './figures';
import { STAGES, type KindFigure, type SpeciesProfile, type Stage, type StageWarmth } from './profile';
import { prior } from './provenance';

/** Days of development are told for this warmth. */
export const REFERENCE_C = 25;

const OF_A_SPECIES = { laying: 0.8, stage: 0.22, queen: 0.18 };
/**
 * How far kinds lie apart on a level, as standard deviations of the natural logarithm, where nothing else is said. What is
 * taken from a genus or a type is wider, for the kinds below it differ too. Priors.
 */
export const LEVEL_SPREADS = {
  // a keeper's own figure is about one species, and held no tighter than the catalogue's
  own: OF_A_SPECIES,
  species: OF_A_SPECIES,
  genus: { laying: 0.9, stage: 0.27, queen: 0.25 },
  type: { laying: 1, stage: 0.35, queen: 0.3 },
} as const;

const STATUS = {
  invasive:
    'Spreads where it does not belong; keeping or moving it is forbidden in many countries. Ask your authority first, keep it escape-proof, and never let any out.',
  protected:
    'Protected by law in many countries: taking or keeping it needs a permit. Ask your authority first.',
} as const;

/** Tubes that suit a queen of a length, mm (common practice, no source): about twice her width and room to turn. */
const BORES: readonly { upToMm: number; bore: Span }[] = [
  { upToMm: 5, bore: { low: 6, high: 10 } },
  { upToMm: 7, bore: { low: 10, high: 14 } },
  { upToMm: 10, bore: { low: 12, high: 16 } },
  { upToMm: 13, bore: { low: 14, high: 18 } },
  { upToMm: 17, bore: { low: 16, high: 20 } },
  { upToMm: Infinity, bore: { low: 18, high: 27 } },
];

const boreFor = ({ high }: Span): Span =>
  (BORES.find((b) => high <= b.upToMm) ?? (BORES[BORES.length - 1] as (typeof BORES)[number])).bore;

const levelOf = (kind: KindRecord): Level => (kind.own ? 'own' : kind.rank);

type Taken = { [K in FigureId]: KindFigure<KindFigures[K]> };

/**
 * A profile with every figure filled in: from the kind itself, else from its genus, else from its type; and with what
 * follows from another figure where none of them says.
 * @param chain the kind first, its type last
 */
export function resolved(chain: readonly KindRecord[]): SpeciesProfile {
  const [kind] = chain as [KindRecord, ...KindRecord[]];
  const type = chain[chain.length - 1] as KindRecord;
  const depth = (id: FigureId): number => chain.findIndex((k) => k.figures[id] !== undefined);
  const taken = Object.fromEntries(
    FIGURE_IDS.flatMap((id) => {
      const from = chain[depth(id)];
      const figure = from?.figures[id];
      return from && figure ? [[id, { ...figure, level: levelOf(from) }]] : [];
    }),
  ) as unknown as Taken;
  // a tube for a queen of her own length is closer than one for the middle of her genus
  if (depth('queenLengthMm') < depth('boreMm')) {
    const { value, level } = taken.queenLengthMm;
    taken.boreMm = { ...prior(boreFor(value), 'reckoned from her length'), level };
  }
  if (!taken.workerHeadMm || depth('workerLengthMm') < depth('workerHeadMm')) {
    const { value, level } = taken.workerLengthMm;
    taken.workerHeadMm = { ...prior(headsOf(value), 'reckoned from her length, on the safe side'), level };
  }
  // a kind that is said to like it warmer than its genus or type also bears more
  const warmer = taken.bestTempC.value.high - taken.optimumC.value;
  if (depth('bestTempC') < depth('optimumC') && warmer > 0) {
    const { level } = taken.bestTempC;
    const moved = (c: number) => ({ ...prior(c, 'moved up with her best warmth'), level });
    taken.optimumC = moved(taken.optimumC.value + warmer);
    taken.upperC = moved(taken.upperC.value + warmer);
  }
  // whoever does not winter does not rest either; whoever does is not known to by what such ants mostly do
  if (depth('winters') < depth('rest') || !taken.winters.value) {
    const { value, level } = taken.winters;
    taken.rest = {
      ...prior(value ? ('unknown' as const) : ('none' as const), 'follows from whether she winters'),
      level,
    };
  }
  const stages = Object.fromEntries(
    STAGES.map((stage) => [stage, stageOf(stage, taken, chain, depth)]),
  ) as Record<Stage, StageWarmth>;
  const slowest = Math.max(...(['eggDays', 'larvaDays', 'pupaDays'] as const).map(depth));
  if (depth('queenLogSpread') > slowest) {
    const level = levelOf(chain[slowest] as KindRecord);
    taken.queenLogSpread = { ...taken.queenLogSpread, value: LEVEL_SPREADS[level].queen, level };
  }
  const { layingDays: _1, eggDays: _2, larvaDays: _3, pupaDays: _4, ...rest } = taken;
  const { layingLogSpread: _5, stageLogSpread: _6, ...figures } = rest;
  return {
    ...figures,
    id: kind.id,
    rank: kind.rank,
    name: kind.name,
    kin: {
      species: chain.find((k) => k.rank === 'species' && !k.own)?.id ?? null,
      genus: chain.find((k) => k.rank === 'genus' && !k.own)?.id ?? null,
    },
    copiedOf: kind.own ? kind.parentId : null,
    plainName: chain.find((k) => k.plainNames.length > 0)?.plainNames[0] ?? '',
    climate: type.id === 'unknown-tropical' ? 'tropical' : 'temperate',
    stages,
    regions: kind.regions,
    status: kind.status,
    differs: ['own', 'species'].includes(taken.founder.level)
      ? null
      : (chain.find((k) => k.differs)?.differs ?? null),
    cautions: cautionsOf(chain),
  };
}

function stageOf(
  stage: Stage,
  taken: Taken,
  chain: readonly KindRecord[],
  depth: (id: FigureId) => number,
): StageWarmth {
  const days = taken[`${stage}Days`];
  const [thresholdC, optimumC, upperC] = [taken.thresholdC.value, taken.optimumC.value, taken.upperC.value];
  const spreadId = stage === 'laying' ? 'layingLogSpread' : 'stageLogSpread';
  const at = depth(`${stage}Days`);
  // a spread that is said for the level of the days, or closer, holds; else that of the level
  const logSpread =
    depth(spreadId) <= at
      ? taken[spreadId].value
      : LEVEL_SPREADS[levelOf(chain[at] as KindRecord)][stage === 'laying' ? 'laying' : 'stage'];
  const { source } = days;
  return {
    thresholdC,
    optimumC,
    upperC,
    degreeDays: days.value * (REFERENCE_C - thresholdC),
    logSpread,
    source:
      source.kind === 'prior'
        ? { kind: 'prior', why: `${source.why}; about ${days.value} days at ${REFERENCE_C} °C` }
        : source,
    level: days.level,
  };
}

/**
 * From her defence, her law, and what is said of her or, where nothing is, of her genus. A keeper's own figure adds a caution
 * and takes none away.
 */
function cautionsOf(chain: readonly KindRecord[]): string[] {
  const catalogue = chain.filter((k) => !k.own);
  const said = [...chain.filter((k) => k.own), catalogue.find((k) => k.figures.defence)].flatMap(
    (k) => k?.figures.defence?.value ?? [],
  );
  const notes = chain.flatMap((k) => k.notes);
  const status = chain[0]?.status;
  const cautions = said.flatMap((defence) => CAUTION_OF[defence] ?? []);
  return [...new Set(cautions), ...(status ? [STATUS[status]] : []), ...notes];
}
