import type { Climate, Series } from '@gentle-burrow/contract';
import type { Probe } from '@gentle-burrow/core/facts';
import type { ReadingBatch } from '@gentle-burrow/core/records';
import { speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { v7 } from 'uuid';
import { drop, outboxItems } from '@/data/outbox';
import { undoLast } from '@/ui/undo';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { PlacePage } from './PlacePage';
import { PlacesPage } from './PlacesPage';
import { ProbesHere } from './ProbesHere';

const HOUR = 3_600_000;
const queen = madeQueen('Q1', 30);
const place = queen.place;

function logger(name = 'Shelf logger'): Climate['probes'][number] {
  const probe: Probe = {
    id: v7(),
    name,
    kind: 'logger',
    stays: [{ from: daysAgo(90), placeId: place.id }],
    silentAfterH: 3,
    checks: [],
  };
  return {
    probe,
    latest: { at: new Date(Date.now() - 4 * 60_000).toISOString(), tempC: 24.3, rh: 0.512 },
    day: null,
    tokenMadeAt: null,
  };
}

/** A week of hours: 22 °C by night, 26 °C by day, and a day without a reading. */
function week(): Series {
  const start = Math.ceil(Date.now() / HOUR) * HOUR - 168 * HOUR;
  return {
    from: new Date(start).toISOString(),
    to: new Date(start + 168 * HOUR).toISOString(),
    columns: Array.from({ length: 168 }, (_, h) => {
      const read = h < 48 || h >= 72;
      const mean = h % 24 < 12 ? 22 : 26;
      return {
        at: new Date(start + h * HOUR).toISOString(),
        n: read ? 2 : 0,
        tempC: read ? { min: mean - 0.4, mean, max: mean + 0.6 } : null,
        rh: read ? { min: 0.5, mean: 0.51, max: 0.52 } : null,
      };
    }),
  };
}

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
});

test('a place tells what is measured there now, beside what it is reckoned with', async () => {
  const server = new PretendServer([queen]);
  server.climate = { probes: [logger()], alarms: [], reckoned: [] };
  show(<PlacesPage />);
  const line = await screen.findByRole('link', { name: new RegExp(place.name) });
  expect(line.textContent).toContain('24.3 °C, 51 % humidity, 4 minutes ago');
  expect(line.textContent).toContain('Reckoned with 25 °C and 50 % humidity');
  expect(line.getAttribute('href')).toBe(`/places/${place.id}`);
});

test('the course is drawn, read out column by column, and told as a table with its gap', async () => {
  const server = new PretendServer([queen]);
  server.climate = { probes: [logger()], alarms: [], reckoned: [] };
  server.series = week();
  show(<PlacePage id={place.id} />);
  const slider = await screen.findByRole('slider', { name: 'Read at' });
  expect(slider.getAttribute('aria-valuetext')).toMatch(/: 26 °C, 25.6 °C to 26.6 °C · 51 % humidity$/);
  fireEvent.change(slider, { target: { value: '60' } });
  expect(slider.getAttribute('aria-valuetext')).toMatch(/nothing was read$/);
  expect(screen.getByText('Between 21.6 °C and 26.6 °C, 24 °C in the middle.')).toBeTruthy();
  // six days were read, at 24 °C in the middle, by a thermometer that is off by up to 1.5 °C in eight cases of ten
  const { thresholdC } = speciesProfile('tetramorium-immigrans').stages.larva;
  const sum = 6 * (24 - thresholdC);
  expect(
    await screen.findByText(new RegExp(`brood: ${sum} ± 9 degree-days above ${thresholdC} °C; the range`)),
  ).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'As a table' }));
  const table = screen.getByRole('table', { name: `Readings at ${place.name}` });
  expect(within(table).getAllByRole('row').length).toBeGreaterThan(20);
  expect(table.textContent).toContain('–');
});

test('where enough is measured that counts, and what was told stands beside it', async () => {
  const server = new PretendServer([queen]);
  const measuredSince = new Date(Date.now() - 20 * 86_400_000).toISOString();
  server.climate = {
    probes: [logger()],
    alarms: [],
    reckoned: [{ placeId: place.id, tempC: 22.4, roomRelHumidity: 0.38, measuredSince }],
  };
  show(<PlacesPage />);
  const line = await screen.findByRole('link', { name: new RegExp(place.name) });
  expect(line.textContent).toContain('as measured, 22.4 °C and 38 % humidity; told were 25 °C and 50 %');
});

test('an alarm stands on the page of its place with what to do', async () => {
  const server = new PretendServer([queen]);
  const one = logger();
  server.climate = {
    probes: [one],
    reckoned: [],
    alarms: [
      {
        placeId: place.id,
        probeId: one.probe.id,
        id: 'too-hot',
        grave: 'now',
        says: ['It is ', { tempC: 36 }, ' here.'],
        todo: 'Carry the tubes to a cooler place now.',
        since: daysAgo(0.1),
      },
    ],
  };
  show(<PlacePage id={place.id} />);
  expect(await screen.findByText('It is 36 °C here.')).toBeTruthy();
  expect(screen.getByText('Carry the tubes to a cooler place now.')).toBeTruthy();
});

