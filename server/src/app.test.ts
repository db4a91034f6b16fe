import {
  appendedSchema,
  errorSchema,
  healthSchema,
  queenDetailSchema,
  queenListSchema,
  shelfSchema,
  speciesListSchema,
  speciesProfileSchema,
} from '@gentle-burrow/contract';
import { queenSchema } from '@gentle-burrow/core/facts';
import { KINDS } from '@gentle-burrow/core/species/catalogue';
import { plainText } from '@gentle-burrow/core/quantity';
import type { FastifyInstance } from 'fastify';
import { v7 } from 'uuid';
import { daysAgo, lookEntry, newQueen, NOW, testServer } from './test-kit';

let t: Awaited<ReturnType<typeof testServer>>;
let app: FastifyInstance;
beforeAll(async () => {
  t = await testServer();
  app = t.app;
}, 60_000);
afterAll(() => t.close());

const get = (url: string) => app.inject({ method: 'GET', url });
const post = (url: string, payload: object) => app.inject({ method: 'POST', url, payload });
const refused = (r: { json(): unknown }) => errorSchema.parse(r.json()).error;
async function takenIn(label: string, ago = 30) {
  const one = newQueen(label, ago);
  expect((await post('/api/queens', one)).statusCode).toBe(201);
  return one;
}

