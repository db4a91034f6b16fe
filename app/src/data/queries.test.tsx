import type { NewQueen } from '@gentle-burrow/contract';
import { queenView, shelfRow, type QueenFacts } from '@gentle-burrow/core/view';
import type { ProjectionAsk } from '@/workers/projection.worker';
import { onlineManager } from '@tanstack/react-query';
import { act, screen, waitFor } from '@testing-library/react';
import { Text } from 'react-native';
import { daysAgo, madeQueen, PretendServer, SETTINGS, show } from '../../test/kit';
import { drop, flush, outboxItems, put } from './outbox';
import { amendEntry, writeEntry } from './entries';
import { useQueen, useShelf } from './queries';

/** The web worker, on this thread: the same messages, the same core. */
class NearWorker {
  onmessage: ((e: { data: unknown }) => void) | null = null;
  postMessage({ id, facts, settings, now }: ProjectionAsk): void {
    const view = queenView(facts, settings, now, { draws: 300 });
    setTimeout(() => this.onmessage?.({ data: { id, view, row: shelfRow(facts, view) } }), 0);
  }
  terminate(): void {}
}

beforeAll(() => {
  globalThis.Worker = NearWorker as never;
});
afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
});

function Eggs({ id }: { id: string }) {
  const { data } = useQueen(id);
  const shelf = useShelf();
  const row = shelf.data?.find((r) => r.queen.id === id);
  const eggs = data?.view.ledger.counts.eggs?.range.low ?? '?';
  return (
    <Text>{`page ${eggs}, shelf ${row?.counts.eggs?.range.low ?? '?'}, ${data?.waiting ? 'waiting' : 'sent'}`}</Text>
  );
}

const says = (text: string) => screen.findByText(text, {}, { timeout: 5000 });

async function start(): Promise<{ server: PretendServer; facts: QueenFacts }> {
  const facts = madeQueen('Vesper', 30, [
    { kind: 'look', at: daysAgo(9), queen: 'seen', eggs: { low: 3, high: 3 } },
  ]);
  const server = new PretendServer([facts]);
  show(<Eggs id={facts.queen.id} />);
  await says('page 3, shelf 3, sent');
  return { server, facts };
}

test('what waits is worked out here, on the page and on the shelf, and stays when it is sent', async () => {
  const { server, facts } = await start();
  server.down = true;
  await act(async () => {
    await writeEntry(facts.queen.id, {
      kind: 'look',
      at: daysAgo(0),
      queen: 'seen',
      eggs: { low: 7, high: 7 },
    });
  });
  await says('page 7, shelf 7, waiting');
  server.down = false;
  await act(async () => {
    onlineManager.setOnline(true);
    await flush();
  });
  await says('page 7, shelf 7, sent');
  expect(server.bodiesOf('/entries')).toHaveLength(1);
});

test('an amendment that waits counts as well', async () => {
  const { server, facts } = await start();
  server.down = true;
  const look = facts.entries[1] as { id: string; at: string };
  await act(async () => {
    await amendEntry(
      { queenId: facts.queen.id, id: look.id },
      { kind: 'look', at: look.at, eggs: { low: 5, high: 5 } },
    );
  });
  await says('page 5, shelf 5, waiting');
});

test('what waits is worked out with what was measured at her place and read of the heat there', async () => {
  const facts = madeQueen('Vesper', 30, [
    {
      kind: 'heat',
      at: daysAgo(9),
      matMm: 20,
      roomC: 19,
      readings: [{ mm: 130, tempC: 27 }],
    },
  ]);
  const since = Math.floor(Date.now() / 86_400_000);
  const days = Array.from({ length: 30 }, (_, i) => ({
    day: since - 29 + i,
    partsC: Array<number>(8).fill(16.5),
    rh: 0.5,
  }));
  const latest = { at: daysAgo(0), lowC: 16.5, highC: 16.5 };
  const falls = [{ placeId: facts.place.id, lengthMm: 29 }];
  const whole: QueenFacts = {
    ...facts,
    measured: [{ placeId: facts.place.id, days, latest, errorC: 0.3 }],
    falls,
  };
  const expected = queenView(whole, SETTINGS, new Date().toISOString(), { draws: 300 }).tempC;
  const told = queenView(facts, SETTINGS, new Date().toISOString(), { draws: 300 }).tempC;
  expect(Math.abs(expected - told)).toBeGreaterThan(0.3);
  const server = new PretendServer([whole]);
  function Warmth() {
    const { data } = useQueen(facts.queen.id);
    return <Text>{data ? `${data.view.tempC.toFixed(1)}, looks ${data.view.ledger.looksSpent}` : ''}</Text>;
  }
  show(<Warmth />);
  await says(`${expected.toFixed(1)}, looks 0`);
  server.down = true;
  await act(async () => {
    await writeEntry(facts.queen.id, { kind: 'look', at: daysAgo(0), queen: 'seen' });
  });
  await says(`${expected.toFixed(1)}, looks 1`);
});

