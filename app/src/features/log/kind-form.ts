import type { Place, StockMove } from '@gentle-burrow/core/facts';
import type { BodyOf, KindName } from '@gentle-burrow/core/log';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { ProfileOf } from '@gentle-burrow/core/species/catalogue';
import type { ReactNode } from 'react';
import type { ShownQueen } from '@/data/queries';

/** Kinds that have a page of their own: a look is written, and put right, on her drawing. */
export type PagedKind = 'look';
export type FormKind = Exclude<KindName, PagedKind>;

/** What a body says besides when it was and the keeper's own words, which every kind has. */
export type Saying<K extends FormKind> = Omit<BodyOf<K>, 'kind' | 'at' | 'text'>;

export interface FieldsProps<D extends object> {
  /** Of whom it is written; of several the first of them. */
  shown: ShownQueen;
  /** All of whom it is written, where they are several. */
  all?: readonly ShownQueen[];
  draft: D;
  change(part: Partial<D>): void;
}

/**
 * How one kind of entry is written down, and put right.
 * @typeParam D what stands in its fields while it is being written; plain data, since it is kept until it is saved
 */
export interface KindForm<K extends FormKind, D extends object = object> {
  /** On the button that opens it. */
  deed: string;
  /** On the button that keeps it. */
  keep: string;
  /** Said when it is kept. */
  kept(body: BodyOf<K>, shown: ShownQueen): string;
  /** What the keeper's own words are called. */
  textLabel?: string;
  /** It is nothing without the keeper's own words. */
  needsText?: boolean;
  /** What stands there at first: what was written, when it is put right. */
  begin(shown: ShownQueen, body: BodyOf<K> | null, partId?: string): D;
  /** The finished entry; null while something of it is missing. */
  finish(draft: D, shown: ShownQueen, at: Instant): Saying<K> | null;
  /** Whether something that is known elsewhere stands against it: asked at every drawing, as a hook. */
  useStopped?(draft: D, shown: ShownQueen): boolean;
  /** Why nothing of the kind is written of her, in a sentence; null when it can be. */
  skips?(draft: D, shown: ShownQueen, profileOf: ProfileOf): string | null;
  /** The same for another colony, whose parts are others; null where it has none like that. Left out: it holds for all. */
  forOther?(draft: D, from: ShownQueen, to: ShownQueen): D | null;
  /** What is taken from the stock with it, and put back when it is undone. */
  uses?(draft: D, shown: ShownQueen): StockMove[];
  /** A place that is made with it. */
  makes?(draft: D): Place | null;
  Fields?(props: FieldsProps<D>): ReactNode;
}
