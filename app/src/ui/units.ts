import type { Preferences } from '@/theme/preferences';

/** °F and inches exist only here, at the edge: everything else is in °C and mm. */
export const MM_PER_INCH = 25.4;

export function tempText(tempC: number, unit: Preferences['temperature']): string {
  return unit === 'F' ? `${round(tempC * 1.8 + 32, 0)} °F` : `${round(tempC, 1)} °C`;
}

/** A difference of temperatures has no zero to shift. */
export function tempDiffText(diffC: number, unit: Preferences['temperature']): string {
  return unit === 'F' ? `${round(diffC * 1.8, 0)} °F` : `${round(diffC, 1)} °C`;
}

export function lengthText(mm: number, unit: Preferences['length']): string {
  return unit === 'in' ? `${round(mm / MM_PER_INCH, 2)} in` : `${round(mm, mm < 10 ? 1 : 0)} mm`;
}

/** A figure as typed, in the keeper's unit; null when it is no number. A comma is taken as a point. */
export function parseNumber(text: string): number | null {
  const trimmed = text.trim().replace(',', '.');
  if (!/^-?\d*\.?\d+$|^-?\d+\.$/.test(trimmed)) return null;
  return Number(trimmed);
}

export const toC = (value: number, unit: Preferences['temperature']): number =>
  unit === 'F' ? (value - 32) / 1.8 : value;
export const fromC = (tempC: number, unit: Preferences['temperature']): number =>
  round(unit === 'F' ? tempC * 1.8 + 32 : tempC, 1);
export const toMm = (value: number, unit: Preferences['length']): number =>
  unit === 'in' ? value * MM_PER_INCH : value;
export const fromMm = (mm: number, unit: Preferences['length']): number =>
  unit === 'in' ? round(mm / MM_PER_INCH, 3) : round(mm, 1);

function round(value: number, digits: number): number {
  const f = 10 ** digits;
  const r = Math.round(value * f) / f;
  return Object.is(r, -0) ? 0 : r;
}
