import {
  BROOD_THERE_WORDS,
  COVER_WORDS,
  JOINT_WORDS,
  MOVED_HOW_WORDS,
  PURPOSE_WORDS,
  TAKEN_TO_WORDS,
  TALLIED_WORDS,
  WORKERS_THERE_WORDS,
} from '@/words/home';
import { missing } from '@gentle-burrow/core/housing';
import type { HomeChange, Tally } from '@gentle-burrow/core/log';
import { TALLIED, type Tallied } from '@gentle-burrow/core/vocabulary';
import { joined, type KindView, type Names } from '../../kind-view';

const gap = (mm: number | undefined): string | false => mm !== undefined && `gap ${mm} mm`;

/** "in 12 workers, 4 larvae, 1 queen; missing 1 worker: under the brush". */
function tallyWords({ out, into, explained }: Tally): string {
  const list = (some: { who: Tallied; n: number }[]) =>
    some.map(({ who, n }) => `${n} ${TALLIED_WORDS[who](n)}`).join(', ');
  const came = TALLIED.flatMap((who) => (into[who] ? [{ who, n: into[who] }] : []));
  const lost = missing({ out, into });
  return `counted in ${list(came) || 'nobody'}${lost.length > 0 ? `; missing ${list(lost)}` : ''}${explained ? `: ${explained}` : ''}`;
}

function changeWords(change: HomeChange, names: Names): string {
  if (change.what === 'set-up') {
    const { part, purpose, by, gapMm } = change;
    return joined(
      `fresh tube ${part.outsideMm} × ${part.lengthMm} mm ${PURPOSE_WORDS[purpose]}`,
      `water at ${part.waterLineMm} mm`,
      JOINT_WORDS[by],
      gap(gapMm),
    );
  }
  const tube = names.tube?.(change.partId) ?? 'another tube';
  switch (change.what) {
    case 'joined':
      return joined(`${tube} joined`, JOINT_WORDS[change.by], gap(change.gapMm));
    case 'covered':
      return `${tube} ${COVER_WORDS[change.cover]}`;
    case 'taken-away':
      return `${tube} taken away, ${TAKEN_TO_WORDS[change.to]}`;
    case 'moved-in': {
      const { queen, brood, workers, how, waterLineMm, tally } = change;
      return joined(
        `in ${tube}: ${
          joined(
            queen === undefined ? null : queen ? 'the queen' : 'not the queen',
            brood && BROOD_THERE_WORDS[brood],
            workers && WORKERS_THERE_WORDS[workers],
          ) || 'not said who'
        }`,
        MOVED_HOW_WORDS[how],
        tally && tallyWords(tally),
        waterLineMm !== undefined && `water at ${waterLineMm} mm`,
      );
    }
  }
}

export const home: KindView<'home'> = {
  title: 'Change at home',
  icon: 'home-switch-outline',
  words: ({ change, text }, names) => joined(changeWords(change, names), text),
};
