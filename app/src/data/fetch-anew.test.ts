import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { fetchAnew } from './fetch-anew';

/** A server whose answers come when they are let go, in the order asked for; each tells what it knew when it was asked. */
function slowServer() {
  const waiting: (() => void)[] = [];
  let known = 0;
  return {
    write: () => void known++,
    ask: () => {
      const told = known;
      return new Promise<number>((resolve) => waiting.push(() => resolve(told)));
    },
    letGo: () => waiting.splice(0).forEach((go) => go()),
  };
}

const settle = () => new Promise((r) => setTimeout(r, 20));

function shown(server: ReturnType<typeof slowServer>) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const observer = new QueryObserver(client, { queryKey: ['what'], queryFn: server.ask });
  const stop = observer.subscribe(() => {});
  return { client, stop, value: () => client.getQueryData<number>(['what']) };
}

test('an answer that was under way before is not taken for one that knows of the write', async () => {
  const server = slowServer();
  const { client, stop, value } = shown(server);
  server.write();
  let done = false;
  void fetchAnew(client, ['what']).then(() => (done = true));
  await settle();
  server.letGo();
  await settle();
  expect(done).toBe(true);
  expect(value()).toBe(1);
  stop();
});

test('who is overtaken by a later asking is not done before that one has its answer', async () => {
  const server = slowServer();
  const { client, stop, value } = shown(server);
  const done: number[] = [];
  server.write();
  void fetchAnew(client, ['what']).then(() => done.push(value() ?? NaN));
  await settle();
  server.write();
  void fetchAnew(client, ['what']).then(() => done.push(value() ?? NaN));
  await settle();
  expect(done).toEqual([]);
  server.letGo();
  await settle();
  expect(done).toEqual([2, 2]);
  stop();
});
