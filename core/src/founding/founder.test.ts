import { founderBelief, type FounderEvidence } from './index';

const source = 'test';
const species = (
  founder: 'fully-claustral' | 'semi-claustral' | 'socially-parasitic' | 'dependent' | 'unknown',
  weight = 1,
) => ({ kind: 'species', founder, weight, source }) satisfies FounderEvidence;
const p = (...evidence: FounderEvidence[]) => founderBelief(evidence).probabilities;

describe('by hand with Bayes’ rule', () => {
  test('nothing known: what a keeper meets', () => {
    expect(p()).toEqual({
      'fully-claustral': 0.75,
      'semi-claustral': 0.2,
      'socially-parasitic': 0.05,
      dependent: 0,
    });
  });

  test('a slim queen with a large head', () => {
    // 0.75·0.05 : 0.2·0.5 : 0.05·0.5 = 0.0375 : 0.1 : 0.025, together 0.1625
    const found = p({ kind: 'shape', value: 'slim-large-head', source });
    expect(found['fully-claustral']).toBeCloseTo(0.0375 / 0.1625, 12);
    expect(found['semi-claustral']).toBeCloseTo(0.1 / 0.1625, 12);
    expect(found['socially-parasitic']).toBeCloseTo(0.025 / 0.1625, 12);
  });

  test('she took protein and paces: the likelihoods multiply', () => {
    // 0.75·0.06·0.15 : 0.2·0.85·0.65 : 0.05·0.3·0.6
    const joint = [0.75 * 0.06 * 0.15, 0.2 * 0.85 * 0.65, 0.05 * 0.3 * 0.6];
    const sum = joint.reduce((a, b) => a + b);
    const found = p(
      { kind: 'protein', value: 'accepted', source },
      { kind: 'restless', value: true, source },
    );
    expect(Object.values(found)).toEqual([...joint.map((j) => expect.closeTo(j / sum, 12)), 0]);
  });

  test('a species of which two names are given: 70 % fully, 30 % semi-claustral', () => {
    // 0.97 trust in a certain name, the rest as among the unnamed: 0.7·(0.97+0.03·0.75) + 0.3·0.03·0.75
    const found = p(species('fully-claustral', 0.7), species('semi-claustral', 0.3));
    expect(found['fully-claustral']).toBeCloseTo(0.7 * 0.9925 + 0.3 * 0.0225, 12);
    expect(found['semi-claustral']).toBeCloseTo(0.7 * 0.006 + 0.3 * 0.976, 12);
  });
});

describe('what the evidence is worth', () => {
  test('wings prove nothing: shed or kept, the belief stays (common practice, no source)', () => {
    for (const value of ['winged', 'dealate'] as const) {
      expect(p({ kind: 'wings', value, source })['semi-claustral']).toBeCloseTo(0.2, 12);
      expect(founderBelief([{ kind: 'wings', value, source }]).evidence[0]?.factor).toBe(1);
    }
  });

  test('of two offers the later holds', () => {
    const twice = p(
      { kind: 'protein', value: 'refused', source },
      { kind: 'protein', value: 'accepted', source },
    );
    expect(twice).toEqual(p({ kind: 'protein', value: 'accepted', source }));
  });

  test('order of different kinds does not matter', () => {
    const a: FounderEvidence = { kind: 'restless', value: true, source };
    const b: FounderEvidence = { kind: 'shape', value: 'large-gaster', source };
    const [x, y] = [p(a, b), p(b, a)];
    expect(x['semi-claustral']).toBeCloseTo(y['semi-claustral'], 12);
  });

  test('each piece shows how far it pushes', () => {
    const [taken] = founderBelief([{ kind: 'protein', value: 'accepted', source }]).evidence;
    expect(taken?.factor).toBeCloseTo(0.85 / 0.06, 12);
    const [named] = founderBelief([species('fully-claustral')]).evidence;
    expect(named?.factor).toBeLessThan(0.1);
  });

  test('a share that is none is refused', () => {
    expect(() => founderBelief([species('unknown', 70)])).toThrow(/Write 0.7 for 70 %/);
  });
});

