import { DEFAULT_SETTINGS, placeSchema } from '../facts';
import { type Entry } from '../log';
import { plainText } from '../quantity';
import { advise, day, DAY_ZERO, entry, n, QUEEN, testId, TUBE } from '../test-kit';
import { queenView, type QueenFacts } from '../view';
import { FINDING_ADVICE, steadiness } from './index';

describe('looked over', () => {
  test('nothing found, nothing said', () => {
    const clean = entry(0, { kind: 'intake', inspection: { findings: [] } });
    expect(advise([clean], 1).verdicts.map((v) => v.id)).not.toContain('health');
  });
  test.each(FINDING_ADVICE)('$name: what to do', ({ id, doNow }) => {
    const found = entry(0, { kind: 'intake', inspection: { findings: [id], quarantineUntil: day(14) } });
    const verdict = advise([found], 3).verdict('health');
    expect(verdict).toMatchObject({ answer: 'in quarantine', until: day(14) });
    expect(plainText(verdict.criteria[0]!.says)).toContain(doNow);
  });
  test('quarantine over: looked over once more, then ended', () => {
    const found = entry(0, { kind: 'intake', inspection: { findings: ['mites'], quarantineUntil: day(14) } });
    expect(advise([found], 15).verdict('health').answer).toBe('look her over');
    const ended = entry(15, { kind: 'health', findings: [], quarantineUntil: null });
    expect(advise([found, ended], 16).verdicts.map((v) => v.id)).not.toContain('health');
  });
});

describe('steadiness of a spot', () => {
  const judge = (spot: object) =>
    steadiness(placeSchema.parse({ id: testId(), name: 'x', tempC: 24, roomRelHumidity: 0.5, spot }));
  const good = { dayLowC: 23, dayHighC: 25, light: 'dark', vibration: 'none', airConditioning: 'none' };
  test('dark, calm and even is steady', () => expect(judge(good).answer).toBe('steady'));
  test('nothing said: not known, and what would settle it', () => {
    const s = judge({});
    expect(s.answer).toBe('not known');
    expect(s.criteria.every((c) => c.state === 'unknown' && c.settles)).toBe(true);
  });
  test('a still, dark place of 44 °C is no good spot', () => {
    const place = {
      id: testId(),
      name: 'x',
      tempC: 44,
      roomRelHumidity: 0.5,
      spot: { ...good, dayLowC: 43, dayHighC: 45 },
    };
    expect(steadiness(placeSchema.parse(place)).answer).toBe('too hot');
    expect(steadiness(placeSchema.parse({ ...place, spot: undefined })).answer).toBe('too hot');
  });
  // each is a rule of the trade (common practice, no source)
  test.each([
    [{ dayLowC: 15, dayHighC: 26 }, 'unsteady'],
    [{ dayHighC: 36, dayLowC: 34 }, 'too hot'],
    [{ light: 'sun' }, 'unsteady'],
    [{ vibration: 'some' }, 'nearly steady'],
    [{ vibration: 'strong', airConditioning: 'blows on it' }, 'unsteady'],
    [{ heat: { source: 'mat', distanceMm: 100, end: 'water', thermostat: true } }, 'unsteady'],
    [{ heat: { source: 'mat', distanceMm: 100, end: 'open', thermostat: true } }, 'steady'],
    [{ heat: { source: 'mat', distanceMm: 100, end: 'open', thermostat: false } }, 'nearly steady'],
    // what nobody has said of a mat is not taken to be in order
    [{ heat: { source: 'mat' } }, 'not known'],
  ])('%j → %s', (change, expected) => expect(judge({ ...good, ...change }).answer).toBe(expected));
});

describe('three queens of a first evening end in three plans', () => {
  const place = placeSchema.parse({ id: testId(), name: 'Drawer', tempC: 24, roomRelHumidity: 0.5 });
  const warm = placeSchema.parse({ id: testId(), name: 'Box', tempC: 28, roomRelHumidity: 0.5 });
  const tube = TUBE;
  const view = (onDay: number, ...entries: Entry[]) => {
    const queen = {
      id: QUEEN,
      label: 'A',
      batch: '',
      homeId: tube.id,
      placeId: place.id,
      lookingSchool: null,
    };
    const facts: QueenFacts = {
      queen: { ...queen, createdAt: DAY_ZERO },
      home: tube,
      place,
      places: [place, warm],
      entries,
    };
    return queenView(facts, DEFAULT_SETTINGS, day(onDay), { draws: 800 });
  };
  const species = (profileId: string) => ({ profileId, sure: 'certain' as const });
  const next = (v: ReturnType<typeof view>) => plainText(v.counsel!.next);

  test('bought with workers: feed', () => {
    const v = view(
      2,
      entry(0, {
        kind: 'intake',
        found: 'bought-with-workers',
        workers: n(8),
        species: species('messor-structor'),
      }),
    );
    expect(next(v)).toMatch(/hungry from the journey.*dry seeds/);
    expect(v.outlook?.events.workers.status).toBe('seen');
  });
  test('caught winged and unknown: offer a little', () => {
    const v = view(2, entry(0, { kind: 'intake', wings: 'winged', species: species('unknown-temperate') }));
    expect(v.founder?.course).toBe('offer-and-watch');
    expect(plainText(v.counsel!.verdicts.find((x) => x.id === 'food')!.says)).toMatch(
      /settle in peace; from 2026-05-08 on offer a tiny piece/,
    );
  });
  test('semi-claustral for certain: feed all through', () => {
    const v = view(2, entry(0, { kind: 'intake', species: species('manica-rubida') }));
    expect(v.founder?.course).toBe('feed-throughout');
    expect(next(v)).toMatch(/Offer food again/);
  });
  test('a social parasite: said plainly, no outlook, no look to wait for, no plan', () => {
    const v = view(2, entry(0, { kind: 'intake', species: species('unknown-parasite') }));
    expect(v.outlook).toBeNull();
    expect(v.trouble).toBeNull();
    expect(next(v)).toMatch(/No plain founding plan applies/);
    expect(v.counsel?.verdicts.map((x) => x.id)).toEqual(['food', 'water', 'warmth']);
  });
  test('a species given as 70 % this, 30 % that goes through the whole view', () => {
    const mixed = {
      profileId: 'tetramorium-immigrans',
      sure: 'likely' as const,
      namedBy: 'the shop',
      others: [{ profileId: 'manica-rubida', share: 0.3, namedBy: 'a keeper' }],
    };
    const v = view(2, entry(0, { kind: 'intake', species: mixed }));
    expect(v.species.map((s) => [s.profileId, Math.round(s.share * 10) / 10, s.namedBy])).toEqual([
      ['tetramorium-immigrans', 0.7, 'the shop'],
      ['manica-rubida', 0.3, 'a keeper'],
    ]);
    // a third of a chance that she starves is not waited out
    expect(v.founder?.course).toBe('offer-and-watch');
    expect(v.founder?.evidence[0]?.evidence.source).toMatch(/named by the shop/);
  });
  test('a queen carried to a warmer place is expected sooner than one that stayed', () => {
    const intake = entry(0, { kind: 'intake' });
    const stayed = view(20, intake).outlook!.events.workers.band.p50!;
    const moved = view(20, intake, entry(10, { kind: 'move', placeId: warm.id })).outlook!.events.workers.band
      .p50!;
    expect(moved < stayed).toBe(true);
  });
});
