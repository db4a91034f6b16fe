import type { Entry } from '@gentle-burrow/core/log';
import { SaxesParser } from 'saxes';
import { v7 } from 'uuid';
import { daysAgo, factsOf, lookEntry, newQueen, testServer } from './test-kit';

let server: Awaited<ReturnType<typeof testServer>>;
const her = newQueen('A');
beforeAll(async () => {
  server = await testServer();
  await server.store.write(factsOf(her));
}, 60_000);
afterAll(() => server.close());

const send = (method: 'GET' | 'POST' | 'PUT' | 'PATCH', url: string, payload?: unknown, headers = {}) =>
  server.app.inject({
    method,
    url,
    headers,
    ...(payload === undefined ? {} : { payload: payload as object }),
  });
const note = (over: object) => ({
  kind: 'note',
  id: v7(),
  queenId: her.queen.id,
  at: daysAgo(1),
  loggedAt: daysAgo(1),
  text: 'x',
  ...over,
});

test.each([
  ['a null character', note({ text: 'a\u0000b' }), 400],
  ['half a character', note({ text: 'a\ud800b' }), 400],
  ['a year before ours', note({ at: '0000-01-01T00:00:00.000Z' }), 400],
  ['a year after ours', note({ loggedAt: '9999-01-01T00:00:00.000Z' }), 400],
  ['a list of 400,000', { entries: Array.from({ length: 400_000 }, () => 0) }, 413],
  ['something nested very deep', '{"entries":' + '['.repeat(5000) + ']'.repeat(5000) + '}', 400],
  ['a range that ends before it begins', { ...lookEntry(her.queen.id, 1), eggs: { low: 9, high: 3 } }, 400],
])('an entry with %s is refused with a sentence, at once', async (_, payload, status) => {
  const began = performance.now();
  const answer = await send('POST', '/api/entries', payload, { 'content-type': 'application/json' });
  expect(answer.statusCode).toBe(status);
  expect(answer.json().error.message).toMatch(/^[A-Z].*[.!?]$/);
  expect(performance.now() - began).toBeLessThan(2000);
});

test('an address with a null character is refused, whatever it is an address of', async () => {
  for (const url of [
    '/api/queens/%00',
    '/api/species/a%00b',
    '/api/captures.csv?places=%00',
    '/api/photos/%00',
  ])
    expect((await send('GET', url)).statusCode).toBeLessThan(500);
});

test('what says that it is text is no JSON, and a way out of the folder leads nowhere', async () => {
  const text = await send('POST', '/api/entries', '{}', { 'content-type': 'text/plain' });
  expect(text.statusCode).toBe(415);
  expect(text.json().error.message).toMatch(/content-type: application\/json/);
  for (const url of ['/../x', '/%2e%2e/%2e%2e/etc/passwd', '/api/../../x', '//x', '/%'])
    expect([400, 404]).toContain((await send('GET', url)).statusCode);
});

test('a change of the stock for a queen that nobody knows is refused', async () => {
  const item = { id: v7(), kind: 'plug', name: 'Cotton', tube: null, lowAt: 0 };
  expect((await send('PUT', `/api/stock/items/${item.id}`, item)).statusCode).toBe(200);
  const move = { id: v7(), itemId: item.id, at: daysAgo(1), delta: -1, why: 'used', queenId: v7() };
  const answer = await send('POST', '/api/stock/moves', move);
  expect([answer.statusCode, answer.json().error.code]).toEqual([404, 'no-such-queen']);
});

test('a name with control characters prints on labels that any reader of XML takes', async () => {
  const odd = newQueen('V\u0007x');
  odd.queen.batch = 'a\u0001b\u{1F41C}<&';
  expect((await send('POST', '/api/queens', odd)).statusCode).toBe(201);
  const answer = await send(
    'GET',
    `/api/labels.svg?queens=${odd.queen.id}&sheet=a4-3x8&skip=0&origin=http://localhost:1`,
  );
  expect(answer.statusCode).toBe(200);
  // a strict parser of XML 1.0
  const words: string[] = [];
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('text', (text) => words.push(text));
  parser.write(answer.body).close();
  expect(words).toEqual(expect.arrayContaining(['Vx', 'ab\u{1F41C}<&']));
});

test('more labels are left out than a sheet has: said so', async () => {
  const asked = (skip: number) =>
    send('GET', `/api/labels.svg?queens=${her.queen.id}&sheet=a4-3x8&skip=${skip}&origin=http://localhost:1`);
  expect((await asked(23)).statusCode).toBe(200);
  const beyond = await asked(24);
  expect(beyond.statusCode).toBe(422);
  expect(beyond.json().error.message).toMatch(/A sheet has 24 labels.* Give 0 to 23/);
});

test('what is put right and taken back without end is refused before it takes long to look at', async () => {
  const look = lookEntry(her.queen.id, 5, 3);
  expect((await send('POST', '/api/entries', look)).statusCode).toBe(200);
  const chain = (length: number, from: string): Entry[] => {
    let amends = from;
    return Array.from({ length }, (): Entry => {
      const id = v7();
      const one: Entry = {
        kind: 'amendment',
        id,
        queenId: her.queen.id,
        at: look.at,
        loggedAt: look.at,
        amends,
        replacement: null,
      };
      amends = id;
      return one;
    });
  };
  const begun = performance.now();
  const endless = await send('POST', '/api/entries', { entries: chain(2000, look.id) });
  expect([endless.statusCode, endless.json().error.code]).toEqual([422, 'too-deep']);
  const some = chain(60, look.id);
  expect((await send('POST', '/api/entries', { entries: some })).statusCode).toBe(200);
  // also link by link, over many requests
  const more = chain(60, some.at(-1)?.id as string);
  expect((await send('POST', '/api/entries', { entries: more })).statusCode).toBe(422);
  expect((await send('GET', `/api/queens/${her.queen.id}`)).statusCode).toBe(200);
  expect(performance.now() - begun).toBeLessThan(10_000);
});
