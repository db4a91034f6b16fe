import type { Defence, KindFigures } from './figures';

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

/** What the temper of a kind asks of whoever opens its home. Common practice, no source. */
export const OPENING: Record<KindFigures['temper'], string | null> = {
  calm: null,
  unknown: null,
  quick: 'Her kind is quick: have the plug in your hand before you open, and stand her home in a tray.',
  fierce: 'Her kind defends its home at once: open it no wider than you must, with the plug in your hand.',
  shy: 'Her kind is shy: light and bumps cost it more than others. Open under red light, and be done soon.',
};