test('a reading is written down in two taps: the first makes what it belongs to, the second goes to the same', async () => {
  const server = new PretendServer([queen]);
  show(<PlacePage id={place.id} />);
  const write = async (figure: string) => {
    fireEvent.click(await screen.findByRole('button', { name: 'Write down a reading' }));
    fireEvent.change(screen.getByRole('textbox', { name: 'Temperature, °C' }), { target: { value: figure } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep this reading' }));
  };
  await write('24,5');
  await waitFor(() => expect(server.bodiesOf('/readings')).toHaveLength(1));
  const [probe] = server.sent.filter((s) => s.path.startsWith('/probes/')).map((s) => s.body as Probe);
  expect(probe).toMatchObject({ kind: 'by-hand', stays: [{ placeId: place.id }] });
  const [batch] = server.bodiesOf('/readings') as ReadingBatch[];
  expect(batch).toMatchObject({ probeId: probe?.id, tempC: [24.5], rh: [null] });
});

test('of a probe that still waits to be sent no course is asked for, and it comes by itself when it is', async () => {
  const server = new PretendServer([queen]);
  server.series = week();
  let go = () => {};
  server.slowToTake = new Promise((r) => (go = r));
  const asked = () => jest.mocked(fetch).mock.calls.filter(([url]) => String(url).includes('/series'));
  show(<PlacePage id={place.id} />);
  fireEvent.click(await screen.findByRole('button', { name: 'Write down a reading' }));
  fireEvent.change(screen.getByRole('textbox', { name: 'Temperature, °C' }), { target: { value: '24' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep this reading' }));
  expect(await screen.findByText(/The course cannot be fetched now/)).toBeTruthy();
  expect(asked()).toEqual([]);
  go();
  expect(await screen.findByRole('slider', { name: 'Read at' })).toBeTruthy();
  expect(asked()).not.toEqual([]);
});

test('what stands below the course is drawn once the course is', async () => {
  const other = madeQueen('Q2', 20);
  const server = new PretendServer([queen, other]);
  const here = logger();
  const there = logger('Other logger');
  const elsewhere = { ...there.probe, stays: [{ from: daysAgo(90), placeId: other.place.id }] };
  server.climate = { probes: [here, { ...there, probe: elsewhere }], alarms: [], reckoned: [] };
  server.series = week();
  let go = () => {};
  server.slow = new Promise((r) => (go = r));
  server.slowAt = `/probes/${here.probe.id}/series`;
  show(<PlacePage id={place.id} />);
  expect(await screen.findByRole('status', { name: 'Loading the readings' })).toBeTruthy();
  const below = () => [
    screen.queryByRole('radio', { name: other.place.name }),
    screen.queryByRole('button', { name: 'A logger lies here' }),
  ];
  expect(below()).toEqual([null, null]);
  await act(async () => go());
  expect(await screen.findByRole('slider', { name: 'Read at' })).toBeTruthy();
  expect(below()).not.toContain(null);
});

test('a logger that still waits to be sent is given no secret, says why, and can be given one when it is sent', async () => {
  const server = new PretendServer([queen]);
  let go = () => {};
  server.slowToTake = new Promise((r) => (go = r));
  show(<PlacePage id={place.id} />);
  fireEvent.click(await screen.findByRole('button', { name: 'A logger lies here' }));
  fireEvent.change(screen.getByRole('textbox', { name: 'Name of the logger' }), {
    target: { value: 'Shelf logger' },
  });
  fireEvent.click(screen.getByRole('button', { name: 'Keep this logger' }));
  fireEvent.click(await screen.findByRole('button', { name: 'More about Shelf logger' }));
  expect(screen.getByText(/^It has not been sent to the server yet/)).toBeTruthy();
  const shut = () =>
    ['Let it send by itself', 'All its readings as CSV'].map((name) =>
      screen.getByRole('button', { name }).getAttribute('aria-disabled'),
    );
  expect(shut()).toEqual(['true', 'true']);
  go();
  await waitFor(() => expect(shut()).toEqual([null, null]));
  expect(screen.queryByText(/^It has not been sent to the server yet/)).toBeNull();
});

test('lowest and highest of a thermometer that remembers become two readings; the wrong way round is told', async () => {
  const server = new PretendServer([queen]);
  show(<PlacePage id={place.id} />);
  fireEvent.click(await screen.findByRole('button', { name: 'Write down a reading' }));
  fireEvent.click(screen.getByRole('checkbox', { name: /remembers lowest and highest/ }));
  const type = (name: string, value: string) =>
    fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } });
  type('Lowest, °C', '26');
  type('Highest, °C', '18,5');
  expect(await screen.findByText(/The lowest lies above the highest/)).toBeTruthy();
  type('Lowest, °C', '18,5');
  type('Highest, °C', '26');
  fireEvent.click(screen.getByRole('button', { name: 'Keep this reading' }));
  await waitFor(() => expect(server.bodiesOf('/readings')).toHaveLength(1));
  const [batch] = server.bodiesOf('/readings') as ReadingBatch[];
  expect([...(batch?.tempC ?? [])].sort()).toEqual([18.5, 26]);
  expect(Math.max(...(batch?.ms ?? []))).toBeLessThanOrEqual(Date.now());
});

test('a second reading goes to the thermometer of the first; what waits is shown at once', async () => {
  const server = new PretendServer([queen]);
  const one = logger('By hand');
  server.climate = {
    probes: [{ ...one, probe: { ...one.probe, kind: 'by-hand' } }],
    alarms: [],
    reckoned: [],
  };
  show(<PlacePage id={place.id} />);
  await screen.findByText('By hand');
  fireEvent.click(await screen.findByRole('button', { name: 'Write down a reading' }));
  server.down = true;
  fireEvent.change(screen.getByRole('textbox', { name: 'Temperature, °C' }), { target: { value: '19' } });
  fireEvent.change(screen.getByRole('textbox', { name: 'Humidity, %' }), { target: { value: '60' } });
  fireEvent.keyDown(screen.getByRole('textbox', { name: 'Humidity, %' }), { key: 'Enter' });
  expect(await screen.findByText('19 °C, 60 % humidity, just now')).toBeTruthy();
  // a slip of the finger is undone, before it is sent too
  await act(async () => undoLast());
  expect(await screen.findByText('24.3 °C, 51 % humidity, 4 minutes ago')).toBeTruthy();
  expect(server.sent.some((s) => s.path.startsWith('/probes/'))).toBe(false);
});

test('beside a logger a thermometer read by hand does not take the course over', async () => {
  const server = new PretendServer([queen]);
  const hand = logger('By hand');
  server.climate = {
    probes: [{ ...hand, probe: { ...hand.probe, kind: 'by-hand' } }, logger('Shelf logger')],
    alarms: [],
    reckoned: [],
  };
  server.series = week();
  show(<PlacePage id={place.id} />);
  const chosen = async (name: string) =>
    (await screen.findByRole('radio', { name })).getAttribute('aria-checked');
  expect(await chosen('Shelf logger')).toBe('true');
  expect(screen.getByText(/Dots: read by hand/)).toBeTruthy();
});

test('what is kept while the first answer is under way does not vanish when that answer comes', async () => {
  const server = new PretendServer([queen]);
  let answer = () => {};
  server.slow = new Promise((r) => (answer = r));
  show(<ProbesHere place={place} places={[place]} />);
  fireEvent.click(await screen.findByRole('button', { name: 'A logger lies here' }));
  fireEvent.change(screen.getByRole('textbox', { name: 'Name of the logger' }), {
    target: { value: 'New one' },
  });
  fireEvent.click(screen.getByRole('button', { name: 'Keep this logger' }));
  await waitFor(() => expect(server.sent.some((s) => s.path.startsWith('/probes/'))).toBe(true));
  server.slow = null;
  answer();
  await waitFor(() => expect(outboxItems()).toEqual([]));
  expect(screen.getByText('New one')).toBeTruthy();
});

test('what no thermometer shows is not kept, and says why', async () => {
  new PretendServer([queen]);
  show(<PlacePage id={place.id} />);
  fireEvent.click(await screen.findByRole('button', { name: 'Write down a reading' }));
  fireEvent.change(screen.getByRole('textbox', { name: 'Temperature, °C' }), { target: { value: '245' } });
  expect(screen.getByText(/outside -40 to 85/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Keep this reading' }).getAttribute('aria-disabled')).toBe(
    'true',
  );
});

test('a hygrometer is checked over table salt: what it should show, what is put right, and undone', async () => {
  const server = new PretendServer([queen]);
  const one = logger();
  server.climate = { probes: [one], alarms: [], reckoned: [] };
  show(<PlacePage id={place.id} />);
  fireEvent.click(await screen.findByRole('button', { name: 'More about Shelf logger' }));
  expect(screen.getByText(/^Nobody has checked it/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Check what it shows' }));
  expect(screen.getByText(/at least eight hours/)).toBeTruthy();
  const fill = (name: string, value: string) =>
    fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } });
  fill('Temperature in the box, °C', '20');
  // Greenspan 1977 (from memory): 75.47 % over table salt at 20 °C
  expect(screen.getByText('It should show 75.5 %.')).toBeTruthy();
  fill('It shows, %', '40');
  expect(screen.getByText(/Leave it shut for longer/)).toBeTruthy();
  fill('It shows, %', '80');
  fireEvent.click(screen.getByRole('button', { name: 'Keep this check' }));
  expect(await screen.findByText(/its humidity, at 60 %, by −5 %/)).toBeTruthy();
  const sent = () => server.sent.filter((s) => s.path.startsWith('/probes/')).map((s) => s.body as Probe);
  await waitFor(() => expect(sent()).toHaveLength(1));
  expect(sent()[0]?.checks).toMatchObject([{ what: 'salt', salt: 'NaCl', tempC: 20, shown: 0.8 }]);
});

test('a place that is not there says where the others are', async () => {
  new PretendServer([queen]);
  show(<PlacePage id={v7()} />);
  expect(await screen.findByText(/There is no such place/)).toBeTruthy();
});
