import { ledger, outlook, type Outlook } from '@gentle-burrow/core/founding';
import type { Entry } from '@gentle-burrow/core/log';
import { speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { daysAgo, madeQueen } from '../../../test/kit';
import { countdown, insideWords } from './likely';

const words = (o: Outlook): string => (o.later ? insideWords(o.later) : '');

const NOW = new Date();
const project = (takenIn: number, looks: [ago: number, counts: number[]][]): Outlook => {
  const { queen, entries } = madeQueen('W', takenIn);
  const bodies = looks.map(([ago, [eggs = 0, larvae = 0, pupae = 0, workers = 0]], i) => {
    const one = (n: number) => ({ low: n, high: n });
    return {
      kind: 'look',
      id: `01900000-0000-7000-8000-00000000000${i}`,
      queenId: queen.id,
      at: daysAgo(ago),
      loggedAt: daysAgo(ago),
      eggs: one(eggs),
      larvae: one(larvae),
      pupae: one(pupae),
      workers: one(workers),
    } as Entry;
  });
  const known = ledger([...entries, ...bodies], NOW.toISOString())[queen.id];
  if (!known) throw new Error('no ledger');
  return outlook(speciesProfile('tetramorium-immigrans'), known, 25, NOW.toISOString(), { draws: 1000 });
};

test('a queen just taken in sits alone; her workers are a band of days away', () => {
  const fresh = project(0, []);
  expect(words(fresh)).toBe('Probably she sits alone and waits.');
  const count = countdown(fresh, NOW);
  expect(count?.title).toBe('Her first workers');
  expect(count?.says).toMatch(/^in \d+ to \d+ days$/);
  expect(count?.low).toBeLessThan(count?.middle as number);
});

test('what was seen a week ago has moved on', () => {
  const said = words(
    project(40, [
      [22, [6]],
      [7, [0, 8]],
    ]),
  );
  expect(said).toMatch(/^Probably .*(larva|pupa)/);
  expect(said).not.toMatch(/workers\b.*Probably/);
});

test('with the first workers out it counts the days to the last of the batch', () => {
  const out = project(60, [
    [40, [6]],
    [20, [0, 6, 2]],
    [1, [4, 0, 7, 1]],
  ]);
  expect(countdown(out, NOW)?.title).toBe('The last of the first batch');
  expect(words(out)).toMatch(/worker/);
});