describe('the safest course', () => {
  const course = (...evidence: FounderEvidence[]) => founderBelief(evidence).course;
  test('a fully claustral species: water only', () =>
    expect(course(species('fully-claustral'))).toBe('water-only'));
  test('a semi-claustral species: fed throughout', () =>
    expect(course(species('semi-claustral'))).toBe('feed-throughout'));
  test('nothing known: offer a little and watch', () =>
    expect(course(species('unknown'))).toBe('offer-and-watch'));
  test('a social parasite: no plan is pretended', () =>
    expect(course(species('socially-parasitic'))).toBe('no-plan'));

  test('nor for one that leaves with workers of her own; without a name nobody is taken for such', () => {
    expect(course(species('dependent'))).toBe('no-plan');
    expect(p(species('dependent')).dependent).toBeCloseTo(0.97, 12);
    expect(p({ kind: 'shape', value: 'slim-large-head', source }).dependent).toBe(0);
  });
  test('protein taken and pacing moves an unknown queen to being fed', () => {
    expect(
      course(
        species('unknown'),
        { kind: 'protein', value: 'accepted', source },
        { kind: 'restless', value: true, source },
      ),
    ).toBe('feed-throughout');
  });
  test('brood raised unfed and protein refused move her to water only', () => {
    expect(
      course(
        species('unknown'),
        { kind: 'brood-unfed', value: true, source },
        { kind: 'protein', value: 'refused', source },
      ),
    ).toBe('water-only');
  });
});

describe('what would tell most', () => {
  test('for an unknown queen it is something she does, not her wings', () => {
    const { tellsMost } = founderBelief([species('unknown')]);
    expect(['brood-unfed', 'protein']).toContain(tellsMost?.kind);
    expect(tellsMost?.bits).toBeGreaterThan(0.2);
  });
  test('not what has been seen already', () => {
    const seen: FounderEvidence[] = [
      species('unknown'),
      { kind: 'brood-unfed', value: true, source },
      { kind: 'protein', value: 'refused', source },
    ];
    expect(['brood-unfed', 'protein']).not.toContain(founderBelief(seen).tellsMost?.kind);
  });
  test('nothing more when the kind is as good as certain', () => {
    const sure: FounderEvidence[] = [
      species('fully-claustral'),
      { kind: 'brood-unfed', value: true, source },
      { kind: 'protein', value: 'refused', source },
    ];
    expect(founderBelief(sure).tellsMost).toBeNull();
  });
  test('the expected gain is the mutual information, worked out the long way', () => {
    const prior = [0.75, 0.2, 0.05];
    const accepted = [0.06, 0.85, 0.3];
    const entropy = (q: number[]) => -q.reduce((s, x) => s + (x > 0 ? x * Math.log2(x) : 0), 0);
    const outcome = (l: number[]) => {
      const joint = prior.map((x, i) => x * l[i]!);
      const sum = joint.reduce((a, b) => a + b);
      return sum * entropy(joint.map((j) => j / sum));
    };
    const gain = entropy(prior) - outcome(accepted) - outcome(accepted.map((x) => 1 - x));
    const others: FounderEvidence[] = [{ kind: 'wings', value: 'winged', source }];
    const { tellsMost } = founderBelief([...others]);
    // brood raised unfed tells more still
    expect(tellsMost?.kind).toBe('brood-unfed');
    expect(tellsMost!.bits).toBeGreaterThan(gain);
    const bits = founderBelief([...others, { kind: 'shape', value: 'between', source }]).tellsMost!.bits;
    expect(bits).toBeGreaterThan(0);
  });
});

describe('a queen who is known to eat while founding', () => {
  const named = (more: object = {}) =>
    ({
      kind: 'species',
      founder: 'semi-claustral',
      weight: 1,
      source: 'practice',
      sure: 'likely',
      known: true,
      ...more,
    }) as const;
  const refused = { kind: 'protein', value: 'refused', source: 'her log' } as const;

  test('is not moved by what she leaves, and is not tried for it', () => {
    const before = founderBelief([named()]);
    const after = founderBelief([named(), refused]);
    expect(after.probabilities).toEqual(before.probabilities);
    expect(after.evidence.at(-1)?.factor).toBe(1);
    expect(before.tellsMost?.kind).not.toBe('protein');
  });

  test.each([
    ['a guessed name', named({ sure: 'guess' })],
    ['one whose way of founding is our own estimate', named({ known: false })],
    ['one that is the lesser of two', named({ weight: 0.4 })],
  ])('%s is moved', (_, who) => {
    const other = {
      kind: 'species',
      founder: 'fully-claustral',
      weight: 0.6,
      source: 'x',
      sure: 'likely',
      known: true,
    } as const;
    const all = who.weight < 1 ? [who, other] : [who];
    expect(founderBelief([...all, refused]).probabilities['semi-claustral']).toBeLessThan(
      founderBelief(all).probabilities['semi-claustral'],
    );
  });
});
