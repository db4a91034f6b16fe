import { newQueenSchema } from '@gentle-burrow/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { madeQueen, PretendServer, show } from '../../../test/kit';
import { NewQueenPage } from './NewQueenPage';

const { router } = jest.requireMock<{ router: { replace: jest.Mock } }>('expo-router');
jest.mock('expo-router', () => ({ router: { navigate: jest.fn(), replace: jest.fn() } }));

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const choose = async (name: RegExp | string) => fireEvent.click(await screen.findByRole('radio', { name }));
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const heading = (name: string) => screen.findByRole('heading', { name });
const fill = (name: string, value: string) =>
  fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } });

async function toHome(found: string) {
  await choose(found);
  press('Next');
  await heading('What is she?');
  await choose(/Messor structor/);
  press('Next');
  await heading('Where does she live now?');
}

test('three short steps become one request that the contract takes', async () => {
  const server = new PretendServer([madeQueen('A', 30)]);
  show(<NewQueenPage />);
  await waitFor(() =>
    expect(
      (screen.getByRole('textbox', { name: 'Letter or name on the tube' }) as HTMLInputElement).value,
    ).toBe('B'),
  );
  await toHome('Caught digging');
  await choose(/18 × 150/);
  expect(screen.getByText(/^\d+\.\d ml of water · chamber \d+ mm$/)).toBeTruthy();
  expect(screen.getByText(/^Lasts \d+ to \d+ months here/)).toBeTruthy();
  press('Take her in');
  await waitFor(() => expect(server.bodiesOf('/queens')).toHaveLength(1));
  const body = newQueenSchema.parse(server.bodiesOf('/queens')[0]);
  expect(body.tube).toMatchObject({ outsideMm: 18, boreMm: 16 });
  expect(body.intake).toMatchObject({ found: 'digging', species: { profileId: 'messor-structor' } });
  // the place that is there already is offered and used
  expect(body.place.name).toBe('Drawer of A');
  expect(router.replace).toHaveBeenCalledWith(`/queens/${body.queen.id}`);
});

test('a step is not left with something missing, and what was written stays', async () => {
  new PretendServer([]);
  show(<NewQueenPage />);
  fill('Where found', 'Brickfield Lane');
  press('Next');
  await screen.findByText(/Say how she came to you/);
  await toHome('Caught walking');
  press('Back a step');
  await heading('What is she?');
  press('Back a step');
  await heading('How did she come to you?');
  expect((screen.getByRole('textbox', { name: 'Where found' }) as HTMLInputElement).value).toBe(
    'Brickfield Lane',
  );
});

test('leaving halfway loses nothing; starting over does', async () => {
  new PretendServer([]);
  const first = show(<NewQueenPage />);
  await toHome('Caught walking');
  fill('Name of the place', 'Shoe box');
  first.unmount();
  show(<NewQueenPage />);
  await heading('Where does she live now?');
  expect((screen.getByRole('textbox', { name: 'Name of the place' }) as HTMLInputElement).value).toBe(
    'Shoe box',
  );
  press('Start over');
  await heading('How did she come to you?');
});

test('a tube that cannot be is said so at its field, and the drawing stays', async () => {
  new PretendServer([]);
  show(<NewQueenPage />);
  await toHome('Caught walking');
  fill('Water line, mm', '140');
  expect((await screen.findAllByText(/leave no chamber/)).length).toBeGreaterThan(0);
  expect(screen.getByRole('img', { name: /Tube 16 by 150 mm/ })).toBeTruthy();
  fill('Water line, mm', '70');
  expect(screen.getByText(/chamber 50 mm/)).toBeTruthy();
});

test('the law is named as a question to the authorities, and stings where they threaten', async () => {
  new PretendServer([]);
  show(<NewQueenPage />);
  expect(screen.getByText(/Ask your local authorities/)).toBeTruthy();
  await choose('Caught walking');
  press('Next');
  await choose(/Manica rubida/);
  expect(screen.getByText(/must eat while raising her first brood/)).toBeTruthy();
  expect(screen.getByText(/severe allergic reactions/)).toBeTruthy();
});
