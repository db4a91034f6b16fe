import { countsWords, findingWords } from '../../parts';
import { joined, type KindView } from '../../kind-view';
import { FOUND_WORDS, WINGS_WORDS } from '@/words/log';

export const intake: KindView<'intake'> = {
  title: 'Taken in',
  icon: 'test-tube',
  words: (body) =>
    joined(
      FOUND_WORDS[body.found],
      body.where,
      body.weather,
      body.wings !== 'unknown' && `wings ${WINGS_WORDS[body.wings]}`,
      body.queens !== undefined && body.queens > 1 && `${body.queens} queens in one tube`,
      countsWords(body),
      body.welcomeDrop && 'a welcome drop given',
      body.inspection && findingWords(body.inspection.findings),
      body.text,
    ),
};
