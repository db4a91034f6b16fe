import type { BodyOf, KindName } from '@gentle-burrow/core/log';

/** Names of things that an entry refers to by id. */
export interface Names {
  place?: (id: string) => string | undefined;
  species?: (id: string) => string | undefined;
  /** Another colony. */
  queen?: (id: string) => string | undefined;
  /** A part of her home. */
  part?: (id: string) => string | undefined;
}

/** How one kind of entry is shown. */
export interface KindView<K extends KindName> {
  /** As a heading of its line. */
  title: string;
  /** Name of a picture that goes with the title. */
  icon: string;
  /** What it says, in one line. */
  words(body: BodyOf<K>, names: Names): string;
}

/** Parts of a line, those that there are. */
export const joined = (...parts: (string | null | undefined | false)[]): string =>
  parts.filter(Boolean).join(', ');
