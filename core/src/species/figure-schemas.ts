import { z } from 'zod';
import { COLOURS, type FigureId, type KindFigures, type Span } from './figures';

export const founderTypeSchema = z.enum([
  'fully-claustral',
  'semi-claustral',
  'socially-parasitic',
  'dependent',
  'unknown',
]);

/** A figure between two bounds, so that a slip of the finger (a queen of 800 mm) is told. */
const within = (low: number, high: number) =>
  z
    .number({ error: 'It is no number. Write digits, like 16 or 16.5.' })
    .min(low, `Less than ${low} is no figure of an ant. Is the unit right?`)
    .max(high, `More than ${high} is no figure of an ant. Is the unit right?`);
const span = (low: number, high: number) =>
  z
    .object({ low: within(low, high), high: within(low, high) })
    .refine((s: Span) => s.low <= s.high, 'The lower figure is above the higher one. Change them round.');
const days = within(0.5, 400);
const spread = within(0.01, 3);

/** What each figure may be. Lengths mm, temperatures °C, times days. */
export const FIGURE_VALUES = {
  founder: founderTypeSchema,
  queenLengthMm: span(1, 60),
  workerLengthMm: span(0.5, 40),
  workerHeadMm: span(0.1, 15),
  boreMm: span(2, 80),
  colours: z.array(z.enum(COLOURS)).max(COLOURS.length).readonly(),
  waist: z.enum(['one node', 'two nodes', 'unknown']),
  bestTempC: span(5, 45),
  pupae: z.enum(['naked', 'in cocoons', 'unknown']),
  firstBatch: span(0, 500),
  winters: z.boolean(),
  wintersAs: z.enum(['larvae', 'adults', 'unknown']),
  rest: z.enum(['none', 'cool', 'cold', 'unknown']),
  inTheCold: z.enum(['rests', 'active']),
  flightMonths: z.array(z.number().int().min(1).max(12)).max(12).readonly(),
  queens: z.enum(['one', 'several', 'either', 'none', 'unknown']),
  castes: z.enum(['alike', 'sizes', 'majors', 'unknown']),
  diet: z.enum(['omnivore', 'harvester', 'nectar', 'predator', 'fungus']),
  climbsGlass: z.boolean(),
  defence: z.enum(['none', 'bites', 'smears', 'sprays-acid', 'stings-weakly', 'stings', 'stings-badly']),
  temper: z.enum(['calm', 'quick', 'fierce', 'shy', 'unknown']),
  moveDays: span(0, 365),
  layingDays: days,
  eggDays: days,
  larvaDays: days,
  pupaDays: days,
  thresholdC: within(-5, 30),
  optimumC: within(5, 45),
  upperC: within(10, 55),
  layingLogSpread: spread,
  stageLogSpread: spread,
  queenLogSpread: spread,
  slowLaying: z.object({ share: within(0, 1), times: within(1, 50) }),
} satisfies { [K in FigureId]: z.ZodType<KindFigures[K]> };
