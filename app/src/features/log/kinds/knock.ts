import type { KindView } from '../kind-view';

export const knock: KindView<'knock'> = {
  title: 'Tube was bumped',
  words: (body) => body.text ?? 'shaken, not on purpose',
};
