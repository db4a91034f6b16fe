import * as fc from 'fast-check';
import { FIRST_TUBE } from '../founding';
import { amendmentSchema, entrySchema, type Entry, type EntryBody } from '../log';
import { dayOf, msOf, plainText, UTC } from '../quantity';
import { body, make, numbersThatAreNone, situation, type Made } from '../test-life';
import { testId, TUBE } from '../test-kit';
import { queenView, type QueenView } from '../view';
import { PRESSURES } from './index';

const viewOf = ({ facts, settings, now }: Made): QueenView => queenView(facts, settings, now, { draws: 150 });
const rank = (p: (typeof PRESSURES)[number]) => PRESSURES.indexOf(p);

function sentences({ counsel }: QueenView): string[] {
  if (!counsel) return [];
  return [
    plainText(counsel.next),
    ...counsel.verdicts.flatMap((v) => [
      v.question,
      v.answer,
      plainText(v.says),
      ...v.criteria.map((c) => plainText(c.says)),
      ...v.others.map((o) => o.answer),
    ]),
    ...counsel.due.map((d) => plainText(d.says)),
  ];
}

/** Runs a check on many random situations; a failure tells the situation and the answer. */
function always(check: (made: Made, view: QueenView) => void, numRuns = 250): void {
  fc.assert(
    fc.property(situation, (s) => {
      const made = make(s);
      check(made, viewOf(made));
    }),
    { numRuns, seed: 20260601 },
  );
}

