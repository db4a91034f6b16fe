/** Where a figure comes from, so that the interface can always answer "says who?". */
export type Provenance =
  | { kind: 'published'; citation: string }
  /** Common practice among keepers, without a published source. */
  | { kind: 'practice' }
  /** Our own assumption, with a wide spread, to be corrected by the log. */
  | { kind: 'prior'; why: string }
  /** From the keeper's queens: of this kind, and others of its genus. */
  | { kind: 'learned'; n: number; ofGenus?: number }
  /** The keeper's own figure, and who says so. */
  | { kind: 'keeper'; says: string; queens?: number };

export interface Figure<T> {
  value: T;
  source: Provenance;
}

export const practice = <T>(value: T): Figure<T> => ({ value, source: { kind: 'practice' } });
export const prior = <T>(value: T, why: string): Figure<T> => ({ value, source: { kind: 'prior', why } });

/** "common practice, no source", "prior: …", "published: …", "learned from your log (n=3)" or "your own figure: …". */
export function provenanceText(source: Provenance): string {
  switch (source.kind) {
    case 'published':
      return `published: ${source.citation}`;
    case 'practice':
      return 'common practice, no source';
    case 'prior':
      return `prior: ${source.why}`;
    case 'learned':
      return source.ofGenus
        ? `learned from your log (n=${source.n}, and ${source.ofGenus} of other kinds of the genus)`
        : `learned from your log (n=${source.n})`;
    case 'keeper':
      return `your own figure: ${source.says}`;
  }
}
