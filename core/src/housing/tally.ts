import { TALLIED, type Tallied } from '../facts';
import type { Tally } from '../log';

/** What went out and has not come in yet, nor is told to be left or lost, by kind; nothing when in equals out. */
export function missing({
  out,
  into,
  left = {},
  lost = {},
}: Pick<Tally, 'out' | 'into' | 'left' | 'lost'>): { who: Tallied; n: number }[] {
  return TALLIED.flatMap((who) => {
    const n = (out[who] ?? 0) - (into[who] ?? 0) - (left[who] ?? 0) - (lost[who] ?? 0);
    return n > 0 ? [{ who, n }] : [];
  });
}

/** Why a tally cannot be kept, and how to mend it; null when in equals out, or what is missing is explained. */
export function tallyFault({ out, into, left, lost, explained }: Tally): string | null {
  const surplus = TALLIED.find((who) => (into[who] ?? 0) > (out[who] ?? 0));
  if (surplus)
    return `More ${surplus} came in (${into[surplus]}) than went out (${out[surplus] ?? 0}): nobody comes from nothing. Count again.`;
  if (TALLIED.every((who) => (out[who] ?? 0) === 0))
    return 'Nothing is counted yet. Tap what you take out of the old tube.';
  const over = TALLIED.find(
    (who) => (into[who] ?? 0) + (left?.[who] ?? 0) + (lost?.[who] ?? 0) > (out[who] ?? 0),
  );
  if (over)
    return `You counted ${out[over] ?? 0} ${over} out, and more than that in, left and lost together. Count again.`;
  if (missing({ out, into, left, lost }).length > 0 && !explained?.trim())
    return 'Not all that went out came in. Look for them, or say what became of them.';
  return null;
}
