import { joined, type KindView } from '../../kind-view';
import { CAUSE_WORDS, CERTAINTY_WORDS, LOSS_WORDS } from '@/words/log';

export const loss: KindView<'loss'> = {
  title: 'Lost',
  icon: 'leaf-off',
  words: (body) =>
    joined(
      LOSS_WORDS[body.how],
      CAUSE_WORDS[body.cause],
      body.certainty && CERTAINTY_WORDS[body.certainty],
      body.colonyGoesOn && 'her workers live on',
      body.text,
    ),
};
