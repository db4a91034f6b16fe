import { entryBodySchema, KIND_NAMES, type Entry, type EntryBody } from '@gentle-burrow/core/log';
import { housing } from '@gentle-burrow/core/housing';
import { usualTube } from '@gentle-burrow/core/tube';
import { SAMPLES } from '@gentle-burrow/core/world';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import type { ShownQueen } from '@/data/queries';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { Colony } from '../../../test/pages';
import { undoLast } from '@/ui/undo';
import type { FormKind, KindForm } from './kind-form';
import { hasForm, KIND_FORMS } from './kind-forms';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const FORMS = KIND_NAMES.filter(hasForm);
const formOf = (kind: FormKind) => KIND_FORMS[kind] as unknown as KindForm<FormKind>;

/** What a form looks at of a queen: workers were counted, nothing else is known. */
const shown = {
  facts: {
    queen: { label: 'Vesper', batch: '', placeId: SAMPLES.move.placeId, createdAt: daysAgo(30) },
    home: usualTube('', ''),
    place: { id: 'here', name: 'Drawer', tempC: 25 },
    entries: [],
  },
  view: {
    housing: housing(usualTube('', ''), []),
    part: usualTube('', ''),
    ledger: {
      counts: { workers: { range: { low: 3, high: 3 } } },
      health: null,
      species: null,
      heats: [],
      winterPlan: null,
    },
  },
} as unknown as ShownQueen;

test('every kind is written by a form or has a page of its own', () =>
  expect(KIND_NAMES.filter((k) => !hasForm(k))).toEqual(['look']));

test.each(FORMS)('%s: opened and kept as it is, it says what it said', (kind) => {
  const sample = SAMPLES[kind] as EntryBody & { text?: string };
  const form = formOf(kind);
  const said = form.finish(form.begin(shown, sample as never), shown, sample.at);
  const again = { kind, at: sample.at, ...said, ...(sample.text ? { text: sample.text } : {}) };
  expect(entryBodySchema.parse(again)).toEqual(entryBodySchema.parse(sample));
});

test.each(FORMS)('%s: an empty form is not kept, or is whole', (kind) => {
  const form = formOf(kind);
  const said = form.finish(form.begin(shown, null), shown, daysAgo(0));
  if (said === null || form.needsText) return;
  expect(entryBodySchema.safeParse({ kind, at: daysAgo(0), ...said }).success).toBe(true);
});

const FED: EntryBody = { kind: 'feed', at: daysAgo(6), food: 'sugar', outcome: 'offered', spot: 'cell' };

async function page(bodies: EntryBody[], facts = madeQueen('Vesper', 30, bodies)) {
  const server = new PretendServer([facts]);
  const { unmount } = show(<Colony id={facts.queen.id} />);
  await screen.findByRole('heading', { name: 'How is Vesper doing?' });
  return { server, facts, unmount };
}

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

/** To another view of her page. */
const to = (view: 'Now' | 'Ahead' | 'Why' | 'Log') =>
  fireEvent.click(screen.getByRole('link', { name: view }));

test('a feed is put right where it stands in her log; its day stays, and what it said is shown', async () => {
  const { server, facts } = await page([FED]);
  to('Log');
  press(/^Put right: Fed/);
  const place = screen.getByRole('radiogroup', { name: 'Where' });
  expect(within(place).getByRole('radio', { checked: true }).textContent).toBe('In her cell');
  fireEvent.click(screen.getByRole('radio', { name: 'Eaten' }));
  fireEvent.change(screen.getByRole('textbox', { name: 'Note' }), { target: { value: 'gone by morning' } });
  press('Keep the correction');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      kind: 'amendment',
      amends: facts.entries[1]?.id,
      replacement: { ...FED, outcome: 'taken', text: 'gone by morning' },
    }),
  );
  expect(await screen.findByText(/Before: sugar, offered, in her cell/)).toBeTruthy();
});

test('a correction half done can be left, and changes nothing', async () => {
  const { server } = await page([FED]);
  to('Log');
  press(/^Put right: Fed/);
  fireEvent.click(screen.getByRole('radio', { name: 'Left' }));
  press('Leave it as it was');
  expect(screen.queryByRole('button', { name: 'Keep the correction' })).toBeNull();
  expect(server.bodiesOf('/entries')).toHaveLength(0);
  press(/^Put right: Fed/);
  expect(screen.getByRole('radio', { name: 'Offered' }).getAttribute('aria-checked')).toBe('true');
});

