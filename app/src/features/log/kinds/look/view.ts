import { countText } from '@gentle-burrow/core/quantity';
import { CASTES } from '@gentle-burrow/core/vocabulary';
import { countsWords } from '../../parts';
import { inTheirs, joined, type KindView } from '../../kind-view';
import {
  CASTE_WORDS,
  FRONT_WORDS,
  MOULD_SIZE_WORDS,
  MOULD_WORDS,
  PUPAE_WORDS,
  TROUBLE_WORDS,
} from '@/words/log';

export const look: KindView<'look'> = {
  title: 'Look',
  icon: 'eye-outline',
  words: (body, names) =>
    joined(
      body.queen === 'not-seen' && 'queen not seen',
      countsWords(body) || 'brood not counted',
      ...CASTES.map((c) => body[c] && `${CASTE_WORDS[c]} ${countText(body[c])}`),
      body.deadWorkers && `dead workers ${countText(body.deadWorkers)}`,
      body.pupaeIn && PUPAE_WORDS[body.pupaeIn],
      body.queensSeen !== undefined && `queens seen ${body.queensSeen}`,
      body.photos && (body.photos.length === 1 ? 'a photo' : `${body.photos.length} photos`),
      body.waterLineMm !== undefined && `water at ${inTheirs(names).mm(body.waterLineMm)}`,
      body.wetFront && FRONT_WORDS[body.wetFront],
      body.mould && body.mould !== 'none' && MOULD_WORDS[body.mould],
      body.mouldSize && MOULD_SIZE_WORDS[body.mouldSize],
      ...(body.troubles ?? []).map((t) => TROUBLE_WORDS[t]),
      body.text,
    ),
};
