import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';
import { DEMO_KINDS } from './world/demo/kinds';
import { failuresOf, type Situation } from './world/casebook';

// Situations of the trade: common practice, no source, unless a line says otherwise.
const folder = join(__dirname, '..', '..', 'casebook');
const book = readdirSync(folder)
  .filter((f) => f.endsWith('.yaml'))
  .flatMap((file) =>
    (parse(readFileSync(join(folder, file), 'utf8')) as Situation[]).map((s) => [file, s.case, s] as const),
  );

/** Kinds of which there must be cases: those of the demo, the types, a genus, and each way of founding, living and wintering. */
const OUGHT = [
  ...DEMO_KINDS,
  'unknown-temperate',
  'unknown-tropical',
  'unknown-parasite',
  'lasius',
  'lasius-umbratus',
  'lasius-neglectus',
  'formica',
  'myrmecia',
  'acromyrmex-octospinosus',
];

test.each(book)('%s: %s', (_, __, situation) => expect(failuresOf(situation)).toEqual([]));

test('the book is as wide as the trade: kinds, seasons, hemispheres, methods, right and wrong', () => {
  const all = book.map(([, , s]) => s);
  expect(all.length).toBeGreaterThanOrEqual(400);
  expect(new Set(all.map((s) => s.case)).size).toBe(all.length);
  expect(all.every((s) => (s.must ?? []).length + (s.mustNot ?? []).length > 0)).toBe(true);
  expect(all.filter((s) => (s.mustNot ?? []).length > 0).length).toBeGreaterThan(50);
  const kinds = new Set(all.map((s) => s.species ?? 'tetramorium-immigrans'));
  for (const id of OUGHT) expect([...kinds]).toContain(id);
  const set = (key: string) => new Set(all.map((s) => s.settings?.[key]));
  expect(set('hemisphere').has('south')).toBe(true);
  for (const school of ['weekly', 'three-to-four-weeks', 'hands-off'])
    expect([...set('lookingSchool')]).toContain(school);
});

test('a case that is not met fails, and says how', () => {
  const wrong: Situation = {
    case: 'fed though fully claustral',
    at: 20,
    must: [{ due: 'feed' }],
    mustNot: [{ verdict: 'food', answer: '^no$' }],
  };
  expect(failuresOf(wrong)).toEqual(['must: {"due":"feed"}', 'must not: {"verdict":"food","answer":"^no$"}']);
});
