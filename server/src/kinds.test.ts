import { entriesSchema } from '@gentle-burrow/contract';
import { KIND_NAMES, seenByOther, twinId } from '@gentle-burrow/core/log';
import { SAMPLES } from '@gentle-burrow/core/world';
import { v7 } from 'uuid';
import { daysAgo, factsOf, newQueen, testServer } from './test-kit';

let t: Awaited<ReturnType<typeof testServer>>;
const one = newQueen('Kinds', 90);
const other = newQueen('Other', 90);
beforeAll(async () => {
  t = await testServer();
  await t.store.write([...factsOf(one), ...factsOf(other)]);
  const named = [SAMPLES.move.placeId, SAMPLES.correct.placeId?.is as string];
  await t.store.write(
    named.map((id, i) => ({ fact: 'place' as const, value: { ...one.place, id, name: `Elsewhere ${i}` } })),
  );
}, 60_000);
afterAll(() => t.close());

const send = (payload: object) => t.app.inject({ method: 'POST', url: '/api/entries', payload });

// a queen is taken in by an address of her own, and what concerns two colonies is sent in twos: below
test.each(KIND_NAMES.filter((k) => k !== 'intake' && k !== 'brood'))(
  'a %s comes back as it was sent',
  async (kind) => {
    const at = daysAgo(3);
    const entry = { ...SAMPLES[kind], id: v7(), queenId: one.queen.id, at, loggedAt: at };
    expect((await send(entry)).statusCode).toBe(200);
    const { entries } = entriesSchema.parse(
      (await t.app.inject({ url: `/api/queens/${one.queen.id}/entries` })).json(),
    );
    expect(entries.find((e) => e.id === entry.id)).toEqual(entry);
  },
);

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

describe('brood of one colony given to another', () => {
  const at = daysAgo(3);
  const halves = (id = v7()) => {
    const body = { ...SAMPLES.brood, at, way: 'given' as const, otherId: other.queen.id };
    const head = { at, loggedAt: at };
    return [
      { ...body, ...head, id, queenId: one.queen.id },
      { ...seenByOther(body, one.queen.id), ...head, id: twinId(id), queenId: other.queen.id },
    ] as const;
  };
  const takenBack = ([a, b]: ReturnType<typeof halves>, id = v7()) =>
    [
      {
        kind: 'amendment',
        id,
        queenId: a.queenId,
        at,
        loggedAt: at,
        amends: a.id,
        over: null,
        replacement: null,
      },
      {
        kind: 'amendment',
        id: twinId(id),
        queenId: b.queenId,
        at,
        loggedAt: at,
        amends: b.id,
        over: null,
        replacement: null,
      },
    ] as const;
  const logOf = async (id: string) =>
    entriesSchema.parse((await t.app.inject({ url: `/api/queens/${id}/entries` })).json()).entries;

  test('stands in both logs, and is taken back in both', async () => {
    const both = halves();
    expect((await send({ entries: both })).statusCode).toBe(200);
    expect(await logOf(one.queen.id)).toContainEqual(both[0]);
    expect(await logOf(other.queen.id)).toContainEqual(both[1]);
    // sent once more by a device that did not hear the answer
    expect((await send({ entries: both })).statusCode).toBe(200);
    const back = takenBack(both);
    expect((await send({ entries: [back[0]] })).json()).toMatchObject({ error: { code: 'half-told' } });
    expect((await send({ entries: back })).statusCode).toBe(200);
    // and the taking back is itself taken back
    const again = [
      { ...back[0], id: v7(), amends: back[0].id },
      { ...back[1], amends: back[1].id },
    ] as const;
    expect((await send({ entries: [again[0]] })).statusCode).toBe(422);
    expect((await send({ entries: [again[0], { ...again[1], id: twinId(again[0].id) }] })).statusCode).toBe(
      200,
    );
  });

  test.each([
    ['one half alone', (a: object) => [a]],
    ['halves that count otherwise', (a: object, b: object) => [a, { ...b, counts: { pupae: 1 } }]],
    ['halves that both gave', (a: object, b: object) => [a, { ...b, way: 'given' }]],
    ['halves of two days', (a: object, b: object) => [a, { ...b, at: daysAgo(4) }]],
  ])('%s are refused, and nothing is kept of them', async (_, sent) => {
    const [a, b] = halves();
    const answer = await send({ entries: sent(a, b) });
    expect([answer.statusCode, answer.json<{ error: { code: string } }>().error.code]).toEqual([
      422,
      'half-told',
    ]);
    expect((await logOf(one.queen.id)).map((e) => e.id)).not.toContain(a.id);
  });

  test('brood out of nothing is none', async () => {
    const [a, b] = halves();
    const nothing = { counts: { pupae: 0 } };
    const answer = await send({
      entries: [
        { ...a, ...nothing },
        { ...b, ...nothing },
      ],
    });
    expect(answer.statusCode).toBe(400);
    expect(answer.body).toMatch(/No brood was counted/);
  });
});
