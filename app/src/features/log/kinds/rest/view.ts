import { DAY_MS, daysText } from '@gentle-burrow/core/quantity';
import { dayText } from '@/ui/dates';
import { joined, type KindView } from '../../kind-view';

export const rest: KindView<'rest'> = {
  title: 'Left alone',
  icon: 'weather-night',
  words: (body) => {
    const days = (Date.parse(body.until) - Date.parse(body.at)) / DAY_MS;
    return joined(`until ${dayText(body.until)} (${daysText(days)})`, body.text);
  },
};
