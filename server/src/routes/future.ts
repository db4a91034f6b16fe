import type { Entry } from '@gentle-burrow/core/log';
import { msOf } from '@gentle-burrow/core/quantity';
import { Refusal } from '../errors';

/** Clocks of a phone and a server may differ by a little. */
const TOLERANCE_MS = 10 * 60_000;

/** @throws Refusal when an entry, or what replaces one, is dated in the future */
export function refuseFuture(entries: readonly Entry[], now: Date): void {
  for (const e of entries) {
    const dates = e.kind === 'amendment' && e.replacement ? [e.at, e.replacement.at] : [e.at];
    for (const at of dates) {
      if (msOf(at) > now.getTime() + TOLERANCE_MS) {
        throw new Refusal(
          'in-the-future',
          `The ${e.kind} of ${at.slice(0, 16).replace('T', ' ')} UTC lies in the future. Correct its date.`,
          'at',
        );
      }
    }
  }
}
