import { dewPointC, vapourPressureDeficitKPa } from '@gentle-burrow/core/climate';
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

/** Dew point, and how hungry the air is for water: what settles as dew on cold glass, and what empties tubes. */
export function airText(tempC: number, rh: number, unit: 'C' | 'F'): string {
  // corrected readings may lie a little beyond what can be
  const share = Math.max(0.01, Math.min(1, rh));
  if (tempC < 0 || tempC > 60) return '';
  return `Dew point ${tempText(dewPointC(tempC, share), unit)}; the air could take ${vapourPressureDeficitKPa(tempC, share).toFixed(2)} kPa more (the more, the faster tubes dry).`;
}
