import type { ReadingsTaken } from '@gentle-burrow/contract';
import type { Columns } from '@gentle-burrow/core/climate';
import { BATCH_MAX, type ReadingBatch } from '@gentle-burrow/core/records';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { v7 } from 'uuid';
import { useImport, type ReadFile } from './use-import';

const ROWS = 2 * BATCH_MAX + 5;

/** One reading a minute. */
function rows(n: number): Columns {
  const begins = Date.UTC(2026, 2, 1);
  return {
    ms: Float64Array.from({ length: n }, (_, i) => begins + i * 60_000),
    centiC: new Int16Array(n).fill(2400),
    centiPct: new Int16Array(n).fill(5000),
  };
}

/** A server that keeps every moment once, and lets each part wait until it may be answered. */
class Readings {
  readonly kept = new Set<number>();
  readonly parts: number[] = [];
  private waiting: (() => void)[] = [];
  broken = false;

  constructor() {
    globalThis.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
      if (!url.endsWith('/readings')) return { ok: true, status: 200, json: async () => ({}) };
      const { ms } = JSON.parse(init?.body ?? '') as ReadingBatch;
      this.parts.push(ms.length);
      await new Promise<void>((resolve) => this.waiting.push(resolve));
      if (this.broken) throw new TypeError('no connection');
      const there = ms.filter((at) => this.kept.has(at));
      for (const at of ms) this.kept.add(at);
      const taken: ReadingsTaken = {
        added: ms.length - there.length,
        known: there.length,
        contradictory: 0,
        there,
      };
      return { ok: true, status: 200, json: async () => taken };
    }) as never;
  }

  async answer(): Promise<void> {
    await waitFor(() => expect(this.waiting).toHaveLength(1));
    await act(async () => this.waiting.shift()?.());
  }
}

function begun() {
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result } = renderHook(() => useImport(v7()), { wrapper });
  const file: ReadFile = { columns: rows(ROWS), rows: ROWS, refused: [], refusedCount: 0 };
  return {
    state: () => result.current.state,
    stop: () => act(() => result.current.stop()),
    keep: () => {
      let kept = Promise.resolve();
      act(() => {
        kept = result.current.keep(file);
      });
      return kept;
    },
  };
}

test('stopped in its midst no further part is sent, and read in again only what is missing is new', async () => {
  const server = new Readings();
  const file = begun();
  const first = file.keep();
  await server.answer();
  expect(file.state()).toMatchObject({ is: 'sending', sent: BATCH_MAX, of: ROWS });
  // while the second part is under way: it is taken whole or not at all
  file.stop();
  await server.answer();
  await act(() => first);
  expect(server.parts).toEqual([BATCH_MAX, BATCH_MAX]);
  expect(file.state()).toMatchObject({
    is: 'kept',
    stopped: true,
    taken: { added: 2 * BATCH_MAX, known: 0 },
  });
  expect(server.kept.size).toBe(2 * BATCH_MAX);

  const again = file.keep();
  for (let i = 0; i < 3; i++) await server.answer();
  await act(() => again);
  expect(file.state()).toMatchObject({
    is: 'kept',
    stopped: false,
    taken: { added: 5, known: 2 * BATCH_MAX },
  });
  expect(server.kept.size).toBe(ROWS);
});

test('where the connection ends it says how far it came', async () => {
  const server = new Readings();
  const file = begun();
  const first = file.keep();
  await server.answer();
  server.broken = true;
  await server.answer();
  await act(() => first);
  expect(file.state()).toMatchObject({ is: 'failed', taken: { added: BATCH_MAX } });
  expect(server.parts).toHaveLength(2);
});
