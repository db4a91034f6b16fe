import { nounOf, openShare, partOf, standing } from '../../../housing';
import { addDays } from '../../../quantity';
import { countedRange } from '../../../words';
import type { Case } from '../../case';
import { figure } from '../../practice';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  verdict,
  type Criterion,
  type Rule,
  type Verdict,
} from '../../verdict';
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
} from './growth';
import { judgedNest } from './nest-methods';
import { newHome, nextHome } from './next';

const PREPARED =
  'Prepare it whole before they come: wetted until the sponge darkens, barrier dry, most of it closed off; leave the tube until all are out. Do not push.';

/** Is it time for a nest? Every method side by side, and one answer about where they live next. */
export const nest: Rule = (c) => {
  if (c.life === 'gone' || c.life === 'orphans' || !c.workers) return null;
  const { range } = c.workers;
  const inOne = c.part.kind === 'nest';
  // one to ten workers stay in the tube: nobody asks
  if (!inOne && (range.high ?? Infinity) < figure('grownWorkers') && c.known.castes.majors?.first.by == null)
    return null;
  const { mine, others } = judgedNest(c);
  const packed = fullTo(c, figure('tubePackedShare')).state === 'met';
  const common = {
    id: 'nest',
    question: 'Is it time for a nest?',
    school: mine.school.name,
    criteria: [asCriterion(mine), ...against(c, packed)],
    others: others.map(asView),
  } as const;
  if (inOne) return inNest(c, common, packed);
  const ready = standing(c.housing).find((p) => p.part.kind === 'nest');
  if (ready && !c.wintering)
    return verdict({
      ...common,
      answer: 'one stands ready',
      says: ['A nest stands ready for them: what is next is told with their move.'],
    });
  const next = nextHome(c);
  const wants = mine.state === 'met' || packed;
  if (next.is === 'moving' || next.is === 'fresh')
    return verdict({
      ...common,
      answer: wants ? 'after the move' : answerOf(mine),
      says: wants ? [`Let them settle in the ${newHome(c)} first. The nest comes after that.`] : mine.says,
    });
  if (next.is === 'stay')
    return verdict({
      ...common,
      ...(next.why === 'winter' || (next.why === 'before-winter' && !wants && coldSeason(c))
        ? {
            answer: 'not in winter',
            says: [
              'Not in winter: they would sit still in a large, empty home. Think of it again in spring.',
            ],
          }
        : next.why === 'before-winter' && wants
          ? {
              answer: 'yes, after winter',
              says: [
                'They are ready, but winter is near: let them winter where they are, and open the nest in spring.',
              ],
            }
          : {
              answer: answerOf(mine),
              says: [
                ...mine.says,
                mine.state === 'unmet' ? ' Not yet: in too large a home few ants starve and foul it.' : '',
              ],
              pressure: mine.state === 'unknown' ? ('free' as const) : ('rest' as const),
            }),
    });
  if (next.why === 'many') {
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
  const says = [
    next.why === 'instead-of-tube'
      ? 'Open a nest for them now rather than a fresh tube: they are too many for one. '
      : 'It is time for a nest, as small as will do. ',
    PREPARED,
  ];
  return verdict({
    ...common,
    answer: next.why === 'packed' ? `yes, the ${nounOf(c.part)} is packed` : 'yes',
    says,
    pressure: next.why === 'instead-of-tube' ? 'now' : 'soon',
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
          obligatory: next.why !== 'method',
        },
      ),
    ],
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
  const { high } = c.workers?.range ?? { high: 0 };
  if (high !== null && high < figure('nestLarge') && !c.wintering)
    return verdict({
      ...said,
      question: 'Is her nest right for so few?',
      answer: 'entered too early',
      says: [
        `${rooms > 1 ? 'Shut all rooms but one, feed' : 'Feed'} beside the entrance, and keep their old tube joined or give it back. So few ants can starve in a nest, or foul it.`,
      ],
      pressure: 'free',
      notice: true,
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
