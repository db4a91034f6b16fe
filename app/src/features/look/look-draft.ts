import type { Count, HomePart } from '@gentle-burrow/core/facts';
import type { BodyOf } from '@gentle-burrow/core/log';
import { COUNT_FAULT, WORD_COUNTS, type Instant } from '@gentle-burrow/core/quantity';
import { MILESTONES, type Milestone } from '@gentle-burrow/core/species';
import { CASTES, type MouldSize, type Trouble } from '@gentle-burrow/core/vocabulary';
import { dayFault, NOW, whenOf, type WhenDraft } from '@/features/log/when';
import { anatomyOf } from '@/features/tube/anatomy';
import type { Preferences } from '@/theme/preferences';
import { lengthText } from '@/ui/units';

/** What a look may count besides the four stages. */
export const EXTRAS = [...CASTES, 'deadWorkers'] as const;
export type Extra = (typeof EXTRAS)[number];

/** A look as it is being written down. Null: not noted. */
export interface LookDraft extends WhenDraft {
  queen: 'seen' | 'not-seen' | null;
  queenAtMm: number | null;
  counts: Record<Milestone, Count | null>;
  extras: Partial<Record<Extra, Count | null>>;
  /** What was typed as a count and is none. */
  unread: Partial<Record<Milestone | Extra, string>>;
  pupaeIn: NonNullable<BodyOf<'look'>['pupaeIn']> | null;
  /** Where there is more than one. */
  queensSeen: number | null;
  /** Ids of photos, kept on this device or sent already. */
  photos: string[];
  waterLineMm: number | null;
  wetFront: NonNullable<BodyOf<'look'>['wetFront']> | null;
  mould: NonNullable<BodyOf<'look'>['mould']> | null;
  mouldSize: MouldSize | null;
  /** Null: nothing was said of it; an empty list: nothing is wrong. */
  troubles: Trouble[] | null;
  text: string;
}

export const EMPTY_LOOK: LookDraft = {
  ...NOW,
  queen: null,
  queenAtMm: null,
  counts: { eggs: null, larvae: null, pupae: null, workers: null },
  extras: {},
  unread: {},
  pupaeIn: null,
  queensSeen: null,
  photos: [],
  waterLineMm: null,
  wetFront: null,
  mould: null,
  mouldSize: null,
  troubles: null,
  text: '',
};

export function draftOf(look: BodyOf<'look'>): LookDraft {
  return {
    ...whenOf(look.at),
    queen: look.queen ?? null,
    queenAtMm: look.queenAtMm ?? null,
    counts: {
      eggs: look.eggs ?? null,
      larvae: look.larvae ?? null,
      pupae: look.pupae ?? null,
      workers: look.workers ?? null,
    },
    extras: Object.fromEntries(EXTRAS.flatMap((x) => (look[x] ? [[x, look[x]]] : []))),
    unread: {},
    pupaeIn: look.pupaeIn ?? null,
    queensSeen: look.queensSeen ?? null,
    photos: look.photos ?? [],
    waterLineMm: look.waterLineMm ?? null,
    wetFront: look.wetFront ?? null,
    mould: look.mould ?? null,
    mouldSize: look.mouldSize ?? null,
    troubles: look.troubles ?? null,
    text: look.text ?? '',
  };
}

export interface LookFaults {
  day?: string;
  counts?: Partial<Record<Milestone | Extra, string>>;
  water?: string;
  all?: string;
}

/** What is wrong with a water line that was read; null when nothing is. */
export function waterLineFault(
  lineMm: number | null,
  part: HomePart,
  unit: Preferences['length'],
): string | null {
  if (lineMm === null) return null;
  if (part.kind !== 'tube') return 'Only a tube has a water line. Leave it out.';
  if (lineMm < 0) return 'A water line is measured from the closed end and is never below 0.';
  const { plugStart } = anatomyOf(part);
  // a reading to the millimetre may reach the plug
  return lineMm > plugStart + 1
    ? `The water line (${lengthText(lineMm, unit)}) lies beyond the plug, which begins at ${lengthText(plugStart, unit)}. Check the reading.`
    : null;
}

