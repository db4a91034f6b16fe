import type { QueenLedger } from '../founding';
import type { Watering } from '../housing';
import {
  addCalendarDays,
  dayOf,
  earliest,
  instantOf,
  msOf,
  phrase,
  startOfDay,
  type Instant,
  type Phrase,
} from '../quantity';
import { EVENT_WORDS } from '../words';
import { answersTo, type Answer } from './answers';
import { caseOf, type Case, type CaseInput } from './case';
import type { Peace } from './peace';
import { RULES } from './rules';
import { pressureRank, type Pressure } from './pressure';
import { READING_ORDER, VERDICT_IDS, type Ask, type Verdict } from './verdict';
import type { Reservoir } from '../tube';

/** A deed with its window, and the likely answers to it. */
export interface AskedDeed extends Ask {
  answers: Answer[];
}

/** What to do with one queen, and why. */
export interface Counsel {
  /** The one sentence: what next, mostly nothing until a date. */
  next: Phrase;
  pressure: Pressure;
  /**
   * Nothing needs the keeper before this moment: the first on which anything must be done, or a look is free again. Null
   * when something presses now, or nothing ever will.
   */
  restUntil: Instant | null;
  /** What presses first, the gravest before all; then the rest in the order in which it is read. */
  verdicts: Verdict[];
  /** The windows of all deeds that the verdicts ask for. */
  due: AskedDeed[];
  /** The water of the tube she lives in; null when she lives in something else. */
  water: Reservoir | null;
  /** The water of the other tube while she moves; null when she does not. */
  otherWater: Reservoir | null;
  /** What is watered by hand for her, the part she lives in first. */
  watering: ({ partId: string } & Watering)[];
  peace: Peace;
}

/**
 * Judges one queen. Every rule looks at the same case; headline, pressure, rest and windows all follow from the one list
 * of verdicts.
 * @throws InputError when the tube or its readings cannot be
 */
export function counsel(input: CaseInput): Counsel {
  const c = caseOf(input);
  const common = {
    water: c.water,
    otherWater: c.otherWater,
    watering: c.watered.map(({ now, watering }) => ({ partId: now.part.id, ...watering })),
    peace: c.peace,
  };
  if (c.life === 'gone' && seenSince(c.known))
    return {
      ...common,
      next: [
        ...lossPhrase(c.known),
        ' A later look saw her: is she back? Correct the loss or the look, and you get advice again.',
      ],
      pressure: 'soon',
      restUntil: null,
      verdicts: [],
      due: [],
    };
  if (c.life === 'gone')
    return { ...common, next: lossPhrase(c.known), pressure: 'rest', restUntil: null, verdicts: [], due: [] };
  const verdicts = RULES.flatMap((rule) => rule(c) ?? [])
    .map((v) => ({ ...v, until: yetToCome(v.until, c.now) }))
    .sort(asRead);
  const due = mergedAsks(verdicts.map((v) => doneToday(c, v))).map((a): AskedDeed => ({
    ...a,
    answers: answersTo(c, a.task),
  }));
  return { ...common, ...headline(c, verdicts, due), verdicts, due };
}

const presses = (v: Verdict): boolean => v.id !== 'look' && pressureRank(v.pressure) >= pressureRank('soon');

/** What presses by how much, then by how grave it is; all else as it is read. */
function asRead(a: Verdict, b: Verdict): number {
  if (presses(a) !== presses(b)) return presses(a) ? -1 : 1;
  const order = presses(a) ? VERDICT_IDS : READING_ORDER;
  return (
    (presses(a) ? pressureRank(b.pressure) - pressureRank(a.pressure) : 0) ||
    order.indexOf(a.id) - order.indexOf(b.id)
  );
}

/** A day that has passed changes no answer any more. */
const yetToCome = (until: Instant | null, now: Instant): Instant | null =>
  until !== null && msOf(until) > msOf(now) ? until : null;

/** What presses now is done on this very day: no plan may carry it to tomorrow because others are visited then. */
function doneToday({ now, zone }: Case, v: Verdict): Verdict {
  if (v.pressure !== 'now') return v;
  const tomorrow = startOfDay(addCalendarDays(dayOf(now, zone), 1), zone);
  const tonight = instantOf(msOf(tomorrow) - 1);
  const today = (a: Ask): Ask =>
    msOf(a.notBefore) <= msOf(now) && !a.timer && msOf(a.notAfter) > msOf(tonight)
      ? { ...a, best: now, notAfter: tonight }
      : a;
  return { ...v, asks: v.asks.map(today) };
}

/** One window a task: of two rules that ask for one deed the earlier window holds, and it is obligatory if either is. */
function mergedAsks(verdicts: readonly Verdict[]): Ask[] {
  const byTask = new Map<string, Ask>();
  for (const a of verdicts.flatMap((v) => v.asks)) {
    const had = byTask.get(a.task);
    if (!had) byTask.set(a.task, a);
    else {
      const first = msOf(a.notAfter) < msOf(had.notAfter) ? a : had;
      const notBefore = earliest(a.notBefore, had.notBefore) as Instant;
      byTask.set(a.task, { ...first, notBefore, obligatory: a.obligatory || had.obligatory });
    }
  }
  return [...byTask.values()];
}

