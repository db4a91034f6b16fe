import type { TubeMeasures } from '@gentle-burrow/core/facts';
import { joined, type KindView } from '../../kind-view';
import { NAMES } from '@/words/names';

const named = (value: string): string => value || 'none';

/** "16 × 150 mm, water at 85 mm". */
const tubeWords = (t: TubeMeasures): string =>
  `${t.outsideMm} × ${t.lengthMm} mm, bore ${t.boreMm} mm, ${t.end} end, water at ${t.waterLineMm} mm, plugs ${t.plugs.innerMm} and ${t.plugs.outerMm} mm`;

export const correct: KindView<'correct'> = {
  title: NAMES.putRight,
  icon: 'pencil-outline',
  words: ({ label, batch, tube, placeId, text }, names) => {
    const place = (id: string) => names.place?.(id) ?? 'another place';
    return joined(
      label && `name ${label.is}, was ${label.was}`,
      batch && `batch ${named(batch.is)}, was ${named(batch.was)}`,
      tube && `tube ${tubeWords(tube.is)}, was ${tubeWords(tube.was)}`,
      placeId && `first put in ${place(placeId.is)}, not ${place(placeId.was)}`,
      text,
    );
  },
};
