import type { QueenLedger } from '../ledger/queen-ledger';

/**
 * Share of queens that will never lay, by how they came: a queen that was seen with brood or workers has laid. Priors; that
 * shed wings prove nothing, and that offspring are the only proof, is common practice.
 */
const NEVER_LAYS = { caught: 0.05, traded: 0.08, colony: 0.01 } as const;

/** How likely it was, before any look, that she never lays. */
export function neverLaysPrior({ intake, appearances, broodLost }: QueenLedger): number {
  if (!intake || appearances.eggs.interval.by !== null || broodLost.length > 0) return 0;
  switch (intake.found) {
    case 'bought-with-workers':
    case 'small-colony':
      return NEVER_LAYS.colony;
    case 'bought':
    case 'swapped':
    case 'given':
      return NEVER_LAYS.traded;
    default:
      return NEVER_LAYS.caught;
  }
}
