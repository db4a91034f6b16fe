import { nounOf, underWay } from '../../housing';
import { addDays, daysBetween, latest, msOf, phrase, type Instant, type Phrase } from '../../quantity';
import { cannotFoundAlone, fedThroughout, type Case } from '../case';
import { freeFrom } from '../disturbance';
import { figure } from '../practice';
import { LOOKING_SCHOOLS } from '../schools';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  verdict,
  type Ask,
  type Criterion,
  type Rule,
  type SchoolView,
} from '../verdict';
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
    criteria: criteria(c),
    others: others(c),
  } as const;
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
  if (fault && until !== null)
    return verdict({
      ...common,
      answer: 'yes, once',
      says: [`Her ${nounOf(c.part)} needs care. One short look is worth its cost.`],
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

function others(c: Case): SchoolView[] {
  return LOOKING_SCHOOLS.filter((s) => s.id !== c.looking.id).map((s) => {
    const date = freeFrom(c.known, c.ahead, s, fedThroughout(c.eating));
    const open = date === null || msOf(date) <= msOf(c.now);
    return { school: s.id, name: s.name, answer: open ? 'may look' : 'wait', until: open ? null : date };
  });
}

function criteria(c: Case): Criterion[] {
  const { known, peace, looking, now } = c;
  const list: Criterion[] = [];
  if (known.intake) {
    const settle = figure('settleDays');
    const days = daysBetween(known.intake.at, now) - settle;
    list.push(
      criterion(
        'settled',
        days >= 0 ? 'met' : 'unmet',
        phrase`She has had ${{ days: days + settle }} to settle; a first look before ${{ days: settle }} is never needed.`,
        COMMON_PRACTICE,
        { evidence: [known.intake.entryId], margin: { value: days, unit: 'days' } },
      ),
    );
  }
  if (known.lastDisturbed && peace.lastAt) {
    const free = peace.nextFree;
    list.push(
      criterion(
        'quiet',
        free === null ? 'met' : 'unmet',
        [...rule(c), ...phrase` Last disturbed ${{ date: known.lastDisturbed.at }}.`],
        `${COMMON_PRACTICE} (method: ${looking.name.toLowerCase()})`,
        {
          evidence: [known.lastDisturbed.entryId],
          margin: free === null ? null : { value: daysBetween(free, now), unit: 'days' },
        },
      ),
    );
  }
  if (known.restUntil) {
    const days = daysBetween(known.restUntil.until, now);
    list.push(
      criterion(
        'rest',
        days >= 0 ? 'met' : 'unmet',
        phrase`You chose to leave her alone until ${{ date: known.restUntil.until }}.`,
        'your own decision',
        { evidence: [known.restUntil.entryId], margin: { value: days, unit: 'days' } },
      ),
    );
  }
  return list;
}

function rule({ ahead, looking }: Case): Phrase {
  const workers = ahead?.events.workers;
  if (workers?.status === 'seen')
    return phrase`With workers out, ${{ days: figure('withWorkersDays') }} between visits are enough.`;
  if (looking.everyDays !== null)
    return phrase`${{ days: looking.everyDays }} of quiet after a look, more after heavier things.`;
  return workers?.band.p50
    ? phrase`Hands off until the first workers are likely, ${{ date: workers.band.p50 }}.`
    : ['Hands off until the first workers are likely.'];
}
