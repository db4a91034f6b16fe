import { entriesSchema } from '@gentle-burrow/contract';
import { KIND_NAMES } from '@gentle-burrow/core/log';
import { SAMPLES } from '@gentle-burrow/core/world';
import { v7 } from 'uuid';
import { daysAgo, factsOf, newQueen, testServer } from './test-kit';

let t: Awaited<ReturnType<typeof testServer>>;
const one = newQueen('Kinds', 90);
beforeAll(async () => {
  t = await testServer();
  await t.store.write(factsOf(one));
  const named = [SAMPLES.move.placeId, SAMPLES.correct.placeId?.is as string];
  await t.store.write(
    named.map((id, i) => ({ fact: 'place' as const, value: { ...one.place, id, name: `Elsewhere ${i}` } })),
  );
}, 60_000);
afterAll(() => t.close());

const send = (payload: object) => t.app.inject({ method: 'POST', url: '/api/entries', payload });

// a queen is taken in by an address of her own
test.each(KIND_NAMES.filter((k) => k !== 'intake'))('a %s comes back as it was sent', async (kind) => {
  const at = daysAgo(3);
  const entry = { ...SAMPLES[kind], id: v7(), queenId: one.queen.id, at, loggedAt: at };
  expect((await send(entry)).statusCode).toBe(200);
  const { entries } = entriesSchema.parse(
    (await t.app.inject({ url: `/api/queens/${one.queen.id}/entries` })).json(),
  );
  expect(entries.find((e) => e.id === entry.id)).toEqual(entry);
});

test.each([
  ['a place nobody knows', { ...SAMPLES.move, placeId: v7() }, 404],
  [
    'a species nobody knows',
    { ...SAMPLES.identify, species: { profileId: 'griffin', sure: 'certain' } },
    422,
  ],
])('what names %s is refused', async (_, body, status) => {
  const at = daysAgo(2);
  const answer = await send({ ...body, id: v7(), queenId: one.queen.id, at, loggedAt: at });
  expect(answer.statusCode).toBe(status);
  expect(answer.json<{ error: { message: string } }>().error.message.length).toBeGreaterThan(10);
});
