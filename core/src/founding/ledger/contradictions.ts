import { countText, daysBetween, isNone, isSome, msOf, type Instant } from '../../quantity';
import type { BodyOf, FactEntry } from '../../log';
import { MILESTONES, type Milestone } from '../../species';
import type { Observation } from './batches';

/** One way to read a contradiction: this entry is wrong. */
export interface Reading {
  entryId: string;
  at: Instant;
  says: string;
}

/** Two entries, or two figures of one, that cannot both be right. Never resolved here: the keeper amends one. */
export interface Contradiction {
  says: string;
  readings: Reading[];
}

/** No kind gets from nothing to pupae or workers in fewer days than these. Priors, on the safe side. */
const QUICKEST_DAYS = { pupae: 8, workers: 14 } as const;
/** Looks nearer to one another than this saw the same brood. */
const SAME_DAYS = 2 / 24;

type Facts = readonly FactEntry[];

/** @param facts one queen's effective entries, oldest first @param seen what they counted */
export function contradictionsIn(facts: Facts, seen: readonly Observation[]): Contradiction[] {
  return [
    ...aliveAfterDeath(facts),
    ...beforeIntake(facts),
    ...withinOneLook(facts),
    ...tooManyQueens(facts),
    ...atOneTime(seen),
    ...tooFast(seen),
  ];
}

function aliveAfterDeath(facts: Facts): Contradiction[] {
  const died = facts.find((f) => f.kind === 'loss' && (f.how === 'died' || f.how === 'escaped'));
  const seen =
    died && facts.find((f) => f.kind === 'look' && f.queen === 'seen' && msOf(f.at) > msOf(died.at));
  if (!died || !seen) return [];
  const escaped = died.kind === 'loss' && died.how === 'escaped';
  return [
    {
      says: escaped
        ? 'You logged that she escaped, and a later look saw her. Is she back? Correct one of the two.'
        : 'She was logged as dead, yet a later look saw her. Put one of the two right.',
      readings: [
        {
          entryId: died.id,
          at: died.at,
          says: escaped ? 'She is back: the loss is over.' : 'She did not die: the loss is wrong.',
        },
        { entryId: seen.id, at: seen.at, says: 'She was not seen alive: the look is wrong.' },
      ],
    },
  ];
}

function beforeIntake(facts: Facts): Contradiction[] {
  const intake = facts.find((f) => f.kind === 'intake');
  const early =
    intake && facts.find((f) => f.kind === 'look' && msOf(f.at) < msOf(intake.earliest ?? intake.at));
  if (!intake || !early) return [];
  return [
    {
      says: 'A look is dated before she was taken in. Put one of the two right dates.',
      readings: [
        { entryId: early.id, at: early.at, says: 'The look was later.' },
        { entryId: intake.id, at: intake.at, says: 'She was taken in earlier.' },
      ],
    },
  ];
}

function withinOneLook(facts: Facts): Contradiction[] {
  const more: Contradiction[] = [];
  for (const look of facts) {
    if (look.kind !== 'look' || !look.workers || look.workers.high === null) continue;
    for (const caste of ['callows', 'majors', 'repletes'] as const) {
      const part = look[caste];
      if (!part || part.low <= look.workers.high) continue;
      more.push({
        says: `One look counted ${countText(part)} ${caste}, yet only ${countText(look.workers)} workers in all. Put one of the two right figures.`,
        readings: [
          { entryId: look.id, at: look.at, says: `There were fewer ${caste}.` },
          { entryId: look.id, at: look.at, says: 'There were more workers.' },
        ],
      });
    }
  }
  return more;
}

function tooManyQueens(facts: Facts): Contradiction[] {
  const intake = facts.find((f) => f.kind === 'intake');
  const queens = intake?.queens ?? 1;
  const look = facts.find(
    (f): f is FactEntry & BodyOf<'look'> => f.kind === 'look' && (f.queensSeen ?? 0) > queens,
  );
  if (!intake || !look) return [];
  return [
    {
      says: `A look saw ${look.queensSeen} queens, yet ${queens === 1 ? 'one was' : `${queens} were`} taken in. Put one of the two right.`,
      readings: [
        { entryId: look.id, at: look.at, says: 'Fewer queens were seen; a winged one may be a young one.' },
        { entryId: intake.id, at: intake.at, says: 'More queens were taken in.' },
      ],
    },
  ];
}

function atOneTime(seen: readonly Observation[]): Contradiction[] {
  const found: Contradiction[] = [];
  seen.forEach((b, i) => {
    const a = seen[i - 1];
    if (!a || daysBetween(a.at, b.at) > SAME_DAYS) return;
    const stage = MILESTONES.find((m) => disjoint(a, b, m));
    if (!stage) return;
    const text = (o: Observation) => countText(o.counts[stage] as NonNullable<typeof o.counts.eggs>);
    found.push({
      says: `Two looks at nearly the same time counted ${text(a)} and ${text(b)} ${stage}. Put one right, or widen it to a range.`,
      readings: [a, b].map((o) => ({ entryId: o.entryId, at: o.at, says: `${text(o)} ${stage} is wrong.` })),
    });
  });
  return found;
}

function disjoint(a: Observation, b: Observation, m: Milestone): boolean {
  const [x, y] = [a.counts[m], b.counts[m]];
  if (!x || !y) return false;
  return (x.high !== null && y.low > x.high) || (y.high !== null && x.low > y.high);
}

/** Nothing at all at one look, pupae or workers a few days later. */
function tooFast(seen: readonly Observation[]): Contradiction[] {
  for (let i = 1; i < seen.length; i++) {
    const b = seen[i] as Observation;
    const a = seen[i - 1] as Observation;
    if (!MILESTONES.every((m) => a.counts[m] && isNone(a.counts[m]))) continue;
    const days = daysBetween(a.at, b.at);
    const stage = (['workers', 'pupae'] as const).find(
      (m) => b.counts[m] && isSome(b.counts[m]) && days < QUICKEST_DAYS[m],
    );
    if (!stage) continue;
    return [
      {
        says: `Nothing was there at one look and ${stage} ${Math.max(1, Math.round(days))} days later. No kind is that quick. Put one of the two right.`,
        readings: [
          { entryId: a.entryId, at: a.at, says: 'Brood was overlooked: leave its counts open.' },
          { entryId: b.entryId, at: b.at, says: `They were not ${stage}, or the day is wrong.` },
        ],
      },
    ];
  }
  return [];
}
