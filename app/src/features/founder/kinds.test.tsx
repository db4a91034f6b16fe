import { KIND_CARDS } from '@gentle-burrow/core/species/catalogue';
import { DEMO_KINDS } from '@gentle-burrow/core/world/demo';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { setPreferences } from '@/theme/preferences';
import { Colony } from '../../../test/pages';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { KindCautions } from './KindCautions';
import { KindPicker } from './KindPicker';

const named = (profileId: string) => ({
  kind: 'identify' as const,
  at: daysAgo(20),
  species: { profileId, sure: 'certain' as const },
});
const names = (group: string) =>
  within(screen.getByRole('radiogroup', { name: group }))
    .getAllByRole('radio')
    .map((r) => (r.getAttribute('aria-label') ?? '').split(',')[0]);

function picker(value: string | null = null) {
  const onChoose = jest.fn();
  show(
    <KindPicker
      label="Species"
      kinds={KIND_CARDS}
      value={value}
      caughtAt="2026-07-15T12:00:00.000Z"
      onChoose={onChoose}
    />,
  );
  return onChoose;
}
const search = (text: string) =>
  fireEvent.change(screen.getByRole('textbox', { name: /^Search by Latin/ }), { target: { value: text } });

describe('the picker', () => {
  afterEach(() => {
    cleanup();
    setPreferences({ region: null });
  });

  test('offers what is kept and what flies in the month of capture where the keeper lives; the types come last', async () => {
    new PretendServer([madeQueen('A', 30)]);
    setPreferences({ region: 'Europe' });
    picker();
    expect(await screen.findByText('You keep these')).toBeTruthy();
    expect(screen.getByText('May fly in July, Europe')).toBeTruthy();
    const shown = names('Species');
    expect(shown[0]).toBe('Tetramorium immigrans');
    expect(shown.slice(-3)).toEqual(['Unknown', 'Unknown', 'Unknown']);
    fireEvent.click(screen.getByRole('button', { name: /^Show \d+ more/ }));
    // July in Europe: the black garden ant flies, the red-headed harvester does not
    expect(names('Species')).toContain('Lasius niger');
    expect(names('Species')).not.toContain('Messor barbarus');
    cleanup();
    setPreferences({ region: 'Australia' });
    picker();
    // July is winter there
    expect(screen.queryByText('May fly in July, Australia')).toBeNull();
  });

  test('says by which other name she was found, and what to do when nothing is', () => {
    new PretendServer([]);
    const onChoose = picker();
    search('black garden');
    fireEvent.click(
      screen.getByRole('radio', { name: 'Lasius niger, black garden ant · founds without food' }),
    );
    expect(onChoose).toHaveBeenCalledWith('lasius-niger', 'black garden ant');
    // a species of a genus that is in the list: one tap, and what she is called stays
    search('Lasius carniolicus');
    expect(screen.getByText(/No “Lasius carniolicus” is in the list. Take her genus/)).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: /^Lasius, any of this genus/ }));
    expect(onChoose).toHaveBeenLastCalledWith('lasius', 'Lasius carniolicus');
    search('griffin');
    expect(screen.getByText(/Nothing is named like “griffin”/)).toBeTruthy();
    expect(names('Species')).toEqual(['Unknown', 'Unknown', 'Unknown']);
  });

  test('what was chosen stays in sight among more kinds than are shown at once', async () => {
    const eight = DEMO_KINDS.map((id, i) => madeQueen(`Q${i}`, 30, [named(id)]));
    new PretendServer(eight);
    picker('tetramorium-immigrans');
    await screen.findByText('You keep these');
    // the last of the eight by name, and only six are shown at once
    const chosen = screen.getAllByRole('radio', { name: /^Tetramorium immigrans,/ });
    expect(chosen.map((c) => c.getAttribute('aria-checked'))).toEqual(['true']);
    fireEvent.click(screen.getByRole('button', { name: /^Show \d+ more/ }));
    expect(screen.getAllByRole('radio', { name: /^Tetramorium immigrans,/ })).toHaveLength(1);
  });

  test('what was chosen stays in sight, whatever flies', () => {
    new PretendServer([]);
    setPreferences({ region: 'Asia' });
    picker('atta-sexdens');
    const chosen = screen.getByRole('radio', { name: /^Atta sexdens,/ });
    expect(chosen.getAttribute('aria-checked')).toBe('true');
    expect(chosen.getAttribute('tabindex')).toBe('0');
  });
});

test('leaves are offered only to those that live on a fungus', async () => {
  for (const [profileId, there] of [
    ['acromyrmex-octospinosus', true],
    ['messor-structor', false],
  ] as const) {
    const queen = madeQueen('F', 30, [named(profileId)]);
    new PretendServer([queen]);
    show(<Colony id={queen.queen.id} />);
    fireEvent.click(await screen.findByRole('button', { name: /^Feed$/ }));
    expect(screen.getByRole('radio', { name: 'Seeds' })).toBeTruthy();
    expect(screen.queryByRole('radio', { name: 'Leaves for the fungus' }) !== null).toBe(there);
    cleanup();
  }
});

test('whoever stings is told where her cell is opened to feed', async () => {
  const queen = madeQueen('M', 30, [named('manica-rubida')]);
  new PretendServer([queen]);
  show(<Colony id={queen.queen.id} />);
  fireEvent.click(await screen.findByRole('button', { name: /^Feed$/ }));
  const told = () => screen.queryAllByText(/severe allergic reactions/).length;
  const before = told();
  fireEvent.click(screen.getByRole('radio', { name: 'In her cell' }));
  expect(told()).toBe(before + 1);
});

describe('what stands where her home is opened', () => {
  test('is what her temper asks, beside what can hurt; elsewhere only what can hurt', async () => {
    new PretendServer([]);
    const elsewhere = show(<KindCautions profileId="crematogaster-scutellaris" />);
    expect(await screen.findByText(/escapes through very small gaps/)).toBeTruthy();
    expect(screen.queryByText(/defends its home at once/)).toBeNull();
    elsewhere.unmount();
    show(<KindCautions profileId="crematogaster-scutellaris" opening />);
    expect(await screen.findByText(/defends its home at once/)).toBeTruthy();
    expect(screen.getByText(/escapes through very small gaps/)).toBeTruthy();
  });
});
