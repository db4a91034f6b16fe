import { PLACE_ALARM_IDS } from '@gentle-burrow/core/care';
import { probeSchema } from '@gentle-burrow/core/facts';
import { z } from 'zod';
import { instant, phraseSchema } from './common';

const spread = z
  .object({ min: z.number(), mean: z.number(), max: z.number() })
  .describe('Lowest, mean and highest');

const reading = z.object({
  at: instant,
  tempC: z.number().nullable(),
  rh: z.number().nullable().describe('A share, 0..1'),
});

/** Whatever measures with what it shows, and what is wrong at the places. Figures as they are after a check of the probe. */
export const climateSchema = z.object({
  probes: z.array(
    z.object({
      probe: probeSchema,
      latest: reading.nullable(),
      day: z
        .object({ tempC: spread.nullable(), rh: spread.nullable() })
        .nullable()
        .describe('The last 24 hours; null when nothing was read in them'),
      tokenMadeAt: instant.nullable().describe('Since when it may send by itself; null: it may not'),
    }),
  ),
  reckoned: z
    .array(
      z.object({
        placeId: z.string(),
        tempC: z.number(),
        roomRelHumidity: z.number(),
        measuredSince: instant,
      }),
    )
    .describe('Where what is measured counts and not what was told: with what queens are reckoned there now'),
  alarms: z.array(
    z.object({
      placeId: z.string(),
      probeId: z.string(),
      id: z.enum(PLACE_ALARM_IDS),
      grave: z.enum(['now', 'soon']),
      says: phraseSchema,
      todo: z.string(),
      since: instant,
    }),
  ),
});
export type Climate = z.infer<typeof climateSchema>;
export type ProbeNow = Climate['probes'][number];

/** What was measured at a place, as outlooks take it up. */
export const placeRecordSchema = z.object({
  placeId: z.string(),
  days: z.array(
    z.object({
      day: z.number().int().describe('Days since 1970, UTC'),
      partsC: z.array(z.number().nullable()).describe('Means of three hours each, °C'),
      rh: z.number().nullable().describe('Mean humidity, 0..1'),
    }),
  ),
  latest: z
    .object({ at: instant, lowC: z.number(), highC: z.number() })
    .describe('The newest reading, and between what it was in the day before it'),
  errorC: z.number().describe('Standard error of what it tells'),
  thin: z.literal(true).optional().describe('Too little was read to say what days are like there'),
});

export const measuredSchema = z.object({ record: placeRecordSchema.nullable() });
export type MeasuredAt = z.infer<typeof measuredSchema>;

/** What a probe sends by itself: JSON; or plain text, a reading a line: "2026-06-01T12:00:00Z 24.31 55.0". */
export const pushSchema = z.object({
  readings: z
    .array(
      z.object({
        at: z.iso.datetime({
          offset: true,
          error: 'A moment is no date and time. Write it like 2026-06-01T12:00:00Z.',
        }),
        tempC: z.number().nullable().default(null),
        humidityPercent: z.number().nullable().default(null),
      }),
    )
    .min(1, 'There is no reading in it.')
    .max(5000, 'There are more than 5,000 readings in it. Send them in parts.'),
});

export const takenSchema = z.object({
  added: z.number().int(),
  known: z.number().int().describe('There already, with the same figures'),
  contradictory: z.number().int().describe('There already with other figures: what was first stays'),
  there: z
    .array(z.number().int())
    .describe('Moments of the last two: who takes back what was sent leaves these'),
});
export type ReadingsTaken = z.infer<typeof takenSchema>;

export const tokenSchema = z.object({
  token: z.string().describe('The secret with which the probe sends; shown this once'),
});

/** A chart of readings: so many columns of equal width, each with what was read in it, as it was shown. */
export const seriesSchema = z.object({
  from: instant,
  to: instant,
  columns: z.array(
    z.object({
      at: instant,
      n: z.number().int(),
      tempC: spread.nullable(),
      rh: spread.nullable(),
    }),
  ),
});
export type Series = z.infer<typeof seriesSchema>;
