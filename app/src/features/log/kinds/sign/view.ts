import { joined, type KindView } from '../../kind-view';
import { SHAPE_WORDS } from '@/words/log';

export const sign: KindView<'sign'> = {
  title: 'Sign',
  icon: 'eye-check-outline',
  words: (body) =>
    joined(
      body.shape && SHAPE_WORDS[body.shape],
      body.restless !== undefined && (body.restless ? 'paces and searches' : 'sits quietly'),
      body.protein && `protein ${body.protein}`,
      body.broodUnfed !== undefined && (body.broodUnfed ? 'brood grew unfed' : 'brood failed unfed'),
      body.text,
    ),
};
