import type { Place } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { arrivedFrom, readFacts, type Arrived } from '@gentle-burrow/core/records';
import { v7 } from 'uuid';
import { takeBack } from '@/data/entries';
import { put, type Outgoing } from '@/data/outbox';
import { offerUndo } from '@/ui/undo';

/** No story of one queen is larger: a look a day for ten years is a twentieth of it. */
const MOST_BYTES = 20 * 1024 * 1024;

/** @throws Error with a sentence when the file is no story */
export async function readStory(file: File): Promise<Arrived> {
  if (file.size > MOST_BYTES) throw new Error('This file is too large for the story of one queen.');
  return arrivedFrom(readFacts(await file.text()), v7);
}

/**
 * Everything that is sent to take her in: the places of her earlier keeper, herself as swapped, her log, and that she was carried here.
 * @param to where she stands from now on
 */
export function outgoingOf(
  { facts, intake, entries }: Arrived,
  label: string,
  to: Place,
  isNew: boolean,
  now: string,
): Outgoing[] {
  const earlier = facts.places.map((p): Place => ({ ...p, name: `${p.name}, earlier keeper`.slice(0, 80) }));
  const queen = { ...facts.queen, label };
  const first = earlier.find((p) => p.id === queen.placeId) ?? (earlier[0] as Place);
  const came: Entry = {
    kind: 'move',
    id: v7(),
    queenId: queen.id,
    at: now,
    loggedAt: now,
    placeId: to.id,
    text: 'Swapped: she came with her story.',
  };
  // what her earlier keeper planned for her is over; where she winters now is decided here
  const plan = entries.filter((e) => e.kind === 'winter').at(-1);
  const off: Entry[] =
    plan?.plan && plan.plan.until > now
      ? [{ kind: 'winter', id: v7(), queenId: queen.id, at: now, loggedAt: now, plan: null }]
      : [];
  return [
    ...earlier.filter((p) => p !== first).map((place): Outgoing => ({ what: 'place', place })),
    ...(isNew ? [{ what: 'place' as const, place: to }] : []),
    {
      what: 'queen',
      body: { queen: { ...queen, placeId: first.id }, home: facts.home, place: first, intake },
    },
    { what: 'entries', entries: [...entries, came, ...off] },
  ];
}

/** @returns where to go then */
export async function takeInStory(
  arrived: Arrived,
  label: string,
  to: Place,
  isNew: boolean,
): Promise<string> {
  await put(...outgoingOf(arrived, label, to, isNew, new Date().toISOString()));
  const { id } = arrived.facts.queen;
  offerUndo(`${label} taken in with her story.`, () => takeBack([{ queenId: id, id: arrived.intake.id }]));
  return `/queens/${id}`;
}