test('a bump of yesterday is written for yesterday, and not by a stray tap', async () => {
  const { server } = await page([]);
  press('Tube was bumped');
  expect(outboxItems()).toHaveLength(0);
  fireEvent.click(screen.getByRole('radio', { name: 'Yesterday' }));
  press('Keep this bump');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  const { kind, at } = server.bodiesOf('/entries')[0] as EntryBody;
  expect(kind).toBe('knock');
  const hours = (Date.now() - Date.parse(at)) / 3_600_000;
  expect(hours).toBeGreaterThan(3);
  expect(hours).toBeLessThan(29);
});

test('a day before she was there is refused with the way to mend it', async () => {
  await page([]);
  press('Note');
  fireEvent.change(screen.getByRole('textbox', { name: 'Note' }), { target: { value: 'calm' } });
  fireEvent.click(screen.getByRole('radio', { name: 'Another day' }));
  fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2020-01-01' } });
  expect(screen.getByRole('alert').textContent).toMatch(/Choose that day or a later one/);
  expect(screen.getByRole('button', { name: 'Keep this note' }).getAttribute('aria-disabled')).toBe('true');
});

test('a draft that was discarded comes back; its button stands behind the fields', async () => {
  const first = await page([]);
  press('Note');
  fireEvent.change(screen.getByRole('textbox', { name: 'Note' }), { target: { value: 'calm' } });
  first.unmount();
  await page([], first.facts);
  press('Note');
  const note = () => screen.getByRole('textbox', { name: 'Note' }) as HTMLTextAreaElement;
  expect(note().value).toBe('calm');
  const discard = screen.getByRole('button', { name: 'Discard draft' });
  expect(note().compareDocumentPosition(discard) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
  fireEvent.click(discard);
  expect(note().value).toBe('');
  expect(screen.queryByRole('button', { name: 'Discard draft' })).toBeNull();
  await act(async () => void (await undoLast()));
  expect(note().value).toBe('calm');
});

test('her name and tube are put right; what was held before stays in her log', async () => {
  const { server } = await page([]);
  press('Correct');
  const keep = () => screen.getByRole('button', { name: 'Save correction' });
  expect(keep().getAttribute('aria-disabled')).toBe('true');
  const label = screen.getByRole('textbox', { name: 'Letter or name on the tube' });
  fireEvent.change(label, { target: { value: ' ' } });
  expect(screen.getByRole('alert').textContent).toMatch(/Give her a letter/);
  fireEvent.change(label, { target: { value: 'Vespa' } });
  expect(screen.getByText('Before: Vesper')).toBeTruthy();
  press(/^First tube: /);
  fireEvent.change(screen.getByRole('textbox', { name: 'Length, mm' }), { target: { value: '200' } });
  fireEvent.click(keep());
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      kind: 'correct',
      label: { was: 'Vesper', is: 'Vespa' },
      tube: { was: { lengthMm: 150 }, is: { lengthMm: 200 } },
    }),
  );
  expect(await screen.findByRole('heading', { name: 'How is Vespa doing?' })).toBeTruthy();
  to('Log');
  expect(screen.getByText(/name Vespa, was Vesper/)).toBeTruthy();
});

test('day, site and species are corrected where her name is, and undone together', async () => {
  const { server, facts } = await page([FED]);
  press('Correct');
  fireEvent.change(screen.getByLabelText('Day she was taken in'), {
    target: { value: daysAgo(1).slice(0, 10) },
  });
  expect(screen.getByRole('alert').textContent).toMatch(/already\. Choose that day or an earlier one/);
  expect(screen.getByRole('button', { name: 'Save correction' }).getAttribute('aria-disabled')).toBe('true');
  fireEvent.change(screen.getByLabelText('Day she was taken in'), {
    target: { value: daysAgo(40).slice(0, 10) },
  });
  fireEvent.change(screen.getByRole('textbox', { name: 'Where she was found' }), {
    target: { value: 'Mill bank' },
  });
  fireEvent.change(screen.getByRole('textbox', { name: 'Batch' }), { target: { value: 'June' } });
  expect(screen.getByText('Before: no batch')).toBeTruthy();
  press('Save correction');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(2));
  const sent = server.bodiesOf('/entries') as { kind: string; id: string }[];
  expect(sent[0]).toMatchObject({ kind: 'correct', batch: { was: '', is: 'June' } });
  expect(sent[1]).toMatchObject({
    kind: 'amendment',
    amends: facts.entries[0]?.id,
    replacement: { kind: 'intake', found: 'walking', wings: 'dealate', where: 'Mill bank' },
  });
  await act(async () => void (await undoLast()));
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(4));
  const back = (server.bodiesOf('/entries') as { amends: string; replacement: null }[]).slice(2);
  expect(back.map((b) => b.amends).sort()).toEqual(sent.map((e) => e.id).sort());
  expect(back.every((b) => b.replacement === null)).toBe(true);
});

