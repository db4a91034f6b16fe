import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { RefusedError } from './network';
import { queenQuery, shelfQuery } from './queries';

/** How many queens are fetched ahead. */
const AHEAD = 40;
/** When the shelf has been drawn and the keeper is reading it. */
const AFTER_MS = 2000;
/** What the keeper asks for is not to wait behind them: they come one at a time, with a pause. */
const BETWEEN_MS = 400;
/** Where the server cannot be reached nobody comes: it is tried again after a while. */
const AGAIN_MS = 30_000;
/** What came so lately is not asked for again. */
const FRESH_MS = 5 * 60_000;

/** Fetches the queens of the shelf, the most urgent first, so that their pages open without a connection. */
export function useFetchAhead(): void {
  const client = useQueryClient();
  const rows = useQuery(shelfQuery).data?.rows;
  useEffect(() => {
    let left = false;
    let later: ReturnType<typeof setTimeout>;
    const wait = (ms: number) => new Promise<void>((r) => (later = setTimeout(r, ms)));
    /** Whether it came, or never will: one that is refused does not keep the others. */
    const fetched = (id: string) =>
      client.fetchQuery({ ...queenQuery(id), staleTime: FRESH_MS, retry: false }).then(
        () => true,
        (error) => error instanceof RefusedError,
      );
    const fetchAll = async () => {
      await wait(AFTER_MS);
      for (const { queen } of rows?.slice(0, AHEAD) ?? [])
        for (let done = false; !done;) {
          done = await fetched(queen.id);
          await wait(done ? BETWEEN_MS : AGAIN_MS);
          if (left) return;
        }
    };
    void fetchAll();
    return () => {
      left = true;
      clearTimeout(later);
    };
  }, [rows, client]);
}
