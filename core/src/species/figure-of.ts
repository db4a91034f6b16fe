import type { KindFigures, OwnFigureId } from './figures';
import { type KindFigure, type SpeciesProfile, type Stage } from './profile';
import { REFERENCE_C } from './resolve';

/** Which stage a figure of days is about. */
export const STAGE_OF_DAYS: Partial<Record<OwnFigureId, Stage>> = {
  layingDays: 'laying',
  eggDays: 'egg',
  larvaDays: 'larva',
  pupaDays: 'pupa',
};

/** Median days of a stage at the warmth for which days are told. */
export const stageDays = ({ stages }: SpeciesProfile, stage: Stage): number =>
  stages[stage].degreeDays / (REFERENCE_C - stages[stage].thresholdC);

/** One figure of a profile by its name, as it would be written down. */
export function figureOf<K extends OwnFigureId>(profile: SpeciesProfile, id: K): KindFigure<KindFigures[K]> {
  const as = (figure: KindFigure<unknown>) => figure as KindFigure<KindFigures[K]>;
  const stage = STAGE_OF_DAYS[id];
  if (stage) {
    const { source, level } = profile.stages[stage];
    return as({ value: Math.round(10 * stageDays(profile, stage)) / 10, source, level });
  }
  return as(profile[id as Exclude<OwnFigureId, `${Stage}Days`>] as KindFigure<unknown>);
}
