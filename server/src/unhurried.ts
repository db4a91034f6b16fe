import { setImmediate as nextTurn } from 'node:timers/promises';

/** So long it goes on before others have their turn. */
const AT_A_TIME_MS = 15;

let last: Promise<void> = Promise.resolve();

/** Of all that go through something long just one goes on in each turn, so that who asks for something short waits for one of them alone. */
export const breathe = (): Promise<void> => (last = last.then(() => nextTurn()));

let began: number | null = null;
let line: Promise<unknown> = Promise.resolve();

/**
 * Does what is worked out here and now, such as a question to the database within this process, one after the other: answers to many who
 * ask one thing after another would else keep everybody out until all of them are through.
 */
export function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = line.then(async () => {
    if (began === null) {
      began = performance.now();
      setImmediate(() => (began = null));
    } else if (performance.now() - began > AT_A_TIME_MS) await breathe();
    return work();
  });
  line = mine.catch(() => undefined);
  return mine;
}

/** One after the other; others are answered meanwhile. */
export async function* unhurried<T>(all: AsyncIterable<T>): AsyncGenerator<T> {
  let since = performance.now();
  for await (const one of all) {
    yield one;
    if (performance.now() - since < AT_A_TIME_MS) continue;
    await breathe();
    since = performance.now();
  }
}
