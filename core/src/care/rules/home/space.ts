import type { FeedSpot, SpaceSchoolId } from '../../../facts';
import { isShut, nounOf, standing } from '../../../housing';
import { addDays, daysBetween, msOf, phrase, type Phrase } from '../../../quantity';
import { countedRange } from '../../../words';
import type { Case } from '../../case';
import { narrowerThan } from '../../gap';
import { wideOpenings, type WideOpening } from '../../openings';
import { figure } from '../../practice';
import { SPACE_SCHOOLS, type GrowthSchool } from '../../schools';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  verdict,
  type Criterion,
  type Rule,
  type Verdict,
} from '../../verdict';
import { fedOutside, hasForagingRoom, isRoom } from '../food';
import { spaceWaits } from './next';
import {
  answerOf,
  asCriterion,
  asView,
  beforeWinter,
  coldSeason,
  FLOOR_SOURCE,
  floorWords,
  fullTo,
  reached,
  type Judged,
} from './growth';

type Common = Pick<Verdict, 'id' | 'question' | 'school' | 'criteria' | 'others'>;

const QUESTION = 'Is it time for a foraging space?';
const safety = ({ part, profile }: Case): string =>
  `Small, with a vented lid and a tested barrier${
    profile.climbsGlass.value ? '' : ', though clean glass mostly holds her kind'
  }${part.kind === 'nest' ? '' : `; the ${nounOf(part)} stays her home, its mouth narrowed`}. No gap and no mesh as wide as ${narrowerThan(profile)}.`;

/** Is it time for a foraging space? Every method side by side. */
export const space: Rule = (c) => {
  if (c.life === 'gone' || c.life === 'orphans') return null;
  const must = c.eating === 'must';
  if (!c.workers && !must) return null;
  const judged = SPACE_SCHOOLS.map((s) => judge(c, s));
  const mine = (judged.find((j) => j.school.id === (must ? 'from-the-start' : c.spaceSchool)) ??
    judged[0]) as Judged<SpaceSchoolId>;
  const common = {
    id: 'space',
    question: QUESTION,
    school: mine.school.name,
    criteria: [asCriterion(mine), ...against(c)],
    others: judged.filter((j) => j !== mine).map(asView),
  } as const;
  // a queen that must eat is fed through a room of her own: a meal of which nobody says where tells that there is one
  const has = hasForagingRoom(c) || (must && c.known.offers.some((o) => o.spot === null));
  const [wide] = c.workers && !c.wintering ? wideOpenings(c.profile, c.housing) : [];
  if (wide) {
    const { answer, says } = close(wide, c.profile);
    return verdict({
      ...common,
      answer,
      says,
      pressure: 'soon',
      asks: [ask(c, 'space', [c.now, c.now, addDays(c.now, figure('moveStepDays'))], says)],
    });
  }
  if (has)
    return verdict({
      ...common,
      answer: 'she has one',
      says: [
        c.tube?.divider
          ? 'Her tube is divided: feed her in the outer room.'
          : 'She has a room to eat in: nothing more is needed for now.',
      ],
    });
  const outside = fedOutside(c);
  if (outside) return unlogged(c, common, outside);
  const shut = standing(c.housing).find((p) => isRoom(p) && isShut(c.housing, p));
  if (c.wintering || (coldSeason(c) && !must))
    return verdict({
      ...common,
      answer: 'not in winter',
      says: ['Not in winter: give it when she is awake again.'],
    });
  const waits = spaceWaits(c);
  if (waits)
    return verdict({
      ...common,
      answer: waits === 'nest' ? 'with the nest' : 'after the move',
      says: [
        waits === 'nest'
          ? 'Set up a small foraging space together with the nest and connect it: refuse must get out of a nest.'
          : 'Wait until they have moved, then give them a foraging space.',
      ],
    });
  const inNest = c.part.kind === 'nest';
  const full = inNest || fullTo(c, figure('tubeFullShare')).state === 'met';
  if (mine.state === 'met' || full) {
    const from = must ? addDays(c.known.intake?.at ?? c.now, figure('roomFromDays')) : c.now;
    const says = [
      shut
        ? `Her ${nounOf(shut.part)} stands joined, and the way into it is shut: open it. `
        : must
          ? 'She must eat while she founds, so she needs a small room to eat in from the start: a divided tube or a small joined chamber. '
          : inNest
            ? 'Connect a small foraging space to the nest: a colony in a nest always needs one, for its food and its refuse. '
            : 'Give a small foraging space. ',
      safety(c),
    ];
    const open = msOf(from) <= msOf(c.now);
    return verdict({
      ...common,
      answer: must ? 'yes, from the start' : 'yes',
      says,
      pressure: open ? 'soon' : 'rest',
      until: open ? null : from,
      asks: [
        ask(
          c,
          'space',
          [
            from,
            addDays(from, figure(must ? 'roomFromDays' : 'spaceBestDays')),
            must
              ? addDays(from, figure('mustEatByDays'))
              : beforeWinter(c, addDays(from, figure('spaceSlackDays'))),
          ],
          [says[0]?.trim() ?? ''],
          { obligatory: must || full },
        ),
      ],
    });
  }
  return verdict({
    ...common,
    answer: answerOf(mine),
    says: mine.says,
    pressure: mine.state === 'unknown' ? 'free' : 'rest',
    until: mine.until,
  });
};

