import { addDays, isSome, phrase, type Instant } from '../../quantity';
import { counted } from '../../words';
import type { Case } from '../case';
import { figure } from '../practice';
import {
  ask,
  askNow,
  COMMON_PRACTICE,
  criterion,
  OWN_LOG,
  verdict,
  type Criterion,
  type Rule,
} from '../verdict';

/** Is the queen there, and do several live in peace? */
export const queens: Rule = (c) => {
  if (c.life === 'gone' || c.life === 'orphans') return null;
  const taken = c.known.intake?.queens ?? 1;
  return taken > 1 ? several(c, taken) : alone(c);
};

const common = { id: 'queens' } as const;

function several(c: Case, taken: number): ReturnType<Rule> {
  const { known } = c;
  const question = 'Do her queens live in peace?';
  const seen = known.queensSeen;
  const fewer = seen !== null && seen.n < taken;
  const workers = known.appearances.workers.interval.by !== null;
  const rule = criterion(
    'one-a-tube',
    'unmet',
    [`${counted(taken, 'queen')} in one tube: one is the safe rule, also in kinds that found together.`],
    COMMON_PRACTICE,
    { evidence: known.intake ? [known.intake.entryId] : [] },
  );
  const separate = (says: string) => askNow(c, 'separate', [says], 2);
  const together = c.profile.queens.value;
  if (fewer && together === 'several') {
    const says = [
      `Look for the queens at the next feed: ${seen.n} of ${taken} ${seen.n === 1 ? 'was' : 'were'} seen. In her species several live together, and one is easily hidden; if you find a body, log it.`,
    ];
    return verdict({
      ...common,
      question,
      answer: 'one was not seen',
      says,
      pressure: 'free',
      notice: true,
      criteria: [rule, criterion('all-there', 'unmet', says, OWN_LOG, { evidence: [seen.entryId] })],
    });
  }
  if (fewer) {
    const says = [
      `Only ${counted(seen.n, 'queen')} of ${taken} ${seen.n === 1 ? 'was' : 'were'} seen: one may be dead, and the others may fight now. Look for her body; separate them, or watch them daily.`,
    ];
    return verdict({
      ...common,
      question,
      answer: 'one is missing',
      says,
      pressure: 'now',
      criteria: [rule, criterion('all-there', 'unmet', says, OWN_LOG, { evidence: [seen.entryId] })],
      asks: [separate('Part the queens, or watch them daily.')],
    });
  }
  if (workers && together === 'several')
    return verdict({
      ...common,
      question,
      answer: 'they may live together',
      says: [
        'Let them live together. Several queens are usual in colonies of her species; part them only if they fight.',
      ],
      criteria: [rule],
    });
  if (workers && (together === 'either' || together === 'unknown')) {
    const says = [
      together === 'either'
        ? 'Watch them at each feed. In her species some colonies keep several queens and others kill all but one; part them if they fight.'
        : 'Watch them at each feed. Whether several queens of her species live together is not known; part them if they fight.',
    ];
    return verdict({
      ...common,
      question,
      answer: 'watch them',
      says,
      pressure: 'free',
      notice: true,
      criteria: [rule],
    });
  }
  if (workers) {
    const says = [
      'The first workers are out: from now on queens may fight, or be killed by the workers. Separate them, each with workers of her own, or watch them daily.',
    ];
    return verdict({
      ...common,
      question,
      answer: 'they may fight now',
      says,
      pressure: 'soon',
      criteria: [
        rule,
        criterion('workers-out', 'unmet', ['Workers are there.'], COMMON_PRACTICE, {
          evidence: [known.appearances.workers.byEntry].filter((e) => e !== null),
        }),
      ],
      asks: [
        ask(
          c,
          'separate',
          [c.now, c.now, addDays(c.now, figure('partWithinDays'))],
          ['Part the queens, or watch them daily.'],
        ),
      ],
    });
  }
  return verdict({
    ...common,
    question,
    answer: 'so far',
    says: [
      'Several queens often live in peace until the first workers come. Be ready to separate them then.',
    ],
    criteria: [
      rule,
      seen
        ? criterion('all-there', 'met', [`All ${taken} were seen.`], OWN_LOG, { evidence: [seen.entryId] })
        : criterion('all-there', 'unknown', ['No look has counted them.'], OWN_LOG, {
            settles: 'Count the queens at the next look.',
          }),
    ],
  });
}

/** Not seen once: look for her. Not seen twice, or brood ceases as well: say what it may mean. */
function alone(c: Case): ReturnType<Rule> {
  const { known } = c;
  const times = known.queenMissing.length;
  if (times === 0) return null;
  const question = 'Is the queen there?';
  const workers = c.workers !== null;
  const noEggs = known.counts.eggs !== null && !isSome(known.counts.eggs.range) && workers;
  const grave = times >= 2 || (noEggs && times >= 1);
  const since = known.queenSeen?.at ?? null;
  const evidence = known.queenMissing.map((m) => m.entryId);
  const criteria: Criterion[] = [
    criterion('seen', 'unmet', notSeen(times, since), OWN_LOG, { evidence }),
    criterion(
      'lays',
      noEggs ? 'unmet' : known.counts.eggs ? 'met' : 'unknown',
      noEggs
        ? ['No eggs were there either.']
        : known.counts.eggs
          ? ['Eggs were there: someone lays.']
          : ['Nobody has counted eggs.'],
      COMMON_PRACTICE,
      { settles: 'Count eggs at the next look: eggs are the proof that she lives.' },
    ),
  ];
  if (!grave)
    return verdict({
      ...common,
      question,
      answer: 'not seen once',
      says: [
        workers
          ? 'She was not seen at the last look. Among workers that happens: look for her at the next one.'
          : 'She was not seen at the last look: look for her at the next one, also in the cotton.',
      ],
      pressure: 'free',
      notice: true,
      criteria,
    });
  const says = [
    `She was not seen ${times >= 2 ? `${counted(times, 'time')} in a row` : 'at the last look'}${noEggs ? ', and there are no eggs' : ''}: she may be hidden, she may be dead. Look for her once more, for eggs and for her body; if she is dead, log it: her workers live on as an orphan colony.`,
  ];
  return verdict({
    ...common,
    question,
    answer: 'she may be gone',
    says,
    pressure: 'soon',
    criteria,
    asks: [
      ask(
        c,
        'look',
        [c.now, c.now, addDays(c.now, figure('lookForHerDays'))],
        ['Look for the queen, for eggs and for her body.'],
      ),
    ],
  });
}

const notSeen = (times: number, since: Instant | null) =>
  since
    ? phrase`Not seen at ${{ word: counted(times, 'look') }} in a row; last seen ${{ date: since }}.`
    : [`Not seen at ${counted(times, 'look')} in a row.`];
