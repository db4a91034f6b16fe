import { keptByBarrier, nounOf } from '../../housing';
import { addDays, daysBetween, latest, msOf, phrase, type Instant, type Phrase } from '../../quantity';
import type { Case, Watered } from '../case';
import { figure } from '../practice';
import {
  ask,
  askNow,
  COMMON_PRACTICE,
  criterion,
  OWN_PRIOR,
  verdict,
  type Ask,
  type Criterion,
  type Verdict,
} from '../verdict';
import { mould, tubeFault } from './tube-fault';

/** Is her home moist? Of a home that is no tube and is watered by hand. */
export function inBody(c: Case): Verdict {
  const mine = c.watered.find((w) => w.now.part.id === c.part.id) ?? null;
  const noun = nounOf(c.part);
  const common = {
    id: 'water',
    question: `Is her ${noun} moist?`,
    criteria: [...(mine ? [rhythm(mine)] : []), secondWater(c, mine), ...drySpace(c), ...mould(c)],
  } as const;
  const fault = tubeFault(c);
  const asks = wateringAsks(c);
  if (fault?.id === 'mould' && c.move === null)
    return verdict({
      ...common,
      answer: fault.answer,
      says: fault.says,
      pressure: 'now',
      asks: [askNow(c, fault.task, fault.says), ...asks],
    });
  const elsewhere = c.drinksElsewhereUntil;
  const drinks = elsewhere !== null && msOf(elsewhere) > msOf(c.now);
  if (!mine && !drinks) {
    const says = [
      `There is no water within her reach: her ${noun} has none of its own. Give her wet cotton, or a drinker, now.`,
    ];
    return verdict({
      ...common,
      answer: 'no water',
      says,
      pressure: 'now',
      asks: [askNow(c, 'water-home', says), ...asks],
    });
  }
  if (!mine)
    return verdict({
      ...common,
      answer: 'she drinks beside it',
      says: phrase`Her ${{ word: noun }} has no water of its own; she drinks in what is joined to it, at least until ${{ date: elsewhere as Instant }}.`,
      asks,
    });
  const { dryAt } = mine.watering;
  const due = dryAt.p50 !== null && msOf(dryAt.p50) <= msOf(c.now);
  const near = dryAt.p10 !== null && msOf(dryAt.p10) <= msOf(c.now);
  if (due)
    return verdict({
      ...common,
      answer: 'it may be dry',
      says: wetNow(mine, c.now),
      pressure: drinks ? 'soon' : 'now',
      asks,
    });
  if (near)
    return verdict({ ...common, answer: 'water it soon', says: wetNow(mine, c.now), pressure: 'soon', asks });
  return verdict({ ...common, answer: 'yes', says: lasts(mine), until: dryAt.p10, asks });
}

const last = ({ watering: { lastAt } }: Watered, now: Instant): Phrase =>
  daysBetween(lastAt, now) < 1 ? [] : phrase` It was watered last on ${{ date: lastAt }}.`;

const wetNow = (w: Watered, now: Instant): Phrase => [
  `Water her ${nounOf(w.now.part)}: `,
  HOW[w.now.part.kind === 'tube' ? 'none' : w.now.part.water],
  ...last(w, now),
];

/** How each source is filled. */
const HOW = {
  none: 'give her water.',
  cotton: 'wet the cotton until it is full and does not drip.',
  stone: 'wet the stone by a blunt syringe until it darkens, and stop before it shines.',
  sponge: 'wet the sponge until it darkens.',
  tower: 'fill the tower to three quarters, so that the stone is not soaked.',
  'plugged-tube': 'fill the drinker and close it with fresh cotton.',
} as const;

function lasts({ now, watering: { dryAt } }: Watered): Phrase {
  const noun = nounOf(now.part);
  if (dryAt.p10 === null) return [`The water of her ${noun} lasts for years in this air.`];
  return dryAt.p90 === null
    ? phrase`Her ${{ word: noun }} is moist at least until ${{ date: dryAt.p10 }}.`
    : phrase`Her ${{ word: noun }} is dry some day between ${{ date: dryAt.p10 }} and ${{ date: dryAt.p90 }}: not watered sooner, for too wet brings mould.`;
}

function rhythm(w: Watered): Criterion {
  const { everyDays, from, dryAt } = w.watering;
  const [a, b] = [Math.max(1, Math.round(everyDays.p10)), Math.max(1, Math.round(everyDays.p90))];
  return criterion(
    'rhythm',
    dryAt.p10 === null ? 'met' : 'unknown',
    [
      a === b
        ? `Watered about every ${a === 1 ? 'day' : `${a} days`} in this air`
        : `Watered every ${a} to ${b} days in this air`,
      from > 0 ? `, by ${from} waterings of your own.` : ', until your own waterings tell better.',
    ],
    `reckoned from what leaves by its vents and wet faces (diffusion); what a source has to spend is ${OWN_PRIOR}, set by common practice`,
    {
      settles: 'Say at each watering how wet it still was.',
      evidence: w.now.waterings.slice(-2).map((e) => e.entryId),
    },
  );
}

/** Two sources that fail in different ways: water is the one thing never to be forgotten. */
function secondWater({ drinksElsewhereUntil: until, now }: Case, mine: Watered | null): Criterion {
  const second = mine !== null && until !== null && msOf(until) > msOf(now);
  return criterion(
    'second-water',
    second ? 'met' : 'unmet',
    [
      second
        ? 'She can drink at a second place.'
        : 'She drinks at one place only. A full tube closed with cotton, in a foraging space or joined, is a second one that fails in another way.',
    ],
    COMMON_PRACTICE,
  );
}

/** Moist where they live, dry where they walk: a barrier lets go in damp air, and seeds and refuse mould. */
function drySpace({ housing, part, roomRelHumidity }: Case): Criterion[] {
  const space = housing.parts.find((p) => !p.gone && p.part.id !== part.id && keptByBarrier(p.part));
  if (!space || keptByBarrier(part)) return [];
  const damp = roomRelHumidity >= figure('dampBarrierShare');
  return [
    criterion(
      'dry-space',
      damp ? 'unmet' : 'met',
      [
        `Moist in her ${nounOf(part)}, dry in the ${nounOf(space.part)}: water the one alone, give the other air, and close a drinker in it with cotton. `,
        ...phrase`The air around them has ${{ percent: 100 * roomRelHumidity }} humidity`,
        damp ? ': a barrier may let go. Keep the lid on, and try the barrier.' : '.',
      ],
      `${COMMON_PRACTICE}; the air as it was last measured at their place, or else told; from which share on is ${OWN_PRIOR}`,
    ),
  ];
}

/** What is to be watered by hand, each before it may be dry: early enough where nothing else gives water. */
export function wateringAsks(c: Case): Ask[] {
  const drinks =
    c.tube !== null || (c.drinksElsewhereUntil !== null && msOf(c.drinksElsewhereUntil) > msOf(c.now));
  return c.watered.flatMap((w) => {
    const { p10, p50, p90 } = w.watering.dryAt;
    if (p10 === null || p50 === null) return [];
    const hers = w.now.part.id === c.part.id;
    const second = !hers || drinks;
    const from = latest(p10, addDays(w.watering.lastAt, figure('waterAgainDays'))) as Instant;
    const to = second ? (p90 ?? p50) : p50;
    return [
      ask(c, 'water-home', [from, second ? p50 : from, to], wetNow(w, c.now), {
        obligatory: hers && !second,
      }),
    ];
  });
}
