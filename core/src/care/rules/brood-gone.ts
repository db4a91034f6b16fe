import type { Vanished } from '../../founding';
import { addDays, daysBetween, phrase, type Instant, type Interval, type Phrase } from '../../quantity';
import { counted } from '../../words';
import { daysAwake } from '../awake';
import { broodGoneNow, lostThisSeason } from '../boosting';
import type { Case } from '../case';
import { heatBetween, spellWords } from '../heat';
import { figure } from '../practice';
import { COMMON_PRACTICE, criterion, OWN_LOG, verdict, type Criterion, type Rule } from '../verdict';
import { hungers, lastMealOf } from './food';
import { calm } from './late';
import { disturbingSpot } from './spot';
import { tubeFault } from './tube-fault';
import { heatCause } from './warmth';

/** Brood was there and is gone: a question of its own, to which "still early" is no answer. */
export const broodGone: Rule = (c) => {
  if (c.life === 'gone' || c.life === 'orphans') return null;
  const { known, now } = c;
  const lost = lostThisSeason(known, now);
  const gone = broodGoneNow(known, now);
  const part = partGone(c);
  const unclear = known.eggsUnclear;
  const common = { id: 'brood-gone', question: 'Where is her brood?' } as const;
  if (!gone && !part && unclear)
    return verdict({
      ...common,
      notice: true,
      answer: 'eggs gone, or hatched',
      says: [
        'Her eggs are gone, and nobody noted whether there are larvae: they may have hatched. Count larvae at the next look.',
      ],
      criteria: [
        criterion(
          'hatched',
          'unknown',
          phrase`Eggs were there ${{ date: unclear.eggsAt }} and not ${{ date: unclear.at }}.`,
          OWN_LOG,
          { evidence: [unclear.entryId], settles: 'Count larvae at the next look.' },
        ),
      ],
    });
  if (!gone && !part) return null;
  const times = lost.length;
  const often = times >= figure('helpAfterClutches');
  const what = gone ? wholeWords(gone, now) : partWords(part as Vanished, now);
  const when = (gone ?? part)?.interval ?? null;
  const why = causes(c, when);
  const spell = heatBetween(c, ...spanOf(c, when));
  return verdict({
    ...common,
    answer: gone ? 'gone' : 'some of it is gone',
    says: [
      ...what,
      ...(often
        ? [` That is ${counted(times, 'clutch', 'clutches')} this season.`]
        : [
            isSmall(gone, part)
              ? ' One small clutch eaten is no disaster: quiet and patience, she lays again.'
              : ' Give her quiet and patience: most lay again.',
          ]),
      ...wintered(c, gone ?? part),
      ...(spell ? [' ', ...spellWords(spell), ' Such heat kills brood.'] : []),
      ...(c.peace.restless
        ? [' She has been disturbed often, as by most beginners; what helps is quiet.']
        : []),
      ...remedy(c),
    ],
    notice: true,
    until: c.peace.nextFree,
    criteria: why,
  });
};

/** One clutch, and few enough: of more it is not said that it matters little. */
function isSmall(gone: Case['known']['broodLost'][number] | null, part: Vanished | null): boolean {
  const most = gone ? (gone.what === 'eggs' ? gone.most : null) : part?.what === 'eggs' ? part.high : null;
  return most !== null && most <= figure('smallClutch');
}

/** Brood that went over a winter: eggs and pupae seldom live through it. */
function wintered(c: Case, lost: { interval: Vanished['interval'] } | null | undefined): Phrase {
  const { after, by } = lost?.interval ?? { after: null, by: null };
  if (after === null || by === null) return [];
  const asleep = daysBetween(after, by) - daysAwake(c, after, by);
  return asleep >= figure('askAfterDays')
    ? [' She was wintering in between: eggs and pupae seldom live through a winter, and many are eaten.']
    : [];
}

/** A part that vanished and has not been made up for since. */
function partGone({ known, now }: Case): Vanished | null {
  const last = known.vanished.at(-1);
  if (!last || last.what === 'workers') return null;
  const isNewest = known.lastFull?.entryId === last.entryIds[1];
  const fresh = daysBetween(last.interval.by ?? now, now) <= figure('periodDays');
  const whole = known.broodLost.some((l) => l.entryId === last.entryIds[1]);
  return isNewest && fresh && !whole ? last : null;
}

function wholeWords({ interval, what }: Case['known']['broodLost'][number], now: Instant): Phrase {
  const by = interval.by ?? now;
  const words = what === 'eggs' ? 'Her eggs are' : 'Her brood is';
  return interval.after
    ? phrase`${{ word: words }} gone, between ${{ date: interval.after }} and ${{ date: by }}: eaten under stress or hunger, or it died.`
    : phrase`${{ word: words }} gone by ${{ date: by }}: eaten under stress or hunger, or it died.`;
}

function partWords(v: Vanished, now: Instant): Phrase {
  const many = v.low === v.high ? String(v.low) : `between ${v.low} and ${v.high}`;
  return phrase`Of ${{ word: v.what === 'eggs' ? 'the eggs' : 'the brood' }} with her ${{ word: many }} ${{ word: v.high === 1 ? 'is' : 'are' }} gone, between ${{ date: v.interval.after ?? now }} and ${{ date: v.interval.by ?? now }}: eaten or dead, not hatched.`;
}

/** Between which moments it went; the last weeks where that is not known. */
const spanOf = ({ now }: Case, when: Interval | null): [Instant, Instant] => [
  when?.after ?? addDays(when?.by ?? now, -figure('periodDays')),
  when?.by ?? now,
];

/**
 * What may have done it, each with its evidence.
 * @param when it went; the last weeks when not given
 */
export function causes(c: Case, when: Interval | null = null): Criterion[] {
  const meal = lastMealOf(c);
  const fault = tubeFault(c);
  const hungry = hungers(c);
  return [
    { ...calm(c), id: 'stress' },
    criterion(
      'hunger',
      hungry ? 'unmet' : 'met',
      hungry
        ? [meal ? 'She has not eaten lately.' : 'No meal is logged, and she may have to eat.']
        : [c.eating === 'no' ? 'She lives on her reserves.' : 'She was fed lately.'],
      COMMON_PRACTICE,
      { evidence: meal ? [meal.entryId] : [] },
    ),
    criterion(
      'damp-or-dry',
      fault ? 'unmet' : c.known.wetFront || c.known.mould ? 'met' : 'unknown',
      fault
        ? fault.says
        : c.known.wetFront || c.known.mould
          ? ['Plug and cell were in order.']
          : ['Nobody has noted plug or mould.'],
      COMMON_PRACTICE,
      { evidence: fault ? [fault.entryId] : [], settles: 'Note the wet front and mould at the next look.' },
    ),
    heatCause(c, ...spanOf(c, when)),
    ...placeCause(c),
  ];
}

/** What of her place may have done it. */
function placeCause(c: Case): Criterion[] {
  const faults = disturbingSpot(c);
  if (faults.length === 0) return [];
  return [
    criterion(
      'place',
      'unmet',
      faults.flatMap((f, i) => (i > 0 ? [' ', ...f.says] : f.says)),
      COMMON_PRACTICE,
    ),
  ];
}

function remedy(c: Case): Phrase {
  const until = c.peace.nextFree;
  return until ? phrase` No look before ${{ date: until }}.` : [];
}
