import type { Defence } from './figures';

const STING =
  'She and her workers sting. Stings can cause severe allergic reactions: know your emergency number, do not handle alone.';
/** What each way of defence asks of whoever opens her home; nothing where it hurts nobody. */
export const CAUTION_OF: Record<Defence, string | null> = {
  none: null,
  bites: null,
  smears: 'Smears an irritant from a raised gaster and escapes through very small gaps.',
  'sprays-acid':
    'Sprays acid when disturbed. Keep your eyes and face away from the open tube and give any box good ventilation.',
  'stings-weakly': 'Workers can sting weakly.',
  stings: STING,
  'stings-badly': `${STING} Hers hurts badly.`,
};
