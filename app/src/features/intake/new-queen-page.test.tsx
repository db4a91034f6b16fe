import { undoLast } from '@/ui/undo';
import { router } from 'expo-router';
import { newQueenSchema } from '@gentle-burrow/contract';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { v7 } from 'uuid';
import { drop, outboxItems } from '@/data/outbox';
import { madeQueen, PretendServer, show } from '../../../test/kit';
import { Intake } from '../../../test/pages';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const choose = async (name: RegExp | string) => fireEvent.click(await screen.findByRole('radio', { name }));
/** Finds a kind by its name in the picker of that name, and chooses it. */
const pick = async (name: string, picker = 'Species') => {
  const group = within(await screen.findByRole('group', { name: picker }));
  fireEvent.change(group.getByRole('textbox', { name: /^Search by Latin/ }), { target: { value: name } });
  fireEvent.click(await group.findByRole('radio', { name: new RegExp(`^${name},`) }));
};
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const heading = (name: string) => screen.findByRole('heading', { name });
const fill = (name: string, value: string) =>
  fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } });

async function toSpecies(found: string) {
  await choose(found);
  press('Next');
  await heading('Is she healthy?');
  press('Next');
  await heading('What is she?');
}

async function toTube(found: string) {
  await toSpecies(found);
  await pick('Messor structor');
  press('Next');
  await heading('Which tube, and how full?');
}

async function toPlace() {
  press('Next');
  await heading('Where does she stand?');
}

test('five short steps become one request that the contract takes', async () => {
  const server = new PretendServer([madeQueen('A', 30)]);
  show(<Intake />);
  await waitFor(() =>
    expect(
      (screen.getByRole('textbox', { name: 'Letter or name on the tube' }) as HTMLInputElement).value,
    ).toBe('B'),
  );
  await toTube('Caught digging');
  await choose(/18 × 150/);
  // once for the line set by hand, once for each school of fill
  expect(screen.getAllByText(/^\d+\.\d ml of water, lasts \d+ to \d+ months/)).toHaveLength(4);
  await toPlace();
  press('Take her in');
  await waitFor(() => expect(server.bodiesOf('/queens')).toHaveLength(1));
  const body = newQueenSchema.parse(server.bodiesOf('/queens')[0]);
  expect(body.home).toMatchObject({ outsideMm: 18, boreMm: 16 });
  expect(body.intake).toMatchObject({ found: 'digging', species: { profileId: 'messor-structor' } });
  // the place that is there already is offered and used
  expect(body.place.name).toBe('Drawer of A');
  expect(router.replace).toHaveBeenCalledWith(`/queens/${body.queen.id}`);
});

test('who is done before the shelf is known waits for her letter, and is not sent back for it', async () => {
  const server = new PretendServer([madeQueen('A', 30)]);
  let answer = () => {};
  server.slow = new Promise((resolve) => (answer = resolve));
  server.slowAt = '/shelf';
  show(<Intake />);
  await toTube('Caught digging');
  await toPlace();
  press('Take her in');
  await act(async () => {});
  expect(server.bodiesOf('/queens')).toHaveLength(0);
  screen.getByRole('heading', { name: 'Where does she stand?' });
  await act(async () => answer());
  await waitFor(() => expect(server.bodiesOf('/queens')).toHaveLength(1));
  expect(newQueenSchema.parse(server.bodiesOf('/queens')[0]).queen.label).toBe('B');
});

test('a step is not left with something missing, and what was written stays', async () => {
  new PretendServer([]);
  show(<Intake />);
  fill('Where found', 'Brickfield Lane');
  press('Next');
  await screen.findByText(/Say how she came to you/);
  await toSpecies('Caught walking');
  press('Back a step');
  await heading('Is she healthy?');
  press('Back a step');
  await heading('How did she come to you?');
  expect((screen.getByRole('textbox', { name: 'Where found' }) as HTMLInputElement).value).toBe(
    'Brickfield Lane',
  );
});

test('leaving halfway loses nothing; starting over does', async () => {
  new PretendServer([]);
  const first = show(<Intake />);
  await toTube('Caught walking');
  await toPlace();
  fill('Name of the place', 'Shoe box');
  first.unmount();
  router.replace('/queens/new');
  show(<Intake />);
  await heading('Where does she stand?');
  expect((screen.getByRole('textbox', { name: 'Name of the place' }) as HTMLInputElement).value).toBe(
    'Shoe box',
  );
  expect(screen.getByText(/You started this earlier/)).toBeTruthy();
  press('Discard draft');
  await heading('How did she come to you?');
  // thrown away by mistake: one tap brings all of it back, to the step where it was
  window.history.replaceState(null, '', '/queens/new');
  await act(async () => void (await undoLast()));
  await heading('Where does she stand?');
  expect((screen.getByRole('textbox', { name: 'Name of the place' }) as HTMLInputElement).value).toBe(
    'Shoe box',
  );
});

test('a tube that cannot be is said so at its field, and the drawing stays', async () => {
  new PretendServer([]);
  show(<Intake />);
  await toTube('Caught walking');
  fill('Water line, mm', '140');
  expect((await screen.findAllByText(/leave no chamber/)).length).toBeGreaterThan(0);
  expect(screen.getAllByRole('img', { name: /Tube 16 by 150 mm/ }).length).toBeGreaterThan(0);
  fill('Water line, mm', '70');
  expect(screen.getAllByText(/^chamber 50 mm/)).toHaveLength(1);
});

