import {
  learnedSchema,
  ownKindListSchema,
  queenDetailSchema,
  speciesProfileSchema,
} from '@gentle-burrow/contract';
import type { OwnKind } from '@gentle-burrow/core/species';
import { factSchema } from '@gentle-burrow/core/records';
import { v7 } from 'uuid';
import { daysAgo, factsOf, lookEntry, newQueen, testServer } from './test-kit';

let t: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  t = await testServer();
}, 60_000);
afterAll(() => t.close());

let made = 0;
const own = (over: Partial<OwnKind> = {}): OwnKind => ({
  id: v7(),
  name: `Pavement ants of lane ${++made}`,
  copiedOf: 'tetramorium-immigrans',
  copiedName: 'Tetramorium immigrans',
  figures: { founder: { value: 'semi-claustral', says: 'my own queens' } },
  changedAt: daysAgo(1),
  ...over,
});
const put = (kind: OwnKind, id = kind.id) =>
  t.app.inject({ method: 'PUT', url: `/api/own-kinds/${id}`, payload: kind });
const get = async (url: string) => (await t.app.inject({ url })).json<unknown>();
const listed = async () => ownKindListSchema.parse(await get('/api/own-kinds')).kinds;
const named = (profileId: string) => {
  const q = newQueen('Own', 20);
  return { ...q, intake: { ...q.intake, species: { profileId, sure: 'certain' as const } } };
};

test('is kept, listed, reckoned by, and comes with the whole log', async () => {
  const kind = own();
  expect((await put(kind)).statusCode).toBe(200);
  expect(await listed()).toContainEqual(kind);
  const profile = speciesProfileSchema.parse(await get(`/api/species/${kind.id}`));
  expect(profile.founder).toEqual({
    value: 'semi-claustral',
    source: { kind: 'keeper', says: 'my own queens' },
    level: 'own',
  });
  const queen = named(kind.id);
  await t.store.write([...factsOf(queen)]);
  const detail = queenDetailSchema.parse(await get(`/api/queens/${queen.queen.id}`));
  expect(detail.view.profileId).toBe(kind.id);
  expect(detail.view.counsel?.verdicts.find((v) => v.id === 'food')?.answer).toMatch(/^yes/);
  const facts = (await t.app.inject({ url: '/api/export.jsonl' })).body
    .trim()
    .split('\n')
    .map((line) => factSchema.parse(JSON.parse(line)));
  const at = (fact: string) => facts.findIndex((f) => f.fact === fact);
  expect(facts).toContainEqual({ fact: 'own-kind', value: kind });
  expect(at('own-kind')).toBeLessThan(at('entry'));
});

test('what is changed in it moves every answer, and a start leaves it as it is', async () => {
  const kind = own();
  await put(kind);
  const queen = named(kind.id);
  await t.store.write([...factsOf(queen)]);
  const food = async () => {
    const { view } = queenDetailSchema.parse(await get(`/api/queens/${queen.queen.id}`));
    return view.counsel?.verdicts.find((v) => v.id === 'food')?.answer;
  };
  expect(await food()).toMatch(/^yes/);
  await put({ ...kind, figures: { founder: { value: 'fully-claustral', says: 'my own queens' } } });
  expect(await food()).toBe('no');
  await t.store.prepare();
  expect(await food()).toBe('no');
});

test('what is wrong with it is said, and nothing is stored', async () => {
  const before = await listed();
  const says = async (kind: OwnKind, id?: string) => {
    const answer = await put(kind, id);
    return [answer.statusCode, answer.json<{ error: { message: string } }>().error.message];
  };
  expect(await says(own({ name: 'Lasius niger' }))).toEqual([422, expect.stringMatching(/in the catalogue/)]);
  const upside = own({ figures: { queenLengthMm: { value: { low: 9, high: 8 }, says: 'a ruler' } } });
  expect(await says(upside)).toEqual([400, expect.stringMatching(/Change them round/)]);
  expect(await says(own(), v7())).toEqual([400, expect.stringMatching(/not the same/)]);
  expect(await listed()).toEqual(before);
});

test('captures name the species that was copied, and how the keeper calls it', async () => {
  const kind = own();
  await put(kind);
  await t.store.write([...factsOf(named(kind.id))]);
  const [head = '', ...rows] = (await t.app.inject({ url: '/api/captures.csv' })).body.split('\r\n');
  const at = (term: string) => head.split(',').indexOf(term);
  const row = rows.find((r) => r.includes(kind.name))?.split(',') ?? [];
  expect(row[at('scientificName')]).toBe('Tetramorium immigrans');
  expect(row[at('verbatimIdentification')]).toBe(`${kind.name} (certain)`);
});

test('what a queen teaches moves her genus too, and n is told apart', async () => {
  const slow = named('lasius-niger');
  const sister = named('lasius-flavus');
  const stranger = named('messor-structor');
  for (const q of [slow, sister, stranger]) await t.store.write([...factsOf(q)]);
  const from = async (q: ReturnType<typeof named>) =>
    queenDetailSchema.parse(await get(`/api/queens/${q.queen.id}`)).view.learnedFrom;
  expect(await from(sister)).toEqual({ kind: 0, genus: 0 });
  await t.store.write([
    { fact: 'entry', value: lookEntry(slow.queen.id, 17, 0) },
    { fact: 'entry', value: lookEntry(slow.queen.id, 14, 6) },
    { fact: 'entry', value: lookEntry(slow.queen.id, 3, 9, 2) },
  ]);
  await get('/api/shelf');
  expect(await from(sister)).toEqual({ kind: 0, genus: 1 });
  // and a device alone is handed what moves her, no more
  const handed = async (q: ReturnType<typeof named>) =>
    Object.keys(queenDetailSchema.parse(await get(`/api/queens/${q.queen.id}`)).learned);
  expect(await handed(sister)).toEqual(['lasius-niger']);
  expect(await handed(stranger)).toEqual([]);
  expect(await from(slow)).toEqual({ kind: 0, genus: 0 });
  expect(await from(stranger)).toEqual({ kind: 0, genus: 0 });
  const { learned } = learnedSchema.parse(await get('/api/learned'));
  expect(Object.keys(learned)).toEqual(['lasius-niger']);
});

test('the schema of the document is published', async () => {
  expect(await get('/api/own-kinds/schema.json')).toMatchObject({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    properties: { format: { const: 'gentle-burrow-kinds' }, version: { const: 1 } },
  });
});
