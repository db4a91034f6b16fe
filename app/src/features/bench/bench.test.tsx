import { stockItemSchema, stockMoveSchema } from '@gentle-burrow/core/facts';
import { WATER_SOURCES } from '@gentle-burrow/core/tube';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { v7 } from 'uuid';
import { FillPage } from '@/features/fill/FillPage';
import { monthsText } from '@/features/fill/fill-words';
import { verdictOf } from '@/features/fill/Checks';
import { LabelsPage } from '@/features/labels/LabelsPage';
import { PlacePage } from '@/features/place/PlacePage';
import { PlacesPage } from '@/features/place/PlacesPage';
import { moveText, StockPage } from '@/features/stock/StockPage';
import { drop, outboxItems } from '@/data/outbox';
import { setPreferences } from '@/theme/preferences';
import { madeQueen, PretendServer, show } from '../../../test/kit';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const fill = (name: string, value: string) =>
  fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } });

/** The bench as it stands once the stock is known. */
async function showFill() {
  show(<FillPage />);
  await screen.findByRole('slider', { name: 'Water line' });
}

describe('the bench', () => {
  test('schools of fill on one scale, each with what it comes to; a tap sets the line', async () => {
    new PretendServer([]);
    await showFill();
    const half = screen.getByRole('radio', { name: /^Half water/ });
    expect(screen.getAllByRole('img', { name: /Tube 16 by 150 mm/ })).toHaveLength(4);
    fireEvent.click(half);
    expect(screen.getByRole('slider', { name: 'Water line' }).getAttribute('aria-valuenow')).toBe('75');
    expect(half.getAttribute('aria-checked')).toBe('true');
    // what a school holds is quoted; where the reckoning says otherwise, that stands beside it
    expect(half.textContent).toMatch(/months, longest of these/);
    const most = screen.getByRole('radio', { name: /^Three quarters water/ });
    expect(most.textContent).toMatch(/They say: “more water lasts longer/);
    expect(most.textContent).toMatch(/months, shortest of these/);
    expect(most.textContent).toMatch(/by our reckoning it does not last longer/);
  });

  test('a fill that leaves no chamber says why instead of a figure', async () => {
    new PretendServer([]);
    await showFill();
    fill('Inner plug, mm', '30');
    expect((await screen.findAllByText(/leave no chamber/)).length).toBe(1);
  });

  test('warming: what it pushes out, in ml and drops, and the safe step', async () => {
    new PretendServer([]);
    await showFill();
    press(/Warming and flood/);
    fill('Bubble, ml', '2');
    fill('From, °C', '20');
    fill('To, °C', '30');
    // 0.109 ml of the bubble and what 12.7 ml of water grow by (0.033 ml)
    expect(await screen.findByText(/^Pushes 0\.14 ml out: 2\.8 drops\.$/)).toBeTruthy();
    expect(screen.getByText(/^Safe step: \d/)).toBeTruthy();
    fill('To, °C', 'warm');
    expect(screen.getByText(/"warm" is not a number/)).toBeTruthy();
  });

  test('a size of one’s own is kept in the stock', async () => {
    const server = new PretendServer([]);
    await showFill();
    fireEvent.click(screen.getByRole('radio', { name: /^My own/ }));
    fill('Outside, mm', '14');
    fill('Bore inside, mm', '12');
    press(/Keep this size/);
    await waitFor(() => expect(server.sent.some((s) => s.path.startsWith('/stock/items/'))).toBe(true));
    const item = stockItemSchema.parse(server.sent.find((s) => s.path.startsWith('/stock/items/'))?.body);
    expect(item.tube).toEqual({ outsideMm: 14, boreMm: 12, lengthMm: 150, end: 'round' });
  });

  test('six plugs with what they mean and how to mend them', async () => {
    new PretendServer([]);
    await showFill();
    press(/Is the plug right/);
    expect(screen.getAllByRole('img', { name: /^A plug that is/ })).toHaveLength(6);
    expect(screen.getByText('Use half the cotton. She cannot pass, air can.')).toBeTruthy();
  });

  test('chlorine leaves by boiling, chloramine stays (common practice, no source)', () => {
    const boiled = WATER_SOURCES.find((w) => w.id === 'boiled')!;
    expect(verdictOf(boiled, 'chlorine')).toMatch(/: good\.$/);
    expect(verdictOf(boiled, 'chloramine')).toMatch(/Take bottled/);
    expect(verdictOf(boiled, 'unknown')).toMatch(/Ask the waterworks/);
  });

  test('months are said as a span', () => {
    expect(monthsText({ p10: 95, p50: 150, p90: 240 })).toBe('3 to 8 months');
    expect(monthsText({ p10: 91, p50: 92, p90: 93 })).toBe('about 3 months');
    expect(monthsText({ p10: 300, p50: 900, p90: Infinity })).toBe('10 months or more');
    expect(monthsText({ p10: Infinity, p50: Infinity, p90: Infinity })).toBe('years');
  });
});

