import * as fc from 'fast-check';
import { msOf, plainText, type Instant } from '../quantity';
import { make, situation, type Made } from '../test-life';
import { queenView, type QueenView } from '../view';
import { figure, type Verdict } from './index';

/** What holds between any two answers, whatever was logged: at the seams between rules nothing is denied. */

const viewOf = ({ facts, settings, now }: Made): QueenView => queenView(facts, settings, now, { draws: 150 });

function always(check: (made: Made, view: QueenView) => void, numRuns = 150): void {
  fc.assert(
    fc.property(situation, (s) => {
      const made = make(s);
      check(made, viewOf(made));
    }),
    { numRuns, seed: 20261201 },
  );
}

const found = ({ counsel }: QueenView, id: Verdict['id']) => counsel?.verdicts.find((v) => v.id === id);
const texts = ({ counsel }: QueenView): string[] =>
  counsel
    ? [
        plainText(counsel.next),
        ...counsel.verdicts.map((v) => plainText(v.says)),
        ...counsel.due.map((d) => plainText(d.says)),
      ]
    : [];
const asked = ({ counsel }: QueenView): string[] => (counsel?.due ?? []).map((d) => d.task);
const days = (from: Instant, to: Instant) => (msOf(to) - msOf(from)) / 86_400_000;
const front = ({ ledger }: QueenView) => ledger.wetFront;
/** Something that cannot wait: water where it should not be. */
const floods = ({ ledger }: QueenView): boolean =>
  ledger.wetFront?.value === 'leaking' || ledger.troubles.some((t) => t.what === 'flooded');

test('never two new homes at once, and no home is kept and left in one breath', () => {
  always((_, view) => {
    const homes = asked(view).filter((t) => t === 'fresh-home' || t === 'nest');
    expect(homes.length).toBeLessThanOrEqual(1);
    if (homes.includes('nest')) {
      expect(asked(view)).not.toContain('space');
      for (const text of texts(view)) expect(text).not.toMatch(/stays her home|offer a (dry )?fresh tube/i);
    }
    if (homes.includes('fresh-home'))
      for (const t of texts(view)) expect(t).not.toMatch(/open a nest|time for a nest/i);
  });
});

test('in the cold of winter nothing is asked but what winter asks', () => {
  always(({ now }, view) => {
    const winter = found(view, 'winter');
    if (!winter || !/^(she|they) winters?$/.test(winter.answer)) return;
    for (const d of view.counsel?.due ?? []) {
      expect(['feed', 'space', 'nest']).not.toContain(d.task);
      if (d.task === 'fresh-home' && !floods(view) && days(now, d.notBefore) < 1)
        // a plug that is dry or soaked, or a line read as empty
        expect(plainText(d.says)).toMatch(/plug|water now/i);
    }
    for (const text of texts(view)) expect(text).not.toMatch(/bring the rest over|last step is by hand/i);
  });
});

test('a plug seen right within the week is no water alarm', () => {
  always(({ now }, view) => {
    const seen = front(view);
    const { counsel } = view;
    if (!seen || !counsel?.water || seen.value !== 'right') return;
    if (days(seen.at, now) > figure('freshLineDays')) return;
    const leaks = (counsel.water.pace?.low ?? 0) >= figure('leakTimes');
    const mould = view.ledger.mould?.value === 'near-brood';
    // a line that was read as empty since is no reckoning
    const empty = (view.ledger.waterReadings.at(-1)?.mm ?? 99) <= figure('emptyLineMm');
    if (leaks || mould || empty) return;
    expect(`${found(view, 'water')?.pressure}: ${plainText(found(view, 'water')?.says ?? [])}`).not.toMatch(
      /^now/,
    );
  });
});

test('a plug that was right long ago is no tick beside water that may be gone', () => {
  always(({ now }, view) => {
    const water = found(view, 'water');
    const seen = front(view);
    if (!water || !seen || days(seen.at, now) <= figure('freshLineDays')) return;
    if (!/may already be gone|probably run out/.test(plainText(water.says))) return;
    expect(water.criteria.find((c) => c.id === 'plug')?.state).not.toBe('met');
  });
});

test('every reason for leaving her alone is met or not by its own date', () => {
  always((_, view) => {
    for (const c of found(view, 'look')?.criteria ?? []) {
      if (!c.margin) continue;
      expect(`${c.id} ${c.state}`).toBe(`${c.id} ${c.margin.value >= 0 ? 'met' : 'unmet'}`);
    }
  });
});

test('nobody without reserves lives on them, and nobody is warmed and wintered at once', () => {
  always(({ now }, view) => {
    if (view.ledger.lastWorkers && view.ledger.counts.workers?.range.high === 0)
      for (const text of texts(view)) expect(text).not.toMatch(/lives on her reserves/);
    const begins = (view.counsel?.due ?? []).some((d) => d.task === 'winter' && days(now, d.notBefore) < 1);
    const warms = (view.counsel?.due ?? []).some((d) => d.task === 'warm' && days(now, d.notBefore) < 1);
    const freezes = /freez/.test(plainText(found(view, 'warmth')?.says ?? []));
    if (begins && warms) expect(freezes).toBe(true);
  });
});

test('seeds and leaves are no liquid, and food is spoken of in its number', () => {
  always((_, view) => {
    const open = view.ledger.offers.filter((o) => o.outcome === 'open' || o.outcome === 'left');
    for (const text of texts(view)) {
      expect(text).not.toMatch(/(seeds|leaves) (was|is|comes)\b/i);
      if (!open.some((o) => o.food === 'sugar')) expect(text).not.toMatch(/free liquid and brood/);
    }
  });
});

test('she is told to stand at no warmth that nobody entered or read', () => {
  always(({ facts }, view) => {
    const told = facts.places.flatMap((p) => [
      p.tempC,
      p.spot?.dayLowC ?? p.tempC,
      p.spot?.dayHighC ?? p.tempC,
    ]);
    const read = (facts.measured ?? []).flatMap((r) =>
      r.days.flatMap((d) => d.partsC.filter((c) => c !== null)),
    );
    const heats = view.ledger.heats.flatMap((h) => [
      h.roomC ?? 20,
      h.setC ?? 20,
      ...(h.readings ?? []).map((r) => r.tempC),
    ]);
    const cannot = 60;
    const most = Math.max(...told, ...read, ...heats.filter((c) => c <= cannot)) + figure('readsBeyondC');
    // heat adds at the most what it was read to add over the room it was read in
    const added = Math.max(
      0,
      ...view.ledger.heats.flatMap((h) => (h.readings ?? []).map((r) => r.tempC - (h.roomC ?? r.tempC))),
    );
    expect(view.tempC).toBeLessThanOrEqual(most + added);
    // a log may contradict itself; a reading takes nothing away
    expect(view.trouble?.field ?? '').not.toMatch(/temp|readings/);
  });
});

test('a window in which nobody could come is given to nobody', () => {
  always((_, view) => {
    for (const d of view.counsel?.due ?? [])
      if (!d.timer) expect(`${d.task} ${days(d.notBefore, d.notAfter) > 0}`).toBe(`${d.task} true`);
  });
});
