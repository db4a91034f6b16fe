import type { Climate } from '@gentle-burrow/contract';
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

/** What a place is reckoned with: what was told, or where enough was measured, that. */
export function reckonedText(place: Place, reckoned: Climate['reckoned'], unit: 'C' | 'F'): string {
  const text = (r: Pick<Place, 'tempC' | 'roomRelHumidity'>) =>
    `${tempText(r.tempC, unit)} and ${Math.round(r.roomRelHumidity * 100)} % humidity`;
  const as = reckoned.find((r) => r.placeId === place.id);
  return as
    ? `Reckoned as measured, ${text(as)}; told were ${tempText(place.tempC, unit)} and ${Math.round(place.roomRelHumidity * 100)} %`
    : `Reckoned with ${text(place)}`;
}

/** Dew point, and how hungry the air is for water: what settles as dew on cold glass, and what empties tubes. */
export function airText(tempC: number, rh: number, unit: 'C' | 'F'): string {
  // corrected readings may lie a little beyond what can be
  const share = Math.max(0.01, Math.min(1, rh));
  if (tempC < 0 || tempC > 60) return '';
  return `Dew point ${tempText(dewPointC(tempC, share), unit)}; the air could take ${vapourPressureDeficitKPa(tempC, share).toFixed(2)} kPa more (the more, the faster tubes dry).`;
}
