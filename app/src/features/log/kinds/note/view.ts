import type { KindView } from '../../kind-view';

export const note: KindView<'note'> = {
  title: 'Note',
  icon: 'note-text-outline',
  words: (body) => body.text,
};
