import { feed } from './kinds/feed';
import { health } from './kinds/health';
import { identify } from './kinds/identify';
import { intake } from './kinds/intake';
import { knock } from './kinds/knock';
import { look } from './kinds/look';
import { loss } from './kinds/loss';
import { move } from './kinds/move';
import { note } from './kinds/note';
import { rest } from './kinds/rest';
import { sign } from './kinds/sign';
import type { EntryBody, KindName } from '@gentle-burrow/core';
import type { KindView, Names } from './kind-view';

export type { Names } from './kind-view';

/** How every kind of entry is shown; a kind without a view does not compile. */
export const KIND_VIEWS: { [K in KindName]: KindView<K> } = {
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
};

export const kindTitle = (kind: KindName): string => KIND_VIEWS[kind].title;

/** An entry in one line. */
export const entryWords = (body: EntryBody, names: Names = {}): string =>
  (KIND_VIEWS[body.kind] as KindView<never>).words(body as never, names);
