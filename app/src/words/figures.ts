import type { KindFigures, OwnFigureId, Span } from '@gentle-burrow/core/species';
import type { Preferences } from '@/theme/preferences';
import { fineText, lengthText, tempText } from '@/ui/units';
import {
  CASTE_WORDS,
  COLOUR_WORDS,
  DEFENCE_WORDS,
  DIET_WORDS,
  FOUNDER_WORDS,
  monthsText,
  QUEENS_WORDS,
  REST_WORDS,
  TEMPER_WORDS,
  WINTERS_AS_WORDS,
} from './kind';

type Units = Pick<Preferences, 'length' | 'temperature'>;

/** What each figure is called. */
export const FIGURE_TITLES: Record<OwnFigureId, string> = {
  founder: 'Founder type',
  firstBatch: 'First batch',
  queens: 'Queens',
  queenLengthMm: "Queen's length",
  workerLengthMm: "Worker's length",
  workerHeadMm: "Worker's head",
  boreMm: 'Bore that suits',
  colours: "Queen's colour",
  waist: 'Waist',
  castes: 'Workers',
  pupae: 'Pupae',
  bestTempC: 'Best warmth',
  thresholdC: 'Grows above',
  optimumC: 'Grows fastest at',
  upperC: 'Grows no more at',
  layingDays: 'Until she lays',
  eggDays: 'Egg',
  larvaDays: 'Larva',
  pupaDays: 'Pupa',
  flightMonths: 'Flies',
  winters: 'Winters',
  wintersAs: 'Winters with',
  rest: 'How deep a winter',
  inTheCold: 'In the cold',
  diet: 'Eats',
  climbsGlass: 'Climbs glass',
  defence: 'Defends herself',
  temper: 'Temper',
  moveDays: 'Moves house in',
};

/** Figures that are read together. */
export const FIGURE_GROUPS: readonly { title: string; of: readonly OwnFigureId[] }[] = [
  { title: 'Founding', of: ['founder', 'firstBatch', 'queens'] },
  {
    title: 'Time and warmth',
    of: ['layingDays', 'eggDays', 'larvaDays', 'pupaDays', 'bestTempC', 'thresholdC', 'optimumC', 'upperC'],
  },
  {
    title: 'Looks',
    of: ['queenLengthMm', 'workerLengthMm', 'workerHeadMm', 'boreMm', 'colours', 'waist', 'castes', 'pupae'],
  },
  { title: 'The year', of: ['flightMonths', 'winters', 'wintersAs', 'rest', 'inTheCold'] },
  { title: 'Ways', of: ['diet', 'climbsGlass', 'defence', 'temper', 'moveDays'] },
];

const yesNo = (yes: boolean): string => (yes ? 'yes' : 'no');
const days = (n: number): string => `${Math.round(10 * n) / 10} days at 25 °C`;
const between = (s: Span, text: (n: number) => string): string =>
  s.low === s.high ? text(s.low) : `${text(s.low)} to ${text(s.high)}`;

const TEXTS: { [K in OwnFigureId]: (value: KindFigures[K], units: Units) => string } = {
  founder: (v) => FOUNDER_WORDS[v],
  firstBatch: (v) => `${between(v, String)} workers`,
  queens: (v) => QUEENS_WORDS[v],
  queenLengthMm: (v, u) => between(v, (mm) => lengthText(mm, u.length)),
  workerLengthMm: (v, u) => between(v, (mm) => lengthText(mm, u.length)),
  workerHeadMm: (v, u) => between(v, (mm) => fineText(mm, u.length)),
  boreMm: (v, u) => between(v, (mm) => lengthText(mm, u.length)),
  colours: (v) => (v.length === 0 ? 'not known' : v.map((c) => COLOUR_WORDS[c]).join(', ')),
  waist: (v) => (v === 'unknown' ? 'not known' : v),
  castes: (v) => CASTE_WORDS[v],
  pupae: (v) => (v === 'unknown' ? 'not known' : v),
  bestTempC: (v, u) => between(v, (c) => tempText(c, u.temperature)),
  thresholdC: (v, u) => tempText(v, u.temperature),
  optimumC: (v, u) => tempText(v, u.temperature),
  upperC: (v, u) => tempText(v, u.temperature),
  layingDays: days,
  eggDays: days,
  larvaDays: days,
  pupaDays: days,
  flightMonths: monthsText,
  winters: yesNo,
  wintersAs: (v) => WINTERS_AS_WORDS[v],
  rest: (v) => REST_WORDS[v],
  inTheCold: (v) => (v === 'rests' ? 'rests' : 'is active'),
  diet: (v) => DIET_WORDS[v],
  climbsGlass: yesNo,
  defence: (v) => DEFENCE_WORDS[v],
  temper: (v) => TEMPER_WORDS[v],
  moveDays: (v) => `${between(v, String)} days`,
};

/** A figure as it is read, in the keeper's units. */
export const figureText = <K extends OwnFigureId>(id: K, value: KindFigures[K], units: Units): string =>
  TEXTS[id](value, units);

/** Whether nothing is known of it. */
export const isUnknown = (value: unknown): boolean =>
  value === 'unknown' || (Array.isArray(value) && value.length === 0);
