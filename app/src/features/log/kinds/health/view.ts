import { dayText } from '@/ui/dates';
import { findingWords } from '../../parts';
import { joined, type KindView } from '../../kind-view';

export const health: KindView<'health'> = {
  title: 'Looked over',
  icon: 'bandage',
  words: (body) =>
    joined(
      findingWords(body.findings),
      body.quarantineUntil ? `in quarantine until ${dayText(body.quarantineUntil)}` : 'no quarantine',
      body.text,
    ),
};