describe('resources', () => {
  test('health says who answers and with what', async () => {
    const health = healthSchema.parse((await get('/api/health')).json());
    expect(health).toMatchObject({ ok: true, storage: 'pglite', now: NOW.toISOString() });
  });

  test('species: a list of names and looks, and each with every figure and its source', async () => {
    const { species } = speciesListSchema.parse((await get('/api/species')).json());
    expect(species).toHaveLength(KINDS.length);
    expect(species.find((s) => s.id === 'manica-rubida')?.founder).toEqual({
      value: 'semi-claustral',
      source: { kind: 'practice' },
    });
    const profile = speciesProfileSchema.parse((await get('/api/species/camponotus-fallax')).json());
    expect(profile.pupae).toEqual({ value: 'in cocoons', source: { kind: 'practice' }, level: 'genus' });
    const none = await get('/api/species/griffin');
    expect(none.statusCode).toBe(404);
    expect(refused(none).message).toMatch(/no kind of this id/);
  });

  test('a queen taken in comes back with ledger, outlook and counsel', async () => {
    const one = await takenIn('Whole', 20);
    await post('/api/entries', lookEntry(one.queen.id, 10, 0));
    await post('/api/entries', lookEntry(one.queen.id, 2, 6));
    const detail = queenDetailSchema.parse((await get(`/api/queens/${one.queen.id}`)).json());
    expect(detail.view.ledger.appearances.eggs.interval).toEqual({ after: daysAgo(10), by: daysAgo(2) });
    expect(detail.view.outlook?.next).toBe('larvae');
    expect(detail.view.counsel?.verdicts.map((v) => v.id)).toEqual(
      expect.arrayContaining(['look', 'late', 'water', 'food', 'warmth']),
    );
    expect(plainText(detail.view.counsel?.next ?? [])).toBe(
      `Leave her alone until ${daysAgo(-12).slice(0, 10)}.`,
    );
    const listed = queenListSchema.parse((await get('/api/queens')).json()).queens;
    expect(listed.map((q) => q.id)).toContain(one.queen.id);
  });

  test('taking her in twice is harmless', async () => {
    const one = await takenIn('Twice');
    expect((await post('/api/queens', one)).statusCode).toBe(201);
    expect((await t.store.entriesOf([one.queen.id])).get(one.queen.id)).toHaveLength(1);
  });

  test('the shelf holds to its schema, most urgent first, and follows a write', async () => {
    const dry = await takenIn('Dry');
    await post('/api/entries', { ...lookEntry(dry.queen.id, 1, 3), wetFront: 'dry', waterLineMm: 6 });
    const shelf = shelfSchema.parse((await get('/api/shelf')).json());
    expect(shelf.rows[0]).toMatchObject({ pressure: 'now', queen: { label: 'Dry' } });
    const loss = {
      kind: 'loss',
      id: v7(),
      queenId: dry.queen.id,
      at: daysAgo(0),
      loggedAt: daysAgo(0),
      how: 'died',
    };
    expect((await post('/api/entries', loss)).statusCode).toBe(200);
    const after = shelfSchema.parse((await get('/api/shelf')).json());
    expect(after.rows[after.rows.length - 1]).toMatchObject({
      queen: { label: 'Dry' },
      lost: { how: 'died' },
    });
  });

  test('time alone frees a look', async () => {
    const one = await takenIn('Clock', 30);
    await post('/api/entries', lookEntry(one.queen.id, 13, 0));
    const answer = async () => {
      const detail = queenDetailSchema.parse((await get(`/api/queens/${one.queen.id}`)).json());
      return detail.view.counsel?.verdicts.find((v) => v.id === 'look')?.answer;
    };
    expect(await answer()).toBe('not yet');
    t.clock.now = new Date(NOW.getTime() + 2 * 86_400_000);
    expect(await answer()).toBe('you may');
    t.clock.now = NOW;
  });

  test('school and place change the advice at once', async () => {
    const one = await takenIn('Place', 30);
    await post('/api/entries', lookEntry(one.queen.id, 10, 4));
    const detail = async () => queenDetailSchema.parse((await get(`/api/queens/${one.queen.id}`)).json());
    const before = await detail();
    await app.inject({
      method: 'PUT',
      url: `/api/places/${one.place.id}`,
      payload: { ...one.place, tempC: 22 },
    });
    const cooler = await detail();
    const workers = (d: typeof before) => Date.parse(d.view.outlook?.events.workers.band.p50 ?? '');
    expect(workers(cooler)).toBeGreaterThan(workers(before));
    await app.inject({
      method: 'PATCH',
      url: `/api/queens/${one.queen.id}`,
      payload: { lookingSchool: 'weekly' },
    });
    expect((await detail()).view.counsel?.verdicts.find((v) => v.id === 'look')?.answer).toBe('you may');
    await app.inject({
      method: 'PATCH',
      url: `/api/queens/${one.queen.id}`,
      payload: { lookingSchool: null },
    });
    const put = await app.inject({
      method: 'PUT',
      url: '/api/settings',
      payload: { lookingSchool: 'three-to-four-weeks', hemisphere: 'south' },
    });
    expect(put.statusCode).toBe(200);
    expect((await detail()).view.counsel?.verdicts.find((v) => v.id === 'look')).toMatchObject({
      school: 'Every three to four weeks',
    });
  });

  test('methods of moving for one colony are kept, and null takes them back one by one', async () => {
    const one = await takenIn('Mover', 30);
    const patch = async (payload: object) =>
      queenSchema.parse(
        (await app.inject({ method: 'PATCH', url: `/api/queens/${one.queen.id}`, payload })).json(),
      );
    expect(await patch({ lightSchool: 'never', patienceSchool: 'week' })).toMatchObject({
      lightSchool: 'never',
      patienceSchool: 'week',
    });
    const back = await patch({ lightSchool: null });
    expect(back).toMatchObject({ patienceSchool: 'week', lookingSchool: null });
    expect(back).not.toHaveProperty('lightSchool');
    // what is not named stays
    expect(await patch({ lookingSchool: 'weekly' })).toMatchObject({ patienceSchool: 'week' });
    expect(await patch({ patienceSchool: null, lookingSchool: null })).not.toHaveProperty('patienceSchool');
    const wrong = await app.inject({
      method: 'PATCH',
      url: `/api/queens/${one.queen.id}`,
      payload: { lightSchool: 'strobe' },
    });
    expect(wrong.statusCode).toBe(400);
  });

  test('her name and tube are put right in her log, where the old ones stay', async () => {
    const one = await takenIn('Wrong', 30);
    const detail = async () => queenDetailSchema.parse((await get(`/api/queens/${one.queen.id}`)).json());
    const { id: _id, kind: _kind, setUpAt: _setUp, ...was } = one.home;
    const right = {
      kind: 'correct',
      id: v7(),
      queenId: one.queen.id,
      at: daysAgo(0),
      loggedAt: daysAgo(0),
      label: { was: 'Wrong', is: 'Right' },
      tube: { was, is: { ...was, lengthMm: 200 } },
    };
    expect((await post('/api/entries', right)).statusCode).toBe(200);
    expect((await detail()).queen.label).toBe('Right');
    expect((await detail()).home).toEqual({ ...one.home, lengthMm: 200 });
    const labels = async () =>
      shelfSchema.parse((await get('/api/shelf')).json()).rows.map((r) => r.queen.label);
    expect(await labels()).toContain('Right');
    expect(await labels()).not.toContain('Wrong');
    const listed = queenListSchema.parse((await get('/api/queens')).json()).queens;
    expect(listed.find((q) => q.id === one.queen.id)?.label).toBe('Right');
    expect((await get('/api/export.jsonl')).body).toContain('"label":"Wrong"');
    const unfit = { ...right, id: v7(), tube: { was, is: { ...was, boreMm: 40 } } };
    const refused = await post('/api/entries', unfit);
    expect(refused.statusCode).toBe(400);
    expect(JSON.stringify(refused.json())).toContain('not smaller than the outside');
    // by the older address too
    await app.inject({ method: 'PATCH', url: `/api/queens/${one.queen.id}`, payload: { label: 'Third' } });
    expect((await detail()).queen.label).toBe('Third');
    expect((await detail()).entries.at(-1)).toMatchObject({
      kind: 'correct',
      label: { was: 'Right', is: 'Third' },
    });
  });

  test('a queen taken in by mistake leaves no trace but in the export, and comes back', async () => {
    const one = await takenIn('Mistake', 30);
    const shown = async () =>
      shelfSchema.parse((await get('/api/shelf')).json()).rows.some((r) => r.queen.id === one.queen.id);
    expect(await shown()).toBe(true);
    const amend = async (amends: string) => {
      const head = {
        kind: 'amendment',
        id: v7(),
        queenId: one.queen.id,
        at: daysAgo(0),
        loggedAt: daysAgo(0),
      };
      expect((await post('/api/entries', { ...head, amends, replacement: null })).statusCode).toBe(200);
      return head.id;
    };
    const gone = await amend(one.intake.id);
    expect(await shown()).toBe(false);
    expect((await get('/api/captures.csv')).body).not.toContain(one.queen.id);
    expect(JSON.stringify((await get('/api/queens')).json())).not.toContain(one.queen.id);
    expect((await get('/api/export.jsonl')).body).toContain(gone);
    await amend(gone);
    expect(await shown()).toBe(true);
  });

  test('the log leaves as JSON Lines that can be read line by line', async () => {
    const r = await get('/api/export.jsonl');
    const facts = r.body
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { fact: string });
    expect(facts.filter((f) => f.fact === 'queen').length).toBeGreaterThan(2);
    expect(r.headers['content-disposition']).toContain('gentle-burrow-2026-07-01.jsonl');
  });

  test('the OpenAPI document describes every resource', async () => {
    const doc = (await get('/api/openapi.json')).json() as { paths: Record<string, object> };
    expect(Object.keys(doc.paths).sort()).toEqual([
      '/api/agenda.ics',
      '/api/backup.zip',
      '/api/bring-back',
      '/api/captures.csv',
      '/api/climate',
      '/api/daily-backup',
      '/api/entries',
      '/api/export.jsonl',
      '/api/health',
      '/api/labels.pdf',
      '/api/labels.svg',
      '/api/learned',
      '/api/log.csv',
      '/api/own-kinds',
      '/api/own-kinds/schema.json',
      '/api/own-kinds/{id}',
      '/api/photos/{id}',
      '/api/photos/{id}/thumb',
      '/api/places',
      '/api/places/{id}',
      '/api/places/{id}/measured',
      '/api/probes/{id}',
      '/api/probes/{id}/push',
      '/api/probes/{id}/readings.csv',
      '/api/probes/{id}/series',
      '/api/probes/{id}/token',
      '/api/queens',
      '/api/queens/{id}',
      '/api/queens/{id}/entries',
      '/api/queens/{id}/photos',
      '/api/readings',
      '/api/readings/taken-back',
      '/api/set-aside',
      '/api/settings',
      '/api/shelf',
      '/api/species',
      '/api/species/{id}',
      '/api/stock',
      '/api/stock.csv',
      '/api/stock/items/{id}',
      '/api/stock/moves',
    ]);
    expect(JSON.stringify(doc.paths['/api/entries'])).toContain('waterLineMm');
  });
});

