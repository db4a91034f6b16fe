import type { KindView } from '../../kind-view';

export const knock: KindView<'knock'> = {
  title: 'Tube was bumped',
  icon: 'vibrate',
  words: (body) => body.text ?? 'shaken, not on purpose',
};
