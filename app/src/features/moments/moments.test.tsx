import type { EntryBody } from '@gentle-burrow/core/log';
import { fireEvent, screen } from '@testing-library/react';
import { PhotoPicker } from '@/features/photos/PhotoPicker';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { Colony } from '../../../test/pages';
import { afterWords, againstWords, firstWords } from './moment-words';

afterEach(() => localStorage.clear());

test.each([
  [{ low: 50, high: 54 }, 'after 50 to 54 days'],
  [{ low: 53, high: 54 }, 'after 54 days'],
  [{ low: 0, high: 1 }, 'after 1 day'],
  [{ low: 0, high: 0.3 }, 'on the first day'],
])('%j is said as “%s”', (days, words) => expect(afterWords(days)).toBe(words));

test('cocoons are called what they are, and an estimate says that it is one', () => {
  expect(firstWords('pupae', true)).toBe('First cocoons');
  expect(firstWords('pupae', false)).toBe('First pupae');
  expect(againstWords(0.7, '24 °C')).toBe(
    'Sooner than about 7 in 10 of her species at 24 °C (our own estimate).',
  );
});

const seen = (ago: number, counts: object): EntryBody =>
  ({ kind: 'look', at: daysAgo(ago), queen: 'seen', ...counts }) as EntryBody;
const NONE = { low: 0, high: 0 };

async function page(bodies: EntryBody[]) {
  const facts = madeQueen('Vesper', 60, bodies);
  new PretendServer([facts]);
  show(<Colony id={facts.queen.id} />);
  await screen.findByRole('heading', { name: 'How is Vesper doing?' });
}

test('a first that was logged lately is said until it is closed', async () => {
  await page([
    seen(30, { eggs: { low: 4, high: 4 }, workers: NONE }),
    seen(2, { eggs: { low: 4, high: 4 }, larvae: { low: 3, high: 3 }, workers: { low: 2, high: 2 } }),
  ]);
  expect(await screen.findByRole('heading', { name: /^First workers after 30 to 58 days/ })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('heading', { name: /^First workers/ })).toBeNull();
});

test('one of weeks ago is no news', async () => {
  await page([
    seen(40, { eggs: NONE, workers: NONE }),
    seen(30, { eggs: { low: 4, high: 4 }, workers: NONE }),
  ]);
  expect(screen.queryByRole('heading', { name: /^First/ })).toBeNull();
});

test.each([
  [[], 0],
  [['new'], 1],
])('with %j taken now, the last photo of an earlier look stands beside it %d times', (photos, times) => {
  show(<PhotoPicker photos={photos} last={{ id: 'old', at: daysAgo(20) }} onChange={() => {}} />);
  expect(screen.queryAllByText(/^Last, /)).toHaveLength(times);
});
