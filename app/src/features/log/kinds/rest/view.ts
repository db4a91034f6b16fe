import { daysText } from '@gentle-burrow/core/quantity';
import { dayText } from '@/ui/dates';
import { joined, type KindView } from '../../kind-view';

export const rest: KindView<'rest'> = {
  title: 'Left alone',
  icon: 'weather-night',
  words: (body) => {
    const days = (Date.parse(body.until) - Date.parse(body.at)) / 86_400_000;
    return joined(`until ${dayText(body.until)} (${daysText(days)})`, body.text);
  },
};
