import type { EntryBody } from '@gentle-burrow/core/log';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { LookPage } from './LookPage';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const LAST: EntryBody = {
  kind: 'look',
  at: daysAgo(5),
  queen: 'seen',
  eggs: { low: 8, high: 12 },
  larvae: { low: 2, high: 2 },
};

async function open(amendLast = false) {
  const facts = madeQueen('Vesper', 30, [LAST]);
  const server = new PretendServer([facts]);
  const page = show(<LookPage id={facts.queen.id} amend={amendLast ? facts.entries[1]?.id : undefined} />);
  await screen.findByRole('button', { name: amendLast ? 'Keep the correction' : 'Keep this look' });
  return { facts, server, page };
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const stage = (name: RegExp) => fireEvent.click(screen.getByRole('tab', { name }));

test('an empty look is not kept, and says what to do', async () => {
  const { server } = await open();
  press('Keep this look');
  expect((await screen.findByRole('alert')).textContent).toMatch(/Tap where she sits, count some brood/);
  expect(server.sent).toEqual([]);
});

test('counts by tapping, a range by two taps, some by a word', async () => {
  const { server } = await open();
  press('8 eggs');
  press('15 eggs');
  stage(/^larvae/);
  press('some larvae');
  stage(/^pupae/);
  press('no pupae');
  press('Keep this look');
  press('Not looked for');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  expect(server.bodiesOf('/entries')[0]).toMatchObject({
    kind: 'look',
    eggs: { low: 8, high: 15 },
    larvae: { low: 1, high: null },
    pupae: { low: 0, high: 0 },
  });
  expect(server.bodiesOf('/entries')[0]).not.toHaveProperty('workers');
});

test('a second tap that was a correction is one tap more', async () => {
  await open();
  press('5 eggs');
  press('8 eggs');
  expect(screen.getByText('Eggs: 5–8')).toBeTruthy();
  press('5–8 eggs. Or only 8?');
  expect(screen.getByText('Eggs: 8')).toBeTruthy();
});

const COUNT = (what: string) => `${what}, a number or a range`;
const type = (what: string, value: string) =>
  fireEvent.change(screen.getByRole('textbox', { name: COUNT(what) }), { target: { value } });

test.each([
  ['3-5', { low: 3, high: 5 }],
  ['3–5', { low: 3, high: 5 }],
  ['~5', { low: 4, high: 6 }],
  ['about 5', { low: 4, high: 6 }],
  ['5+', { low: 5, high: null }],
  ['a dozen', { low: 10, high: 14 }],
  ['40', { low: 40, high: 40 }],
])('%s eggs are read as keepers mean them', async (text, eggs) => {
  const { server } = await open();
  type('eggs', text);
  press('Keep this look');
  press('Not looked for');
  await waitFor(() => expect(server.bodiesOf('/entries')[0]).toMatchObject({ eggs }));
});

test('what cannot be read stops the look, stays, and its field is opened', async () => {
  const { server } = await open();
  stage(/^larvae/);
  type('larvae', '2.5');
  press('Keep this look');
  expect(screen.queryByText(/Nothing is noted yet/)).toBeNull();
  stage(/^eggs/);
  press('8 eggs');
  press('Keep this look');
  expect(server.sent).toEqual([]);
  expect((screen.getByRole('textbox', { name: COUNT('larvae') }) as HTMLInputElement).value).toBe('2.5');
  expect(screen.getAllByRole('alert')[0]?.textContent).toMatch(/“2.5” is not a count\. Write a number/);
  type('larvae', '15–8');
  press('Keep this look');
  expect(screen.getAllByRole('alert')[0]?.textContent).toMatch(/runs downwards/);
  type('larvae', '8–15');
  press('Keep this look');
  press('Nothing else in there');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      eggs: { low: 8, high: 8 },
      larvae: { low: 8, high: 15 },
      pupae: { low: 0, high: 0 },
      workers: { low: 0, high: 0 },
    }),
  );
});

test('q says that she was seen, and does not become part of a count', async () => {
  const { server } = await open();
  type('eggs', '3');
  fireEvent.keyDown(screen.getByRole('textbox', { name: COUNT('eggs') }), { key: 'q' });
  expect((screen.getByRole('textbox', { name: COUNT('eggs') }) as HTMLInputElement).value).toBe('3');
  press('Nothing else in there');
  press('Keep this look');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({ queen: 'seen', eggs: { low: 3, high: 3 } }),
  );
});

