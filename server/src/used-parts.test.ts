import { stockSchema } from '@gentle-burrow/contract';
import { usualTube } from '@gentle-burrow/core/tube';
import { v7 } from 'uuid';
import { daysAgo, factsOf, newQueen, testServer } from './test-kit';

let t: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  t = await testServer();
}, 60_000);
afterAll(() => t.close());

const used = async () => stockSchema.parse((await t.app.inject({ url: '/api/stock' })).json()).used;

test('what was taken away from a home stands in the stock until it is thrown away, or its queen taken back', async () => {
  const one = newQueen('Moves', 90);
  await t.store.write([...factsOf(one), ...factsOf(newQueen('Stays', 90))]);
  const { setUpAt: _, ...part } = usualTube(v7(), '');
  const say = async (days: number, body: object) => {
    const at = daysAgo(days);
    const entry = { kind: 'home', ...body, id: v7(), queenId: one.queen.id, at, loggedAt: at };
    const answer = await t.app.inject({ method: 'POST', url: '/api/entries', payload: entry });
    expect(answer.statusCode).toBe(200);
    return entry.id;
  };
  await say(40, { change: { what: 'set-up', part, purpose: 'move', by: 'taped' } });
  await say(35, { change: { what: 'moved-in', partId: part.id, queen: true, how: 'by-themselves' } });
  expect(await used()).toEqual([]);
  await say(30, { change: { what: 'taken-away', partId: one.home.id, to: 'kept-aside' } });
  expect(await used()).toMatchObject([
    { part: { id: one.home.id }, cleanedAt: null, stays: [{ label: 'Moves', until: daysAgo(35) }] },
  ]);
  await say(20, { change: { what: 'cleaned', partId: one.home.id, aside: true } });
  expect(await used()).toMatchObject([{ cleanedAt: daysAgo(20) }]);
  // washed on the bench, she felt nothing of it
  const { view } = (await t.app.inject({ url: `/api/queens/${one.queen.id}` })).json<{
    view: { ledger: { lastDisturbed: { at: string } } };
  }>();
  expect(view.ledger.lastDisturbed.at).toBe(daysAgo(30));
  const intake = one.intake.id;
  const back = { kind: 'amendment', amends: intake, over: null, replacement: null };
  const backId = await say(10, back);
  expect(await used()).toEqual([]);
  await say(9, { ...back, amends: backId });
  expect(await used()).toHaveLength(1);
  await say(8, { change: { what: 'taken-away', partId: one.home.id, to: 'thrown-away', aside: true } });
  expect(await used()).toEqual([]);
});

test('a queen who died leaves her tube in the stock; one of long ago does not', async () => {
  const before = (await used()).length;
  for (const [label, days] of [
    ['Died', 20],
    ['Long ago', 500],
  ] as const) {
    const one = newQueen(label, days + 30);
    await t.store.write(factsOf(one));
    const at = daysAgo(days);
    const entry = { kind: 'loss', how: 'died', id: v7(), queenId: one.queen.id, at, loggedAt: at };
    expect((await t.app.inject({ method: 'POST', url: '/api/entries', payload: entry })).statusCode).toBe(
      200,
    );
  }
  const now = await used();
  expect(now).toHaveLength(before + 1);
  expect(now).toContainEqual(
    expect.objectContaining({
      left: true,
      cleanedAt: null,
      stays: [expect.objectContaining({ label: 'Died' })],
    }),
  );
});
