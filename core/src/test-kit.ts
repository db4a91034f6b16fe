import { addDays, type Instant } from './quantity';
import { entrySchema, tubeSchema, type Entry, type EntryBody } from './log';

/** Helpers for tests: a small log written by hand. */
export const QUEEN = '018f0000-0000-7000-8000-000000000001';
export const DAY_ZERO: Instant = '2026-05-01T18:00:00.000Z';

let serial = 0;
export const testId = (): string => `018f0000-0000-7000-9000-${String(++serial).padStart(12, '0')}`;

export const day = (n: number): Instant => addDays(DAY_ZERO, n);

/** Distributes over the union, so that each kind keeps its own fields; `at` is given as a day. */
type BodyInput<B = EntryBody> = B extends EntryBody
  ? Partial<Omit<B, 'kind' | 'at'>> & Pick<B, 'kind'>
  : never;

export function entry(onDay: number, body: BodyInput, queenId = QUEEN): Entry {
  const defaults =
    body.kind === 'intake'
      ? { found: 'walking', species: { profileId: 'tetramorium-immigrans', sure: 'certain' } }
      : {};
  return entrySchema.parse({
    ...defaults,
    ...body,
    id: testId(),
    queenId,
    at: day(onDay),
    loggedAt: day(onDay),
  });
}

export const n = (low: number, high: number | null = low) => ({ low, high });

/** A look that counted eggs, larvae, pupae and workers. */
export function look(onDay: number, [eggs, larvae, pupae, workers]: [number, number, number, number]): Entry {
  return entry(onDay, {
    kind: 'look',
    queen: 'seen',
    eggs: n(eggs),
    larvae: n(larvae),
    pupae: n(pupae),
    workers: n(workers),
  });
}

/** A usual tube, set up on the first day. */
export const TUBE = tubeSchema.parse({
  id: testId(),
  kind: 'tube',
  outsideMm: 16,
  boreMm: 14,
  lengthMm: 150,
  end: 'round',
  waterLineMm: 85,
  plugs: { innerMm: 15, outerMm: 15 },
  setUpAt: DAY_ZERO,
});
