import { inTheirs, joined, type KindView } from '../../kind-view';

export const heat: KindView<'heat'> = {
  title: 'Heat',
  icon: 'heating-coil',
  words({ matMm, readings = [], setC, text }, names) {
    const { mm, c } = inTheirs(names);
    return joined(
      matMm === null ? 'taken away' : `${mm(matMm)} from the mouth`,
      ...readings.map((r) => `${c(r.tempC)} at ${mm(r.mm)}`),
      setC === undefined ? null : `thermostat at ${c(setC)}`,
      text,
    );
  },
};
