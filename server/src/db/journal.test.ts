import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Journal } from './journal';

interface Line {
  n: number;
  text: string;
}
let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'burrow-journal-'));
  file = join(folder, 'a.jsonl');
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A block of reading is one megabyte: these lines lie within one, across two, and over several. */
const LENGTHS = [10, 700_000, 700_000, 3_500_000, 0, 1_048_570, 20];
const lines = LENGTHS.map((length, n): Line => ({ n, text: 'é'.repeat(length / 2) }));

function filled(): Journal<Line> {
  const journal = new Journal<Line>(file);
  journal.append(lines);
  return journal;
}
const facts = (journal: Journal<Line>, from = 0) =>
  [...journal.since(from)].map((l) => ('fact' in l ? l.fact.n : `garbage ${l.garbage.line}`));

test('lines of any length are read block by block, whole, with where each ends', () => {
  const journal = filled();
  // compared one by one: a difference of megabytes cannot be shown
  const read = [...journal.since(0)].map((l) => ('fact' in l ? l.fact : null));
  expect(read.map((l, i) => l?.n === i && l.text === lines[i]?.text)).toEqual(lines.map(() => true));
  const ends = [...journal.since(0)].map((l) => l.end);
  expect(ends.at(-1)).toBe(journal.position);
  // from behind each line the rest is told
  ends.forEach((end, i) => expect(facts(journal, end)).toEqual(lines.slice(i + 1).map((l) => l.n)));
  journal.close();
});

test.each([1, 9, 1_048_576, 2_000_000])(
  'a line that was cut off by %i bytes is found from the end',
  (cut) => {
    filled().close();
    const whole = readFileSync(file);
    const long = Buffer.from(`{"n":7,"text":"${'x'.repeat(2_500_000)}"}\n`);
    writeFileSync(file, Buffer.concat([whole, long.subarray(0, long.length - cut)]));
    const journal = new Journal<Line>(file);
    expect(journal.position).toBe(whole.length);
    expect(journal.torn.length).toBe(long.length - cut);
    expect(readFileSync(file).equals(whole)).toBe(true);
    expect(facts(journal)).toEqual(lines.map((l) => l.n));
    journal.close();
  },
);

test('a damaged line is told by its number in the file, wherever reading begins', () => {
  filled().close();
  const text = readFileSync(file, 'utf8').split('\n');
  text[5] = '{"n":5,';
  writeFileSync(file, text.join('\n'));
  const journal = new Journal<Line>(file);
  expect(facts(journal)).toEqual([0, 1, 2, 3, 4, 'garbage 6', 6]);
  const third = [...journal.since(0)][2]?.end as number;
  expect(facts(journal, third)).toEqual([3, 4, 'garbage 6', 6]);
  journal.close();
});
