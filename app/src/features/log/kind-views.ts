import { brood } from './kinds/brood/view';
import { correct } from './kinds/correct/view';
import { feed } from './kinds/feed/view';
import { health } from './kinds/health/view';
import { heat } from './kinds/heat/view';
import { home } from './kinds/home/view';
import { identify } from './kinds/identify/view';
import { intake } from './kinds/intake/view';
import { knock } from './kinds/knock/view';
import { look } from './kinds/look/view';
import { loss } from './kinds/loss/view';
import { move } from './kinds/move/view';
import { note } from './kinds/note/view';
import { rest } from './kinds/rest/view';
import { sign } from './kinds/sign/view';
import { winter } from './kinds/winter/view';
import type { EntryBody, KindName } from '@gentle-burrow/core/log';
import type { KindView, Names } from './kind-view';

export type { Names } from './kind-view';

/** How every kind of entry is shown; a kind without a view does not compile. */
const KIND_VIEWS: { [K in KindName]: KindView<K> } = {
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
};

export const kindTitle = (kind: KindName): string => KIND_VIEWS[kind].title;

export const kindIcon = (kind: KindName): string => KIND_VIEWS[kind].icon;

/** An entry in one line. */
export const entryWords = (body: EntryBody, names: Names = {}): string =>
  (KIND_VIEWS[body.kind] as KindView<never>).words(body as never, names);
