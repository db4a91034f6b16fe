import { setImmediate as breathe } from 'node:timers/promises';

/** So long it goes on before others have their turn. */
const AT_A_TIME_MS = 15;

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