test('an entry that the server refused is put right itself, and undone as it was', async () => {
  const { facts } = await start();
  const refusing = jest.spyOn(globalThis, 'fetch');
  refusing.mockImplementation((async () => ({
    ok: false,
    status: 422,
    json: async () => ({
      error: { code: 'in-the-future', message: 'The date lies in the future. Correct it.' },
    }),
  })) as never);
  /** What waits, once the server has refused it so often. */
  const waiting = async (times: number) => {
    const sent = () => refusing.mock.calls.filter(([url]) => String(url).endsWith('/entries'));
    await waitFor(() => expect(sent()).toHaveLength(times));
    await waitFor(() => expect(outboxItems()).toMatchObject([{ refused: expect.stringMatching(/future/) }]));
    return outboxItems()[0]?.out;
  };
  const written = await writeEntry(facts.queen.id, { kind: 'note', at: daysAgo(0), text: 'tomorrow' });
  await waiting(1);
  const mended = await amendEntry(written, { kind: 'note', at: daysAgo(1), text: 'yesterday' });
  expect(await waiting(2)).toMatchObject({ entries: [{ id: written.id, kind: 'note', text: 'yesterday' }] });
  await amendEntry(mended, null);
  expect(await waiting(3)).toMatchObject({ entries: [{ id: written.id, kind: 'note', text: 'tomorrow' }] });
  refusing.mockRestore();
});

test('ids are made where an entry is written, in the order of writing', async () => {
  const { server, facts } = await start();
  for (const text of ['one', 'two', 'three']) {
    await act(async () => {
      await writeEntry(facts.queen.id, { kind: 'note', at: daysAgo(0), text });
    });
  }
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(3));
  const ids = server.bodiesOf('/entries').map((e) => (e as { id: string }).id);
  expect(ids).toEqual([...ids].sort());
  for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-/);
});

test('a queen just taken in never blinks out while she is sent', async () => {
  const { server } = await start();
  const { queen, home, place, entries } = madeQueen('New', 1);
  const [intake] = entries;
  server.down = true;
  await act(async () => {
    await put({ what: 'queen', body: { queen, home, place, intake } as NewQueen });
  });
  const seen: string[] = [];
  function Watched() {
    const { data } = useQueen(queen.id);
    const now = data ? (data.waiting ? 'waiting' : 'sent') : 'nothing';
    if (seen[seen.length - 1] !== now) seen.push(now);
    return <Text>{`she is ${now}`}</Text>;
  }
  show(<Watched />);
  await says('she is waiting');
  server.down = false;
  await act(async () => {
    onlineManager.setOnline(true);
    await flush();
  });
  await says('she is sent');
  expect(seen.slice(seen.indexOf('waiting'))).toEqual(['waiting', 'sent']);
});

function LogOf({ id }: { id: string }) {
  const { data } = useQueen(id);
  return <Text>{`${data?.facts.entries.length ?? '?'} entries, ${data?.waiting ? 'waiting' : 'sent'}`}</Text>;
}

test('what was sent stays in the log, also when she cannot be fetched anew right after it', async () => {
  const facts = madeQueen('Vesper', 30);
  new PretendServer([facts]);
  show(<LogOf id={facts.queen.id} />);
  await says('1 entries, sent');
  const answer = globalThis.fetch;
  let taken = false;
  globalThis.fetch = async (asked, init) => {
    if (init?.method === 'POST') taken = true;
    else if (taken && String(asked).includes(`/queens/${facts.queen.id}`))
      return new Response('{"message":"failed"}', { status: 500 });
    return answer(asked, init);
  };
  await act(async () => {
    await writeEntry(facts.queen.id, { kind: 'note', at: daysAgo(0), text: 'calm' });
    await flush();
  });
  await says('2 entries, sent');
  globalThis.fetch = answer;
});
