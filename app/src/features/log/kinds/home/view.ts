import {
  BROOD_THERE_WORDS,
  COVER_WORDS,
  GATE_WORDS,
  JOINT_WORDS,
  MOISTURE_WORDS,
  MOVED_HOW_WORDS,
  PURPOSE_WORDS,
  TAKEN_TO_WORDS,
  TALLIED_WORDS,
  WATER_WORDS,
  WORKERS_THERE_WORDS,
} from '@/words/home';
import { gateName } from '@/features/home/gate-name';
import { missing, nounOf } from '@gentle-burrow/core/housing';
import type { HomeChange, Tally } from '@gentle-burrow/core/log';
import { TALLIED, type Tallied } from '@gentle-burrow/core/vocabulary';
import { inTheirs, joined, type KindView, type Names } from '../../kind-view';

type Lengths = ReturnType<typeof inTheirs>;

const gap = (mm: number | undefined, { fine }: Lengths): string | false =>
  mm !== undefined && `gap ${fine(mm)}`;

/** "in 12 workers, 4 larvae, 1 queen; missing 1 worker: under the brush". */
function tallyWords({ out, into, left, lost: gone, explained }: Tally): string {
  const list = (some: { who: Tallied; n: number }[]) =>
    some.map(({ who, n }) => `${n} ${TALLIED_WORDS[who](n)}`).join(', ');
  const counted = (counts: Tally['into'] = {}) =>
    list(TALLIED.flatMap((who) => (counts[who] ? [{ who, n: counts[who] }] : [])));
  const lost = missing({ out, into, left, lost: gone });
  const [stayed, never] = [counted(left), counted(gone)];
  return `counted in ${counted(into) || 'nobody'}${stayed ? `; left in the old one ${stayed}` : ''}${never ? `; lost ${never}` : ''}${lost.length > 0 ? `; missing ${list(lost)}` : ''}${explained ? `: ${explained}` : ''}`;
}

function partWords(
  part: Extract<HomeChange, { what: 'set-up' }>['part'],
  { tube, mm, across }: Lengths,
): string {
  if (part.kind === 'tube')
    return joined(
      `${part.was ? 'tube that was used before' : 'fresh tube'} ${tube(part.outsideMm, part.lengthMm)}`,
      `water at ${mm(part.waterLineMm)}`,
    );
  const { name, widthMm, depthMm, water, rooms } = part;
  return joined(
    `${name ? `${name}, a ` : ''}${nounOf(part)} ${across(widthMm, depthMm)}`,
    rooms > 1 && `${rooms} rooms`,
    WATER_WORDS[water],
  );
}

function changeWords(change: HomeChange, names: Names): string {
  const theirs = inTheirs(names);
  const { mm } = theirs;
  const to = (id: string | undefined): string | false =>
    id !== undefined && `to ${names.part?.(id) ?? 'another part'}`;
  if (change.what === 'set-up') {
    const { part, purpose, by, gapMm, toId, lengthMm, shut } = change;
    return joined(
      partWords(part, theirs),
      PURPOSE_WORDS[purpose],
      JOINT_WORDS[by],
      to(toId),
      gap(gapMm, theirs),
      lengthMm !== undefined && `pipe ${mm(lengthMm)}`,
      shut && 'the way in still shut',
    );
  }
  const part = names.part?.(change.partId) ?? 'another part';
  switch (change.what) {
    case 'joined':
      return joined(
        `${part} joined`,
        JOINT_WORDS[change.by],
        to(change.toId),
        gap(change.gapMm, theirs),
        change.lengthMm !== undefined && `pipe ${mm(change.lengthMm)}`,
      );
    case 'parted':
      return `${part} parted from what it was joined to`;
    case 'gate':
      return `${part}: ${gateName(change.gate)} ${GATE_WORDS[change.state]}`;
    case 'divided':
      return change.divider
        ? `${part}: a wall with a straw at ${mm(change.divider.atMm)}`
        : `${part}: the wall taken out`;
    case 'watered':
      return joined(
        `${part} watered`,
        change.ml !== undefined && `${change.ml} ml`,
        change.was && `it was ${MOISTURE_WORDS[change.was]}`,
        change.opened && 'opened for it',
      );
    case 'cleaned':
      return `${part} cleaned`;
    case 'covered':
      return `${part} ${COVER_WORDS[change.cover]}`;
    case 'taken-away':
      return `${part} taken away, ${TAKEN_TO_WORDS[change.to]}`;
    case 'moved-in': {
      const { queen, brood, workers, how, waterLineMm, tally } = change;
      return joined(
        `in ${part}: ${
          joined(
            queen === undefined ? null : queen ? 'the queen' : 'not the queen',
            brood && BROOD_THERE_WORDS[brood],
            workers && WORKERS_THERE_WORDS[workers],
          ) || 'not said who'
        }`,
        MOVED_HOW_WORDS[how],
        tally && tallyWords(tally),
        waterLineMm !== undefined && `water at ${mm(waterLineMm)}`,
      );
    }
  }
}

export const home: KindView<'home'> = {
  title: 'Change at home',
  icon: 'home-switch-outline',
  words: ({ change, text }, names) => joined(changeWords(change, names), text),
};
