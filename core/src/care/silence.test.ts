import { READING_ERROR_MM } from '../tube';
import { founderBelief, ledger, outlook, type QueenLedger } from '../founding';
import type { Entry } from '../log';
import { speciesProfile } from '../species';
import { day, entry, look, QUEEN } from '../test-kit';
import { lookingBudget, LOOKING_SCHOOLS, weighSilence, type SilenceCause } from './index';
import { whySilent } from './silence';

const NONE: [number, number, number, number] = [0, 0, 0, 0];
const intake = (profileId = 'tetramorium-immigrans') =>
  entry(0, { kind: 'intake', species: { profileId, sure: 'certain' } });

function weigh(onDay: number, entries: Entry[], { species = 'tetramorium-immigrans', tempC = 25 } = {}) {
  const profile = speciesProfile(species);
  const now = day(onDay);
  const known = ledger(entries, now)[QUEEN] as QueenLedger;
  const ahead = outlook(profile, known, tempC, now, { draws: 2000 });
  const founder = founderBelief([
    { kind: 'species', founder: profile.founder.value, weight: 1, source: 'test' },
    ...known.founderSigns,
  ]);
  return weighSilence(profile, known, ahead, founder, tempC, now);
}
const share = (causes: ReturnType<typeof weigh>, cause: SilenceCause) =>
  causes?.find((c) => c.cause === cause)?.share ?? NaN;
const top = (causes: ReturnType<typeof weigh>) => causes?.[0]?.cause;

