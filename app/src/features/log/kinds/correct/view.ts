import type { BodyMeasures, TubeMeasures } from '@gentle-burrow/core/facts';
import { nounOf } from '@gentle-burrow/core/housing';
import { joined, type KindView } from '../../kind-view';
import { WATER_WORDS } from '@/words/home';
import { NAMES } from '@/words/names';

const named = (value: string): string => value || 'none';

/** "16 × 150 mm, water at 85 mm". */
const tubeWords = (t: TubeMeasures): string =>
  `${t.outsideMm} × ${t.lengthMm} mm, bore ${t.boreMm} mm, ${t.end} end, water at ${t.waterLineMm} mm, plugs ${t.plugs.innerMm} and ${t.plugs.outerMm} mm`;

/** "founding cell 40 × 30 × 15 mm, wet stone". */
const bodyWords = (b: BodyMeasures): string =>
  `${nounOf(b)} ${b.widthMm} × ${b.depthMm} × ${b.heightMm} mm, ${WATER_WORDS[b.water]}`;

export const correct: KindView<'correct'> = {
  title: NAMES.putRight,
  icon: 'pencil-outline',
  words: ({ label, batch, tube, body, placeId, text }, names) => {
    const place = (id: string) => names.place?.(id) ?? 'another place';
    return joined(
      label && `name ${label.is}, was ${label.was}`,
      batch && `batch ${named(batch.is)}, was ${named(batch.was)}`,
      tube && `tube ${tubeWords(tube.is)}, was ${tubeWords(tube.was)}`,
      body && `${bodyWords(body.is)}, was ${bodyWords(body.was)}`,
      placeId && `first put in ${place(placeId.is)}, not ${place(placeId.was)}`,
      text,
    );
  },
};
