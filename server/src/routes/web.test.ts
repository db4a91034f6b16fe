import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app';
import type { Store } from '../db/store';
import type { Views } from '../jobs/views';

const folder = mkdtempSync(join(tmpdir(), 'burrow-web-'));
let app: FastifyInstance;

beforeAll(async () => {
  mkdirSync(join(folder, '_expo', 'static'), { recursive: true });
  writeFileSync(join(folder, 'index.html'), '<title>Gentle Burrow</title>');
  writeFileSync(join(folder, '_expo', 'static', 'entry-1.js'), 'x');
  writeFileSync(join(folder, 'sw.js'), 'y');
  const broken = { kind: 'pglite', places: () => Promise.reject(new Error('disk on fire')) };
  app = await buildApp({
    store: broken as unknown as Store,
    views: {} as Views,
    version: '0',
    webRoot: folder,
  });
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true });
});

const get = (url: string, accept = 'text/html') => app.inject({ method: 'GET', url, headers: { accept } });

test('every page address gets the first page', async () => {
  for (const url of ['/', '/settings', '/queens/anything/look']) {
    const r = await get(url);
    expect(r.statusCode).toBe(200);
    expect(r.body).toContain('<title>Gentle Burrow</title>');
    expect(r.headers['cache-control']).toBe('no-cache');
  }
});

test('files with a hash in their name are kept for good, others are asked for again', async () => {
  expect((await get('/_expo/static/entry-1.js')).headers['cache-control']).toContain('immutable');
  expect((await get('/sw.js')).headers['cache-control']).toBe('no-cache');
});

test('a missing file or API address is not answered with a page', async () => {
  expect((await get('/_expo/static/entry-2.js', '*/*')).statusCode).toBe(404);
  const api = await get('/api/nothing');
  expect(api.statusCode).toBe(404);
  expect(api.headers['content-type']).toContain('json');
});

test('nothing outside the folder is served', async () => {
  for (const url of ['/../package.json', '/..%2f..%2fpackage.json', '/%2e%2e/%2e%2e/etc/passwd']) {
    expect((await get(url, '*/*')).statusCode).toBeGreaterThanOrEqual(400);
  }
});

test('an unexpected fault tells the keeper what to do, and nothing about the inside', async () => {
  const r = await get('/api/places');
  expect(r.statusCode).toBe(500);
  expect(r.json()).toEqual({
    error: {
      code: 'internal',
      message: 'Something went wrong in the server. What you sent was not stored; try again.',
    },
  });
});

test('answers say that their type is meant', async () => {
  const r = await get('/');
  expect(r.headers['x-content-type-options']).toBe('nosniff');
  expect(r.headers['referrer-policy']).toBe('no-referrer');
});
