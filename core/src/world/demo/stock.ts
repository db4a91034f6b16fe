import type { StockItem, StockMove } from '../../facts';
import { addDays, type Instant } from '../../quantity';
import type { Fact } from '../../records';
import type { NewId } from './scenario';

/** What the demo's keeper has ready. */
export function demoStock(now: Instant, newId: NewId): Fact[] {
  const tube = (outsideMm: number, boreMm: number, lengthMm: number) => ({
    outsideMm,
    boreMm,
    lengthMm,
    end: 'round' as const,
  });
  const shelf: [Omit<StockItem, 'id'>, [daysAgo: number, delta: number, why: StockMove['why']][]][] = [
    [
      { kind: 'finished-tube', name: '16 × 150, filled', tube: tube(16, 14, 150), lowAt: 3 },
      [
        [90, 8, 'made'],
        [74, -1, 'used'],
        [58, -2, 'used'],
        [5, -1, 'used'],
      ],
    ],
    [
      { kind: 'finished-tube', name: '18 × 150, filled', tube: tube(18, 16, 150), lowAt: 2 },
      [
        [110, 4, 'made'],
        [104, -1, 'used'],
        [66, -1, 'used'],
        [46, -1, 'used'],
      ],
    ],
    [
      { kind: 'empty-tube', name: '14 × 130, odd lot', tube: tube(14, 12.2, 130), lowAt: 0 },
      [[30, 12, 'bought']],
    ],
    [{ kind: 'plug', name: 'Dry plugs', tube: null, lowAt: 5 }, [[20, 14, 'made']]],
    [
      {
        kind: 'connector',
        name: 'Soft sleeve, 16 mm',
        tube: null,
        connector: { form: 'sleeve', ends: [{ boreMm: 16.2 }, { boreMm: 16.2 }], meshMm: null },
        lowAt: 1,
      },
      [[40, 3, 'bought']],
    ],
    [
      {
        kind: 'connector',
        name: 'Turned stopper with a nipple',
        tube: null,
        connector: {
          form: 'adapter',
          ends: [{ outsideMm: 13.8 }, { boreMm: 5, outsideMm: 7.8 }],
          meshMm: null,
        },
        lowAt: 0,
      },
      [[40, 2, 'made']],
    ],
    [
      {
        kind: 'connector',
        name: 'Clear hose, 8 mm',
        tube: null,
        connector: {
          form: 'pipe',
          ends: [
            { boreMm: 8, outsideMm: 11 },
            { boreMm: 8, outsideMm: 11 },
          ],
          meshMm: null,
        },
        lowAt: 0,
      },
      [[40, 2, 'bought']],
    ],
    [{ kind: 'barrier', name: 'Talc, small tins', tube: null, lowAt: 0 }, [[100, 1, 'bought']]],
    [
      { kind: 'food', name: 'Frozen flies, portions', tube: null, lowAt: 6 },
      [
        [60, 40, 'bought'],
        [9, -31, 'used'],
      ],
    ],
  ];
  return shelf.flatMap(([item, moves]) => {
    const id = newId(addDays(now, -120));
    return [
      { fact: 'stock-item', value: { ...item, id } },
      ...moves.map(([ago, delta, why]): Fact => {
        const at = addDays(now, -ago);
        return {
          fact: 'stock-move',
          value: { id: newId(at), itemId: id, at, delta, why, queenId: null },
        };
      }),
    ];
  });
}
