import type { Taken } from './readings';

export type { Fact } from '@gentle-burrow/core/records';

/** Which entries of a write were new, and which had been stored before. */
export interface Written {
  accepted: string[];
  known: string[];
  /** What became of readings. */
  readings: Taken;
}
