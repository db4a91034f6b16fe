import { PRESSURES } from '@gentle-burrow/core/care';
import { homePartSchema, queenSchema } from '@gentle-burrow/core/facts';
import { OUTLOOK_EVENTS } from '@gentle-burrow/core/founding';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { LOSS_WAYS } from '@gentle-burrow/core/vocabulary';
import { z } from 'zod';
import { instant, instantBand, intervalSchema, milestones, phraseSchema } from './common';
import { drawnHomeSchema, dueSchema, lastCount } from './view';

const shelfRowSchema = z.object({
  queen: queenSchema,
  part: homePartSchema,
  home: drawnHomeSchema.nullable(),
  placeId: z.string(),
  placeName: z.string(),
  profileId: z.string(),
  counts: milestones(lastCount.nullable()),
  likely: milestones(z.number()),
  queenAtMm: z.number().nullable(),
  lineMm: z.number().nullable(),
  wetFront: z.string().nullable(),
  says: phraseSchema,
  pressure: z.enum(PRESSURES),
  restUntil: instant.nullable(),
  next: z.object({ event: z.enum(OUTLOOK_EVENTS), band: instantBand }).nullable(),
  lost: z.object({ how: z.string(), at: instant }).nullable(),
  orphans: z.boolean(),
  lastLookAt: instant.nullable(),
  life: z
    .object({
      from: instant,
      eggs: intervalSchema,
      workers: intervalSchema,
      cameWithWorkers: z.boolean(),
      ended: z.object({ at: instant, how: z.enum(LOSS_WAYS) }).nullable(),
    })
    .nullable(),
  feeding: z.string().nullable(),
  site: z.string().nullable(),
  due: z.array(dueSchema),
}) satisfies z.ZodType<ShelfRow>;

export const shelfSchema = z.object({ at: instant, rows: z.array(shelfRowSchema) });
export type Shelf = z.infer<typeof shelfSchema>;