/** What is wrong with the draft, each a sentence that says how to mend it. */
export function faultsOf(
  draft: LookDraft,
  now: Date,
  intakeAt: Instant,
  part: HomePart,
  unit: Preferences['length'],
): LookFaults {
  const faults: LookFaults = {};
  const water = waterLineFault(draft.waterLineMm, part, unit);
  if (water) faults.water = water;
  const wrong = dayFault(draft.day, now, { from: intakeAt }, draft.time);
  if (wrong) faults.day = wrong;
  const counts: LookFaults['counts'] = {};
  for (const m of [...MILESTONES, ...EXTRAS]) {
    const c = { ...draft.counts, ...draft.extras }[m];
    const text = draft.unread[m];
    if (text !== undefined) counts[m] = `“${text}” ${COUNT_FAULT}`;
    else if (c && c.high !== null && c.high < c.low)
      counts[m] = `“${c.low}–${c.high}” runs downwards. Write the smaller number first.`;
  }
  if (Object.keys(counts).length > 0) faults.counts = counts;
  const nothing =
    draft.queen === null &&
    draft.waterLineMm === null &&
    draft.wetFront === null &&
    draft.mould === null &&
    !draft.troubles &&
    draft.text.trim() === '' &&
    draft.pupaeIn === null &&
    draft.queensSeen === null &&
    draft.photos.length === 0 &&
    Object.keys(draft.unread).length === 0 &&
    EXTRAS.every((x) => !draft.extras[x]) &&
    MILESTONES.every((m) => draft.counts[m] === null);
  if (nothing)
    faults.all =
      'Nothing is noted yet. Tap where she sits, count some brood, or say that you did not see her.';
  return faults;
}

/** The entry that a faultless draft becomes. */
export function lookBody(draft: LookDraft, at: Instant): BodyOf<'look'> {
  const counts = Object.fromEntries(
    MILESTONES.flatMap((m) => (draft.counts[m] ? [[m, draft.counts[m]]] : [])),
  );
  const extras = Object.fromEntries(EXTRAS.flatMap((x) => (draft.extras[x] ? [[x, draft.extras[x]]] : [])));
  return {
    kind: 'look',
    at,
    ...counts,
    ...extras,
    ...(draft.pupaeIn ? { pupaeIn: draft.pupaeIn } : {}),
    ...(draft.queensSeen !== null ? { queensSeen: draft.queensSeen } : {}),
    ...(draft.photos.length > 0 ? { photos: draft.photos } : {}),
    ...(draft.queen ? { queen: draft.queen } : {}),
    ...(draft.queen === 'seen' && draft.queenAtMm !== null ? { queenAtMm: draft.queenAtMm } : {}),
    ...(draft.waterLineMm !== null ? { waterLineMm: draft.waterLineMm } : {}),
    ...(draft.wetFront ? { wetFront: draft.wetFront } : {}),
    ...(draft.mould ? { mould: draft.mould } : {}),
    ...(draft.mould && draft.mould !== 'none' && draft.mouldSize ? { mouldSize: draft.mouldSize } : {}),
    ...(draft.troubles ? { troubles: draft.troubles } : {}),
    ...(draft.text.trim() ? { text: draft.text.trim() } : {}),
  };
}

/** What was typed of one and is no count, beside that of the others. */
export function withUnread(
  unread: LookDraft['unread'],
  of: Milestone | Extra,
  text: string | undefined,
): LookDraft['unread'] {
  const { [of]: _, ...others } = unread;
  return text === undefined ? others : { ...others, [of]: text };
}

/** The stages of which nothing is noted, where something is noted of another: was there nothing else, or did nobody look? */
export function uncounted({ counts, unread }: LookDraft): Milestone[] {
  // what was typed and cannot be read is no stage of which nothing is noted
  const open = MILESTONES.filter((m) => counts[m] === null && unread[m] === undefined);
  return open.length < MILESTONES.length ? open : [];
}

/** The same with none of what was not counted. */
export const nothingElse = (draft: LookDraft): LookDraft => ({
  ...draft,
  counts: {
    ...draft.counts,
    ...Object.fromEntries(uncounted(draft).map((m) => [m, { low: 0, high: 0 }])),
  },
});

/**
 * A tap on a number: exact at first; a larger one after it makes a range; the same again takes it back. A smaller one,
 * or the first tap on a count that was there before, replaces.
 * @param tappedHere the count as it stands was tapped just now, not brought along
 */
export function tapNumber(count: Count | null, n: number, tappedHere: boolean): Count | null {
  const exact = count !== null && count.low === count.high;
  if (exact && count.low === n) return null;
  if (exact && tappedHere && count.low > 0 && n > count.low) return { low: count.low, high: n };
  return { low: n, high: n };
}

/** Said as a word: there, but not counted; or far too many to count. */
export const { some: SOME, lots: LOTS } = WORD_COUNTS;
