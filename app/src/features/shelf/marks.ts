import type { ShelfRow } from '@gentle-burrow/core/view';
import type { Palette } from '@/theme/tokens';

/** How much a tube wants its keeper, by shape and by word beside the colour. */
export const MARKS = {
  now: { icon: 'alert', word: 'now', color: (p: Palette) => p.clay },
  soon: { icon: 'clock-outline', word: 'soon', color: (p: Palette) => p.amber },
  free: { icon: 'eye-outline', word: 'may look', color: (p: Palette) => p.moss },
  rest: { icon: 'weather-night', word: 'at rest', color: (p: Palette) => p.inkSoft },
} as const;

/** A row for those who listen. */
export const rowLabel = (row: ShelfRow, species: string, says: string): string =>
  `${row.queen.label}, ${species}. ${row.lost ? '' : `${MARKS[row.pressure].word}. `}${says}`;