describe('why is nothing there', () => {
  test('not asked in the first days, nor before anyone has looked, nor once there are eggs', () => {
    expect(weigh(5, [intake(), look(4, NONE)])).toBeNull();
    expect(weigh(30, [intake()])).toBeNull();
    expect(weigh(30, [intake(), look(25, [4, 0, 0, 0])])).toBeNull();
  });
  test('shares come to one', () => {
    const causes = weigh(40, [intake(), look(35, NONE)]);
    expect(causes?.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
  });
  test('soon after the usual time: still early', () =>
    expect(top(weigh(12, [intake(), look(11, NONE)]))).toBe('early'));
  // directions: common practice, no source
  test('looked at every other day: disturbance gains', () => {
    const looks = (every: number) =>
      Array.from({ length: Math.floor(40 / every) }, (_, i) => look((i + 1) * every, NONE));
    expect(share(weigh(41, [intake(), ...looks(2)]), 'disturbed')).toBeGreaterThan(
      2 * share(weigh(41, [intake(), ...looks(20)]), 'disturbed'),
    );
  });
  test('stood too cool: coolness gains', () => {
    const cool = weigh(40, [intake(), look(35, NONE)], { tempC: 18 });
    expect(share(cool, 'cool')).toBeGreaterThan(share(weigh(40, [intake(), look(35, NONE)]), 'cool'));
  });
  test('a semi-claustral queen that was never fed: hungry, and that is said now', () => {
    const causes = weigh(40, [intake('manica-rubida'), look(35, NONE)], {
      species: 'manica-rubida',
      tempC: 22,
    })!;
    expect(top(causes)).toBe('hungry');
    expect(whySilent(causes, day(40), null)).toMatchObject({ pressure: 'now', answer: 'hungry' });
  });
  test('fed lately, hunger falls away', () => {
    const fed = entry(39, { kind: 'feed', food: 'both', outcome: 'taken' });
    const causes = weigh(40, [intake('manica-rubida'), look(35, NONE), fed], {
      species: 'manica-rubida',
      tempC: 22,
    });
    expect(share(causes, 'hungry')).toBeLessThan(0.05);
  });
  test('a dry plug is acted on, not waited out', () => {
    const dry = entry(36, { kind: 'look', wetFront: 'dry' });
    const causes = weigh(40, [intake(), look(35, NONE), dry])!;
    expect(share(causes, 'water')).toBeGreaterThan(0.35);
    expect(whySilent(causes, day(40), null).pressure).toBe('now');
  });
  test('never an alarm where waiting is right', () => {
    const causes = weigh(14, [intake(), look(13, NONE)])!;
    expect(whySilent(causes, day(14), day(30))).toMatchObject({ pressure: 'rest', until: day(30) });
  });
  test('infertility is only inferred as all else becomes unlikely, and eggs that were laid speak against it', () => {
    const late = weigh(110, [intake(), look(60, NONE), look(109, NONE)]);
    const soon = weigh(14, [intake(), look(13, NONE)]);
    expect(share(late, 'infertile')).toBeGreaterThan(share(soon, 'infertile'));
  });
  test('brood that is gone is asked about at once', () => {
    const causes = weigh(30, [intake(), look(20, [6, 0, 0, 0]), look(29, NONE)]);
    expect(causes).not.toBeNull();
  });
});

describe('the looking budget', () => {
  const school = (id: string) => LOOKING_SCHOOLS.find((s) => s.id === id)!;
  const budget = (onDay: number, id: string, ...entries: Entry[]) => {
    const known = ledger(entries, day(onDay))[QUEEN] as QueenLedger;
    const ahead = outlook(speciesProfile('tetramorium-immigrans'), known, 25, day(onDay), { draws: 2000 });
    return lookingBudget(known, ahead, school(id), { lineErrorMm: 3 }, day(onDay));
  };
  const feed = (d: number) => entry(d, { kind: 'feed', food: 'sugar', outcome: 'taken' });

  test('looks, feeds, moves and knocks spend by weight; what is older than four weeks is forgotten', () => {
    const b = budget(
      40,
      'weekly',
      intake(),
      look(5, NONE),
      look(20, NONE),
      feed(30),
      entry(35, { kind: 'knock' }),
    );
    expect(b).toMatchObject({ allowed: 4, spent: 2.5, left: 1.5, nextFree: null });
  });
  test('overdrawn, it says when a look is free again: when enough has fallen out of the four weeks', () => {
    const b = budget(30, 'three-to-four-weeks', intake(), look(10, NONE), look(25, NONE));
    expect(b.allowed).toBeCloseTo(28 / 21, 9);
    // 1.33 allowed, 2 spent: both must have gone before one more fits, the first on day 38 leaves 1
    expect(b.nextFree).toBe(day(53));
  });
  test('hands off allows none by number', () => expect(budget(30, 'hands-off', intake()).allowed).toBeNull());
  test('what a look would teach: most when the next stage is as likely there as not', () => {
    const early = budget(1, 'weekly', intake());
    const middle = budget(7, 'weekly', intake());
    expect(middle.bits).toBeGreaterThan(early.bits);
    expect(middle.bits).toBeLessThanOrEqual(1);
    const p = middle.chance!;
    expect(middle.bits).toBeCloseTo(-(p * Math.log2(p) + (1 - p) * Math.log2(1 - p)), 12);
  });
  test('what reading the water line would teach: one bit where the error halves', () => {
    // outside: of a normal figure known to σ, a reading with error r leaves 1/√(1/σ² + 1/r²); at σ = √3 r that is half
    const known = ledger([intake()], day(5))[QUEEN] as QueenLedger;
    const at = (lineErrorMm: number) =>
      lookingBudget(known, null, school('weekly'), { lineErrorMm }, day(5)).waterBits;
    expect(at(Math.sqrt(3) * READING_ERROR_MM)).toBeCloseTo(1, 12);
    expect(at(0.1)).toBeLessThan(0.01);
  });
  test('taking leftovers out disturbs, but is no feed', () => {
    const out = entry(3, { kind: 'feed', food: 'protein', outcome: 'removed' });
    const known = ledger([intake(), out], day(4))[QUEEN] as QueenLedger;
    expect(known.lastFeed).toBeNull();
    expect(known.disturbances.map((d) => d.kind)).toEqual(['intake', 'feed']);
  });
});
