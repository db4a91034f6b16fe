import type { Place } from '@gentle-burrow/core/facts';
import { tempText } from '@/ui/units';

/** "24.3 °C, 51 % humidity": what was measured of both. */
export function readingText(
  { tempC, rh }: { tempC: number | null; rh: number | null },
  unit: 'C' | 'F',
): string {
  return [
    tempC === null ? '' : tempText(tempC, unit),
    rh === null ? '' : `${Math.round(100 * rh)} % humidity`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** What a place is reckoned with, whatever is measured there. */
export const reckonedText = ({ tempC, roomRelHumidity }: Place, unit: 'C' | 'F'): string =>
  `Reckoned with ${tempText(tempC, unit)} and ${Math.round(roomRelHumidity * 100)} % humidity`;
