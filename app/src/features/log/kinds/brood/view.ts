import { broodWords } from '@gentle-burrow/core/words';
import { joined, type KindView } from '../../kind-view';

export const brood: KindView<'brood'> = {
  title: 'Brood moved',
  icon: 'egg-outline',
  words: (body, names) =>
    joined(
      `${broodWords(body.counts)} ${body.way === 'given' ? 'given to' : 'from'} ${names.queen?.(body.otherId) ?? 'another colony'}`,
      body.chilledMinutes !== undefined &&
        `chilled for ${body.chilledMinutes} ${body.chilledMinutes === 1 ? 'minute' : 'minutes'}`,
      body.text,
    ),
};
