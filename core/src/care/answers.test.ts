import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';
import { entrySchema } from '../log';
import { logOf } from '../records';
import { queenView, type QueenFacts, type QueenView } from '../view';
import { factsOf, momentOf, type Situation } from '../world/casebook';
import { ANSWER_IDS, type Answer, type AnswerId } from './answers';

const folder = join(__dirname, '..', '..', '..', 'casebook');
const situations = readdirSync(folder)
  .filter((f) => f.endsWith('.yaml'))
  .flatMap((f) => parse(readFileSync(join(folder, f), 'utf8')) as Situation[]);

const DRAWS = 100;
/** These say how far it has come: the deed itself is still to do, or comes again later. */
const GOES_ON: readonly AnswerId[] = ['left', 'nobody-yet', 'uncovered'];

function asked(s: Situation): {
  facts: QueenFacts;
  view: QueenView;
  at: string;
  again(a: Answer): QueenView;
} {
  const log = logOf(factsOf(s));
  const at = momentOf(s);
  const all = log.queens[0] as QueenFacts;
  const facts = { ...all, entries: all.entries.filter((e) => Date.parse(e.at) <= Date.parse(at)) };
  const view = (f: QueenFacts, when: string) => queenView(f, log.settings, when, { draws: DRAWS });
  const later = new Date(Date.parse(at) + 60_000).toISOString();
  return {
    facts,
    at,
    view: view(facts, at),
    again: (a) => {
      const entry = entrySchema.parse({
        ...a.says,
        at: later,
        loggedAt: later,
        id: '018f0000-0000-7000-9999-000000000001',
        queenId: facts.queen.id,
      });
      return view({ ...facts, entries: [...facts.entries, entry] }, later);
    },
  };
}

test('every answer in every situation is an entry that her log takes, and does away with what it answers', () => {
  expect(situations.length).toBeGreaterThan(600);
  const met = new Set<AnswerId>();
  const wrong: string[] = [];
  for (const s of situations) {
    const one = asked(s);
    expect(one.view.trouble).toBeNull();
    for (const due of one.view.counsel?.due ?? []) {
      if (Date.parse(due.notBefore) > Date.parse(one.at)) continue;
      for (const a of due.answers) {
        met.add(a.id);
        const after = one.again(a);
        if (after.trouble) wrong.push(`${s.case}: ${a.id}: ${after.trouble.message}`);
        const still = after.counsel?.due.some(
          (d) => d.task === due.task && Date.parse(d.notBefore) <= Date.parse(one.at) + 120_000,
        );
        // another food may stand there too, and a look may ask for one
        const same = after.counsel?.due.find((d) => d.task === due.task);
        const moved = JSON.stringify(same?.answers) !== JSON.stringify(due.answers);
        if (still && !moved && !GOES_ON.includes(a.id))
          wrong.push(`${s.case}: ${due.task} ${a.id} still asked`);
      }
    }
  }
  expect(wrong).toEqual([]);
  expect([...met].sort()).toEqual([...ANSWER_IDS].sort());
});
