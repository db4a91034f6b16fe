/** How much a verdict presses, from nothing to now. */
export const PRESSURES = ['rest', 'free', 'soon', 'now'] as const;
export type Pressure = (typeof PRESSURES)[number];
export const pressureRank = (p: Pressure): number => PRESSURES.indexOf(p);
