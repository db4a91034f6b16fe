import type { BodyOf, KindName } from '@gentle-burrow/core/log';
import type { Preferences } from '@/theme/preferences';
import { acrossText, fineText, lengthText, tempText, tradeName } from '@/ui/units';

/** Names of things that an entry refers to by id. */
export interface Names {
  place?: (id: string) => string | undefined;
  species?: (id: string) => string | undefined;
  /** Another colony. */
  queen?: (id: string) => string | undefined;
  /** A part of her home. */
  part?: (id: string) => string | undefined;
  /** The units in which lengths and temperatures are told; metric where nobody says. */
  units?: Pick<Preferences, 'length' | 'temperature'>;
}

/** A length and a temperature of a line in the keeper's units. */
export const inTheirs = ({ units }: Names) => ({
  mm: (value: number): string => lengthText(value, units?.length ?? 'mm'),
  fine: (value: number): string => fineText(value, units?.length ?? 'mm'),
  c: (value: number): string => tempText(value, units?.temperature ?? 'C'),
  /** A tube keeps the name by which it is sold beside other units. */
  tube: (outsideMm: number, lengthMm: number): string =>
    tradeName(outsideMm, lengthMm, units?.length ?? 'mm'),
  across: (...mm: number[]): string => acrossText(mm, units?.length ?? 'mm'),
});

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
