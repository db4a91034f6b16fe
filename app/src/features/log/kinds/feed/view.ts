import { joined, type KindView } from '../../kind-view';
import { MEAL_WORDS, OUTCOME_WORDS, SPOT_WORDS, WAY_WORDS } from '@/words/log';

export const feed: KindView<'feed'> = {
  title: 'Fed',
  icon: 'food-apple-outline',
  words: (body) =>
    joined(
      MEAL_WORDS[body.food],
      OUTCOME_WORDS[body.outcome],
      body.spot && SPOT_WORDS[body.spot],
      body.way && WAY_WORDS[body.way],
      body.rushed && 'they rushed at it',
      body.text,
    ),
};
