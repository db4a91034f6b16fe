import type { Entry } from '@gentle-burrow/core/log';
import { msOf } from '@gentle-burrow/core/quantity';
import { Refusal } from '../errors';

/** Clocks of a phone and a server may differ by a little. */
const TOLERANCE_MS = 10 * 60_000;

/** Why an entry, or what replaces one, is not taken: it is dated in the future. Null when it is not. */
export function futureFault(e: Entry, now: Date): string | null {
  const dates = e.kind === 'amendment' && e.replacement ? [e.at, e.replacement.at] : [e.at];
  const late = dates.find((at) => msOf(at) > now.getTime() + TOLERANCE_MS);
  return late === undefined
    ? null
    : `The ${e.kind} of ${late.slice(0, 16).replace('T', ' ')} UTC lies in the future. Correct its date.`;
}

/** @throws Refusal when an entry, or what replaces one, is dated in the future */
export function refuseFuture(entries: readonly Entry[], now: Date): void {
  for (const e of entries) {
    const fault = futureFault(e, now);
    if (fault) throw new Refusal('in-the-future', fault, 'at');
  }
}