describe('entries', () => {
  test('one or a batch, sent twice, stored once', async () => {
    const { queen } = await takenIn('Batch');
    const entries = [lookEntry(queen.id, 9), lookEntry(queen.id, 5, 4)];
    const first = appendedSchema.parse((await post('/api/entries', { entries })).json());
    expect(first.accepted).toHaveLength(2);
    const again = appendedSchema.parse((await post('/api/entries', { entries })).json());
    expect(again).toEqual({ accepted: [], known: expect.arrayContaining(entries.map((e) => e.id)) });
    const log = (await get(`/api/queens/${queen.id}/entries`)).json() as { entries: unknown[] };
    expect(log.entries).toHaveLength(3);
  });
});

describe('refusals say what is wrong, where, and how to mend it', () => {
  test.each([
    ['a count upside down', { eggs: { low: 9, high: 2 } }, 400, 'invalid', 'eggs.high', /Swap them/],
    ['a negative count', { eggs: { low: -1, high: 2 } }, 400, 'invalid', 'eggs.low', /below 0/],
    ['a word for a number', { waterLineMm: 'wet' }, 400, 'invalid', 'waterLineMm', /not a number/],
    [
      'an id of another version',
      { id: '11111111-1111-4111-8111-111111111111' },
      400,
      'invalid',
      'id',
      /version 7/,
    ],
    ['a day that does not exist', { at: '2026-02-31T10:00:00Z' }, 400, 'invalid', 'at', /date and time/],
    ['an unknown kind', { kind: 'wish' }, 400, 'invalid', 'kind', /Use intake, look/],
    ['the future', { at: '2027-01-01T10:00:00Z' }, 422, 'in-the-future', 'at', /lies in the future/],
    ['an unknown queen', { queenId: v7() }, 404, 'no-such-queen', 'queenId', /Take her in/],
  ])('%s', async (_, change, status, code, field, says) => {
    const { queen } = await takenIn('Refused');
    const r = await post('/api/entries', { ...lookEntry(queen.id, 1), ...change });
    expect(r.statusCode).toBe(status);
    expect(refused(r)).toMatchObject({ code, field, message: expect.stringMatching(says) });
  });

  test('a fault inside a batch names the entry', async () => {
    const { queen } = await takenIn('Fault');
    const entries = [lookEntry(queen.id, 2), { ...lookEntry(queen.id, 1), eggs: { low: 5, high: 1 } }];
    expect(refused(await post('/api/entries', { entries })).field).toBe('entries.1.eggs.high');
  });

  test('a queen that waited on a device since before homes were more than tubes is taken in', async () => {
    const { home, ...rest } = newQueen('Waited');
    const r = await post('/api/queens', { ...rest, tube: home });
    expect(r.statusCode).toBe(201);
    expect((await get(`/api/queens/${rest.queen.id}`)).json()).toMatchObject({ home });
  });

  test('water beyond the tube', async () => {
    const one = newQueen();
    const r = await post('/api/queens', { ...one, home: { ...one.home, waterLineMm: 160 } });
    expect(refused(r)).toMatchObject({
      field: 'home.waterLineMm',
      message:
        "The water line (160 mm) lies beyond the tube (150 mm). Check the tube's length or the reading.",
    });
  });

  test.each([
    ['GET', '/api/nothing', undefined, undefined, 404, 'not-found'],
    ['GET', '/api/queens/01a0e96c-8b40-7efe-a766-c5484cc9c466', undefined, undefined, 404, 'no-such-queen'],
    ['DELETE', '/api/entries', undefined, undefined, 405, 'method-not-allowed'],
    ['POST', '/api/shelf', '{}', 'application/json', 405, 'method-not-allowed'],
    ['POST', '/api/entries', 'x'.repeat(5_000_000), 'application/json', 413, 'too-large'],
    ['POST', '/api/entries', 'a,b', 'text/csv', 415, 'wrong-type'],
    ['POST', '/api/entries', '{"kind":', 'application/json', 400, 'bad-json'],
  ] as const)('%s %s', async (method, url, payload, type, status, code) => {
    const r = await app.inject({
      method,
      url,
      ...(payload === undefined ? {} : { payload, headers: { 'content-type': type } }),
    });
    expect(r.statusCode).toBe(status);
    expect(refused(r).code).toBe(code);
    if (status === 405) expect(r.headers.allow).toMatch(/GET|POST/);
  });
});
