import {
  bodyMeasuresSchema,
  queenSchema,
  tubeMeasuresSchema,
  type BodyMeasures,
  type TubeMeasures,
} from '@gentle-burrow/core/facts';
import {
  effectiveEntries,
  intakeSchema,
  speciesBeliefSchema,
  type EffectiveEntry,
} from '@gentle-burrow/core/log';
import { instantOf, msOf, type Instant } from '@gentle-burrow/core/quantity';
import type { Act } from '@/data/entries';
import type { ShownQueen } from '@/data/queries';
import { beliefOf, pickedOf, type PickedSpecies } from '@/features/founder/SpeciesPick';
import { dayInput } from '@/ui/dates';
import { bodyOf } from '../../body-of';
import { dayFault, momentOf } from '../../when';

/** What is said of a queen outside what happens to her, and may have been wrong from the start. */
export interface HerFacts {
  label: string;
  batch: string;
  /** The day she was taken in, yyyy-mm-dd. */
  day: string;
  /** Where she was found. */
  where: string;
  /** Where she was first put. */
  placeId: string;
  species: PickedSpecies;
  /** Her first home; null for one that is no tube. */
  tube: TubeMeasures | null;
  /** Null for one that is. */
  body: BodyMeasures | null;
}
/** What is put right of it; what is absent stays as it is. */
export type Corrections = Partial<HerFacts>;

/** Those that stand in the queen and her first home; the others are said in her log. */
export const OUTSIDE_LOG = ['label', 'batch', 'placeId', 'tube', 'body'] as const;
type Outside = (typeof OUTSIDE_LOG)[number];

const lastOf = ({ facts }: ShownQueen, kind: 'intake' | 'identify'): EffectiveEntry | undefined =>
  effectiveEntries(facts.entries)
    .filter((e) => e.entry?.kind === kind)
    .at(-1);

/** All of it as it is held now. */
export function herFacts(shown: ShownQueen): HerFacts {
  const { queen, home } = shown.facts;
  const intake = lastOf(shown, 'intake')?.entry;
  const { id: _, setUpAt: _at, ...measures } = home;
  return {
    label: queen.label,
    batch: queen.batch,
    day: dayInput(new Date(intake?.at ?? queen.createdAt)),
    where: (intake?.kind === 'intake' ? intake.where : undefined) ?? '',
    placeId: queen.placeId,
    species: pickedOf(shown.view.ledger.species),
    tube: home.kind === 'tube' ? tubeMeasuresSchema.parse(home) : null,
    body: home.kind === 'tube' ? null : (measures as BodyMeasures),
  };
}

export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** With the measures that were changed on another tube, and only those. */
function measured(was: TubeMeasures | null, is: TubeMeasures | null, seen: TubeMeasures | null) {
  if (!was || !is || !seen) return is;
  const changed = (Object.keys(is) as (keyof TubeMeasures)[]).filter((k) => !same(is[k], seen[k]));
  return { ...was, ...Object.fromEntries(changed.map((k) => [k, is[k]])) };
}

export interface CorrectionFault {
  key: keyof HerFacts;
  says: string;
}

/** When something was first written of her after she was taken in. */
const firstAfter = ({ facts }: ShownQueen): Instant | null =>
  effectiveEntries(facts.entries).find((e) => e.entry !== null && e.entry.kind !== 'intake')?.entry?.at ??
  null;

/**
 * What of it cannot be, and how to mend it; null when all can.
 * @param seen what the form showed at first (`correctionActs`)
 */
export function correctionFault(
  shown: ShownQueen,
  is: Corrections,
  seen: HerFacts,
  now: Date,
): CorrectionFault | null {
  const read = {
    label: is.label === undefined ? null : queenSchema.shape.label.safeParse(is.label),
    batch: is.batch === undefined ? null : queenSchema.shape.batch.safeParse(is.batch),
    where: is.where === undefined ? null : intakeSchema.shape.where.safeParse(is.where.trim() || undefined),
    tube: is.tube ? tubeMeasuresSchema.safeParse(measured(herFacts(shown).tube, is.tube, seen.tube)) : null,
    body: is.body ? bodyMeasuresSchema.safeParse(is.body) : null,
    species: is.species === undefined ? null : speciesBeliefSchema.safeParse(beliefOf(is.species)),
  };
  for (const key of Object.keys(read) as (keyof typeof read)[]) {
    const says = read[key]?.error?.issues[0]?.message;
    if (says) return { key, says };
  }
  const says = is.day === undefined ? null : dayFault(is.day, now, { from: null, to: firstAfter(shown) });
  return says ? { key: 'day', says } : null;
}

/** The evening of a day, or just before what was written of her on that same day. */
function intakeMoment(shown: ShownQueen, day: string | null, now: Date): Instant {
  const evening = momentOf(day, now, null);
  const first = firstAfter(shown);
  return first !== null && msOf(first) <= msOf(evening) ? instantOf(msOf(first) - 60_000) : evening;
}

/**
 * What is written to put it right, with what was held before in her log.
 * @param seen what the form showed at first: of a tube only the measures that were changed there are changed here
 */
export function correctionActs(shown: ShownQueen, is: Corrections, seen: HerFacts, now: Date): Act[] {
  const queenId = shown.facts.queen.id;
  const was = herFacts(shown);
  const trimmed: Corrections = {
    ...is,
    ...(is.label === undefined ? {} : { label: is.label.trim() }),
    ...(is.batch === undefined ? {} : { batch: is.batch.trim() }),
    ...(is.tube === undefined ? {} : { tube: measured(was.tube, is.tube, seen.tube) }),
  };
  const changed = <K extends keyof HerFacts>(key: K): boolean =>
    trimmed[key] !== undefined && !same(trimmed[key], was[key]);
  const outside = Object.fromEntries(
    OUTSIDE_LOG.filter((key) => changed(key)).map((key: Outside) => [
      key,
      { was: was[key], is: trimmed[key] },
    ]),
  );
  const acts: Act[] =
    Object.keys(outside).length > 0
      ? [{ queenId, body: { kind: 'correct', at: now.toISOString(), ...outside } }]
      : [];
  const amend = (e: EffectiveEntry, part: object): Act => ({
    queenId,
    amends: e.original.id,
    over: e.amendment?.id ?? null,
    replacement: { ...bodyOf(e.entry ?? e.original), ...part } as never,
  });
  const intake = lastOf(shown, 'intake');
  const named = lastOf(shown, 'identify');
  const species = trimmed.species && changed('species') ? { species: beliefOf(trimmed.species) } : {};
  if (named && 'species' in species) acts.push(amend(named, species));
  if (!intake) return acts;
  const told = {
    ...(changed('day') ? { at: intakeMoment(shown, trimmed.day ?? null, now), earliest: undefined } : {}),
    ...(changed('where') ? { where: trimmed.where?.trim() || undefined } : {}),
    ...(named ? {} : species),
  };
  if (Object.keys(told).length > 0) acts.push(amend(intake, told));
  return acts;
}
