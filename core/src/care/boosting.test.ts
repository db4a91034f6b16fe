import { ledger } from '../founding';
import { addDays } from '../quantity';
import type { Entry } from '../log';
import { speciesProfile } from '../species/catalogue';
import { boostFaults, donorFitness, type BoostEnd } from './boosting';

// Who may give brood to whom. Common practice, no source.

const START = '2026-05-01T18:00:00Z';
const NOW = addDays(START, 100);
let serial = 0;

function end(label: string, profileId: string, bodies: [number, object][], sure = 'certain'): BoostEnd {
  const entry = (day: number, body: object) => {
    const at = addDays(START, day);
    return { id: `e${++serial}`, queenId: label, at, loggedAt: at, ...body } as Entry;
  };
  const intake = entry(0, {
    kind: 'intake',
    found: 'walking',
    wings: 'dealate',
    species: { profileId, sure },
  });
  const known = ledger([intake, ...bodies.map(([day, body]) => entry(day, body))], NOW)[label];
  if (!known) throw new Error('no ledger');
  return { id: label, label, species: speciesProfile(profileId).kin.species, known };
}
const n = (count: number) => ({ low: count, high: count });
const look = (eggs: number, larvae: number, pupae: number, workers: number) => ({
  kind: 'look',
  eggs: n(eggs),
  larvae: n(larvae),
  pupae: n(pupae),
  workers: n(workers),
});
const MESSOR = 'messor-structor';
const strong = (more: [number, object][] = []) => end('S', MESSOR, [[90, look(10, 8, 12, 40)], ...more]);
const eats = () =>
  end(
    'R',
    MESSOR,
    [10, 40, 70].flatMap((day): [number, object][] => [
      [day, look(6, 0, 0, 0)],
      [day + 15, look(0, 0, 0, 0)],
    ]),
  );
const orphans = (loss: object) =>
  end('D', MESSOR, [
    [90, look(0, 3, 6, 4)],
    [95, { kind: 'loss', how: 'died', colonyGoesOn: true, ...loss }],
  ]);
const stops = (donor: BoostEnd, recipient: BoostEnd, counts = {}) =>
  boostFaults(donor, recipient, counts, NOW)
    .filter((f) => f.stops)
    .map((f) => f.says);

test('a healthy colony with workers may give pupae to a sister', () =>
  expect(boostFaults(strong(), eats(), { pupae: 6 }, NOW)).toEqual([]));

test('two kinds, no kind, oneself, and one without a queen are refused, each with what to do', () => {
  expect(stops(strong(), end('T', 'tetramorium-immigrans', []))[0]).toMatch(
    /of two kinds.*Choose a colony of the same/,
  );
  expect(stops(strong(), end('U', 'unknown-temperate', []))[0]).toMatch(
    /Nobody has named the species of U.*Name it first/,
  );
  // two of one genus may be of two species: the brood of the one is killed by the other (common practice, no source)
  expect(stops(end('G', 'messor', [[90, look(3, 3, 9, 20)]]), end('H', 'messor', []))[0]).toMatch(
    /species of G.*within a genus. Name it first/,
  );
  expect(stops(strong(), strong())[0]).toMatch(/Choose two/);
  expect(stops(strong(), orphans({ cause: 'injured' }))[0]).toMatch(/D has no queen any more/);
});

test('to one that has hardly lost any, or has workers, it is a caution, unless it would be lost otherwise', () => {
  const says = (donor: BoostEnd, recipient: BoostEnd) =>
    boostFaults(donor, recipient, { pupae: 3 }, NOW).map((f) => [f.stops, f.says.slice(0, 25)]);
  const once = end('R', MESSOR, [
    [70, look(6, 0, 0, 0)],
    [85, look(0, 0, 0, 0)],
  ]);
  expect(says(strong(), once)).toEqual([[false, 'R has lost 1 clutch this ']]);
  expect(says(strong(), end('W', MESSOR, [[90, look(3, 3, 3, 9)]]))).toEqual([
    [false, 'W has workers: she needs '],
  ]);
  expect(says(orphans({ cause: 'injured' }), once)).toEqual([]);
});

test('a kind that is only likely is a caution', () => {
  const found = boostFaults(orphans({ cause: 'injured' }), end('R', MESSOR, [], 'likely'), { pupae: 2 }, NOW);
  expect(found.map((f) => f.stops)).toEqual([false]);
});

test('a queen that founds without workers needs her first brood herself', () =>
  expect(stops(end('F', MESSOR, [[90, look(5, 5, 5, 0)]]), eats())[0]).toMatch(/no workers yet/));

test.each([
  [{ cause: 'dried-out', certainty: 'certain' }, 'sound'],
  [{ cause: 'too-warm' }, 'sound'],
  [{ cause: 'starved', certainty: 'guess' }, 'risk'],
  [{ cause: 'unknown' }, 'risk'],
  [{ cause: 'other', certainty: 'certain' }, 'risk'],
  [{ cause: 'mould', certainty: 'likely' }, 'no'],
])('a queen that died of %j leaves brood that is %s', (loss, is) =>
  expect(donorFitness(orphans(loss).known, NOW).is).toBe(is),
);

test('a queen that escaped died of nothing that could go along', () =>
  expect(donorFitness(orphans({ how: 'escaped', cause: 'unknown' }).known, NOW)).toMatchObject({
    is: 'sound',
    what: 'health',
  }));

test('mites, quarantine and mould at the brood keep it where it is', () => {
  const health = (findings: string[], quarantineUntil: string | null) =>
    donorFitness(strong([[92, { kind: 'health', findings, quarantineUntil }]]).known, NOW);
  expect(health(['mites'], null)).toMatchObject({ is: 'no', what: 'mites' });
  expect(health([], addDays(NOW, 3))).toMatchObject({ is: 'no', what: 'quarantine' });
  expect(health([], addDays(NOW, -3)).is).toBe('sound');
  expect(health(['missing-leg'], null).is).toBe('sound');
  expect(donorFitness(strong([[92, { kind: 'look', mould: 'near-brood' }]]).known, NOW).what).toBe('mould');
});

test('no more is given than was there, or can have become of what was there', () => {
  // 10 eggs, 8 larvae and 12 pupae were counted
  expect(stops(strong(), eats(), { pupae: 30 })).toEqual([]);
  expect(stops(strong(), eats(), { pupae: 31 })[0]).toMatch(
    /at most 30 pupae at S.*Count again, or log a look/,
  );
  // a queen that lives may have laid since
  expect(stops(strong(), eats(), { eggs: 200 })).toEqual([]);
  const dead = orphans({ cause: 'injured' });
  expect(stops(dead, eats(), { larvae: 3, pupae: 6 })).toEqual([]);
  expect(stops(dead, eats(), { eggs: 1 })[0]).toMatch(/no brood at D that could be eggs now/);
  expect(stops(dead, eats(), { larvae: 4 })[0]).toMatch(/at most 3 larvae/);
});
