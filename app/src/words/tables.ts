import type { DateOrder } from '@gentle-burrow/core/climate';

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
