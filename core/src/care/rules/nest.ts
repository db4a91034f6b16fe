import type { NestSchoolId } from '../../facts';
import { nounOf, openShare, partOf, standing } from '../../housing';
import { addDays, daysBetween, phrase } from '../../quantity';
import { countedRange } from '../../words';
import type { Case } from '../case';
import { figure } from '../practice';
import { NEST_SCHOOLS, type GrowthSchool } from '../schools';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  verdict,
  type Criterion,
  type Rule,
  type Verdict,
} from '../verdict';
import { hasForagingRoom } from './food';
import {
  answerOf,
  asCriterion,
  asView,
  beforeWinter,
  coldSeason,
  FLOOR_SOURCE,
  floorTaken,
  floorWords,
  fullTo,
  reached,
  type Judged,
} from './growth';

const PREPARED =
  'Prepare it whole before they come: wetted until the sponge darkens, barrier dry, most of it closed off; leave the tube until all are out. Do not push.';

/** Is it time for a nest? Every method side by side. Too early starves and fouls, too late crowds. */
export const nest: Rule = (c) => {
  if (c.life === 'gone' || c.life === 'orphans' || !c.workers) return null;
  const { range } = c.workers;
  // one to ten workers stay in the tube: nobody asks
  if ((range.high ?? Infinity) < figure('grownWorkers') && c.known.castes.majors?.first.by == null)
    return null;
  const judged = NEST_SCHOOLS.map((s) => judge(c, s));
  const mine = (judged.find((j) => j.school.id === c.nestSchool) ?? judged[0]) as Judged<NestSchoolId>;
  const packed = fullTo(c, figure('tubePackedShare')).state === 'met';
  const many = c.tube !== null && range.low >= figure('manyInTube');
  const common = {
    id: 'nest',
    question: 'Is it time for a nest?',
    school: mine.school.name,
    criteria: [asCriterion(mine), ...against(c, packed)],
    others: judged.filter((j) => j !== mine).map(asView),
  } as const;
  if (c.part.kind === 'nest') return inNest(c, common, packed);
  const ready = standing(c.housing).find((p) => p.part.kind === 'nest');
  if (ready && !c.wintering)
    return verdict({
      ...common,
      answer: 'one stands ready',
      says: ['A nest stands ready for them: what is next is told with their move.'],
    });
  if (c.wintering || (coldSeason(c) && !packed && !many))
    return verdict({
      ...common,
      answer: 'not in winter',
      says: ['Not in winter: they would sit still in a large, empty home. Think of it again in spring.'],
    });
  if (many) {
    const says = [
      `${countedRange(range, 'worker')} have outgrown any tube. Open it only inside a rimmed, ventilated box, beside a dark, moist home, and feed at once: they walk over in days. Kinds that spray or sting: eyes and skin covered, fresh air.`,
    ];
    return verdict({
      ...common,
      answer: 'overdue',
      says,
      pressure: 'now',
      asks: [
        ask(
          c,
          'nest',
          [c.now, addDays(c.now, figure('nestOverdueBestDays')), addDays(c.now, figure('nestOverdueDays'))],
          says,
        ),
      ],
    });
  }
  if (mine.state === 'met' || packed) {
    if (c.phase === 'autumn' && !packed)
      return verdict({
        ...common,
        answer: 'yes, after winter',
        says: [
          'They are ready, but winter is near: let them winter where they are, and open the nest in spring.',
        ],
      });
    const says = ['It is time for a nest, as small as will do. ', PREPARED];
    return verdict({
      ...common,
      answer: packed ? `yes, the ${nounOf(c.part)} is packed` : 'yes',
      says,
      pressure: 'soon',
      asks: [
        ask(
          c,
          'nest',
          [
            c.now,
            addDays(c.now, figure('nestBestDays')),
            beforeWinter(c, addDays(c.now, figure('nestSlackDays'))),
          ],
          ['Get a small nest ready and join it; do not push.'],
          {
            obligatory: packed,
          },
        ),
      ],
    });
  }
  return verdict({
    ...common,
    answer: answerOf(mine),
    says: [
      ...mine.says,
      mine.state === 'unmet' ? ' Not yet: in too large a home few ants starve and foul it.' : '',
    ],
    pressure: mine.state === 'unknown' ? 'free' : 'rest',
  });
};

