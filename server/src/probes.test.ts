import type { Climate, Series } from '@gentle-burrow/contract';
import type { Probe } from '@gentle-burrow/core/facts';
import { parse } from 'csv-parse/sync';
import { v7 } from 'uuid';
import { daysAgo, factsOf, newQueen, NOW, testServer } from './test-kit';

let server: Awaited<ReturnType<typeof testServer>>;
let probe: Probe;
let token: string;
beforeAll(async () => {
  server = await testServer();
}, 60_000);
afterAll(() => server.close());
beforeEach(async () => {
  const one = newQueen();
  await server.store.write([...factsOf(one)]);
  probe = {
    id: v7(),
    name: 'Shelf',
    kind: 'logger',
    stays: [{ from: daysAgo(30), placeId: one.place.id }],
    silentAfterH: 2,
    checks: [],
  };
  expect((await put(probe)).statusCode).toBe(200);
  token = (await server.app.inject({ method: 'POST', url: `/api/probes/${probe.id}/token` })).json().token;
});

const put = (p: Probe) => server.app.inject({ method: 'PUT', url: `/api/probes/${p.id}`, payload: p });
const push = (payload: string | object, headers: Record<string, string> = {}) =>
  server.app.inject({
    method: 'POST',
    url: `/api/probes/${probe.id}/push`,
    payload,
    headers: {
      authorization: `Bearer ${token}`,
      ...(typeof payload === 'string' ? { 'content-type': 'text/plain' } : {}),
      ...headers,
    },
  });
const get = (path: string) => server.app.inject({ url: `/api${path}` });
const mine = async () => (await get('/climate')).json<Climate>().probes.find((p) => p.probe.id === probe.id);
const at = (minutes: number) => new Date(NOW.getTime() - minutes * 60_000).toISOString();

test('a probe sends JSON or lines, and its newest reading stands in the list', async () => {
  const json = await push({ readings: [{ at: at(20), tempC: 24.3, humidityPercent: 55 }] });
  expect([json.statusCode, json.json()]).toEqual([200, { added: 1, known: 0, contradictory: 0, there: [] }]);
  const lines = await push(`${at(20)} 24.3 55\n${at(10)} 24.6 -\n`);
  expect(lines.json()).toEqual({ added: 1, known: 1, contradictory: 0, there: [Date.parse(at(20))] });
  expect(await mine()).toMatchObject({
    probe: { name: 'Shelf' },
    latest: { at: at(10), tempC: 24.6, rh: null },
  });
});

test('a secret is nothing but digits and letters, so that no command line takes it for an option', () =>
  expect(token).toMatch(/^[0-9a-f]{48}$/));

test('without the secret, or with that of before, nothing is taken; the secret itself is kept nowhere', async () => {
  for (const authorization of ['', 'Bearer wrong', token])
    expect((await push(`${at(1)} 20`, { authorization })).statusCode).toBe(401);
  const before = token;
  token = (await server.app.inject({ method: 'POST', url: `/api/probes/${probe.id}/token` })).json().token;
  expect((await push(`${at(1)} 20`, { authorization: `Bearer ${before}` })).statusCode).toBe(401);
  expect((await push(`${at(1)} 20`)).statusCode).toBe(200);
  expect((await get('/export.jsonl')).body).not.toContain(token);
  expect((await get('/climate')).body).not.toContain(token);
});

test('who sends too often is told so, and the others are not kept waiting', async () => {
  const answers = [];
  for (let i = 0; i < 61; i++) answers.push((await push(`${at(i)} 20`)).statusCode);
  expect(answers.filter((s) => s === 200)).toHaveLength(60);
  expect(answers.at(-1)).toBe(429);
  const last = await push(`${at(1)} 20`);
  expect(last.json().error.message).toMatch(/sends too often/);
  expect((await get('/health')).statusCode).toBe(200);
});

test.each([
  ['a line that is none', `${'2026-06-30T10:00:00Z'} 24\nwarm today`, /^Line 2: “warm” is not a moment/],
  ['a figure that cannot be', '2026-06-30T10:00:00Z 240', /240 °C is outside/],
  ['a moment to come', '2027-06-30T10:00:00Z 24', /future/],
  ['nothing', '\n', /no reading in it/],
  ['JSON without readings', { readings: [] }, /no reading in it/],
  ['JSON with a local time', { readings: [{ at: '2026-06-30 10:00', tempC: 20 }] }, /2026-06-01T12:00:00Z/],
  ['JSON without a figure', { readings: [{ at: '2026-06-30T10:00:00Z' }] }, /Reading 1: .*neither/],
])(
  '%s is refused with its place and the way to write it, and nothing of it is kept',
  async (_, body, says) => {
    const answer = await push(body);
    expect(answer.statusCode).toBe(400);
    expect(answer.json().error.message).toMatch(says);
    expect((await mine())?.latest).toBeNull();
  },
);