test('the law is named as a question to the authorities, and stings where they threaten', async () => {
  new PretendServer([]);
  show(<Intake />);
  expect(screen.getByText(/Ask your local authorities/)).toBeTruthy();
  await toSpecies('Caught walking');
  await pick('Manica rubida');
  expect(screen.getByText(/must eat while raising her first brood/)).toBeTruthy();
  expect(screen.getByText(/severe allergic reactions/)).toBeTruthy();
});

test('shares of two species are weighed into one belief, and a share too many is said', async () => {
  new PretendServer([]);
  show(<Intake />);
  await toSpecies('Caught walking');
  await pick('Messor structor');
  expect(screen.getByRole('img', { name: 'Semi-claustral 1 percent' })).toBeTruthy();
  press('She may be another species');
  await pick('Manica rubida', 'She may also be');
  // 0.7 · 0.01 + 0.3 · 0.96, by hand
  expect(await screen.findByRole('img', { name: 'Semi-claustral 30 percent' })).toBeTruthy();
  expect(screen.getByText(/leaves 70 % for Messor structor/)).toBeTruthy();
  fill('Share of Manica rubida, %', '100');
  press('Next');
  expect(await screen.findByText(/100 %/)).toBeTruthy();
});

test('what is found on her says what to do, and parts her from the others', async () => {
  const server = new PretendServer([]);
  show(<Intake />);
  await choose('Caught walking');
  press('Next');
  await heading('Is she healthy?');
  await choose('Something found');
  for (const box of screen.getAllByRole('checkbox')) expect(box.getAttribute('aria-checked')).toBe('false');
  press('Next');
  expect(await screen.findByText(/Tick what was found/)).toBeTruthy();
  fireEvent.click(screen.getByRole('checkbox', { name: 'Mites' }));
  expect(await screen.findByText(/Lift single ones off/)).toBeTruthy();
  expect(screen.getByRole('radio', { name: /Yes. beside the others/ }).getAttribute('aria-checked')).toBe(
    'true',
  );
  press('Next');
  await heading('What is she?');
  await choose(/Unknown, temperate/);
  press('Next');
  await heading('Which tube, and how full?');
  await toPlace();
  fill('Name of the place', 'Box');
  press('Take her in');
  expect(await screen.findByText(/Measure it beside the tubes/)).toBeTruthy();
  await choose(/Not measured/);
  press('Take her in');
  await waitFor(() => expect(server.bodiesOf('/queens')).toHaveLength(1));
  expect(newQueenSchema.parse(server.bodiesOf('/queens')[0]).intake.inspection).toMatchObject({
    findings: ['mites'],
  });
  // the next one like her: two taps on this page
  cleanup();
  act(() => router.push('/queens/new'));
  show(<Intake />);
  fireEvent.click(await screen.findByRole('button', { name: /Another one like the last/ }));
  // what is typed below is followed
  fill('Letter or name on the tube', 'K');
  fill('Batch', 'Weir');
  fireEvent.click(await screen.findByRole('button', { name: 'Take K in' }));
  await waitFor(() => expect(server.bodiesOf('/queens')).toHaveLength(2));
  expect(newQueenSchema.parse(server.bodiesOf('/queens')[1]).queen).toMatchObject({
    label: 'K',
    batch: 'Weir',
  });
  expect(newQueenSchema.parse(server.bodiesOf('/queens')[1]).intake).not.toHaveProperty('inspection');
});

test('a tube from the stock is counted down with her', async () => {
  const server = new PretendServer([madeQueen('A', 30)]);
  const item = { id: v7(), kind: 'finished-tube' as const, name: 'Mine, 17 × 140', lowAt: 1 };
  const tube = { outsideMm: 17, boreMm: 15, lengthMm: 140, end: 'round' as const };
  server.stock = [{ item: { ...item, tube }, count: 3, low: false, lastMove: null }];
  show(<Intake />);
  await toTube('Caught walking');
  await choose(/Mine, 17 × 140. 3 in stock/);
  await toPlace();
  press('Take her in');
  await waitFor(() => expect(server.bodiesOf('/queens')).toHaveLength(1));
  const body = newQueenSchema.parse(server.bodiesOf('/queens')[0]);
  expect(body.home).toMatchObject(tube);
  expect(body.used).toMatchObject([{ itemId: item.id, delta: -1 }]);
});

test('more than one queen is warned of', async () => {
  new PretendServer([]);
  show(<Intake />);
  fill('Queens in this tube', '2');
  expect(await screen.findByText(/they may turn on each other/)).toBeTruthy();
  press('One queen after all');
  expect(screen.queryByText(/they may turn on each other/)).toBeNull();
});

test('a second queen of one name is asked back once, and taken when that is meant', async () => {
  new PretendServer([madeQueen('A', 30)]);
  show(<Intake />);
  await choose('Caught walking');
  fill('Letter or name on the tube', 'a');
  press('Next');
  expect(await screen.findByText(/There is a queen called a already/)).toBeTruthy();
  press('Next');
  await heading('Is she healthy?');
});
