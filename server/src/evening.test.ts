import type { StockItem, StockMove } from '@gentle-burrow/core/facts';
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import jsQR from 'jsqr';
import { v7 } from 'uuid';
import { daysAgo, factsOf, lookEntry, newQueen, NOW, testServer } from './test-kit';

let server: Awaited<ReturnType<typeof testServer>>;
/** A database of its own for all tests of one subject. */
function withServer() {
  beforeAll(async () => {
    server = await testServer();
  });
  afterAll(() => server.close());
}

const get = (url: string) => server.app.inject({ method: 'GET', url });
const send = (method: 'POST' | 'PUT', url: string, payload: object) =>
  server.app.inject({ method, url, payload });
const taken = async (label: string, intake: object = {}) => {
  const q = newQueen(label);
  await server.store.write([
    ...factsOf(q).slice(0, 3),
    { fact: 'entry', value: { ...q.intake, ...intake } as typeof q.intake },
  ]);
  return q;
};

describe('labels', () => {
  withServer();
  const address = (ids: string[], sheet = 'a4-3x8', more = '') =>
    `queens=${ids.join(',')}&sheet=${sheet}&origin=${encodeURIComponent('http://10.0.0.5:4860')}${more}`;

  test('the PDF, read back by a general PDF library: words, size and number of pages', async () => {
    const ids: string[] = [];
    for (let i = 0; i < 26; i++) ids.push((await taken(`Q${i}`)).queen.id);
    const answer = await get(`/api/labels.pdf?${address(ids)}`);
    expect(answer.headers['content-type']).toBe('application/pdf');
    const reader = join(__dirname, '..', 'test', 'read-pdf.mjs');
    const [first, ...more] = JSON.parse(
      execFileSync(process.execPath, [reader], { input: answer.rawPayload, encoding: 'utf8' }),
    ) as { width: number; height: number; words: string[]; dark: number[][] }[];
    expect(more).toHaveLength(1);
    // A4 in points (ISO 216: 210 × 297 mm)
    expect(first!.width).toBeCloseTo((210 / 25.4) * 72, 1);
    expect(first!.height).toBeCloseTo((297 / 25.4) * 72, 1);
    const day = daysAgo(30).slice(0, 10);
    expect(first!.words).toEqual(expect.arrayContaining(['Q0', 'Q23', 'Tetramorium immigrans', day]));
    expect(first!.words).not.toContain('Q24');
    expect(more[0]!.words).toContain('Q25');
    // the second label of the second sheet: its code is black squares, and opens her look
    const [left, right] = [70, 140].map((mm) => (mm / 25.4) * 72) as [number, number];
    const mine = more[0]!.dark.filter(([x0, , x1]) => x0! > left && x1! < right);
    const squares = mine.map(([x0, y0, x1, y1]) => [x0! - left, 842 - y1!, x1! - x0!, y1! - y0!]);
    expect(painted(squares, 4)).toBe(`http://10.0.0.5:4860/queens/${ids[25]}/look`);
  });

  test.each(['strip-16', 'strip-18', 'a4-5x13', 'letter-3x10'])(
    'the code on %s, decoded by a second library, opens her look',
    async (sheet) => {
      const { queen } = await taken('T1');
      const answer = await get(`/api/labels.svg?${address([queen.id], sheet)}`);
      expect(answer.headers['content-type']).toMatch(/^image\/svg\+xml/);
      const code = decoded(answer.body);
      expect(code).toBe(`http://10.0.0.5:4860/queens/${queen.id}/look`);
    },
  );

  test('her home is on it, to its own proportions', async () => {
    const q = newQueen('Home');
    await server.store.write(factsOf(q));
    const { body } = await get(`/api/labels.svg?${address([q.queen.id])}`);
    const boxes = (path: string) =>
      [...path.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)h-/g)].map((m) => m.slice(1).map(Number));
    const [water] = boxes(/<path d="([^"]*)" fill="#ccc"/.exec(body)?.[1] ?? '');
    const dark = boxes(/<path d="([^"]*)" shape-rendering/.exec(body)?.[1] ?? '');
    // the upper wall of the tube begins where its water does
    const wall = dark.find(([x, y]) => x === water?.[0] && y === water?.[1]);
    expect((water?.[2] ?? 0) / (wall?.[2] ?? 1)).toBeCloseTo(q.home.waterLineMm / q.home.lengthMm, 2);
    expect((water?.[3] ?? 0) / (wall?.[2] ?? 1)).toBeCloseTo(q.home.outsideMm / q.home.lengthMm, 2);
  });

  test('names are escaped and long ones are cut, not run over the edge', async () => {
    const q = newQueen('<b>&"');
    q.queen.batch = 'A very long name for a batch of queens that nobody would ever write on a tube';
    await server.store.write(factsOf(q));
    const { body } = await get(`/api/labels.svg?${address([q.queen.id], 'strip-16')}`);
    expect(body).toContain('&#60;b&#62;&#38;&#34;');
    expect(body).toMatch(/A very long[^<]*…</);
  });

  test.each([
    ['queens=&sheet=a4-3x8&origin=http://x', 400, /id|queen/i],
    [`queens=${v7()}&sheet=a4-3x8&origin=http://x`, 404, /No queen has this id/],
    [`queens=${v7()}&sheet=napkin&origin=http://x`, 400, /./],
    [`queens=${v7()}&sheet=a4-3x8&origin=javascript:1`, 400, /http/],
  ])('%s is refused', async (query, status, says) => {
    const answer = await get(`/api/labels.pdf?${query}`);
    expect(answer.statusCode).toBe(status);
    expect(answer.json<{ error: { message: string } }>().error.message).toMatch(says);
  });
});

