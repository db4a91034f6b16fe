import type { KindView } from '../kind-view';

export const note: KindView<'note'> = { title: 'Note', words: (body) => body.text };