describe('of any log', () => {
  test('nobody rests past what must be done, and what must be done now presses now', () => {
    always(({ now }, { counsel }) => {
      if (!counsel) return;
      for (const d of counsel.due) {
        expect(msOf(d.notBefore)).toBeGreaterThanOrEqual(msOf(now));
        expect(msOf(d.best)).toBeGreaterThanOrEqual(msOf(d.notBefore));
        expect(msOf(d.notAfter)).toBeGreaterThanOrEqual(msOf(d.best));
        if (!d.obligatory) continue;
        if (counsel.restUntil) expect(msOf(counsel.restUntil)).toBeLessThanOrEqual(msOf(d.notBefore));
        if (msOf(d.notBefore) <= msOf(now)) expect(`${d.task}: ${counsel.pressure}`).toMatch(/soon|now/);
      }
      if (counsel.restUntil) expect(msOf(counsel.restUntil)).toBeGreaterThan(msOf(now));
    });
  });

  test('the headline is as grave as the gravest answer, and every answer that presses has its reason', () => {
    always((_, { counsel }) => {
      if (!counsel || counsel.verdicts.length === 0) return;
      const gravest = Math.max(
        ...counsel.verdicts
          .filter((v) => v.id !== 'look' || v.pressure !== 'rest')
          .map((v) => rank(v.pressure)),
      );
      if (gravest >= rank('soon')) expect(rank(counsel.pressure)).toBe(gravest);
      for (const v of counsel.verdicts)
        if (rank(v.pressure) >= rank('soon')) expect(v.says.length).toBeGreaterThan(0);
      expect(new Set(counsel.verdicts.map((v) => v.id)).size).toBe(counsel.verdicts.length);
      expect(new Set(counsel.due.map((d) => d.task)).size).toBe(counsel.due.length);
    });
  });

  test('one date for one question: "leave her alone until" names the day on which the rest ends', () => {
    always((_, view) => {
      const { counsel } = view;
      for (const text of sentences(view)) {
        const said = /leave her alone until (\d{4}-\d{2}-\d{2})/i.exec(text)?.[1];
        if (said && !/^You chose/.test(text))
          expect(said).toBe(counsel?.restUntil ? dayOf(counsel.restUntil, UTC) : 'nothing');
      }
    });
  });

  test('no sentence is empty, broken or without a number where one should be', () => {
    always((_, view) => {
      for (const text of sentences(view)) {
        expect(text.trim()).not.toBe('');
        expect(text).not.toMatch(
          /NaN|undefined|null|Infinity|\[object|  |\.\.|\b1 (looks|eggs|days|workers|times|queens|refusals|weeks|clutches)\b/,
        );
        expect(text).not.toMatch(/\bbits?\b|Bayes|\bodds\b|theorem/);
      }
      expect(numbersThatAreNone(view)).toEqual([]);
    });
  });

  test('no date that has passed is given as a forecast or an end', () => {
    always(({ now }, { counsel }) => {
      if (!counsel) return;
      const today = dayOf(now, UTC);
      for (const v of counsel.verdicts) if (v.until) expect(msOf(v.until)).toBeGreaterThan(msOf(now));
      for (const text of [plainText(counsel.next), ...counsel.verdicts.map((v) => plainText(v.says))]) {
        for (const [, date] of text.matchAll(
          /(?:alone until|No look before|any day until|fed? again from|are likely about|will run out between|wake her about|begins about) (\d{4}-\d{2}-\d{2})/g,
        ))
          expect(`${date} in: ${text}`.slice(0, 10) >= today).toBe(true);
      }
    });
  });

  test('in the cold of winter nobody is fed, looked at or warmed before the time', () => {
    always((_, { counsel }) => {
      const winter = counsel?.verdicts.find((v) => v.id === 'winter');
      if (winter?.answer !== 'she winters') return;
      expect(counsel?.due.map((d) => d.task)).not.toContain('feed');
      // but for a colony that is dying
      const asked = counsel?.verdicts.some(
        (v) => (v.id === 'losses' || v.id === 'queens') && v.asks.length > 0,
      );
      if (!asked) expect(counsel?.due.map((d) => d.task)).not.toContain('look');
      expect(counsel?.verdicts.find((v) => v.id === 'food')?.answer).toBe('not in winter');
    });
  });

  test('home and log agree on where she lives, and nobody lives in a tube that was taken away', () => {
    always((_, { housing, ledger, part }) => {
      expect(ledger.livesIn).toBe(housing.home === TUBE.id ? FIRST_TUBE : housing.home);
      expect(part.id).toBe(housing.home);
      expect(housing.parts.find((p) => p.part.id === housing.home)?.gone).toBeNull();
      for (const { holds, gone } of housing.parts) {
        for (const share of Object.values(holds)) {
          expect(share.low).toBeGreaterThanOrEqual(0);
          expect(share.high).toBeLessThanOrEqual(1);
          expect(share.low).toBeLessThanOrEqual(share.high);
        }
        if (gone) expect(holds.queen.low).toBe(0);
      }
    });
  });

  test('what is given to "never lays" is missing from her eggs', () => {
    always((_, { outlook }) => {
      if (!outlook || outlook.events.eggs.status === 'seen') return;
      expect(outlook.events.eggs.byNow + outlook.neverLays).toBeLessThanOrEqual(1 + 1e-9);
    });
  });

  test('the order in which facts arrive changes nothing', () => {
    fc.assert(
      fc.property(situation, fc.integer(), (s, seed) => {
        const made = make(s);
        const random = (n: number) => Math.abs(Math.sin(seed + n * 12.9898) * 43758.5453) % 1;
        const entries = made.facts.entries
          .map((e, i) => [random(i), e] as const)
          .sort(([a], [b]) => a - b)
          .map(([, e]) => e);
        expect(viewOf({ ...made, facts: { ...made.facts, entries } })).toEqual(viewOf(made));
      }),
      { numRuns: 60, seed: 7 },
    );
  });

  test('an amended log says what the log would say that was written right at once', () => {
    fc.assert(
      fc.property(situation, fc.nat(), body, (s, which, wrong) => {
        const right = make(s);
        const target = right.facts.entries[which % right.facts.entries.length] as Entry;
        if (target.kind === 'amendment') return;
        const { id, queenId, loggedAt, ...good } = target;
        // the same kind, written wrongly at first
        const bad = {
          ...good,
          text: 'wrongly written',
          ...(wrong.kind === good.kind && good.kind === 'look' ? { eggs: { low: 3, high: 3 } } : {}),
        };
        const first = entrySchema.safeParse({ ...bad, id, queenId, loggedAt });
        if (!first.success) return;
        const amendment = amendmentSchema.parse({
          kind: 'amendment',
          id: testId(),
          queenId,
          at: right.now,
          loggedAt: right.now,
          amends: id,
          replacement: good as EntryBody,
        });
        const entries = [...right.facts.entries.map((e) => (e.id === id ? first.data : e)), amendment];
        expect(viewOf({ ...right, facts: { ...right.facts, entries } })).toEqual(viewOf(right));
      }),
      { numRuns: 60, seed: 11 },
    );
  });
});