function decoded(svg: string): string | undefined {
  const squares = [...svg.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)h-/g)].map((m) =>
    m.slice(1).map(Number),
  );
  return painted(squares, 12);
}

/** Paints dark boxes (left, upper, width, height) pixel by pixel, so many to a unit, and lets the decoder find the code. */
function painted(squares: number[][], perMm: number): string | undefined {
  const right = Math.max(...squares.map(([x, , w]) => x! + w!)) + 3;
  const low = Math.max(...squares.map(([, y, , h]) => y! + h!)) + 3;
  const [width, height] = [Math.ceil(right * perMm), Math.ceil(low * perMm)];
  const pixels = new Uint8ClampedArray(width * height * 4).fill(255);
  for (const [x, y, w, h] of squares)
    for (let py = Math.round(y! * perMm); py < Math.round((y! + h!) * perMm); py++)
      for (let px = Math.round(x! * perMm); px < Math.round((x! + w!) * perMm); px++)
        pixels.fill(0, (py * width + px) * 4, (py * width + px) * 4 + 3);
  return jsQR(pixels, width, height)?.data;
}

describe('captures', () => {
  withServer();
  const secret = {
    where: 'Meadow "north", by the mill',
    coordinates: { lat: 48.13743, lon: 11.57549, uncertaintyM: 20 },
  };
  const rowsOf = async (places = '') =>
    parse((await get(`/api/captures.csv${places}`)).body, { columns: true }) as Record<string, string>[];
  beforeAll(async () => {
    await taken('A', secret);
    await taken('B', { found: 'bought' });
  });
  test('CSV that a general reader takes apart again (RFC 4180); places withheld by default', async () => {
    const answer = await get('/api/captures.csv');
    expect(answer.headers['content-type']).toMatch(/^text\/csv/);
    expect(answer.body).toContain('\r\n');
    expect(answer.body).not.toMatch(/Meadow|48\.1/);
    const rows = await rowsOf();
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({
      scientificName: 'Tetramorium immigrans',
      locality: '',
      organismName: 'A',
    });
  });
  test('exact when asked, with quotes and commas kept', async () => {
    expect((await rowsOf('?places=exact'))[0]).toMatchObject({
      locality: secret.where,
      decimalLatitude: '48.13743',
    });
  });
  test('the whole log keeps places to itself unless asked', async () => {
    expect((await get('/api/export.jsonl')).body).not.toMatch(/Meadow|48\.1/);
    expect((await get('/api/export.jsonl?places=exact')).body).toMatch(/Meadow/);
  });
});

