import { founderBelief } from '@gentle-burrow/core/founding';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { madeQueen, PretendServer, show } from '../../../test/kit';
import { Colony } from '../../../test/pages';
import { FounderPanel } from './FounderPanel';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

test('a social parasite is said plainly, and no plan is pretended', () => {
  show(
    <FounderPanel
      belief={founderBelief([
        { kind: 'species', founder: 'socially-parasitic', weight: 1, source: 'common practice, no source' },
      ])}
    />,
  );
  expect(document.body.textContent).toMatch(/no plain founding plan applies/);
});

test('evidence is weighed in words, not in odds', () => {
  show(
    <FounderPanel
      belief={founderBelief([
        { kind: 'species', founder: 'fully-claustral', weight: 1, source: 'common practice, no source' },
        { kind: 'protein', value: 'accepted', source: 'your log' },
      ])}
    />,
  );
  expect(screen.getByText(/speaks (clearly|strongly) for fasting/)).toBeTruthy();
  expect(screen.getByText(/protein accepted: speaks .* for eating/)).toBeTruthy();
  expect(document.body.textContent).not.toMatch(/\d to 1/);
});

test('wings are shown to prove nothing', () => {
  show(<FounderPanel belief={founderBelief([{ kind: 'wings', value: 'winged', source: 'your log' }])} />);
  expect(screen.getByText(/wings kept: proves nothing either way/)).toBeTruthy();
});

test('signs seen are kept and change the belief at once', async () => {
  const queen = madeQueen('A', 30);
  const server = new PretendServer([queen]);
  show(<Colony id={queen.queen.id} />);
  fireEvent.click(await screen.findByRole('link', { name: 'Why' }));
  press('What kind of founder is she?');
  const semi = () =>
    Number(
      screen
        .getByRole('img', { name: /^Semi-claustral \d+ percent/ })
        .getAttribute('aria-label')
        ?.match(/\d+/)?.[0],
    );
  const before = semi();
  press(/Log a sign/);
  fireEvent.click(screen.getByRole('radio', { name: 'Paces and searches' }));
  fireEvent.click(screen.getByRole('radio', { name: 'Taken' }));
  press('Keep what was seen');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  expect(server.bodiesOf('/entries')[0]).toMatchObject({ kind: 'sign', restless: true, protein: 'accepted' });
  await waitFor(() => expect(semi()).toBeGreaterThan(before + 20));
});

test('named anew with shares; the log says so', async () => {
  const queen = madeQueen('A', 30);
  const server = new PretendServer([queen]);
  show(<Colony id={queen.queen.id} />);
  fireEvent.click(await screen.findByRole('link', { name: 'Why' }));
  press('What kind of founder is she?');
  press(/Change species/);
  fireEvent.change(screen.getByRole('textbox', { name: /^Search by Latin/ }), {
    target: { value: 'str mes' },
  });
  fireEvent.click(await screen.findByRole('radio', { name: /^Messor structor,/ }));
  press('Keep this name');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  expect(server.bodiesOf('/entries')[0]).toMatchObject({
    kind: 'identify',
    species: { profileId: 'messor-structor' },
  });
  expect((await screen.findAllByText(/Messor structor/)).length).toBeGreaterThan(0);
});

test('moved and looked over from her page', async () => {
  const [a, b] = [madeQueen('A', 30), madeQueen('B', 30)];
  const server = new PretendServer([a, b]);
  show(<Colony id={a.queen.id} />);
  await screen.findByRole('heading', { name: 'How is A doing?' });
  press(/Move/);
  fireEvent.click(await screen.findByRole('radio', { name: /Drawer of B/ }));
  press('Keep this move');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({ kind: 'move', placeId: b.place.id }),
  );
  press(/Looked over/);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Mites' }));
  press('Keep what was found');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[1]).toMatchObject({ kind: 'health', findings: ['mites'] }),
  );
});
