import { z } from 'zod';
import { columnsOf, readingsOf, type Columns } from '../climate';
import { idSchema } from '../facts';

/** At most so many readings are written at once. */
export const BATCH_MAX = 20_000;

/** Readings of one probe, a column each measure, as they are sent, exported and kept: °C and humidity as a share. */
export const readingBatchSchema = z
  .object({
    probeId: idSchema,
    /** Milliseconds since 1970. */
    ms: z
      .array(z.number().int())
      .min(1, 'There is no reading in it.')
      .max(BATCH_MAX, `There are more than ${BATCH_MAX} readings in it. Send them in parts.`),
    tempC: z.array(z.number().nullable()),
    rh: z.array(z.number().nullable()),
  })
  .refine((b) => b.tempC.length === b.ms.length && b.rh.length === b.ms.length, {
    error:
      'The columns are not of one length: each reading has a moment, a temperature and a humidity, or null.',
  });
export type ReadingBatch = z.infer<typeof readingBatchSchema>;

/** Readings that were written by mistake: they are taken out. */
export const takenBackSchema = z.object({
  probeId: idSchema,
  ms: z.array(z.number().int()).min(1, 'There is no moment in it.').max(BATCH_MAX),
});
export type TakenBack = z.infer<typeof takenBackSchema>;

export const columnsOfBatch = ({ ms, tempC, rh }: ReadingBatch): Columns =>
  columnsOf(ms.map((at, i) => ({ ms: at, tempC: tempC[i] ?? null, rh: rh[i] ?? null })));

export function batchOf(probeId: string, columns: Columns): ReadingBatch {
  const readings = readingsOf(columns);
  return {
    probeId,
    ms: readings.map((r) => r.ms),
    tempC: readings.map((r) => r.tempC),
    rh: readings.map((r) => r.rh),
  };
}
