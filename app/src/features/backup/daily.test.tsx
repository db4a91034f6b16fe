import type { DailyBackup } from '@gentle-burrow/contract';
import { screen } from '@testing-library/react';
import { daysAgo, PretendServer, show } from '../../../test/kit';
import { Daily } from './Daily';

const OLDER = 'gentle-burrow-2026-05-02-abc123.zip';

function page(last: DailyBackup['last']) {
  const kept = [{ name: OLDER, madeAt: daysAgo(1), bytes: 2_400_000 }];
  new PretendServer([]).daily = { folder: '/mnt/second', kept, last };
  show(<Daily />);
}

test('what was read back of the last one is told', async () => {
  page({ at: daysAgo(0), went: 'well', says: 'Read back: 3 queens, 40 entries, 1 photo and 0 readings.' });
  expect(await screen.findByText(/Read back: 3 queens/)).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
  expect(screen.getByText(/It is the only one yet/)).toBeTruthy();
});

test('one that holds less than an earlier one is told as an alarm, with the one that holds more and what to do', async () => {
  page({ at: daysAgo(0), went: 'less', says: `It holds 0 queens. In ${OLDER}: 3 queens.` });
  const alarm = await screen.findByRole('alert');
  expect(alarm.textContent).toMatch(/holds less than an earlier one: something may have been lost/);
  expect(screen.getByText(`It holds 0 queens. In ${OLDER}: 3 queens.`)).toBeTruthy();
  expect(alarm.textContent).toMatch(/bring that one back/);
});

test('one that did not come about is told with its reason', async () => {
  page({ at: daysAgo(0), went: 'wrong', says: 'There is no room in /mnt/second.' });
  expect((await screen.findByRole('alert')).textContent).toMatch(/did not come about.*no room/);
});
