import type { EntryKind } from '@gentle-burrow/core/log';

/** What an entry of each kind is called inside a sentence: "from the look of 3 May". */
export const KIND_NOUNS: Record<EntryKind, string> = {
  intake: 'intake',
  look: 'look',
  feed: 'feed',
  note: 'note',
  rest: 'rest',
  loss: 'loss',
  move: 'move',
  knock: 'bump',
  health: 'looking over',
  identify: 'change of species',
  sign: 'sign',
  correct: 'correction',
  home: 'change at home',
  brood: 'moving of brood',
  heat: 'setting of the heat',
  winter: 'plan of her winter',
  amendment: 'correction',
};
