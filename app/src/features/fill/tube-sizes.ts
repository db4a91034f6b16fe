import type { StockLevel } from '@gentle-burrow/core/stock';
import type { Preferences } from '@/theme/preferences';
import { sizeText, tradeName } from '@/ui/units';
import { COMMON_TUBES } from '@/features/intake/tubes';

interface TubeSize {
  value: string;
  label: string;
  hint: string;
  outsideMm: number;
  boreMm: number;
  lengthMm: number;
  end: 'round' | 'flat';
  /** From the stock: one is used when a queen moves in. */
  itemId: string | null;
}

/** Tubes to choose from: those in stock first, counted, then the common sizes. */
export function tubeSizes(levels: readonly StockLevel[], unit: Preferences['length']): TubeSize[] {
  const mine = levels.flatMap(({ item, count }): TubeSize[] =>
    item.tube && (item.kind === 'finished-tube' || item.kind === 'empty-tube')
      ? [
          {
            value: item.id,
            label: item.name,
            hint: `${count > 0 ? `${count} in stock` : 'none left'}${item.kind === 'empty-tube' ? ', empty' : ''}`,
            ...item.tube,
            itemId: item.id,
          },
        ]
      : [],
  );
  const common = COMMON_TUBES.map((t): TubeSize => ({
    ...t,
    // tubes are sold by the millimetre everywhere
    label: unit === 'in' ? tradeName(t.outsideMm, t.lengthMm, unit) : sizeText(t.outsideMm, t.lengthMm, unit),
    end: 'round',
    itemId: null,
  }));
  return [...mine, ...common];
}
