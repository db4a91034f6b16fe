import type { BodyOf } from '@gentle-burrow/core/log';
import { BROOD, type Brood, type BroodWay } from '@gentle-burrow/core/vocabulary';
import type { ShownQueen } from '@/data/queries';

export interface BroodDraft {
  way: BroodWay | null;
  otherId: string | null;
  counts: Partial<Record<Brood, number | null>>;
  chilledMinutes: number | null;
  /** When a chill that goes on began; null when none does. */
  chillingSince: string | null;
  /** Written already, and put right: the other colony stays. */
  amends: boolean;
}

/** Whose brood went where is plain where she is gone, and likely where she has no workers. */
export function emptyDraft({ view }: ShownQueen): BroodDraft {
  const { loss, counts } = view.ledger;
  const workers = (counts.workers?.range.high ?? 0) !== 0;
  return {
    way: loss ? 'given' : workers ? null : 'received',
    otherId: null,
    counts: {},
    chilledMinutes: null,
    chillingSince: null,
    amends: false,
  };
}

export const draftOf = (body: BodyOf<'brood'>): BroodDraft => ({
  way: body.way,
  otherId: body.otherId,
  counts: body.counts,
  chilledMinutes: body.chilledMinutes ?? null,
  chillingSince: null,
  amends: true,
});

/** What was counted of it; null while nothing was, or while something is no whole number. */
export function countsOf({ counts }: BroodDraft): Partial<Record<Brood, number>> | null {
  const given = BROOD.flatMap((b) => (counts[b] ? [[b, counts[b]] as const] : []));
  const whole = given.every(([, n]) => Number.isInteger(n) && n > 0);
  return given.length > 0 && whole ? Object.fromEntries(given) : null;
}
