import type { DateOrder, Separator } from '@gentle-burrow/core/climate';
import type { Encoding } from '@/ui/text-file';

export const ORDER_WORDS: Record<DateOrder, string> = {
  'year-month-day': 'Year, month, day',
  'day-month-year': 'Day, month, year',
  'month-day-year': 'Month, day, year',
  'unix-seconds': 'Seconds since 1970',
  'unix-milliseconds': 'Milliseconds since 1970',
};

/** How decimals are written. */
export const DECIMALS = [
  { value: '.', label: 'Point: 23.5' },
  { value: ',', label: 'Comma: 23,5' },
] as const;

/** What stands between the cells of a table. */
export const SEPARATOR_WORDS: Record<Separator, string> = {
  ';': 'Semicolon ;',
  ',': 'Comma ,',
  '\t': 'Tab',
  '|': 'Bar |',
};

/** How the letters of a file are written. */
export const ENCODING_WORDS: Record<Encoding, string> = {
  'utf-8': 'UTF-8',
  'windows-1252': 'Windows-1252 (western Europe)',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16, big-endian',
};
