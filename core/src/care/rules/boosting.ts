import { BROOD } from '../../facts';
import type { BroodMove } from '../../founding';
import { addDays, daysBetween, isNone, isSome, msOf, phrase, type Instant } from '../../quantity';
import { MILESTONES } from '../../species';
import { broodWords, counted, listed } from '../../words';
import { donorFitness, lostThisSeason } from '../boosting';
import type { Case } from '../case';
import { figure } from '../practice';
import { COMMON_PRACTICE, criterion, OWN_LOG, verdict, type Rule, type Verdict } from '../verdict';
import { causes } from './brood-gone';
import { isResting } from './food';

const common = { id: 'boosting', question: 'Would brood of others help?' } as const;

/** Would brood of another colony help her, or hers another? Not asked in the cold, nor of a colony that thrives. */
export const boosting: Rule = (c) => {
  if (c.life === 'gone' || isResting(c)) return null;
  if (c.life === 'orphans') return orphanedBrood(c);
  const came = lastCame(c);
  if (came && daysBetween(came.at, c.now) <= figure('boostTalkDays')) return afterIt(c, came);
  return c.workers === null ? eatenAgainAndAgain(c) : null;
};

/** Clutch after clutch was eaten: pupae come out as helpers. While what made her eat them lasts, they would be eaten too. */
function eatenAgainAndAgain(c: Case): Verdict | null {
  const lost = lostThisSeason(c.known, c.now);
  const laidAgain = c.known.appearances.eggs.interval.by !== null;
  if (lost.length < figure('helpAfterClutches') || laidAgain) return null;
  const why = causes(c);
  const still = why.filter((w) => w.state === 'unmet');
  const times = counted(lost.length, 'clutch', 'clutches');
  const criteria = [
    criterion('clutches', 'met', [`${times} were lost this season.`], COMMON_PRACTICE, {
      evidence: lost.map((l) => l.entryId),
    }),
    criterion(
      'donor',
      'unknown',
      [
        'Is there a healthy colony of the same kind, or one whose queen died of something that harms no other?',
      ],
      COMMON_PRACTICE,
      {
        settles: 'Look at the colonies of her kind, and at what the dead queen among them died of.',
      },
    ),
    ...why,
  ];
  if (still.length > 0)
    return verdict({
      ...common,
      answer: 'not yet: the cause first',
      says: [
        `${times} are gone. Mend first what may have made her eat them: given brood would be eaten too. `,
        ...still.flatMap((s) => [...s.says, ' ']),
      ].slice(0, -1),
      criteria,
    });
  return verdict({
    ...common,
    answer: 'pupae of a sister colony',
    says: [
      `${times} are gone, and nothing is left to mend. A few pupae of a healthy colony of the same kind could help her: pupae need no food and come out as helpers. Until then quiet.`,
    ],
    notice: true,
    criteria,
  });
}

/** Without its queen a colony raises what there is; some of it may help a sister. */
function orphanedBrood(c: Case): Verdict | null {
  const there = BROOD.filter((b) => c.known.counts[b] && !isNone(c.known.counts[b].range));
  if (there.length === 0) return null;
  const fit = donorFitness(c.known, c.now);
  const evidence = fit.evidence;
  const kind = 'Only to a colony of the same kind that has no workers of its own.';
  const state = fit.is === 'sound' ? 'met' : fit.is === 'risk' ? 'unknown' : 'unmet';
  return verdict({
    ...common,
    answer: fit.is === 'sound' ? 'it may help a sister colony' : fit.is === 'risk' ? 'a risk' : 'no',
    says:
      fit.is === 'no'
        ? [`${fit.says} It stays with its workers.`]
        : fit.is === 'risk'
          ? [`${fit.says} It may stay with its workers, who raise it.`]
          : [
              'Their brood may help a queen of the same kind that eats hers: pupae best. What stays is raised by its workers.',
            ],
    notice: fit.is === 'sound',
    criteria: [
      criterion(fit.what, state, [fit.says], COMMON_PRACTICE, {
        evidence,
        ...(fit.is === 'risk'
          ? { settles: 'Say in the log of her loss what she died of, and how sure you are.' }
          : {}),
      }),
      criterion('same-kind', 'unknown', [kind], COMMON_PRACTICE, {
        settles: 'Look for a queen of the same kind whose clutches were eaten.',
      }),
    ],
  });
}

