import { z } from 'zod';
import { instant } from './common';

export const healthSchema = z.object({
  ok: z.literal(true),
  name: z.literal('gentle-burrow'),
  version: z.string(),
  storage: z.enum(['pglite', 'postgres']),
  dataFormat: z.number().int(),
  now: instant,
});
