import { z } from 'zod';
import { instant } from './common';

/** Something that could not be used at a start: it was set aside, never deleted. */
const setAsideSchema = z.object({
  at: instant,
  says: z.string().describe('What it is and why it cannot be used, a sentence'),
  where: z.string().describe('Where it lies within the data directory'),
});
export type SetAside = z.infer<typeof setAsideSchema>;

export const setAsideListSchema = z.object({ setAside: z.array(setAsideSchema) });
export type SetAsideList = z.infer<typeof setAsideListSchema>;
