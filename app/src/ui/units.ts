import type { Preferences } from '@/theme/preferences';

type Units = Pick<Preferences, 'length' | 'temperature'>;

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

/** A length where tenths of a millimetre decide, as whether one end goes into another. */
export const fineText = (mm: number, unit: Preferences['length']): string =>
  unit === 'in' ? `${round(mm / MM_PER_INCH, 3)} in` : `${round(mm, 2)} mm`;

/** A unit of length as a word in a sentence. */
export const lengthName = (unit: Preferences['length']): string => (unit === 'in' ? 'inches' : 'mm');

/** "16 × 150": outside and length of a tube, without the unit, which its heading tells. */
export const sizeText = (outsideMm: number, lengthMm: number, unit: Preferences['length']): string =>
  unit === 'in'
    ? `${round(outsideMm / MM_PER_INCH, 2)} × ${round(lengthMm / MM_PER_INCH, 1)}`
    : `${outsideMm} × ${lengthMm}`;

/** "40 × 30 × 15 mm". */
export const acrossText = (mm: readonly number[], unit: Preferences['length']): string =>
  `${mm.map((v) => (unit === 'in' ? round(v / MM_PER_INCH, 2) : v)).join(' × ')} ${unit}`;

/** A tube as it is sold, "16 × 150 mm", with inches beside it where they are used. */
export const tradeName = (outsideMm: number, lengthMm: number, unit: Preferences['length']): string =>
  unit === 'in'
    ? `${outsideMm} × ${lengthMm} mm (${sizeText(outsideMm, lengthMm, 'in')} in)`
    : `${outsideMm} × ${lengthMm} mm`;

const NUMBER = '-?\\d+(?:\\.\\d+)?';
const MILLIMETRES = new RegExp(`${NUMBER}(?: (?:×|and|by|to) ${NUMBER})* mm\\b`, 'g');
const DEGREES = new RegExp(`${NUMBER}(?: (?:and|to) ${NUMBER})* °C`, 'g');

/** A sentence of the core, which speaks in mm and °C, in the keeper's units: "lies beyond the tube (5.91 in)". */
export function inUnits(sentence: string, { length, temperature }: Units): string {
  const each = (text: string, of: (n: number) => number) =>
    text.replace(new RegExp(NUMBER, 'g'), (n) => String(of(Number(n))));
  const lengths =
    length === 'in'
      ? sentence.replace(MILLIMETRES, (m) =>
          each(m, (mm) => round(mm / MM_PER_INCH, mm < 2 ? 3 : 2)).replace(/mm$/, 'in'),
        )
      : sentence;
  return temperature === 'F'
    ? lengths.replace(DEGREES, (m) => each(m, (c) => round(c * 1.8 + 32, 0)).replace('°C', '°F'))
    : lengths;
}

/** A figure as typed, in the keeper's unit; null when it is no number. A comma is taken as a point. */
export function parseNumber(text: string): number | null {
  const trimmed = text.trim().replace(',', '.');
  if (!/^-?\d*\.?\d+$|^-?\d+\.$/.test(trimmed)) return null;
  return Number(trimmed);
}

/** A figure as it stands in a field, with the decimal sign of the browser's language. */
export const numberInput = (value: number, language = globalThis.navigator?.language): string =>
  new Intl.NumberFormat(language, { useGrouping: false, maximumFractionDigits: 6 }).format(value);

export const toC = (value: number, unit: Preferences['temperature']): number =>
  unit === 'F' ? (value - 32) / 1.8 : value;
export const fromC = (tempC: number, unit: Preferences['temperature']): number =>
  round(unit === 'F' ? tempC * 1.8 + 32 : tempC, 1);
export const toMm = (value: number, unit: Preferences['length']): number =>
  unit === 'in' ? value * MM_PER_INCH : value;
/** To be typed in again where tenths of a millimetre decide. */
export const fineFromMm = (mm: number, unit: Preferences['length']): number =>
  unit === 'in' ? round(mm / MM_PER_INCH, 4) : round(mm, 2);
export const fromMm = (mm: number, unit: Preferences['length']): number =>
  unit === 'in' ? round(mm / MM_PER_INCH, 3) : round(mm, 1);

function round(value: number, digits: number): number {
  const f = 10 ** digits;
  const r = Math.round(value * f) / f;
  return Object.is(r, -0) ? 0 : r;
}
