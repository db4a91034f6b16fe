import type { z } from 'zod';

/**
 * What an entry does to her peace. A feed that does not say where it was put counts by what is known of her: into her
 * cell, or into the room where a queen that must eat is fed. Beside: something was done at a part next to hers. Water: her
 * home was wetted from outside, or opened for it.
 */
export const DISTURBANCES = [
  'intake',
  'look',
  'feed',
  'feed-cell',
  'feed-outside',
  'take-out',
  'move',
  'knock',
  'health',
  'beside',
  'water',
  'water-open',
  'by-hand',
] as const;
export type Disturbance = (typeof DISTURBANCES)[number];

/** What else an entry names, so that a log that names nothing is refused. */
export interface References {
  places?: string[];
  species?: string[];
  photos?: string[];
}

/** All that is known of one kind of entry; the unions, checks and tables over all kinds are derived from these. */
export interface Kind<K extends string, S extends z.ZodObject> {
  kind: K;
  schema: S;
  disturbs(body: z.infer<S>): Disturbance | null;
  refersTo(body: z.infer<S>): References;
}

/** Holds a kind to its shape while keeping its own types. */
export const defineKind = <K extends string, S extends z.ZodObject>(kind: Kind<K, S>): Kind<K, S> => kind;
