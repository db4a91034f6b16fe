import { OUTLOOK_EVENTS, type OutlookEvent } from '@gentle-burrow/core/founding';
import { EVENT_WORDS } from '@gentle-burrow/core/words';

const byEvent = (word: (e: OutlookEvent) => string): Record<OutlookEvent, string> =>
  Object.fromEntries(OUTLOOK_EVENTS.map((e) => [e, word(e)])) as Record<OutlookEvent, string>;

/** "Eggs", "First workers": above a bar. */
export const EVENT_TITLES = byEvent((e) => EVENT_WORDS[e].title);
/** "eggs", "first workers": within a sentence. */
export const AWAITED = byEvent((e) => EVENT_WORDS[e].awaited);
/** "Her first eggs", "The last of the first batch": what is counted down to. */
export const HER_FIRST = byEvent((e) => {
  const { awaited, many } = EVENT_WORDS[e];
  return e === 'firstBatchEnd'
    ? `${awaited[0]?.toUpperCase() ?? ''}${awaited.slice(1)}`
    : `Her first ${many}`;
});
