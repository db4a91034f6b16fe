/**
 * Chance that a look overlooks a stage that has only just appeared, by milestone (eggs, larvae, pupae, workers), and
 * how fast that fades as there is more of it to see. Priors: the first few eggs lie in the cotton or under her.
 */
const FIRST_DAY_MISS = [0.45, 0.35, 0.2, 0.05];
const FADE_DAYS = 5;

/** How many days before a look without a stage the stage may still have begun, overlooked. */
export const SOFT_DAYS = 20;

/**
 * @param milestone 0 eggs, 1 larvae, 2 pupae, 3 workers
 * @param days how long it had been there at the look
 * @param strain widened with the spreads when the log contradicts the profile
 */
export function missChance(milestone: number, days: number, strain = 1): number {
  return (FIRST_DAY_MISS[milestone] as number) * Math.exp(-days / (FADE_DAYS * strain));
}
