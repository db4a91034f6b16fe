import { nounOf, underWay } from '../../housing';
import { addDays, daysBetween, latest, msOf, phrase, type Instant } from '../../quantity';
import { dangerNow, heatToCheck } from '../heat';
import { cannotFoundAlone, fedThroughout, type Case } from '../case';
import { asCriterion, freeFrom, reasonsFor, type Undisturbed } from '../reasons';
import { figure } from '../practice';
import { LOOKING_SCHOOLS } from '../schools';
import { ask, verdict, type Ask, type Rule, type SchoolView } from '../verdict';
import { givenToLookAfter } from './boosting';
import { feedOpensCell, nextFeed } from './food';
import { tubeFault } from './tube-fault';

/** May I look? One answer by the keeper's method, and what the others would say. */
export const look: Rule = (c) => {
  if (c.life === 'gone' || c.life === 'orphans') return null;
  // one that cannot found alone is not waited for
  if (cannotFoundAlone(c.eating) && !c.workers) return null;
  const common = {
    id: 'look',
    question: 'May I look?',
    school: c.looking.name,
    criteria: reasonsFor(undisturbed(c), c.looking).map((r) => asCriterion(r, c.now)),
    others: others(c),
  } as const;
  const danger = dangerNow(c);
  if (danger)
    return verdict({
      ...common,
      answer: danger === 'heat' ? 'cool her first' : 'warm her first',
      says: [
        `${danger === 'heat' ? 'Cool' : 'Warm'} her first. Look once it is over: are the queen and her brood alive?`,
      ],
    });
  if (c.wintering)
    return verdict({
      ...common,
      answer: 'not in winter',
      says: ['She winters: no looks but for her water, about monthly.'],
    });
  if (c.life === 'colony')
    return verdict({
      ...common,
      answer: 'when you feed',
      says: ['Founding is over: look when you feed them; no look of its own is needed.'],
      pressure: 'free',
    });
  // while a fresh tube stands ready, her move is what the fault asks for
  const fault = underWay(c.move) ? null : tubeFault(c);
  const until = c.peace.nextFree;
  // a feed that opens her cell shows all that a look would
  const feed = feedOpensCell(c) ? nextFeed(c) : null;
  if (feed && (until === null || msOf(feed) <= msOf(until)) && msOf(feed) > msOf(c.now))
    return verdict({
      ...common,
      answer: 'when you feed',
      says: phrase`Her next feed, from ${{ date: feed }} on, opens her cell: look then, it costs her nothing extra.`,
      until: feed,
      asks: [lookAsk(c, feed)],
    });
  // the look that found it, or came after it, need not be taken again: now it is mended
  const seen = c.known.lastLook?.at ?? null;
  const looked = seen !== null && daysBetween(seen, c.now) < figure('lookAgainDays');
  if (fault && until !== null && !looked)
    return verdict({
      ...common,
      answer: 'yes, once',
      says: [`Her ${nounOf(c.part)} needs care. One short look is worth its cost.`],
      pressure: 'soon',
      asks: [lookAsk(c, c.now)],
    });
  if (heatToCheck(c))
    return verdict({
      ...common,
      answer: 'yes, once',
      says: ['It was so hot that brood and queen may have died. One short look is worth its cost.'],
      pressure: 'soon',
      asks: [lookAsk(c, c.now)],
    });
  const given = givenToLookAfter(c);
  if (given && (until === null || msOf(given.when[0]) < msOf(until))) {
    const open = msOf(given.when[0]) <= msOf(c.now);
    return verdict({
      ...common,
      answer: open ? 'yes, once' : 'not yet',
      says: open
        ? [given.says]
        : phrase`One look from ${{ date: given.when[0] }} on: does she keep the given brood?`,
      pressure: open ? 'free' : 'rest',
      until: open ? null : given.when[0],
      asks: [ask(c, 'look', given.when, [given.says], { obligatory: false })],
    });
  }
  if (until === null)
    return verdict({
      ...common,
      answer: 'you may',
      says: ['A short, planned look costs her little now. Nothing demands it.'],
      pressure: 'free',
      asks: [lookAsk(c, c.now)],
    });
  return verdict({
    ...common,
    answer: 'not yet',
    says: phrase`No look before ${{ date: until }}.`,
    until,
    asks: [lookAsk(c, until)],
  });
};

/** Everything that can be read in one visit is read in one: each opening costs her. */
const lookAtTube = ({ known }: Case): string =>
  (known.heats.at(-1)?.matMm ?? null) === null
    ? 'One short look: brood, where she sits, water line, plug; and the thermometer beside her.'
    : 'One short look: brood, where she sits, water line, plug; and how warm it is at both ends of her cell.';

/** A look is best when the next thing is likely to be there; never before the method allows it. */
function lookAsk(c: Case, from: Instant): Ask {
  const next = c.ahead?.next;
  const band = next ? c.ahead?.events[next].band : null;
  const best = latest(from, band?.p50 ?? null) as Instant;
  const last = latest(addDays(from, figure('lookSlackDays')), band?.p90 ?? null) as Instant;
  return ask(
    c,
    'look',
    [from, best, last],
    [c.tube ? lookAtTube(c) : 'One short look: brood, how moist it is, mould.'],
    {
      obligatory: false,
    },
  );
}

const undisturbed = (c: Case): Undisturbed => ({
  known: c.known,
  ahead: c.ahead,
  mustEat: fedThroughout(c.eating),
  wintersUntil: c.wintersUntil,
  now: c.now,
});

function others(c: Case): SchoolView[] {
  return LOOKING_SCHOOLS.filter((s) => s.id !== c.looking.id).map((s) => {
    const date = freeFrom(undisturbed(c), s);
    const open = date === null || msOf(date) <= msOf(c.now);
    return { school: s.id, name: s.name, answer: open ? 'may look' : 'wait', until: open ? null : date };
  });
}
