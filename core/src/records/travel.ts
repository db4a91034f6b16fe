import type { Place } from '../facts';
import { caughtAlone } from '../facts/vocabulary';
import { corrected, effectiveEntries, type Entry, type FactEntry, type SpeciesBelief } from '../log';
import { InputError, type Instant } from '../quantity';
import type { OwnKind } from '../species';
import type { QueenFacts } from '../view';
import type { Fact } from './fact';
import { logOf } from './read-log';
import { withoutPlace } from './withheld';

/** Not what is about another colony, nor that she left: with whoever takes her over she goes on. */
const travels = (entry: FactEntry): boolean =>
  entry.kind !== 'brood' && entry.kind !== 'correct' && !(entry.kind === 'loss' && !entry.colonyGoesOn);

/**
 * One queen's story, for whoever takes her over: herself, her homes and her log as it stands, corrections worked in. Private things are
 * left out unless they are asked for: where she was found, notes, batch, names of places and of people. Photos and brood moved between
 * colonies never go along.
 * @param own the keeper's own profiles: the other keeper does not have them, so what was copied is told instead
 */
export function storyOf(given: QueenFacts, own: readonly OwnKind[], tellPrivate: boolean): Fact[] {
  const { queen, home, places, entries } = corrected(given);
  const { lookingSchool: _l, lightSchool: _g, patienceSchool: _p, ...hers } = queen;
  const standing = effectiveEntries(entries).flatMap(({ entry }) =>
    entry && travels(entry) && (tellPrivate || entry.kind !== 'note') ? [entry] : [],
  );
  return [
    ...places.map((place, i): Fact => ({ fact: 'place', value: tellPrivate ? place : unnamed(place, i) })),
    { fact: 'home', value: strangers(home, tellPrivate) },
    {
      fact: 'queen',
      value: { ...hers, lookingSchool: null, batch: tellPrivate ? queen.batch : '' },
    },
    ...standing.map((entry): Fact => {
      const fact: Fact = { fact: 'entry', value: travelling(entry, own, tellPrivate) };
      return tellPrivate ? fact : withoutPlace(fact);
    }),
  ];
}

/** A part without the keeper's name for it, and without which other colony it served before. */
function strangers<P extends { was?: string | undefined; name?: string | undefined }>(
  { was: _, name, ...part }: P,
  tellPrivate: boolean,
): P {
  return { ...part, ...(tellPrivate && name ? { name } : {}) } as P;
}

const unnamed = ({ spot: _, ...place }: Place, i: number): Place => ({ ...place, name: `Place ${i + 1}` });

function travelling(entry: FactEntry, own: readonly OwnKind[], tellPrivate: boolean): Entry {
  const { text, ownAt: _, ...rest } = entry as FactEntry & { text?: string; ownAt?: Instant };
  const said = { ...rest, ...(tellPrivate && text ? { text } : {}) } as FactEntry;
  if (said.kind === 'look') {
    const { photos: _photos, ...look } = said;
    return look;
  }
  if (said.kind === 'home' && said.change.what === 'set-up')
    return { ...said, change: { ...said.change, part: strangers(said.change.part, tellPrivate) } };
  if (said.kind === 'home' && said.change.what === 'moved-in' && said.change.tally && !tellPrivate) {
    const { explained: _why, ...tally } = said.change.tally;
    return { ...said, change: { ...said.change, tally } };
  }
  if (said.kind !== 'intake' && said.kind !== 'identify') return said;
  const named = { ...said, species: namedFor(said.species, own, tellPrivate) };
  if (named.kind === 'identify' || tellPrivate) return named;
  const { weather: _w, ...intake } = named;
  return intake;
}

/** A name that the other keeper's catalogue knows. */
function namedFor(belief: SpeciesBelief, own: readonly OwnKind[], tellPrivate: boolean): SpeciesBelief {
  const told = <T extends { profileId: string; namedBy?: string | undefined }>({ namedBy, ...rest }: T) => ({
    ...rest,
    profileId: own.find((k) => k.id === rest.profileId)?.copiedOf ?? rest.profileId,
    ...(tellPrivate && namedBy ? { namedBy } : {}),
  });
  const { others, ...first } = belief;
  return { ...told(first), ...(others ? { others: others.map(told) } : {}) } as SpeciesBelief;
}

/** A queen who came with her story, as this keeper takes her in. */
export interface Arrived {
  facts: QueenFacts;
  intake: Extract<Entry, { kind: 'intake' }>;
  /** What was written of her before, oldest first, without the intake. */
  entries: Entry[];
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/**
 * Takes a story in as that of a queen who was swapped. Everything in it gets names of its own: the same file can be taken in twice, also
 * by who wrote it.
 * @param freshId makes an id that nothing has yet
 * @throws InputError when the file is not the story of one queen
 */
export function arrivedFrom(facts: readonly Fact[], freshId: () => string): Arrived {
  const { queens } = logOf(facts);
  const [only] = queens;
  if (!only || queens.length > 1)
    throw new InputError(
      'file',
      `This file holds ${queens.length} queens. Choose the file of one queen’s story; a whole log is restored under Backup.`,
    );
  const ids = new Map<string, string>();
  const renamed = JSON.parse(
    JSON.stringify(only).replace(UUID, (id) => {
      if (!ids.has(id)) ids.set(id, freshId());
      return ids.get(id) as string;
    }),
  ) as QueenFacts;
  const intakes = renamed.entries.filter((e) => e.kind === 'intake');
  const [intake] = intakes;
  if (!intake || intakes.length > 1)
    throw new InputError('file', 'The story does not say when she was taken in. Ask for a new file.');
  // whoever is caught alone has nothing with her; of a swapped queen that is not held by itself
  const none = caughtAlone(intake.found) ? { low: 0, high: 0 } : undefined;
  const { eggs = none, larvae = none, pupae = none, workers = none } = intake;
  const counted = Object.fromEntries(
    Object.entries({ eggs, larvae, pupae, workers }).filter(([, count]) => count !== undefined),
  );
  return {
    facts: renamed,
    intake: { ...intake, ...counted, found: 'swapped' },
    entries: renamed.entries.filter((e) => e !== intake),
  };
}
