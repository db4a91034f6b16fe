export type { Fact } from '@gentle-burrow/core/records';

import type { Taken } from './readings';

/** Which entries of a write were new, and which had been stored before. */
export interface Written {
  accepted: string[];
  known: string[];
  /** What became of readings. */
  readings: Taken;
}