test('readings by hand or from a file come a column each; columns of two lengths are refused', async () => {
  const send = (payload: object) => server.app.inject({ method: 'POST', url: '/api/readings', payload });
  const ms = [NOW.getTime() - 3_600_000, NOW.getTime()];
  const good = await send({ probeId: probe.id, ms, tempC: [20, 22], rh: [null, 0.5] });
  expect(good.json()).toEqual({ added: 2, known: 0, contradictory: 0, there: [] });
  const short = await send({ probeId: probe.id, ms, tempC: [20], rh: [null, 0.5] });
  expect(short.statusCode).toBe(400);
  expect(short.json().error.message).toMatch(/not of one length/);
  expect((await send({ probeId: v7(), ms, tempC: [20, 22], rh: [null, null] })).statusCode).toBe(404);
});

test('a reading written by mistake is taken back, and the alarm with it', async () => {
  const ms = [NOW.getTime() - 600_000];
  const send = (path: string, payload: object) => server.app.inject({ method: 'POST', url: path, payload });
  await send('/api/readings', { probeId: probe.id, ms, tempC: [45], rh: [null] });
  const mineOf = async () =>
    (await get('/climate')).json<Climate>().alarms.filter((a) => a.probeId === probe.id);
  expect(await mineOf()).toHaveLength(1);
  expect((await send('/api/readings/taken-back', { probeId: probe.id, ms })).statusCode).toBe(200);
  expect(await mineOf()).toEqual([]);
  expect((await mine())?.latest).toBeNull();
  expect((await send('/api/readings/taken-back', { probeId: v7(), ms })).statusCode).toBe(404);
});

test('a chart gets lowest, mean and highest of each column, and gaps as gaps', async () => {
  const hour = 60;
  const readings = [0, 10, 20, 30].map((m) => ({ at: at(4 * hour - m), tempC: 20 + m / 10 }));
  await push({ readings });
  const url = `/probes/${probe.id}/series?from=${at(4 * hour)}&to=${at(0)}&columns=4`;
  const { columns } = (await get(url)).json<Series>();
  expect(columns.map((c) => c.tempC)).toEqual([{ min: 20, mean: 21.5, max: 23 }, null, null, null]);
  const wrong = await get(`/probes/${probe.id}/series?from=${at(0)}&to=${at(60)}`);
  expect(wrong.json().error.message).toMatch(/end is not after the beginning/);
});

test('a place that is too hot is told with what to do, until it is cool again; a check of the probe moves all it shows', async () => {
  const alarms = async () =>
    (await get('/climate')).json<Climate>().alarms.filter((a) => a.probeId === probe.id);
  await push(`${at(20)} 25\n${at(10)} 36.2`);
  expect(await alarms()).toMatchObject([
    {
      id: 'too-hot',
      grave: 'now',
      placeId: probe.stays[0]?.placeId,
      todo: expect.stringMatching(/cooler place/),
    },
  ]);
  await put({ ...probe, checks: [{ what: 'ice', at: daysAgo(1), shownC: 3 }] });
  expect(await alarms()).toEqual([]);
  expect(await mine()).toMatchObject({ latest: { tempC: 33.2 }, day: { tempC: { min: 22, max: 33.2 } } });
});

test('all readings leave as CSV, and with the log as facts that can be read back', async () => {
  await push(`${at(20)} 24.35 55.5\n${at(10)} -3.2 -`);
  const csv = await get(`/probes/${probe.id}/readings.csv`);
  // the peer: csv-parse, another program's reading of RFC 4180
  expect(parse(csv.body, { columns: true })).toEqual([
    { at: at(20), tempC: '24.35', humidityPercent: '55.5' },
    { at: at(10), tempC: '-3.2', humidityPercent: '' },
  ]);
  const facts = (await get('/export.jsonl')).body
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { fact: string; value: object });
  const kinds = facts.map((f) => f.fact);
  expect(kinds.indexOf('probe')).toBeGreaterThan(kinds.indexOf('place'));
  expect(facts.map((f) => f.value)).toContainEqual({
    probeId: probe.id,
    ms: [Date.parse(at(20)), Date.parse(at(10))],
    tempC: [24.35, -3.2],
    rh: [0.555, null],
  });
});

test('a probe lies only where there is a place, and its places follow one another', async () => {
  expect((await put({ ...probe, stays: [{ from: daysAgo(1), placeId: v7() }] })).statusCode).toBe(404);
  const place = probe.stays[0]?.placeId ?? null;
  const twisted = await put({
    ...probe,
    stays: [
      { from: daysAgo(1), placeId: place },
      { from: daysAgo(2), placeId: null },
    ],
  });
  expect(twisted.json().error.message).toMatch(/do not follow one another/);
});