function headline(
  c: Case,
  verdicts: readonly Verdict[],
  due: readonly Ask[],
): Pick<Counsel, 'next' | 'pressure' | 'restUntil'> {
  const orphans: Phrase = c.life === 'orphans' && c.known.loss ? [...orphanPhrase(c.known.loss.at), ' '] : [];
  const grave = (v: Verdict) => VERDICT_IDS.indexOf(v.id);
  const [first, second] = verdicts.filter(presses);
  if (first) {
    // of two that both press now, both are said
    const also: Phrase =
      first.pressure === 'now' && second?.pressure === 'now' ? [' Then: ', ...second.says] : [];
    return { next: [...orphans, ...first.says, ...also], pressure: first.pressure, restUntil: null };
  }
  const look = verdicts.find((v) => v.id === 'look');
  const restUntil = earliest(
    ...due.filter((a) => a.obligatory).map((a) => a.notBefore),
    look?.pressure === 'rest' ? look.until : null,
  );
  const told = verdicts.filter((v) => v.notice).sort((a, b) => grave(a) - grave(b))[0];
  const may = told ? undefined : mayBeDone(c, verdicts);
  const notice: Phrase = told ? [...told.says, ' '] : may ? [...may.says, ' '] : [];
  if (look?.pressure === 'soon') return { next: look.says, pressure: 'soon', restUntil: null };
  if (look?.pressure === 'free') {
    const says = told ? told.says : may ? [...notice, 'This is not urgent.'] : freePhrase(c, restUntil);
    return { next: [...orphans, ...says], pressure: 'free', restUntil };
  }
  // a notice that names the same day itself needs no second sentence about it
  const names = (date: Instant | null) =>
    told?.says.some((p) => typeof p === 'object' && 'date' in p && p.date === date) ?? false;
  // and a move that is given its time has a day of its own
  const same = names(restUntil) || (told?.id === 'moving' && names(told.until));
  const [winter, her] = c.life === 'orphans' ? ['They winter', 'them'] : ['She winters', 'her'];
  const rest: Phrase = restUntil
    ? c.wintering
      ? [`${winter}: leave ${her} alone until `, ...untilWords(c, restUntil), '.']
      : c.life === 'orphans'
        ? ['Nothing needs you until ', ...untilWords(c, restUntil), '.']
        : ['Leave her alone until ', ...untilWords(c, restUntil), '.']
    : [`Leave ${her} alone.`];
  return {
    next: [...orphans, ...(same && told ? told.says : [...notice, ...rest])],
    pressure: 'rest',
    restUntil,
  };
}

/** A deed of today's visit that nothing presses for: it is named, or the headline would speak of a later day than the plan. */
const mayBeDone = ({ now }: Case, verdicts: readonly Verdict[]): Ask | undefined =>
  verdicts.flatMap((v) => v.asks).find((a) => a.task !== 'look' && msOf(a.notBefore) <= msOf(now));

/** A day; or, when it is this one, that it is still to come today. */
const untilWords = ({ now, zone }: Case, until: Instant): Phrase =>
  dayOf(until, zone) === dayOf(now, zone) ? ['later today'] : [{ date: until }];

function freePhrase(c: Case, restUntil: Instant | null): Phrase {
  const next = c.ahead?.next ?? null;
  const likely = next ? (c.ahead?.events[next].band.p50 ?? null) : null;
  if (c.life === 'colony')
    return restUntil
      ? ['Nothing needs you until ', ...untilWords(c, restUntil), '.']
      : ['Nothing needs you.'];
  return next && likely && msOf(likely) > msOf(c.now)
    ? phrase`Nothing needs you. You may look; ${{ word: EVENT_WORDS[next].awaited }} are likely about ${{ date: likely }}.`
    : ['Nothing needs you. You may take one short look.'];
}

function orphanPhrase(since: Instant): Phrase {
  return phrase`Without a queen since ${{ date: since }}: her workers live out their lives; they are not released.`;
}

/** Logged as lost, and seen alive after it. */
const seenSince = ({ loss, queenSeen }: QueenLedger): boolean =>
  loss !== null &&
  (loss.how === 'died' || loss.how === 'escaped') &&
  queenSeen !== null &&
  msOf(queenSeen.at) > msOf(loss.at);

function lossPhrase(known: QueenLedger): Phrase {
  const { loss } = known;
  if (!loss) return [];
  const how = {
    died: 'She died',
    escaped: 'She escaped',
    'given-away': 'She was given away',
    merged: 'Her colony was joined to another',
    infertile: 'Given up as infertile',
  }[loss.how];
  const cause =
    loss.how === 'died' && loss.cause === 'unknown' ? '; nobody can tell why, and that is normal.' : '.';
  return [...phrase`${{ word: how }}, ${{ date: loss.at }}`, cause];
}
