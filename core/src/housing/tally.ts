import { TALLIED, type Tallied } from '../facts';
import type { Tally } from '../log';

/** What went out and has not come in yet, by kind; nothing when in equals out. */
export function missing({ out, into }: Pick<Tally, 'out' | 'into'>): { who: Tallied; n: number }[] {
  return TALLIED.flatMap((who) => {
    const n = (out[who] ?? 0) - (into[who] ?? 0);
    return n > 0 ? [{ who, n }] : [];
  });
}

/** Why a tally cannot be kept, and how to mend it; null when in equals out, or what is missing is explained. */
export function tallyFault({ out, into, explained }: Tally): string | null {
  const surplus = TALLIED.find((who) => (into[who] ?? 0) > (out[who] ?? 0));
  if (surplus)
    return `More ${surplus} came in (${into[surplus]}) than went out (${out[surplus] ?? 0}): nobody comes from nothing. Count again.`;
  if (TALLIED.every((who) => (out[who] ?? 0) === 0))
    return 'Nothing is counted yet. Tap what you take out of the old tube.';
  if (missing({ out, into }).length > 0 && !explained?.trim())
    return 'Not all that went out came in. Look for them, or say what became of them.';
  return null;
}