const UNLOGGED: Record<Exclude<FeedSpot, 'cell'>, string> = {
  'outer-room':
    'You fed her in an outer room, and none is in her log. Log it: a divider in her tube, or what is connected to it.',
  'foraging-space':
    'You fed them in a foraging space, and none is in the log. Log the foraging space and how it is connected.',
};

/** She was fed in a room that her log does not know: it is asked for, and until then nothing is concluded from it. */
function unlogged(c: Case, common: Common, spot: FeedSpot): Verdict {
  const says = [UNLOGGED[spot as keyof typeof UNLOGGED]];
  return verdict({
    ...common,
    answer: 'not in her log',
    says,
    asks: c.wintering
      ? []
      : [
          ask(c, 'space', [c.now, c.now, addDays(c.now, figure('spaceBestDays'))], says, {
            obligatory: false,
          }),
        ],
  });
}

/** What is done about an opening through which her smallest workers walk out. */
function close({ what, part, mm }: WideOpening, profile: Case['profile']): { answer: string; says: Phrase } {
  const noun = nounOf(part.part);
  const entered = phrase` You entered ${{ mm }}, and workers can walk through it: it must be narrower than ${{ word: narrowerThan(profile) }}.`;
  switch (what) {
    case 'mesh':
      return {
        answer: 'its mesh is too wide',
        says: [`Cover or replace the mesh of her ${noun} now.`, ...entered],
      };
    case 'gap':
      return {
        answer: 'its gap is too wide',
        says: [`Narrow the gap where her ${noun} is connected, with tape or cotton.`, ...entered],
      };
    case 'port':
      return {
        answer: 'it has an open port',
        says: [`Plug the open port of her ${noun} now: it leads outside, and workers can walk out.`],
      };
  }
}

function judge(c: Case, school: GrowthSchool<SpaceSchoolId>): Judged<SpaceSchoolId> {
  const range = c.workers?.range ?? { low: 0, high: 0 };
  const evidence = c.workers ? [c.workers.entryId] : [];
  const base = { school, evidence, until: null, margin: null };
  switch (school.id) {
    case 'first-workers': {
      const by = c.known.appearances.workers.interval.by ?? c.workers?.at ?? null;
      if (by === null) return { ...base, state: 'unmet', says: ['No workers yet.'] };
      const hard = addDays(by, figure('hardenDays'));
      const days = daysBetween(hard, c.now);
      return {
        ...base,
        state: days >= 0 ? 'met' : 'unmet',
        margin: { value: days, unit: 'days' },
        until: days >= 0 ? null : hard,
        says: phrase`First workers by ${{ date: by }}, hardened from ${{ date: hard }} on.`,
      };
    }
    case 'about-fifteen': {
      const need = figure('spaceWorkers');
      return {
        ...base,
        ...reached(range, need),
        says: [`${countedRange(range, 'worker')}; about ${need} is when it is given.`],
        settles: 'Count the workers at the next look.',
      };
    }
    case 'tube-full':
      return {
        ...base,
        ...fullTo(c, figure('tubeFullShare')),
        says: floorWords(c),
        prior: FLOOR_SOURCE,
        settles: 'Count the workers at the next look.',
      };
    case 'from-the-start':
      return {
        ...base,
        state: c.eating === 'must' ? 'met' : c.eating === 'perhaps' ? 'unknown' : 'unmet',
        says: [
          c.eating === 'must'
            ? 'She must eat while she founds.'
            : c.eating === 'perhaps'
              ? 'Perhaps she must eat: then she needs it from the start.'
              : 'She need not eat while she founds.',
        ],
        settles: 'A tiny protein offer: taken or refused.',
      };
  }
}

function against(c: Case): Criterion[] {
  const few =
    c.workers !== null && c.workers.range.high !== null && c.workers.range.high < figure('grownWorkers');
  return [
    criterion(
      'too-early',
      few ? 'unmet' : 'met',
      [
        few
          ? 'So few workers seldom go out, and one lost is a catastrophe.'
          : 'There are enough of them, or she goes out herself.',
      ],
      COMMON_PRACTICE,
    ),
    criterion(
      'too-late',
      fullTo(c, figure('tubePackedShare')).state === 'met' ? 'unmet' : 'met',
      floorWords(c),
      `${COMMON_PRACTICE}; ${FLOOR_SOURCE}`,
    ),
  ];
}