/** As large as they need it and no larger: rooms are opened and shut with the colony. */
function inNest(
  c: Case,
  common: Pick<Verdict, 'id' | 'school' | 'criteria' | 'others'>,
  packed: boolean,
): Verdict {
  const now = partOf(c.housing, c.part.id);
  const rooms = c.part.kind === 'tube' ? 1 : c.part.rooms;
  const shut = now !== undefined && openShare(now) < 1;
  const said = { ...common, question: 'Is her nest large enough?', answer: 'she has one' };
  if (packed && !c.wintering)
    return verdict({
      ...said,
      answer: 'too small',
      says: [
        shut
          ? 'Open one more room: they fill those that are open. '
          : 'They fill the nest: join another to it, or a larger one, with room for the next season and no more. ',
        ...floorWords(c),
      ],
      pressure: 'soon',
      asks: [
        ask(
          c,
          'nest',
          [c.now, addDays(c.now, figure('nestBestDays')), addDays(c.now, figure('nestSlackDays'))],
          [shut ? 'Open one more room of the nest.' : 'Join another nest.'],
          { obligatory: false },
        ),
      ],
    });
  const empty = floorTaken(c)?.high ?? 1;
  if (empty < figure('nestEmptyShare'))
    return verdict({
      ...said,
      says: [
        `The nest is too large for so few: they foul what they do not use. ${rooms > 1 ? 'Shut all rooms but one or two.' : 'A smaller one would do.'} `,
        ...floorWords(c),
      ],
      pressure: 'free',
      notice: true,
    });
  return verdict({ ...said, says: ['They live in a nest. ', ...floorWords(c)] });
}

const isLarge = ({ profile }: Case): boolean => profile.workerLengthMm.value.high > figure('largeWorkerMm');

function judge(c: Case, school: GrowthSchool<NestSchoolId>): Judged<NestSchoolId> {
  const range = c.workers?.range ?? { low: 0, high: 0 };
  const evidence = c.workers ? [c.workers.entryId] : [];
  const base = { school, evidence, until: null, margin: null };
  const counting = { settles: 'Count the workers at the next look.' };
  switch (school.id) {
    case 'count': {
      const large = isLarge(c);
      const need = large ? figure('nestLarge') : figure('nestSmall');
      const to = large ? '' : ` to ${figure('nestSmallBy')}`;
      return {
        ...base,
        ...counting,
        ...reached(range, need),
        says: [`${countedRange(range, 'worker')}; for her kind a nest is given at ${need}${to}.`],
      };
    }
    case 'packed-full':
      return {
        ...base,
        ...counting,
        ...fullTo(c, figure('tubePackedShare')),
        says: floorWords(c),
        prior: FLOOR_SOURCE,
      };
    case 'as-late-as-possible': {
      const dry = c.water?.dryAt.p10 ?? null;
      const days = dry === null ? null : daysBetween(c.now, dry);
      const worn =
        (days !== null && days <= figure('freshHomeEarlyDays')) || c.known.mould?.value === 'near-brood';
      const full = fullTo(c, figure('tubePackedShare'));
      return {
        ...base,
        ...counting,
        state: worn ? 'met' : full.state,
        margin: full.margin,
        says: worn
          ? [`Her ${nounOf(c.part)} is running dry, or fouling.`]
          : [...floorWords(c), ` Her ${nounOf(c.part)} is neither dry nor dirty.`],
      };
    }
    case 'first-major': {
      const majors = c.known.castes.majors;
      const seen = majors?.first.by ?? null;
      return {
        ...base,
        state: seen ? 'met' : majors ? 'unmet' : 'unknown',
        evidence: majors ? [majors.last.entryId] : [],
        says: seen
          ? phrase`The first major was seen by ${{ date: seen }}.`
          : majors
            ? ['No major yet.']
            : ['Nobody has looked for majors.'],
        settles: 'Note majors at the next look, if her kind has them.',
      };
    }
    case 'behaviour': {
      const room = hasForagingRoom(c);
      return {
        ...base,
        state: 'unknown',
        says: [
          room
            ? 'How fast they find food has not been logged.'
            : 'They have no foraging space yet: give one first, and see how they use it.',
        ],
        settles: room ? 'Note at the next feed how long they take to find it.' : 'A foraging space shows it.',
      };
    }
  }
}

function against(c: Case, packed: boolean): Criterion[] {
  const range = c.workers?.range ?? { low: 0, high: 0 };
  const least = figure('nestLarge');
  const early = range.high !== null && range.high < least;
  return [
    criterion(
      'too-early',
      early ? 'unmet' : 'met',
      [
        early
          ? `Fewer than ${least} workers: refuse and mould inside, and hunger because all stay in.`
          : 'Enough of them to hold a small nest and still forage.',
      ],
      COMMON_PRACTICE,
    ),
    criterion(
      'too-late',
      packed ? 'unmet' : 'met',
      [...floorWords(c), packed ? ' Crowding brings losses and escapes.' : ''],
      `${COMMON_PRACTICE}; ${FLOOR_SOURCE}`,
    ),
  ];
}
