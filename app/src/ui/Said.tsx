import type { Phrase } from '@gentle-burrow/core/quantity';
import { daysText } from '@gentle-burrow/core/light';
import { usePreferences, type Preferences } from '@/theme/preferences';
import { dayText } from './dates';
import { inUnits, lengthText, tempDiffText, tempText } from './units';
import { Words, type WordsProps } from './Words';

/** A sentence of the core in the keeper's units and calendar. */
export function phraseText(phrase: Phrase, units: Pick<Preferences, 'temperature' | 'length'>): string {
  return phrase
    .map((part) => {
      if (typeof part === 'string') return inUnits(part, units);
      if ('date' in part) return dayText(part.date);
      if ('tempC' in part) return tempText(part.tempC, units.temperature);
      if ('tempDiffC' in part) return tempDiffText(part.tempDiffC, units.temperature);
      if ('mm' in part) return lengthText(part.mm, units.length);
      if ('days' in part) return daysText(part.days);
      if ('percent' in part) return `${Math.round(part.percent)} %`;
      return inUnits(part.word, units);
    })
    .join('');
}

export function Said({ phrase, ...rest }: { phrase: Phrase } & Omit<WordsProps, 'children'>) {
  return <Words {...rest}>{phraseText(phrase, usePreferences())}</Words>;
}