describe('the stock', () => {
  test.each([
    ['used', -1, '1 used'],
    ['made', 6, '6 made'],
    ['counted', -2, 'counted, 2 fewer than thought'],
    ['counted', 7, 'counted, 7 more than thought'],
  ] as const)('%s %d is said as "%s"', (why, delta, says) => expect(moveText({ why, delta })).toBe(says));

  const item = stockItemSchema.parse({ id: v7(), kind: 'plug', name: 'Dry plugs', lowAt: 2 });
  test('one tap uses one; undo and counting are moves too', async () => {
    const server = new PretendServer([]);
    server.stock = [{ item, count: 3, low: false, lastMove: null }];
    show(<StockPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'One Dry plugs used' }));
    await waitFor(() => expect(server.bodiesOf('/stock/moves')).toHaveLength(1));
    expect(stockMoveSchema.parse(server.bodiesOf('/stock/moves')[0])).toMatchObject({
      delta: -1,
      why: 'used',
    });
    press('Count Dry plugs');
    fill('Dry plugs, counted', '10');
    press('Keep the count');
    await waitFor(() => expect(server.bodiesOf('/stock/moves')).toHaveLength(2));
    expect(stockMoveSchema.parse(server.bodiesOf('/stock/moves')[1])).toMatchObject({
      delta: 7,
      why: 'counted',
    });
  });
  test('without a connection it counts on', async () => {
    const server = new PretendServer([]);
    server.stock = [{ item, count: 3, low: false, lastMove: null }];
    show(<StockPage />);
    await screen.findByText('3');
    server.down = true;
    press('One Dry plugs used');
    expect(await screen.findByText('2')).toBeTruthy();
    expect(screen.getByText(/running low/)).toBeTruthy();
  });
  test('something new is counted in', async () => {
    const server = new PretendServer([]);
    show(<StockPage />);
    fireEvent.click(await screen.findByRole('button', { name: /Count something new/ }));
    fireEvent.click(screen.getByRole('radio', { name: 'Food' }));
    fill('What you call it', 'Seeds');
    fill('How many now', '12');
    press('Keep it in the stock');
    await waitFor(() => expect(server.bodiesOf('/stock/moves')).toHaveLength(1));
    expect(server.bodiesOf('/stock/moves')[0]).toMatchObject({ delta: 12, why: 'counted' });
  });
});

describe('places', () => {
  test('a spot is judged while it is described', async () => {
    const queen = madeQueen('A', 30);
    const server = new PretendServer([queen]);
    show(<PlacePage id={queen.place.id} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Change Drawer of A' }));
    fireEvent.click(screen.getByRole('radio', { name: 'Mat' }));
    fireEvent.click(screen.getByRole('radio', { name: 'Water end' }));
    expect(screen.getByText(/Warm the open end only/)).toBeTruthy();
    expect(screen.getByText(/^Not steady\./)).toBeTruthy();
    press('Keep the change');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({ spot: { heat: { source: 'mat', end: 'water' } } });
  });
  test('a thermometer that was checked is said so once', async () => {
    const queen = madeQueen('A', 30);
    const server = new PretendServer([queen]);
    show(<PlacePage id={queen.place.id} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Change Drawer of A' }));
    fireEvent.click(screen.getByRole('radio', { name: /^Checked\./ }));
    press('Keep the change');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({ spot: { thermometerChecked: true } });
  });

  test('a place is changed in the keeper’s unit and sent in °C', async () => {
    setPreferences({ temperature: 'F' });
    const queen = madeQueen('A', 30);
    const server = new PretendServer([queen]);
    show(<PlacePage id={queen.place.id} />);
    expect(await screen.findByText('Reckoned with 77 °F and 50 % humidity')).toBeTruthy();
    press('Change Drawer of A');
    fill('Temperature, °F', '68');
    fill('Room humidity, %', '40');
    press('Keep the change');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    const body = server.sent[0]?.body as { tempC: number; roomRelHumidity: number };
    expect(body.tempC).toBeCloseTo(20, 9);
    expect(body.roomRelHumidity).toBeCloseTo(0.4, 9);
    setPreferences({ temperature: 'C' });
  });

  test.each([
    ['Temperature, °C', '60', /no queen lives there/],
    ['Temperature, °C', 'warm', /"warm" is not a number|not a number/],
    ['Room humidity, %', '140', /above 100 %/],
  ])('%s of %s is refused with the way to mend it', async (field, value, says) => {
    const queen = madeQueen('A', 30);
    const server = new PretendServer([queen]);
    show(<PlacePage id={queen.place.id} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Change Drawer of A' }));
    fill(field, value);
    expect(screen.getByRole('alert').textContent).toMatch(says);
    fireEvent.click(screen.getByRole('button', { name: 'Keep the change' }));
    expect(screen.getByRole('alert').textContent).toMatch(says);
    expect(server.sent).toEqual([]);
  });

  test('a place without a name cannot be kept', async () => {
    const server = new PretendServer([]);
    show(<PlacesPage />);
    fireEvent.click(await screen.findByRole('button', { name: /A new place/ }));
    // nothing is wrong before something was typed, or Save was tried
    expect(screen.queryByRole('alert')).toBeNull();
    fill('Temperature, °C', '24');
    expect(screen.queryByText('Give the place a name.')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Keep this place' }));
    expect(screen.getByText('Give the place a name.')).toBeTruthy();
    expect(server.sent).toEqual([]);
  });
});

describe('labels', () => {
  test('all living queens, one left out, on the paper chosen', async () => {
    new PretendServer([madeQueen('A', 30), madeQueen('B', 30)]);
    show(<LabelsPage />);
    await screen.findByText('2 of 2 queens');
    fireEvent.click(screen.getByRole('checkbox', { name: /^B,/ }));
    await screen.findByText('1 of 2 queens');
    fill('Already used on the sheet', '500');
    expect(screen.getByText(/A sheet has \d+ labels/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /Open as PDF/ }).getAttribute('aria-disabled')).toBe('true');
  });
});
