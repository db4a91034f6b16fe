import { inTurn, unhurried } from './unhurried';

/** Longer than anybody goes on in one turn. */
const LONG_MS = 16;
const busy = () => {
  for (const until = performance.now() + LONG_MS; performance.now() < until;);
};

/** How much was done in each turn of the event loop in which anything was. */
async function perTurn(work: (did: () => void) => Promise<unknown>): Promise<number[]> {
  const turns: number[] = [];
  let done = 0;
  let going = true;
  const turn = () => {
    if (done > 0) turns.push(done);
    done = 0;
    if (going) setImmediate(turn);
  };
  setImmediate(turn);
  await work(() => done++);
  going = false;
  return turns;
}

const eight = (one: () => Promise<void>) => Promise.all(Array.from({ length: 8 }, one));

test('of many who go through something long one goes on in each turn, so that others wait for one alone', async () => {
  async function* long() {
    for (let i = 0; i < 5; i++) yield i;
  }
  const turns = await perTurn((did) =>
    eight(async () => {
      for await (const _ of unhurried(long())) {
        busy();
        did();
      }
    }),
  );
  // all begin at once
  const [, ...later] = turns;
  expect(Math.max(...later)).toBe(1);
});

test('questions that are answered here and now let others in between, however many are asked one after another', async () => {
  const turns = await perTurn((did) =>
    eight(async () => {
      for (let i = 0; i < 5; i++) {
        await inTurn(async () => {
          busy();
          did();
        });
      }
    }),
  );
  expect(Math.max(...turns)).toBeLessThanOrEqual(2);
});
