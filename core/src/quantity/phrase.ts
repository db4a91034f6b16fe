import { dayOf, UTC, type Zone } from './day';
import type { Instant } from './time';

/**
 * A sentence whose dates and measures are still values, so that the interface can show them in the keeper's own
 * units and calendar: strings are words, objects are values.
 */
export type PhrasePart =
  | string
  | { date: Instant }
  | { tempC: number }
  /** A difference of temperatures. */
  | { tempDiffC: number }
  | { mm: number }
  | { days: number }
  | { percent: number }
  | { word: string };

export type Phrase = PhrasePart[];

/** Builds a phrase: phrase`Leave her alone until ${{ date }}.` */
export function phrase(words: TemplateStringsArray, ...values: Exclude<PhrasePart, string>[]): Phrase {
  return words.flatMap((w, i) => [w, values[i] ?? '']).filter((part) => part !== '');
}

/** The phrase in SI units and ISO days of the keeper's zone: for exports, calendars and tests. */
export function plainText(parts: Phrase, zone: Zone = UTC): string {
  return parts
    .map((p) => {
      if (typeof p === 'string') return p;
      if ('date' in p) return dayOf(p.date, zone);
      if ('tempC' in p) return `${Math.round(p.tempC * 10) / 10} °C`;
      if ('tempDiffC' in p) return `${Math.round(p.tempDiffC * 10) / 10} °C`;
      if ('mm' in p) return `${Math.round(p.mm)} mm`;
      if ('days' in p) return daysText(p.days);
      if ('word' in p) return p.word;
      return `${Math.round(p.percent)} %`;
    })
    .join('');
}

/** "less than a day", "1 day", "12 days", "5 months": rounded as a person would say it. */
export function daysText(days: number): string {
  if (days < 1) return 'less than a day';
  if (days < 1.5) return '1 day';
  if (days < 60) return `${Math.round(days)} days`;
  const months = days / 30.44;
  return months < 24 ? `${Math.round(months)} months` : `${Math.round(months / 12)} years`;
}
