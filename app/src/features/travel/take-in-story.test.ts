import { arrivedFrom, storyOf } from '@gentle-burrow/core/records';
import type { EntryBody } from '@gentle-burrow/core/log';
import { appendSchema, newQueenSchema } from '@gentle-burrow/contract';
import { v7 } from 'uuid';
import { daysAgo, madeQueen } from '../../../test/kit';
import { outgoingOf, readStory } from './take-in-story';

const NOW = daysAgo(0);
const HERE = { id: v7(), name: 'Drawer', tempC: 24, roomRelHumidity: 0.5, winter: null };
const facts = madeQueen('Vesper', 60, [
  { kind: 'look', at: daysAgo(9), queen: 'seen', eggs: { low: 5, high: 5 } },
]);
const story = storyOf(facts, [], false);
const fileOf = (text: string) => ({ size: text.length, text: async () => text }) as unknown as File;

test('what is sent is what the server takes: her places, herself as swapped, her log, and that she came here', () => {
  const outs = outgoingOf(arrivedFrom(story, v7), 'Z1', HERE, true, NOW);
  expect(outs.map((o) => o.what)).toEqual(['place', 'queen', 'entries']);
  const [, taken, log] = outs as never as [unknown, { body: unknown }, { entries: { kind: string }[] }];
  expect(newQueenSchema.safeParse(taken.body).error?.issues).toBeUndefined();
  expect(taken.body).toMatchObject({ queen: { label: 'Z1' }, intake: { found: 'swapped' } });
  expect(appendSchema.safeParse({ entries: log.entries }).error?.issues).toBeUndefined();
  expect(log.entries.map((e) => e.kind)).toEqual(['look', 'move']);
  expect(log.entries.at(-1)).toMatchObject({ placeId: HERE.id });
});

test('a winter that her earlier keeper planned is called off', () => {
  const plan = {
    kind: 'winter',
    at: daysAgo(3),
    plan: { placeId: facts.place.id, thenPlaceId: HERE.id, from: daysAgo(-100), until: daysAgo(-200) },
  } as EntryBody;
  const wintering = madeQueen('Vesper', 60, [plan]);
  const outs = outgoingOf(arrivedFrom(storyOf(wintering, [], false), v7), 'Z1', HERE, false, NOW);
  const log = outs.at(-1) as { entries: { kind: string; plan?: unknown }[] };
  expect(log.entries.map((e) => e.kind)).toEqual(['winter', 'move', 'winter']);
  expect(log.entries.at(-1)?.plan).toBeNull();
});

test('a place that is there already is not sent again', () =>
  expect(outgoingOf(arrivedFrom(story, v7), 'Z1', HERE, false, NOW).map((o) => o.what)).toEqual([
    'queen',
    'entries',
  ]));

test.each([
  ['hello', /Line 1 is not JSON/],
  ['', /holds 0 queens/],
])('a file that says “%s” is no story', async (text, says) =>
  expect(readStory(fileOf(text))).rejects.toThrow(says),
);

test('a file too large for one queen is refused unread', async () =>
  expect(readStory({ size: 1e9, text: async () => '' } as unknown as File)).rejects.toThrow(/too large/));
