import { emptyLedger, eventDays, ledger, outlook, type QueenLedger } from '@gentle-burrow/core/founding';
import type { Entry } from '@gentle-burrow/core/log';
import { addDays } from '@gentle-burrow/core/quantity';
import { MILESTONES } from '@gentle-burrow/core/species';
import { speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { v7 } from 'uuid';
import {
  plainGenerator,
  POOR_EYE,
  simulateLooks,
  simulateKind,
  simulateQueen,
  USUAL_EYE,
  type Eye,
  type Oddity,
} from '@gentle-burrow/core/world';
import { answerTo } from '@gentle-burrow/core/world/casebook';
import type { Row } from './row';

const QUEENS = Number(process.env.CALIBRATION_QUEENS ?? 1000);
const DRAWS = 1000;
const DRAWS_OF_A_ROW = 500;
const FROM = '2026-05-01T18:00:00.000Z';
const HELD = { least: 0.74, most: 0.86 };
const KINDS = [
  { id: 'tetramorium-immigrans', tempC: 25 },
  { id: 'camponotus-vagus', tempC: 26 },
  { id: 'temnothorax-nylanderi', tempC: 23 },
] as const;

/** Known only by their genus, at their best warmth: a worker of one stage, a large slow kind, a harvester. */
const GENERA = [
  { id: 'tetramorium', tempC: 25 },
  { id: 'camponotus', tempC: 26 },
  { id: 'messor', tempC: 26 },
] as const;

/** A world that differs from what the outlook takes it to be. */
interface World extends Oddity {
  name: string;
  every: number;
  /** The thermometer shows so much more than there is. */
  showsMoreC?: number;
  eye?: Eye;
  counts?: readonly (typeof MILESTONES)[number][];
  /** She is of a species that her profile, of a genus, does not name. */
  ofGenus?: boolean;
}

const WORLDS: World[] = [
  { name: 'as the profile, weekly looks', every: 7 },
  { name: 'as the profile, monthly looks', every: 28 },
  { name: 'thermometer 2 °C too high', every: 7, showsMoreC: 2 },
  { name: 'first brood overlooked 60 %, fading over 8 days', every: 7, eye: POOR_EYE },
  { name: 'a quarter eat the first clutch unseen', every: 14, eatsFirstClutch: 0.25 },
  { name: 'looks every 28 days that count eggs and workers only', every: 28, counts: ['eggs', 'workers'] },
  { name: 'Weibull stages', every: 7, weibull: true },
  { name: 'a species known only by its genus, fortnightly looks', every: 14, ofGenus: true },
];

/**
 * How often the outlook's 80 % band for the first workers holds the truth, on queens simulated apart from it and asked
 * about on a random day, as long as no look has found workers, in worlds that differ from the one it takes for granted.
 */
export function benchCalibration(): Row[] {
  return [
    ...WORLDS.map((world): Row => {
      const kinds = world.ofGenus ? GENERA : KINDS;
      const held = kinds.map(({ id, tempC }) => coverage(id, tempC, world));
      const outside = held.some((h) => h < HELD.least || h > HELD.most);
      return {
        what: `80 % band for workers: ${world.name}, n=${QUEENS} each of ${kinds.length} kinds`,
        budget: '74–86 %',
        measured: `${held.map((h) => `${(100 * h).toFixed(1)} %`).join(', ')}${outside ? ' (outside)' : ''}`,
      };
    }),
    ...benchNever(),
    benchWronged(),
  ];
}

function coverage(id: string, tempC: number, world: World): number {
  const profile = speciesProfile(id);
  const random = plainGenerator(world.every * 7919 + id.length + world.name.length);
  let held = 0;
  for (let asked = 0; asked < QUEENS;) {
    const hers = world.ofGenus ? simulateKind(profile, random) : profile;
    const truth = simulateQueen(hers, tempC - (world.showsMoreC ?? 0), random, world);
    const today = 3 + random() * 80;
    const days = Array.from({ length: Math.floor(today / world.every) }, (_, i) => world.every * (i + 1));
    const looks = simulateLooks(truth, days, random, world.eye ?? USUAL_EYE);
    if (looks[looks.length - 1]?.[3]) continue; // seen: nothing left to foretell
    const known = logged(id, days, looks, addDays(FROM, today), world.counts);
    const at = eventDays(profile, known, tempC, addDays(FROM, today), 'workers', {
      draws: DRAWS,
      seed: asked,
    });
    const rank = at.filter((d) => d <= (truth[3] as number)).length / DRAWS;
    if (Math.abs(rank - 0.5) <= 0.4) held++;
    asked++;
  }
  return held / QUEENS;
}

/** What is made of queens that lay and of one that never does, looked at every fortnight. */
function benchNever(): Row[] {
  const profile = speciesProfile('tetramorium-immigrans');
  const FORTNIGHT = 14;
  const looksUntil = (day: number) =>
    Array.from({ length: Math.floor(day / FORTNIGHT) }, (_, i) => FORTNIGHT * (i + 1));
  const none = looksUntil(182);
  const silent = logged(
    profile.id,
    none,
    none.map(() => [false, false, false, false]),
    addDays(FROM, 182),
  );
  const atHalfYear = outlook(profile, silent, 25, addDays(FROM, 182), { draws: 4000 });
  const byNext = outlook(profile, silent, 25, addDays(FROM, 182 + FORTNIGHT), { draws: 4000 }).events.eggs
    .byNow;
  return [
    {
      what: 'a queen that never lays, after half a year of fortnightly looks: chance of eggs before the next look',
      budget: '< 10 %',
      measured: `${(100 * byNext).toFixed(1)} % (never: ${(100 * atHalfYear.neverLays).toFixed(0)} %)`,
    },
  ];
}

/** How many of normal queens, looked at every fortnight, are ever said to have perhaps never mated: a wrong that must be rare. */
function benchWronged(): Row {
  const id = 'tetramorium-immigrans';
  const random = plainGenerator(90);
  const days = Array.from({ length: 13 }, (_, i) => 14 * (i + 1));
  let [early, late] = [0, 0];
  for (let k = 0; k < QUEENS; k++) {
    const truth = simulateQueen(speciesProfile(id), 25, random);
    const looks = simulateLooks(truth, days, random);
    const seen = looks.findIndex(([eggs]) => eggs);
    const silent = days.slice(0, seen < 0 ? days.length : seen);
    const headed = silent.find((at) =>
      answerTo(
        {
          case: `queen ${k}`,
          at,
          log: days.filter((d) => d <= at).map((day) => ({ day, look: [0, 0, 0, 0] })),
        },
        DRAWS_OF_A_ROW,
      ).verdicts.some((v) => v.id === 'silence' && v.answer === 'perhaps never mated'),
    );
    if (headed === undefined) continue;
    if (headed < 90) early++;
    else late++;
  }
  return {
    what: `of ${QUEENS} normal queens, ever headed "perhaps never mated" before day 90`,
    budget: '< 1 in 100',
    measured: `${early}; from then to half a year ${late}`,
  };
}

function logged(
  id: string,
  days: readonly number[],
  looks: readonly boolean[][],
  now: string,
  counts: readonly (typeof MILESTONES)[number][] = MILESTONES,
): QueenLedger {
  const queenId = v7();
  const head = (at: string) => ({ id: v7(), queenId, at, loggedAt: at });
  const n = (there: boolean | undefined) => ({ low: there ? 5 : 0, high: there ? 5 : 0 });
  const entries: Entry[] = [
    {
      kind: 'intake',
      ...head(FROM),
      found: 'walking',
      wings: 'dealate',
      species: { profileId: id, sure: 'certain' },
    },
    ...looks.map((found, i): Entry => ({
      kind: 'look',
      ...head(addDays(FROM, days[i] as number)),
      ...Object.fromEntries(MILESTONES.flatMap((m, k) => (counts.includes(m) ? [[m, n(found[k])]] : []))),
    })),
  ];
  return ledger(entries, now)[queenId] ?? emptyLedger(queenId);
}