test('a stage that nobody looked for stays unsaid, and is not none', async () => {
  const { server } = await open();
  press('5 eggs');
  press('Keep this look');
  expect(screen.getByText('Were there any larvae, pupae or workers?')).toBeTruthy();
  expect(server.sent).toEqual([]);
  press('Not looked for');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  expect(server.bodiesOf('/entries')[0]).not.toHaveProperty('larvae');
});

test('what is typed wrongly after the question stops the look too, and is not made none', async () => {
  const { server } = await open();
  press('5 eggs');
  press('Keep this look');
  stage(/^larvae/);
  type('larvae', '3q');
  expect(screen.queryByRole('button', { name: 'Not looked for' })).toBeNull();
  press('Nothing else in there');
  press('Keep this look');
  expect(server.sent).toEqual([]);
  expect((screen.getByRole('textbox', { name: COUNT('larvae') }) as HTMLInputElement).value).toBe('3q');
  type('larvae', '3');
  press('Keep this look');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      larvae: { low: 3, high: 3 },
      pupae: { low: 0, high: 0 },
    }),
  );
});

test('the same brood as last time is one tap', async () => {
  const { server } = await open();
  fireEvent.click(screen.getByRole('button', { name: /Same brood as 5 days ago/ }));
  press('Keep this look');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      eggs: LAST.eggs,
      larvae: LAST.larvae,
      queen: 'seen',
    }),
  );
});

test('the water line is logged only when it was read', async () => {
  const { server } = await open();
  expect(screen.getByText(/Water line not read. By reckoning it stands at \d+ mm/)).toBeTruthy();
  const line = screen.getByRole('slider', { name: 'Water line' });
  const before = Number(line.getAttribute('aria-valuenow'));
  fireEvent.keyDown(line, { key: 'ArrowLeft' });
  expect(screen.getByText(`Water line read at ${before - 1} mm.`)).toBeTruthy();
  press('Keep this look');
  await waitFor(() => expect(server.bodiesOf('/entries')[0]).toMatchObject({ waterLineMm: before - 1 }));
});

test('back-dated to yesterday evening; a day before intake is refused', async () => {
  const { server } = await open();
  fireEvent.click(screen.getByRole('radio', { name: 'Another day' }));
  const day = screen.getByLabelText('Day of the look');
  fireEvent.change(day, { target: { value: '2001-01-01' } });
  press('1 eggs');
  press('Keep this look');
  expect(screen.getAllByRole('alert')[0]?.textContent).toMatch(/She was taken in on/);
  fireEvent.click(screen.getByRole('radio', { name: 'Yesterday' }));
  press('Keep this look');
  press('Nothing else in there');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  const { at } = server.bodiesOf('/entries')[0] as { at: string };
  const yesterday = new Date(Date.now() - 86_400_000);
  expect(new Date(at).toDateString()).toBe(yesterday.toDateString());
  expect(new Date(at).getHours()).toBe(20);
});

test('what is half noted is there again after leaving, and gone once kept', async () => {
  const { facts, page, server } = await open();
  press('8 eggs');
  fireEvent.click(screen.getByRole('radio', { name: 'Near brood' }));
  page.unmount();
  const again = show(<LookPage id={facts.queen.id} />);
  await screen.findByText('Eggs: 8');
  expect(screen.getByRole('radio', { name: 'Near brood' }).getAttribute('aria-checked')).toBe('true');
  press('Keep this look');
  press('Nothing else in there');
  // before it is written there is nothing to send either
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  await waitFor(() => expect(outboxItems()).toEqual([]));
  again.unmount();
  show(<LookPage id={facts.queen.id} />);
  await screen.findByText('Eggs: not counted');
});

test('amending starts from what was written, keeps its moment, and points at it', async () => {
  const { facts, server } = await open(true);
  expect(screen.getByText('Eggs: 8–12')).toBeTruthy();
  press('5 eggs');
  expect(screen.getByText('Eggs: 5')).toBeTruthy();
  press('Keep the correction');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  expect(server.bodiesOf('/entries')[0]).toMatchObject({
    kind: 'amendment',
    amends: facts.entries[1]?.id,
    replacement: { kind: 'look', at: LAST.at, eggs: { low: 5, high: 5 }, larvae: { low: 2, high: 2 } },
  });
});

test('a look against the method is warned of, but taken', async () => {
  await open();
  expect(screen.getByText(/By your method she should still be left alone/)).toBeTruthy();
});
