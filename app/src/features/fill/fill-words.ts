import type { Fill } from '@gentle-burrow/core/tube';
import { lengthText } from '@/ui/units';

const MONTH_DAYS = 30.44;

/** "5 to 9 months", "years": how long the water lasts. */
export function monthsText({ p10, p90 }: Fill['days']): string {
  if (!Number.isFinite(p10)) return 'years';
  const low = Math.max(0, Math.round(p10 / MONTH_DAYS));
  if (!Number.isFinite(p90)) return `${low} months or more`;
  const high = Math.max(1, Math.round(p90 / MONTH_DAYS));
  return low === high ? `about ${high} months` : `${low} to ${high} months`;
}

const FIT_WORDS: Record<Fill['fit'], string> = {
  cramped: 'cramped: she can hardly turn',
  snug: 'snug, as queens like it',
  roomy: 'roomy',
  wide: 'wide: a hall for one queen',
};

/** Everything a fill comes to, in short lines. */
export function fillWords(fill: Fill, unit: 'mm' | 'in'): string[] {
  const times = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)));
  return [
    `${fill.waterMl.toFixed(1)} ml of water, lasts ${monthsText(fill.days)}`,
    `chamber ${lengthText(fill.chamberMm, unit)}${fill.cellMm < fill.chamberMm ? `, cell ${lengthText(fill.cellMm, unit)}` : ''}: ${times(fill.bodies.low)} to ${times(fill.bodies.high)} times her length, ${FIT_WORDS[fill.fit]}`,
    `takes ${fill.floodReserveMl.toFixed(2)} ml (${fill.floodReserveDrops} drops) before water stands`,
  ];
}
