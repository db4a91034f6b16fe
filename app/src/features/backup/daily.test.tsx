import type { DailyBackup } from '@gentle-burrow/contract';
import { screen } from '@testing-library/react';
import { daysAgo, PretendServer, show } from '../../../test/kit';
import { BackupAlarm } from './BackupAlarm';
import { Daily } from './Daily';

const OLDER = 'gentle-burrow-2026-05-02-abc123.zip';

function page(last: DailyBackup['last'], shown = <Daily />, folder: string | null = '/mnt/second') {
  const kept = [{ name: OLDER, madeAt: daysAgo(1), bytes: 2_400_000 }];
  new PretendServer([]).daily = { folder, kept, last };
  show(shown);
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
  expect(alarm.textContent).toMatch(/bring an earlier one back.*kept meanwhile/);
});

test('one that did not come about is told with its reason', async () => {
  page({ at: daysAgo(0), went: 'wrong', says: 'There is no room in /mnt/second.' });
  expect((await screen.findByRole('alert')).textContent).toMatch(/did not come about.*no room/);
});

describe('on the first page', () => {
  test('one that did not come about is told, with its reason and the way to it', async () => {
    page({ at: daysAgo(0), went: 'wrong', says: 'There is no room in /mnt/second.' }, <BackupAlarm />);
    const way = await screen.findByRole('link');
    expect(way.textContent).toMatch(/^Soon · Daily backup.*did not come about. There is no room/);
    expect(way.getAttribute('href')).toBe('/backup');
  });

  test('that something may have been lost is told as the graver, with what to do', async () => {
    page({ at: daysAgo(0), went: 'less', says: 'It holds 0 queens.' }, <BackupAlarm />);
    expect((await screen.findByRole('link')).textContent).toMatch(
      /^Now · Daily backup.*may have been lost.*bring an earlier one back/,
    );
  });

  test.each([
    ['one that went well', '/mnt/second', 'well' as const],
    ['one that failed before the keeper gave it up', null, 'wrong' as const],
  ])('%s is not told', async (_, folder, went) => {
    const last = { at: daysAgo(0), went, says: 'Whatever.' };
    const shown = (
      <>
        <Daily />
        <BackupAlarm />
      </>
    );
    page(last, shown, folder);
    // the page itself has its answer by then
    await screen.findByLabelText('Folder of the daily backup');
    expect(screen.queryByText(/Soon|Now/)).toBeNull();
  });
});
