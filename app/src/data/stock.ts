import type { Stock } from '@gentle-burrow/contract';
import type { StockMove } from '@gentle-burrow/core/facts';
import type { UsedPart } from '@gentle-burrow/core/housing';
import type { StockLevel } from '@gentle-burrow/core/stock';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from './network';
import { useOutbox } from './outbox';
import { told } from './told';

export interface ShownStock {
  levels: StockLevel[];
  /** Parts that were used before, as the server last told. */
  used: UsedPart[];
  plan: Stock['plan'];
  /** Known at all: false while nothing has come yet. */
  known: boolean;
  /** Not being asked for at this moment: what an earlier visit kept may be old. */
  settled: boolean;
}

export const stockQuery = { queryKey: ['stock'], queryFn: () => call<Stock>('/stock') };

/** Whether the stock is known, or nobody can tell it now. */
export const useStockTold = (): boolean => told(useQuery(stockQuery));

/** What is kept ready, with what still waits to be sent worked in. */
export function useStock(): ShownStock {
  const items = useOutbox();
  const { data, fetchStatus } = useQuery(stockQuery);
  const settled = fetchStatus !== 'fetching';
  return useMemo(() => {
    const levels = new Map((data?.levels ?? []).map((l) => [l.item.id, l]));
    const moved = (move: StockMove) => {
      const level = levels.get(move.itemId);
      if (!level || level.lastMove?.id === move.id) return;
      const count = level.count + move.delta;
      levels.set(move.itemId, { ...level, count, low: count <= level.item.lowAt, lastMove: move });
    };
    for (const { out } of items) {
      if (out.what === 'stock-item') {
        const old = levels.get(out.item.id) ?? { count: 0, lastMove: null };
        levels.set(out.item.id, { ...old, item: out.item, low: old.count <= out.item.lowAt });
      } else if (out.what === 'stock-move') moved(out.move);
      else if (out.what === 'queen') out.body.used?.forEach(moved);
    }
    return {
      levels: [...levels.values()],
      // what an earlier version kept on this device says nothing of them
      used: (data as Partial<Stock> | undefined)?.used ?? [],
      plan: data?.plan ?? null,
      known: data !== undefined,
      settled,
    };
  }, [data, items, settled]);
}
