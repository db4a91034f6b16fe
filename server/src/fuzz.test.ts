import { plainGenerator } from '@gentle-burrow/core/world';
import { hostile, type ApiDocument } from '../test/hostile';
import { factsOf, newQueen, testServer } from './test-kit';

/** What is refused is refused with a sentence. */
function isSentence({ body }: { body: string }): boolean {
  try {
    return /[.!?]$/.test((JSON.parse(body) as { error: { message: string } }).error.message);
  } catch {
    return false;
  }
}

/** So many devices ask at once, whole backups too. */
const AT_ONCE = 8;

/** The short form of `npm run fuzz`. What is asked comes of the seed; in which order eight at once are answered does not. */
test('whatever is asked, it is answered with a sentence and never fails', async () => {
  const server = await testServer();
  const queens = [newQueen('A'), newQueen('B')];
  for (const q of queens) await server.store.write(factsOf(q));
  const { app } = server;
  const doc = (await app.inject('/api/openapi.json')).json<ApiDocument>();
  const known = { queens: queens.map((q) => q.queen.id), places: queens.map((q) => q.place.id) };
  const next = hostile(doc, known, plainGenerator(7));
  const failed: string[] = [];
  const seen = new Map<number, number>();
  let left = 1200;
  const ask = async () => {
    while (left-- > 0) {
      const { method, url, headers, body } = next();
      const answer = await app.inject({
        method: method as 'GET',
        url,
        headers,
        ...(body === undefined ? {} : { payload: body }),
      });
      const { statusCode } = answer;
      seen.set(statusCode, (seen.get(statusCode) ?? 0) + 1);
      const told = statusCode < 400 || isSentence(answer);
      if (statusCode >= 500 || !told)
        failed.push(`${method} ${url.slice(0, 200)} ${body?.slice(0, 400)} → ${statusCode} ${answer.body}`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, ask));
  expect(failed).toEqual([]);
  // it came past the first question too
  expect(seen.get(200)).toBeGreaterThan(50);
  expect(seen.size).toBeGreaterThan(5);
  await server.close();
}, 120_000);