test('an intake is put right, and cannot come after what was written of her', async () => {
  const { server, facts } = await page([FED]);
  to('Log');
  press(/^Put right: Taken in/);
  fireEvent.change(screen.getByRole('textbox', { name: 'Queens in the tube' }), { target: { value: '0.5' } });
  expect(screen.getByRole('alert').textContent).toMatch(/Half a queen/);
  fireEvent.change(screen.getByRole('textbox', { name: 'Queens in the tube' }), { target: { value: '2' } });
  fireEvent.change(screen.getByLabelText('Day'), { target: { value: daysAgo(1).slice(0, 10) } });
  expect(screen.getByRole('alert').textContent).toMatch(/already\. Choose that day or an earlier one/);
  fireEvent.change(screen.getByLabelText('Day'), { target: { value: daysAgo(40).slice(0, 10) } });
  fireEvent.click(screen.getByRole('radio', { name: 'Kept' }));
  press('Keep the correction');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  const { amends, replacement } = server.bodiesOf('/entries')[0] as {
    amends: string;
    replacement: EntryBody;
  };
  expect(amends).toBe(facts.entries[0]?.id);
  expect(replacement).toMatchObject({ kind: 'intake', queens: 2, wings: 'winged', found: 'walking' });
  expect(entryBodySchema.safeParse(replacement).success).toBe(true);
});

test('a queen taken in by mistake is withdrawn whole, and brought back', async () => {
  await page([FED]);
  to('Log');
  press('Taken in by mistake: take her back whole');
  expect(await screen.findByText(/was taken in by mistake and is taken back/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Log a look' })).toBeNull();
  press('Bring her back');
  expect(await screen.findByRole('button', { name: 'Log a look' })).toBeTruthy();
});

test('withdrawn lines fold away', async () => {
  await page([FED]);
  to('Log');
  press(/^Take back: Fed/);
  fireEvent.click(await screen.findByRole('button', { name: '1 taken back' }));
  expect(screen.getByText('Taken back; it counts for nothing.')).toBeTruthy();
  press('Fold away what was taken back');
  expect(screen.queryByText('Taken back; it counts for nothing.')).toBeNull();
});

test('two devices that put one entry right are both shown, and the keeper says which holds', async () => {
  const facts = madeQueen('Vesper', 30, [FED]);
  const fed = facts.entries[1] as Entry;
  const amended = (id: string, food: 'protein' | 'both', ago: number): Entry => ({
    kind: 'amendment',
    id,
    queenId: facts.queen.id,
    at: daysAgo(ago),
    loggedAt: daysAgo(ago),
    amends: fed.id,
    over: null,
    replacement: { ...FED, food } as EntryBody,
  });
  facts.entries.push(
    amended('018f0000-0000-7000-9000-0000000000a1', 'protein', 2),
    amended('018f0000-0000-7000-9000-0000000000a2', 'both', 1),
  );
  const server = new PretendServer([facts]);
  show(<Colony id={facts.queen.id} />);
  expect(await screen.findByText('Two devices put this right differently')).toBeTruthy();
  expect(screen.getByText(/^Was overruled, .*: protein, offered/)).toBeTruthy();
  press('This one holds');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      amends: fed.id,
      over: '018f0000-0000-7000-9000-0000000000a2',
      replacement: { food: 'protein' },
    }),
  );
  await waitFor(() => expect(screen.queryByText('Two devices put this right differently')).toBeNull());
});

test('a feed of an hour ago is written for that hour', async () => {
  const { server } = await page([]);
  press('Feed');
  fireEvent.click(screen.getByRole('radio', { name: 'Sugar' }));
  fireEvent.click(screen.getByRole('radio', { name: 'Earlier today' }));
  fireEvent.change(screen.getByLabelText('At what time'), { target: { value: '00:00' } });
  press('Keep this feed');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  const midnight = new Date();
  midnight.setHours(0, 0, 0, 0);
  expect(server.bodiesOf('/entries')[0]).toMatchObject({ kind: 'feed', at: midnight.toISOString() });
});
