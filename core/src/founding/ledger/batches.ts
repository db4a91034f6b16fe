import { isNone, isSome, msOf, type CountRange, type Instant, type Interval } from '../../quantity';
import { MILESTONES, type Milestone } from '../../species';

/** Counts of one look or intake, as far as it counted. */
export interface Observation {
  at: Instant;
  entryId: string;
  counts: Partial<Record<Milestone, CountRange | undefined>>;
}

/** One clutch after another, told apart by their timing. */
export interface Batch {
  /** When each of its stages was first there; null when it could not be told from the batch before. */
  eggs: Interval | null;
  larvae: Interval | null;
  pupae: Interval | null;
  workers: Interval | null;
  /** How it was told apart: the first; a look between counted none; eggs beside pupae, which are of a later clutch. */
  by: 'first' | 'gap' | 'beside-pupae';
}

/**
 * Tells the batches apart. A stage that was there, then counted as none, then there again belongs to a new batch. Eggs
 * beside pupae do too: the eggs of the first clutch have long hatched when it pupates, and she lays again about then
 * (common practice, no source). Looks after brood was lost start anew.
 * @param seen oldest first
 * @param first the present attempt's first appearances
 * @param since observations before this moment belong to an attempt that was lost
 */
export function batchesOf(
  seen: readonly Observation[],
  first: Record<Milestone, Interval>,
  since: Instant | null,
): Batch[] {
  if (first.eggs.by === null) return [];
  const known = (m: Milestone) => (first[m].by === null ? null : first[m]);
  const batches: Batch[] = [
    {
      eggs: known('eggs'),
      larvae: known('larvae'),
      pupae: known('pupae'),
      workers: known('workers'),
      by: 'first',
    },
  ];
  const attempt = seen.filter((o) => since === null || msOf(o.at) >= msOf(since));
  const waves = Object.fromEntries(MILESTONES.map((m) => [m, gaps(attempt, m)])) as Record<
    Milestone,
    Interval[]
  >;
  const beside = waves.eggs.length === 0 ? eggsBesidePupae(attempt) : null;
  const later = beside ? [beside] : waves.eggs;
  later.forEach((eggs, k) =>
    batches.push({
      eggs,
      larvae: waves.larvae[k] ?? null,
      pupae: waves.pupae[k] ?? null,
      // workers stay: their second wave cannot be told by counting them
      workers: null,
      by: beside ? 'beside-pupae' : 'gap',
    }),
  );
  return batches;
}

/** Times at which a stage came back after a look that counted none of it. */
function gaps(seen: readonly Observation[], m: Milestone): Interval[] {
  const found: Interval[] = [];
  let there = false;
  let none: Instant | null = null;
  for (const { at, counts } of seen) {
    const c = counts[m];
    if (!c) continue;
    if (isNone(c)) {
      if (there) none = at;
    } else if (isSome(c)) {
      if (there && none) found.push({ after: none, by: at });
      there = true;
      none = null;
    }
  }
  return found;
}

function eggsBesidePupae(seen: readonly Observation[]): Interval | null {
  let after: Instant | null = null;
  for (const { at, counts } of seen) {
    if (counts.eggs && counts.pupae && isSome(counts.eggs) && isSome(counts.pupae)) return { after, by: at };
    if (counts.pupae && isNone(counts.pupae)) after = at;
  }
  return null;
}
