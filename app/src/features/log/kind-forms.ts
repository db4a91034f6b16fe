import type { KindName } from '@gentle-burrow/core/log';
import type { FormKind, KindForm, PagedKind } from './kind-form';
import { brood } from './kinds/brood/form';
import { correct } from './kinds/correct/form';
import { feed } from './kinds/feed/form';
import { health } from './kinds/health/form';
import { heat } from './kinds/heat/form';
import { home } from './kinds/home/form';
import { identify } from './kinds/identify/form';
import { intake } from './kinds/intake/form';
import { knock } from './kinds/knock/form';
import { loss } from './kinds/loss/form';
import { move } from './kinds/move/form';
import { note } from './kinds/note/form';
import { rest } from './kinds/rest/form';
import { sign } from './kinds/sign/form';
import { winter } from './kinds/winter/form';

/** How every kind that has no page of its own is written; a kind without a form does not compile. */
export const KIND_FORMS: { [K in FormKind]: KindForm<K> } = {
  feed,
  note,
  rest,
  loss,
  move,
  knock,
  health,
  identify,
  sign,
  intake,
  correct,
  home,
  brood,
  heat,
  winter,
};

const PAGED: Record<PagedKind, true> = { look: true };

export const hasForm = (kind: KindName): kind is FormKind => !(kind in PAGED);
