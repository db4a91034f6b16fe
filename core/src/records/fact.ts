import { z } from 'zod';
import {
  homePartSchema,
  placeSchema,
  probeSchema,
  queenSchema,
  settingsSchema,
  stockItemSchema,
  stockMoveSchema,
} from '../facts';
import { entrySchema } from '../log';
import { ownKindSchema } from '../species/own';
import { readingBatchSchema, takenBackSchema } from './reading-batch';

/** Everything that is stored: what the keeper wrote, one fact a line of the export. All else is derived. */
export const factSchema = z.discriminatedUnion(
  'fact',
  [
    z.object({ fact: z.literal('place'), value: placeSchema }),
    z.object({ fact: z.literal('home'), value: homePartSchema }),
    z.object({ fact: z.literal('queen'), value: queenSchema }),
    z.object({ fact: z.literal('entry'), value: entrySchema }),
    z.object({ fact: z.literal('stock-item'), value: stockItemSchema }),
    z.object({ fact: z.literal('stock-move'), value: stockMoveSchema }),
    z.object({ fact: z.literal('own-kind'), value: ownKindSchema }),
    z.object({ fact: z.literal('probe'), value: probeSchema }),
    z.object({ fact: z.literal('readings'), value: readingBatchSchema }),
    z.object({ fact: z.literal('readings-taken-back'), value: takenBackSchema }),
    z.object({ fact: z.literal('settings'), value: settingsSchema }),
  ],
  {
    error:
      'It is no fact that is known here. Each line says "fact": place, home, queen, entry, stock-item, stock-move, own-kind, probe, readings, readings-taken-back or settings.',
  },
);
export type Fact = z.infer<typeof factSchema>;
