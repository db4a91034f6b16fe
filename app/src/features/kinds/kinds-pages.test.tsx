import { OWN_FIGURE_IDS, type OwnKind } from '@gentle-burrow/core/species';
import { speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { ownDocument } from '@gentle-burrow/core/species/own';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { router } from 'expo-router';
import { drop, outboxItems } from '@/data/outbox';
import { madeQueen, PretendServer, show } from '../../../test/kit';
import { FIGURE_GROUPS } from '@/words/figures';
import { KindPage } from './KindPage';
import { KindsPage } from './KindsPage';
import { OwnKindPage } from './OwnKindPage';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (name: string | RegExp, text: string) =>
  fireEvent.change(screen.getByRole('textbox', { name }), { target: { value: text } });
const alerts = () => screen.queryAllByRole('alert').map((a) => a.textContent);
const own: OwnKind = {
  id: '018f2b6e-7c1d-7aaa-8bbb-0123456789ab',
  name: 'Pavement ants of Mill Lane',
  copiedOf: 'tetramorium-immigrans',
  copiedName: 'Tetramorium immigrans',
  figures: { eggDays: { value: 14, says: 'a friend' } },
  changedAt: '2026-05-01T10:00:00Z',
};
/** Three queens whose eggs took a quarter longer than the profile says. */
const slow = (id: string) => {
  const { degreeDays } = speciesProfile(id).stages.egg;
  return { [id]: { egg: { n: 3, precision: 300, weighted: 300 * Math.log(1.25 * degreeDays) } } };
};

describe('the page of a kind', () => {
  test('tells every figure with who says so, her queens, and what nobody knows', async () => {
    new PretendServer([madeQueen('Vesper', 20)]);
    show(<KindPage id="tetramorium-immigrans" />);
    await screen.findByRole('heading', { name: 'What is known of Tetramorium immigrans?' });
    press('Every figure, and who says so');
    expect(screen.getByText(/^Founder type: founds without food/)).toBeTruthy();
    expect(screen.getAllByText(/common practice, no source$/).length).toBeGreaterThan(3);
    expect(screen.getByText(/^Nobody says: |^Of every figure/)).toBeTruthy();
    expect(await screen.findByText(/Nothing yet: no queen of yours/)).toBeTruthy();
    fireEvent.click(await screen.findByRole('button', { name: 'One queen of yours' }));
    expect(screen.getByRole('link', { name: /^Vesper/ }).getAttribute('href')).toMatch(/^\/queens\//);
  });

  test('an own profile is shown beside the catalogue, and is put away and offered again', async () => {
    const server = new PretendServer([]);
    server.own = [own];
    show(<KindPage id={own.id} />);
    await screen.findByRole('heading', { name: 'Where it differs from Tetramorium immigrans' });
    expect(screen.getByText('Egg: 14 days at 25 °C, says a friend')).toBeTruthy();
    expect(screen.getByText(/^The catalogue: [\d.]+ days at 25 °C \(prior: /)).toBeTruthy();
    press('Put it away');
    await waitFor(() => expect(server.bodiesOf(`/own-kinds/${own.id}`)).toEqual([{ ...own, retired: true }]));
    fireEvent.click(await screen.findByRole('button', { name: 'Offer it again' }));
    await waitFor(() =>
      expect(server.bodiesOf(`/own-kinds/${own.id}`)).toEqual([{ ...own, retired: true }, own]),
    );
  });

  test('is used for all queens of the kind at once, who keep how sure the name is', async () => {
    const [a, b] = [madeQueen('A', 30), madeQueen('B', 20)];
    const server = new PretendServer([a, b]);
    server.own = [own];
    show(<KindPage id={own.id} />);
    fireEvent.click(
      await screen.findByRole('button', { name: 'Use it for your 2 queens of Tetramorium immigrans' }),
    );
    await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(2));
    for (const body of server.bodiesOf('/entries'))
      expect(body).toMatchObject({ kind: 'identify', species: { profileId: own.id, sure: 'likely' } });
    expect(new Set(server.bodiesOf('/entries').map((e) => (e as { queenId: string }).queenId))).toEqual(
      new Set([a.queen.id, b.queen.id]),
    );
    // they are its queens now
    expect(await screen.findByRole('button', { name: '2 queens of yours' })).toBeTruthy();
  });

  test('what the queens say becomes a profile in two taps, with n', async () => {
    const server = new PretendServer([]);
    server.learned = slow('lasius-niger');
    const page = show(<KindPage id="lasius-niger" />);
    const table = await screen.findByRole('table', { name: /^What your queens say/ });
    expect(within(table).getByRole('row', { name: /^Egg 13 ×÷ 1\.31 15\.9 ×÷ 1\.22 3$/ })).toBeTruthy();
    press('Make a profile of what they say');
    expect(router.push).toHaveBeenLastCalledWith('/kinds/lasius-niger/own?from=queens');
    page.unmount();
    show(<OwnKindPage id="lasius-niger" fromQueens />);
    fireEvent.click(await screen.findByRole('button', { name: 'Keep this profile' }));
    await waitFor(() => expect(server.own).toHaveLength(1));
    expect(server.own[0]).toMatchObject({
      name: 'Lasius niger, mine',
      copiedOf: 'lasius-niger',
      figures: { eggDays: { says: 'my own queens (n=3)' } },
    });
    expect(server.own[0]?.figures.eggDays?.value).toBeGreaterThan(13);
  });

  test('of a kind that nobody knows it is said so', async () => {
    new PretendServer([]);
    show(<KindPage id="griffin" />);
    expect(await screen.findByRole('heading', { name: 'There is no such kind' })).toBeTruthy();
  });
});

test('every figure that a keeper can give stands in one group', () => {
  expect(FIGURE_GROUPS.flatMap((g) => g.of).sort()).toEqual([...OWN_FIGURE_IDS].sort());
});

describe('a profile of one’s own', () => {
  test('needs a figure, somebody who says so, and a name that is free; what was typed stays', async () => {
    const server = new PretendServer([]);
    const page = show(<OwnKindPage id="lasius-niger" />);
    fireEvent.click(await screen.findByRole('button', { name: 'Keep this profile' }));
    expect(alerts()).toContain('It says nothing of its own yet. Change a figure.');
    press("Change Queen's length");
    type("Queen's length from, mm", '9');
    type("Queen's length to, mm", '8');
    type('Its name', 'Lasius niger');
    press('Keep this profile');
    expect(alerts()).toEqual(
      expect.arrayContaining([
        'The lower figure is above the higher one. Change them round.',
        expect.stringMatching(/“Lasius niger” is in the catalogue/),
      ]),
    );
    page.unmount();
    show(<OwnKindPage id="lasius-niger" />);
    await screen.findByText(/You started this earlier/);
    type("Queen's length to, mm", '10');
    type('Its name', 'Large garden ants');
    press('Keep this profile');
    expect(alerts()).toEqual(['Say who says so: your own queens, another keeper, a book.']);
    type("Who says so: Queen's length", 'a ruler');
    press('Keep this profile');
    await waitFor(() => expect(server.own).toHaveLength(1));
    expect(server.own[0]).toMatchObject({
      name: 'Large garden ants',
      copiedName: 'Lasius niger',
      figures: { queenLengthMm: { value: { low: 9, high: 10 }, says: 'a ruler' } },
    });
    expect(server.own[0]?.figures).not.toHaveProperty('eggDays');
  });

  test('that says she needs no food where the catalogue does not is warned of', async () => {
    new PretendServer([]);
    show(<OwnKindPage id="manica-rubida" />);
    fireEvent.click(await screen.findByRole('button', { name: 'Change Founder type' }));
    expect(screen.queryByText(/is not fed starves/)).toBeNull();
    fireEvent.click(screen.getByRole('radio', { name: 'Founds without food' }));
    expect(screen.getByText(/^The catalogue says: must eat while founding.*is not fed starves/)).toBeTruthy();
    press('Founder type as in the catalogue');
    expect(screen.queryByText(/is not fed starves/)).toBeNull();
  });

  test('is changed from what it says, and undone', async () => {
    const server = new PretendServer([]);
    server.own = [own];
    show(<OwnKindPage id={own.id} />);
    const egg = await screen.findByRole('textbox', { name: 'Egg, days at 25 °C' });
    expect((egg as HTMLInputElement).value).toBe('14');
    fireEvent.change(egg, { target: { value: '12,5' } });
    press('Keep the change');
    await waitFor(() =>
      expect(server.own.at(-1)?.figures.eggDays).toEqual({ value: 12.5, says: 'a friend' }),
    );
    expect(server.own.at(-1)?.id).toBe(own.id);
  });
});

describe('all kinds', () => {
  const read = (text: string) =>
    fireEvent.change(screen.getByLabelText('A file of profiles'), {
      target: { files: [{ text: async () => text }] },
    });

  test('are found by name and by what is seen', async () => {
    new PretendServer([madeQueen('A', 20)]);
    show(<KindsPage />);
    expect(await screen.findByRole('link', { name: /^Tetramorium immigrans/ })).toBeTruthy();
    type(/^Search/, 'fusca');
    expect(screen.getByRole('link', { name: /^Formica fusca/ }).getAttribute('href')).toBe(
      '/kinds/formica-fusca',
    );
    type(/^Search/, '');
    press('Not sure? Narrow it down by what you see');
    fireEvent.click(screen.getByRole('radio', { name: /^Two nodes/ }));
    fireEvent.click(screen.getByRole('radio', { name: 'Europe' }));
    fireEvent.click(screen.getByRole('radio', { name: 'Of two colours' }));
    type('Her length without legs, mm', '9');
    expect(screen.getByText(/^\d of \d+ species are left\.$/)).toBeTruthy();
    expect(screen.getByRole('link', { name: /^Crematogaster scutellaris/ })).toBeTruthy();
    expect(screen.queryByRole('link', { name: /^Lasius niger/ })).toBeNull();
  });

  test('profiles are read in from a file: what can be used is kept when it is confirmed, the rest is told', async () => {
    const server = new PretendServer([]);
    server.own = [own];
    show(<KindsPage />);
    await screen.findByRole('link', { name: /^Pavement ants of Mill Lane/ });
    read('{"kinds":');
    expect(await screen.findByText(/This file is not JSON/)).toBeTruthy();
    const other: OwnKind = { ...own, figures: { eggDays: { value: 15, says: 'a stranger' } } };
    const taken: OwnKind = { ...own, id: '018f2b6e-7c1d-7aaa-8bbb-0123456789ac', name: 'Lasius niger' };
    read(JSON.stringify(ownDocument([own, other, taken])));
    expect(await screen.findByText(/^“Pavement ants of Mill Lane \(from a file\)”, a copy of/)).toBeTruthy();
    expect(screen.getByText(/^1 of them you have already/)).toBeTruthy();
    expect(alerts()[0]).toMatch(/“Lasius niger” is in the catalogue/);
    expect(server.own).toEqual([own]);
    press('Keep this profile');
    await waitFor(() => expect(server.own).toHaveLength(2));
    // what the keeper has is never written over
    expect(server.own[0]).toEqual(own);
    expect(server.own[1]).toMatchObject({ figures: other.figures });
    expect(server.own[1]?.id).not.toBe(own.id);
  });
});