describe('stock', () => {
  withServer();
  const item: StockItem = { id: v7(), kind: 'finished-tube', name: '16 × 150', tube: null, lowAt: 1 };
  const move = (delta: number, why: StockMove['why']): StockMove => ({
    id: v7(),
    itemId: item.id,
    at: daysAgo(2),
    delta,
    why,
    queenId: null,
  });
  const levels = async () => (await get('/api/stock')).json<{ levels: { count: number }[]; plan: unknown }>();

  test('counts go down as queens are taken in, and sending twice counts once', async () => {
    await send('PUT', `/api/stock/items/${item.id}`, item);
    const made = move(3, 'made');
    for (let i = 0; i < 2; i++) expect((await send('POST', '/api/stock/moves', made)).statusCode).toBe(201);
    const q = newQueen('A');
    const body = { ...q, used: [{ ...move(-1, 'used'), queenId: q.queen.id }] };
    for (let i = 0; i < 2; i++) expect((await send('POST', '/api/queens', body)).statusCode).toBe(201);
    expect((await levels()).levels[0]).toMatchObject({ count: 2, low: false });
  });
  test('make so many before the flights, from last season’s catch', async () => {
    // two stand ready and one was caught in the test before
    for (const label of ['B', 'C']) await taken(label);
    await taken('D', { found: 'bought' });
    expect((await levels()).plan).toMatchObject({ caught: 3, need: 4, make: 2 });
  });
  test('a change of something that is not there is refused', async () => {
    expect(
      (await send('POST', '/api/stock/moves', { ...move(1, 'made'), itemId: v7() })).json(),
    ).toMatchObject({
      error: { code: 'no-such-item' },
    });
  });
});

describe('moving a tube', () => {
  withServer();
  test('is an entry: the place is the new one, and both are told', async () => {
    const q = await taken('A');
    const cool = { id: v7(), name: 'Cool shelf', tempC: 18, roomRelHumidity: 0.6 };
    await send('PUT', `/api/places/${cool.id}`, cool);
    const before = (await get(`/api/queens/${q.queen.id}`)).json<{
      view: { outlook: { events: { workers: { band: { p50: string } } } } };
    }>();
    const move = {
      kind: 'move',
      id: v7(),
      queenId: q.queen.id,
      at: daysAgo(1),
      loggedAt: NOW.toISOString(),
      placeId: cool.id,
    };
    expect((await send('POST', '/api/entries', move)).statusCode).toBe(200);
    const after = (await get(`/api/queens/${q.queen.id}`)).json<
      typeof before & { place: { name: string }; places: unknown[] }
    >();
    expect(after.place.name).toBe('Cool shelf');
    expect(after.places).toHaveLength(2);
    const workers = (d: typeof before) => d.view.outlook.events.workers.band.p50;
    expect(workers(after) > workers(before)).toBe(true);
    // and warming that place afterwards moves her again
    await send('PUT', `/api/places/${cool.id}`, { ...cool, tempC: 27 });
    const warmed = (await get(`/api/queens/${q.queen.id}`)).json<typeof before>();
    expect(workers(warmed) < workers(after)).toBe(true);
  });
  test('to a place that does not exist is refused', async () => {
    const q = await taken('A');
    const move = {
      kind: 'move',
      id: v7(),
      queenId: q.queen.id,
      at: daysAgo(1),
      loggedAt: daysAgo(1),
      placeId: v7(),
    };
    expect((await send('POST', '/api/entries', move)).json()).toMatchObject({
      error: { code: 'no-such-place' },
    });
  });
});

describe('a species that is not certain', () => {
  withServer();
  test('a second name for her that no profile has is refused', async () => {
    const q = await taken('A');
    const species = {
      profileId: 'messor-structor',
      sure: 'likely',
      others: [{ profileId: 'dragon', share: 0.3 }],
    };
    const identify = {
      kind: 'identify',
      id: v7(),
      queenId: q.queen.id,
      at: daysAgo(1),
      loggedAt: daysAgo(1),
      species,
    };
    expect((await send('POST', '/api/entries', identify)).json()).toMatchObject({
      error: { code: 'no-such-species' },
    });
  });

  test('two species given in shares come out as shares, with what her log makes of them', async () => {
    const q = await taken('A', {
      species: {
        profileId: 'tetramorium-immigrans',
        sure: 'likely',
        others: [{ profileId: 'camponotus-vagus', share: 0.4 }],
      },
    });
    await server.store.write([{ fact: 'entry', value: lookEntry(q.queen.id, 20, 6) }]);
    const { view } = (await get(`/api/queens/${q.queen.id}`)).json<{
      view: { species: { share: number; now: number }[] };
    }>();
    expect(view.species.map((s) => s.share)).toEqual([0.6, 0.4]);
    expect(view.species[0]!.now).not.toBeCloseTo(0.6, 3);
    expect(view.species[0]!.now + view.species[1]!.now).toBeCloseTo(1, 9);
  });
});
