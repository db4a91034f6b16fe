import { brood } from './kinds/brood';
import { correct } from './kinds/correct';
import { feed } from './kinds/feed';
import { health } from './kinds/health';
import { heat } from './kinds/heat';
import { home } from './kinds/home';
import { identify } from './kinds/identify';
import { intake } from './kinds/intake';
import { knock } from './kinds/knock';
import { look } from './kinds/look';
import { loss } from './kinds/loss';
import { move } from './kinds/move';
import { note } from './kinds/note';
import { rest } from './kinds/rest';
import { sign } from './kinds/sign';
import { winter } from './kinds/winter';

/** Every kind of entry that states a fact: a new one is one more file and one more name here. */
export const KINDS = {
  intake,
  look,
  feed,
  note,
  rest,
  loss,
  move,
  knock,
  health,
  identify,
  sign,
  correct,
  home,
  brood,
  heat,
  winter,
} as const;

export type KindName = keyof typeof KINDS;
export const KIND_NAMES = Object.keys(KINDS) as KindName[];
