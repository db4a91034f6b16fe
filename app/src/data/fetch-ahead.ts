import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { queenQuery, shelfQuery } from './queries';

/** How many queens are fetched ahead. */
const AHEAD = 40;
/** When the shelf has been drawn and the keeper is reading it. */
const AFTER_MS = 2000;
/** What the keeper asks for is not to wait behind them: they come one at a time, with a pause. */
const BETWEEN_MS = 400;
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
    const fetchAll = async () => {
      await wait(AFTER_MS);
      for (const { queen } of rows?.slice(0, AHEAD) ?? []) {
        await client.prefetchQuery({ ...queenQuery(queen.id), staleTime: FRESH_MS });
        await wait(BETWEEN_MS);
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
