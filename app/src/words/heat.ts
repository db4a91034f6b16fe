import type { Heat } from '@gentle-burrow/core/care';

/** What is said before a warmth is chosen; the same limits as on her page. Null where nothing needs to be said. */
export const HEAT_WORDS: Record<Heat, string | null> = {
  danger: 'That is so hot that brood and queen die. Never go there.',
  close: 'That is so close to a heat that kills that a thermometer’s error hides it. Choose a cooler place.',
  hot: 'That is above her best: not faster, only riskier. A cheap thermometer may hide another degree or two.',
  best: null,
  cool: null,
  still: null,
};
