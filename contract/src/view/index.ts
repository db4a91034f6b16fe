import { homePartSchema } from '@gentle-burrow/core/facts';
import type { QueenView } from '@gentle-burrow/core/view';
import { z } from 'zod';
import { instant } from '../common';
import { counselSchema } from './counsel';
import { founderBeliefSchema } from './founder';
import { housingSchema } from './home';
import { ledgerSchema } from './ledger';
import { outlookSchema, kindEvidenceSchema } from './outlook';

export { dueSchema } from './counsel';
export { drawnHomeSchema } from './home';
export { lastCount } from './ledger';
export { kindEvidenceSchema };

const id = z.string();

export const heatFallSchema = z
  .object({ placeId: id, lengthMm: z.number() })
  .describe(
    'In how many mm the warmth of the heat at a place was read to fall to 37 % of its excess over the room',
  );

export const queenViewSchema = z.object({
  profileId: z.string(),
  species: z.array(
    z.object({ profileId: z.string(), share: z.number(), now: z.number(), namedBy: z.string().nullable() }),
  ),
  founder: founderBeliefSchema.nullable(),
  teaches: z.object({ profileId: z.string(), stages: kindEvidenceSchema }).nullable(),
  falls: z.array(heatFallSchema).describe('Read at her own tubes'),
  learnedFrom: z.object({ kind: z.number().int(), genus: z.number().int() }),
  tempC: z.number(),
  warmth: z
    .object({ measuredSince: instant.nullable(), errorC: z.number() })
    .describe('Since when it was measured (null: it was told), and the standard error of who measured'),
  housing: housingSchema,
  part: homePartSchema.describe('The part she lives in now'),
  ledger: ledgerSchema,
  outlook: outlookSchema.nullable(),
  counsel: counselSchema.nullable(),
  trouble: z.object({ field: z.string(), message: z.string() }).nullable(),
}) satisfies z.ZodType<QueenView>;
