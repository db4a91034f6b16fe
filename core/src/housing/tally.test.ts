import { ledger } from '../founding';
import type { HomeChange } from '../log';
import { usualTube } from '../tube/usual-tube';
import { day, entry, look, QUEEN } from '../test-kit';
import { missing, tallyFault } from './tally';

// In equals out is checked at the end of a transfer by hand: common practice, no source.
test('what is missing is what went out and did not come in, kind by kind', () => {
  expect(missing({ out: { workers: 12, larvae: 4, queens: 1 }, into: { workers: 11, larvae: 4 } })).toEqual([
    { who: 'workers', n: 1 },
    { who: 'queens', n: 1 },
  ]);
  expect(missing({ out: { workers: 3 }, into: { workers: 3 } })).toEqual([]);
  // who stayed behind and who is lost is told, and not missing
  const told = { out: { workers: 9 }, into: { workers: 5 }, left: { workers: 2 }, lost: { workers: 1 } };
  expect(missing(told)).toEqual([{ who: 'workers', n: 1 }]);
});

test.each([
  [{ out: {}, into: {} }, /Nothing is counted yet/],
  [{ out: { workers: 3 }, into: { workers: 2 } }, /Look for them, or say/],
  [{ out: { workers: 3 }, into: { workers: 2 }, explained: '  ' }, /Look for them, or say/],
  [{ out: { workers: 3 }, into: { workers: 2 }, explained: 'one under the brush' }, null],
  // brood out of nothing
  [{ out: { workers: 3 }, into: { workers: 3, pupae: 2 } }, /More pupae came in \(2\) than went out \(0\)/],
  [{ out: { workers: 3, queens: 1 }, into: { workers: 3, queens: 1 } }, null],
  [{ out: { workers: 3 }, into: { workers: 1 }, left: { workers: 1 }, lost: { workers: 1 } }, null],
  [{ out: { workers: 3 }, into: { workers: 2 }, left: { workers: 2 } }, /more than that in, left and lost/],
])('%j', (tally, says) => {
  if (says) expect(tallyFault(tally)).toMatch(says);
  else expect(tallyFault(tally)).toBeNull();
});

test('what came in was counted; what nobody touched was not, and so is not gone', () => {
  const { setUpAt: _, ...part } = usualTube('018f0000-0000-7000-8000-0000000000f1', '');
  const home = (on: number, change: HomeChange) => entry(on, { kind: 'home', change });
  const log = [
    entry(0, { kind: 'intake' }),
    look(30, [6, 4, 3, 0]),
    home(31, { what: 'set-up', part, purpose: 'move', by: 'taped' }),
    home(33, {
      what: 'moved-in',
      partId: part.id,
      queen: true,
      how: 'by-hand',
      tally: {
        out: { larvae: 4, pupae: 3, queens: 1 },
        into: { larvae: 4, pupae: 2, queens: 1 },
        explained: 'one stuck',
      },
    }),
  ];
  const known = ledger(log, day(34))[QUEEN];
  expect(known?.counts.larvae?.range).toMatchObject({ low: 4, high: 4 });
  expect(known?.counts.pupae?.range).toMatchObject({ low: 2, high: 2 });
  expect(known?.counts.eggs?.range).toMatchObject({ low: 6, high: 6 });
  expect(known?.broodLost).toEqual([]);
  expect(known?.livesIn).toBe(part.id);
});
