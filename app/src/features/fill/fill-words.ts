import { LOSS_TIMES, type Fill, type FillSchool, type Lasting } from '@gentle-burrow/core/tube';
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
  cramped: 'for a large one hardly room to turn',
  snug: 'snug',
  roomy: 'roomy',
  wide: 'wide: a hall for one queen',
};

const LASTING_WORDS: Record<Lasting, string> = {
  longest: ', longest of these',
  shortest: ', shortest of these',
  between: '',
  alike: '',
};

/** Where its water is reckoned to last otherwise than its school holds. */
const otherwise = ({ lasting, school }: Among, fill: Fill, unit: 'mm' | 'in'): string[] =>
  school.holdsLongest && (lasting === 'shortest' || lasting === 'between')
    ? [`by our reckoning it does not last longer: vapour has only ${lengthText(fill.pathMm, unit)} to go`]
    : [];

/** The school that a fill belongs to, and where it stands among the others. */
export interface Among {
  lasting: Lasting;
  school: FillSchool;
}

/** Who says how long the water lasts, and how surely. */
export const PRIOR_WORDS = `By Stefan’s diffusion tube (transport textbooks) along chamber and cotton. What cotton and room add is our own prior: eight tubes of ten lose ${LOSS_TIMES.low.toFixed(1)} to ${LOSS_TIMES.high.toFixed(1)} times as much. Her water lines will correct it.`;

/** Everything a fill comes to, in short lines. */
export function fillWords(fill: Fill, unit: 'mm' | 'in', among?: Among): string[] {
  const times = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)));
  return [
    `${fill.waterMl.toFixed(1)} ml of water, lasts ${monthsText(fill.days)}${among ? LASTING_WORDS[among.lasting] : ''}`,
    ...(among ? otherwise(among, fill, unit) : []),
    `chamber ${lengthText(fill.chamberMm, unit)}${fill.cellMm < fill.chamberMm ? `, cell ${lengthText(fill.cellMm, unit)}` : ''}: ${times(fill.bodies.low)} to ${times(fill.bodies.high)} times her length, ${FIT_WORDS[fill.fit]}`,
    `takes ${fill.floodReserveMl.toFixed(2)} ml (${fill.floodReserveDrops} drops) before water stands`,
  ];
}
