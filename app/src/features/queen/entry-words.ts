import { countText, daysText, MILESTONES, type EntryBody } from '@gentle-burrow/core';
import { dayText } from '@/ui/dates';

export const FOUND_WORDS: Record<string, string> = {
  walking: 'caught walking',
  digging: 'caught digging',
  'in-water': 'caught in water',
  'under-stone': 'found under a stone or wood',
  bought: 'bought',
  swapped: 'swapped',
  given: 'given',
  'small-colony': 'a small wild colony',
  unknown: 'how is not known',
};

export const FRONT_WORDS: Record<string, string> = {
  dry: 'plug dry',
  right: 'plug right',
  'at-face': 'wet to the face',
  soaked: 'plug soaked',
  leaking: 'plug leaking',
};

export const MOULD_WORDS: Record<string, string> = {
  none: 'no mould',
  'far-plug': 'mould on the far plug',
  'near-brood': 'mould near the brood',
};

export const CAUSE_WORDS: Record<string, string> = {
  unknown: 'cause unknown',
  'dried-out': 'dried out',
  drowned: 'drowned',
  mould: 'mould',
  starved: 'starved',
  'too-warm': 'too warm',
  disturbed: 'disturbed too often',
  injured: 'injured',
  other: 'another cause',
};

export const KIND_TITLES: Record<EntryBody['kind'], string> = {
  intake: 'Taken in',
  look: 'Look',
  feed: 'Fed',
  note: 'Note',
  rest: 'Left alone',
  loss: 'Lost',
};

/** An entry in one line. */
export function entryWords(body: EntryBody): string {
  const text = 'text' in body && body.text ? body.text : null;
  const join = (...parts: (string | null | undefined | false)[]) => parts.filter(Boolean).join(', ');
  const counts = (b: Extract<EntryBody, { kind: 'look' | 'intake' }>) =>
    MILESTONES.flatMap((m) => (b[m] ? [`${m} ${countText(b[m])}`] : [])).join(', ');
  switch (body.kind) {
    case 'intake':
      return join(FOUND_WORDS[body.found], body.where, counts(body), text);
    case 'look':
      return join(
        body.queen === 'not-seen' && 'queen not seen',
        counts(body) || 'brood not counted',
        body.waterLineMm !== undefined && `water at ${body.waterLineMm} mm`,
        body.wetFront && FRONT_WORDS[body.wetFront],
        body.mould && body.mould !== 'none' && MOULD_WORDS[body.mould],
        text,
      );
    case 'feed':
      return join(
        { sugar: 'sugar', protein: 'protein', both: 'sugar and protein' }[body.food],
        body.outcome,
        text,
      );
    case 'note':
      return body.text;
    case 'rest': {
      const days = (Date.parse(body.until) - Date.parse(body.at)) / 86_400_000;
      return join(`until ${dayText(body.until)} (${daysText(days)})`, text);
    }
    case 'loss':
      return join(
        { died: 'died', escaped: 'escaped', 'given-away': 'given away' }[body.how],
        CAUSE_WORDS[body.cause],
        text,
      );
  }
}
