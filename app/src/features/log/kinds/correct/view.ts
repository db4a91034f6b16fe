import type { BodyMeasures, TubeMeasures } from '@gentle-burrow/core/facts';
import { nounOf } from '@gentle-burrow/core/housing';
import { inTheirs, joined, type KindView } from '../../kind-view';
import { WATER_WORDS } from '@/words/home';
import { NAMES } from '@/words/names';

type Lengths = ReturnType<typeof inTheirs>;

const named = (value: string): string => value || 'none';

/** "16 × 150 mm, water at 85 mm". */
const tubeWords = (t: TubeMeasures, { tube, mm, fine }: Lengths): string =>
  `${tube(t.outsideMm, t.lengthMm)}, bore ${fine(t.boreMm)}, ${t.end} end, water at ${mm(t.waterLineMm)}, plugs ${mm(t.plugs.innerMm)} and ${mm(t.plugs.outerMm)}`;

/** "founding cell 40 × 30 × 15 mm, wet stone". */
const bodyWords = (b: BodyMeasures, { across }: Lengths): string =>
  `${nounOf(b)} ${across(b.widthMm, b.depthMm, b.heightMm)}, ${WATER_WORDS[b.water]}`;

export const correct: KindView<'correct'> = {
  title: NAMES.putRight,
  icon: 'pencil-outline',
  words: ({ label, batch, tube, body, placeId, text }, names) => {
    const theirs = inTheirs(names);
    const place = (id: string) => names.place?.(id) ?? 'another place';
    return joined(
      label && `name ${label.is}, was ${label.was}`,
      batch && `batch ${named(batch.is)}, was ${named(batch.was)}`,
      tube && `tube ${tubeWords(tube.is, theirs)}, was ${tubeWords(tube.was, theirs)}`,
      body && `${bodyWords(body.is, theirs)}, was ${bodyWords(body.was, theirs)}`,
      placeId && `first put in ${place(placeId.is)}, not ${place(placeId.was)}`,
      text,
    );
  },
};