/** Brood was given to her: whether she keeps it is seen once, and then she is left alone with it. */
function afterIt(c: Case, came: BroodMove): Verdict {
  const what = broodWords(came.counts);
  const evidence = [came.entryId];
  const given = criterion('given', 'met', phrase`${{ word: what }} came ${{ date: came.at }}.`, OWN_LOG, {
    evidence,
  });
  const fate = fateOf(c, came);
  const proves = 'What comes of them proves nothing of her own laying.';
  if (fate?.is === 'eaten')
    return verdict({
      ...common,
      answer: 'it was eaten',
      says: phrase`The ${{ word: what }} given ${{ date: came.at }} are gone: eaten, or dead. Give no more now; quiet, and patience.`,
      notice: true,
      criteria: [
        given,
        criterion('kept', 'unmet', ['Nothing of it is left.'], OWN_LOG, { evidence: [fate.entryId] }),
      ],
    });
  if (fate)
    return verdict({
      ...common,
      answer: 'she kept it',
      says: phrase`She kept the brood given ${{ date: came.at }}. Leave her alone with it. ${{ word: proves }}`,
      criteria: [
        given,
        criterion('kept', 'met', ['Some of it was there at the look after.'], OWN_LOG, {
          evidence: [fate.entryId],
        }),
      ],
    });
  return verdict({
    ...common,
    answer: 'look once',
    says: phrase`${{ word: what }} came ${{ date: came.at }}. Look once, from ${{ date: lookAfter(came)[0] }} on, whether she keeps it, and count the ${{ word: stagesOf(came) }}; then leave her alone.`,
    notice: true,
    criteria: [given],
  });
}

const stagesOf = ({ counts }: BroodMove): string => listed(BROOD.filter((b) => (counts[b] ?? 0) > 0));

/** When it is looked whether given brood is kept: from, best, to. */
const lookAfter = ({ at }: BroodMove): [Instant, Instant, Instant] => [
  addDays(at, figure('boostLookFromDays')),
  addDays(at, figure('boostLookBestDays')),
  addDays(at, figure('boostLookToDays')),
];

/** The one look that given brood asks for, whatever the method of looking says; null when none is open. */
export function givenToLookAfter(c: Case): { when: [Instant, Instant, Instant]; says: string } | null {
  const came = lastCame(c);
  if (!came || daysBetween(came.at, c.now) > figure('boostTalkDays') || fateOf(c, came)) return null;
  return {
    when: lookAfter(came),
    says: `Look whether she keeps the given brood; count the ${stagesOf(came)}.`,
  };
}

const lastCame = ({ known }: Case): BroodMove | undefined =>
  known.broodMoves.filter((b) => b.way === 'received').at(-1);

/** What a look after it found: some of what was given or could have become of it, or none of either. */
function fateOf({ known }: Case, came: BroodMove): { is: 'kept' | 'eaten'; entryId: string } | null {
  const first = BROOD.findIndex((b) => (came.counts[b] ?? 0) > 0);
  const later = MILESTONES.slice(first).map((m) => known.counts[m]);
  const since = later.filter((l) => l !== null && l.entryId !== came.entryId && msOf(l.at) > msOf(came.at));
  const there = since.find((l) => l !== null && isSome(l.range));
  if (there) return { is: 'kept', entryId: there.entryId };
  // a pupa may have come out: only where every later stage was counted since is it gone
  const gone = since.length === later.length && since.every((l) => l !== null && isNone(l.range));
  return gone && since[0] ? { is: 'eaten', entryId: since[0].entryId } : null;
}
