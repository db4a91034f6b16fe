import { lengthText, tempText } from '@/ui/units';
import { joined, type KindView } from '../../kind-view';

export const heat: KindView<'heat'> = {
  title: 'Heat',
  icon: 'heating-coil',
  words: ({ matMm, readings = [], setC, text }) =>
    joined(
      matMm === null ? 'taken away' : `${lengthText(matMm, 'mm')} from the mouth`,
      ...readings.map((r) => `${tempText(r.tempC, 'C')} at ${lengthText(r.mm, 'mm')}`),
      setC === undefined ? null : `thermostat at ${tempText(setC, 'C')}`,
      text,
    ),
};
