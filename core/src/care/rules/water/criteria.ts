import { daysBetween, phrase, type Phrase } from '../../../quantity';
import { underWay } from '../../../housing';
import { livesInTube, type Case, type InTube } from '../../case';
import { figure } from '../../practice';
import { COMMON_PRACTICE, criterion, OWN_PRIOR, type Criterion } from '../../verdict';
import { tubeFault } from '../tube-fault';
import { range } from './words';

/** Whether her water lasts longer than a move may take. */
export function supply(c: InTube, daysLeft: number | null): Criterion {
  const late = figure('freshHomeLateDays');
  const { readings } = c.water;
  return criterion(
    'supply',
    daysLeft === null || daysLeft > late ? 'met' : 'unmet',
    range(c),
    readings > 1
      ? `reckoned from how vapour leaves a tube, corrected by ${readings} readings of her water line`
      : 'reckoned from how vapour leaves a tube; the next water line read will correct it',
    { margin: daysLeft === null ? null : { value: daysLeft - late, unit: 'days' } },
  );
}

/** How far the plug was wet when it was last noted. */
export function plug(c: Case): Criterion[] {
  const front = c.known.wetFront;
  if (!front)
    return [
      criterion('plug', 'unknown', ['No look has noted how far the plug is wet.'], COMMON_PRACTICE, {
        settles: 'Note the wet front at the next look.',
      }),
    ];
  const fault = tubeFault(c);
  const bad = fault?.id === 'plug';
  const old = daysBetween(front.at, c.now) > figure('freshLineDays');
  const dry = livesInTube(c) ? c.water.dryAt.p10 : null;
  // what was right weeks ago says nothing beside a line that may have ended since
  if (!bad && old && dry !== null && daysBetween(c.now, dry) <= figure('freshHomeLateDays'))
    return [
      criterion(
        'plug',
        'unknown',
        phrase`The plug was in order on ${{ date: front.at }}: too long ago to say that she has water now.`,
        COMMON_PRACTICE,
        { evidence: [front.entryId], settles: 'Note how far the plug is wet at the next look.' },
      ),
    ];
  const fine: Phrase =
    front.value === 'right'
      ? ['The wet front stops short of the chamber, as it should.']
      : ['The wet front stands at the face of the plug: read it again at the next look.'];
  return [
    criterion(
      'plug',
      bad ? 'unmet' : 'met',
      bad && fault ? (underWay(c.move) ? fault.aid : fault.says) : fine,
      COMMON_PRACTICE,
      {
        evidence: [front.entryId],
      },
    ),
  ];
}

/** A line that falls far faster than vapour can leave leaks; one that stands still feeds no plug. */
export function pace(c: InTube): Criterion[] {
  const { pace: read } = c.water;
  // in the cold next to nothing leaves, and an error of reading is many times that
  if (!read || c.wintering) return [];
  const leaks = read.low >= figure('leakTimes');
  const stands = read.high <= figure('standsTimes');
  const says: Phrase = leaks
    ? [
        `Her water falls at least ${Math.floor(read.low)} times as fast as it can leave as vapour: it may leak past the plug. Look at the plug and at the floor of her cell.`,
      ]
    : stands
      ? [
          'Her water line hardly falls: the plug may be pushed too tight, and let no water through. Look how far it is wet.',
        ]
      : ['Her water line falls about as it is reckoned to.'];
  return [
    criterion(
      'rate',
      leaks || stands ? 'unmet' : 'met',
      says,
      `reckoned from the last lines read; from which pace on it is told is ${OWN_PRIOR}`,
      { evidence: c.known.waterReadings.slice(-2).map((r) => r.entryId) },
    ),
  ];
}

/** A line cannot rise by itself. */
export function rise({ known, tube }: InTube): Criterion[] {
  const [last, before] = [known.waterReadings.at(-1), known.waterReadings.at(-2)];
  const earlier = before ?? { mm: tube.waterLineMm, entryId: null };
  if (!last || last.mm - earlier.mm <= figure('lineRoseMm')) return [];
  return [
    criterion(
      'line-rose',
      'unknown',
      phrase`The water line rose from ${{ mm: earlier.mm }} to ${{ mm: last.mm }}. Is it another tube or a new filling, or is one reading wrong?`,
      'a line cannot rise by itself',
      {
        evidence: [earlier.entryId, last.entryId].filter((e) => e !== null),
        settles:
          'Put the wrong reading right, read the line again at the next look, or write down the fresh tube as a change of her home.',
      },
    ),
  ];
}
