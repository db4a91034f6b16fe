import { BROOD, type Brood } from '../facts/vocabulary';
import { countText, type CountRange } from '../quantity';
import type { OutlookEvent } from '../founding';
import type { Milestone } from '../species';

/** What a stage is called: one of it, several, and when it is awaited. */
export interface EventWords {
  one: string;
  many: string;
  /** "between … and … expect <awaited>" */
  awaited: string;
  /** As a heading. */
  title: string;
}

/** The one table of stage words: every sentence and every screen takes them from here. */
export const EVENT_WORDS: Record<OutlookEvent, EventWords> = {
  eggs: { one: 'egg', many: 'eggs', awaited: 'eggs', title: 'Eggs' },
  larvae: { one: 'larva', many: 'larvae', awaited: 'larvae', title: 'Larvae' },
  pupae: { one: 'pupa', many: 'pupae', awaited: 'pupae', title: 'Pupae' },
  workers: { one: 'worker', many: 'workers', awaited: 'first workers', title: 'First workers' },
  firstBatchEnd: {
    one: 'first batch',
    many: 'first batches',
    awaited: 'the last of the first batch',
    title: 'First batch complete',
  },
};

export const MILESTONE_WORDS: Record<Milestone, EventWords> = EVENT_WORDS;

/** "1 look", "2 looks", "1 larva", "3 larvae". */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** "no workers", "1 worker", "8–15 workers", "at least 20 workers". */
export const countedRange = (range: CountRange, one: string, many = `${one}s`): string =>
  range.high === 0 ? `no ${many}` : `${countText(range)} ${range.low === 1 && range.high === 1 ? one : many}`;

/** "1 egg", "4 pupae". */
export const numbered = (n: number, event: OutlookEvent): string =>
  counted(n, EVENT_WORDS[event].one, EVENT_WORDS[event].many);

/** "eggs", "eggs and larvae", "eggs, larvae and pupae". */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1] ?? ''}`;

/** "2 larvae and 6 pupae". */
export const broodWords = (counts: Partial<Record<Brood, number>>): string =>
  listed(BROOD.flatMap((b) => (counts[b] ? [numbered(counts[b], b)] : [])));
