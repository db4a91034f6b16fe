import type { Anatomy } from './anatomy';

/** The chamber and the faces of both plugs, never so near that the tube no longer fits the height. */
export function lensView(a: Anatomy, tallMm: number, widthPx: number): [number, number] {
  const least = widthPx > 0 ? (tallMm * widthPx) / 220 : 0;
  const middle = (a.chamberStart + a.chamberEnd) / 2;
  const half = Math.max((a.chamberEnd - a.chamberStart) / 2 + 5, least / 2);
  return [middle - half, middle + half];
}
