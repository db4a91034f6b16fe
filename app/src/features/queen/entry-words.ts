import { CASTES, FINDING_ADVICE, countText, daysText, MILESTONES, type EntryBody } from '@gentle-burrow/core';
import { dayText } from '@/ui/dates';

export const FOUND_WORDS: Record<string, string> = {
  walking: 'caught walking',
  digging: 'caught digging',
  'in-water': 'caught in water',
  'under-stone': 'found under a stone or wood',
  bought: 'bought',
  'bought-with-workers': 'bought with workers',
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

const PUPAE_WORDS = {
  naked: 'pupae naked',
  cocoons: 'pupae in cocoons',
  both: 'pupae of both kinds',
} as const;

export const CERTAINTY_WORDS = { certain: 'certain', likely: 'likely', guess: 'a guess' } as const;

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

const findingWords = (findings: readonly string[]): string =>
  findings.length === 0
    ? 'nothing found on her'
    : FINDING_ADVICE.filter((a) => findings.includes(a.id))
        .map((a) => a.name.toLowerCase())
        .join(', ');

export const KIND_TITLES: Record<EntryBody['kind'], string> = {
  intake: 'Taken in',
  look: 'Look',
  feed: 'Fed',
  note: 'Note',
  rest: 'Left alone',
  loss: 'Lost',
  move: 'Moved',
  knock: 'Knocked',
  health: 'Looked over',
  identify: 'Named',
  sign: 'Sign',
};

export const LOSS_WORDS = {
  died: 'died',
  escaped: 'escaped',
  'given-away': 'given away',
  merged: 'joined to another colony',
  infertile: 'given up as infertile',
} as const;

export const SHAPE_WORDS: Record<string, string> = {
  'large-gaster': 'large gaster and thorax, small head',
  between: 'in between',
  'slim-large-head': 'slim gaster, large head',
};

export interface Names {
  place?: (id: string) => string | undefined;
  species?: (id: string) => string | undefined;
}

/** An entry in one line. */
export function entryWords(body: EntryBody, names: Names = {}): string {
  const text = 'text' in body && body.text ? body.text : null;
  const join = (...parts: (string | null | undefined | false)[]) => parts.filter(Boolean).join(', ');
  const counts = (b: Extract<EntryBody, { kind: 'look' | 'intake' }>) =>
    MILESTONES.flatMap((m) => (b[m] ? [`${m} ${countText(b[m])}`] : [])).join(', ');
  switch (body.kind) {
    case 'intake':
      return join(
        FOUND_WORDS[body.found],
        body.where,
        body.weather,
        body.wings !== 'unknown' && `wings ${body.wings === 'winged' ? 'kept' : 'shed'}`,
        body.queens !== undefined && body.queens > 1 && `${body.queens} queens in one tube`,
        counts(body),
        body.welcomeDrop && 'a welcome drop given',
        body.inspection && findingWords(body.inspection.findings),
        text,
      );
    case 'look':
      return join(
        body.queen === 'not-seen' && 'queen not seen',
        counts(body) || 'brood not counted',
        ...CASTES.map((c) => body[c] && `${c === 'alates' ? 'winged young' : c} ${countText(body[c])}`),
        body.deadWorkers && `dead workers ${countText(body.deadWorkers)}`,
        body.pupaeIn && PUPAE_WORDS[body.pupaeIn],
        body.queensSeen !== undefined && `queens seen ${body.queensSeen}`,
        body.photos && (body.photos.length === 1 ? 'a photo' : `${body.photos.length} photos`),
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
        LOSS_WORDS[body.how],
        CAUSE_WORDS[body.cause],
        body.certainty && CERTAINTY_WORDS[body.certainty],
        body.colonyGoesOn && 'her workers live on',
        text,
      );
    case 'move':
      return join(`carried to ${names.place?.(body.placeId) ?? 'another place'}`, text);
    case 'knock':
      return body.text ?? 'shaken, not on purpose';
    case 'health':
      return join(
        findingWords(body.findings),
        body.quarantineUntil ? `in quarantine until ${dayText(body.quarantineUntil)}` : 'no quarantine',
        text,
      );
    case 'identify': {
      const name = (id: string) => names.species?.(id) ?? id;
      const others = (body.species.others ?? []).map(
        (o) => `${name(o.profileId)} ${Math.round(o.share * 100)} %`,
      );
      return join(
        name(body.species.profileId),
        ...others,
        body.species.namedBy && `by ${body.species.namedBy}`,
        text,
      );
    }
    case 'sign':
      return join(
        body.shape && SHAPE_WORDS[body.shape],
        body.restless !== undefined && (body.restless ? 'paces and searches' : 'sits quietly'),
        body.protein && `protein ${body.protein}`,
        body.broodUnfed !== undefined && (body.broodUnfed ? 'brood grew unfed' : 'brood failed unfed'),
        text,
      );
  }
}
