import { KIND_CARDS } from './catalogue';
import { narrowed, NOTHING_SEEN, TRAITS, type KindCard, type Seen, type Trait } from './index';

const seen = (what: Partial<Seen>) => narrowed(KIND_CARDS, { ...NOTHING_SEEN, ...what });
const names = (what: Partial<Seen>) => seen(what).left.map((l) => l.kind.name);

// What keepers tell these queens by. Common practice, no source.
describe('the key', () => {
  test('nothing seen leaves every species, and asks first what leaves the fewest', () => {
    const { left, of, next } = seen({});
    expect(left.length).toBe(of);
    expect(of).toBe(KIND_CARDS.filter((k) => k.rank === 'species').length);
    expect(next).not.toBeNull();
    // what each question would leave, each species in turn being the one that is answered for
    const species = KIND_CARDS.filter((k) => k.rank === 'species');
    const answers: Record<Trait, (k: KindCard) => readonly unknown[]> = {
      region: (k) => k.regions,
      northMonth: (k) => k.flightMonths.value,
      queenMm: ({ queenLengthMm: { value } }) => [(value.low + value.high) / 2],
      waist: (k) => (k.waist.value === 'unknown' ? [] : [k.waist.value]),
      colour: (k) => k.colours.value,
      shape: ({ founder: { value } }) =>
        value === 'unknown' ? [] : [value === 'fully-claustral' ? 'large-gaster' : 'slim-large-head'],
    };
    const counts = new Map<string, number>();
    const leftWith = (trait: Trait, value: unknown): number => {
      const at = `${trait} ${String(value)}`;
      if (!counts.has(at)) counts.set(at, seen({ [trait]: value }).left.length);
      return counts.get(at) as number;
    };
    const mean = (ns: readonly number[]) => ns.reduce((x, y) => x + y, 0) / ns.length;
    const leaves = (trait: Trait) =>
      mean(
        species.map((k) => {
          const said = answers[trait](k);
          return said.length > 0 ? mean(said.map((v) => leftWith(trait, v))) : of;
        }),
      );
    expect(next).toBe([...TRAITS].sort((x, y) => leaves(x) - leaves(y))[0]);
  });

  test('a black queen of 9 mm with one node, on a July evening in Europe, may be the black garden ant', () => {
    const what = { queenMm: 9, colour: 'black', waist: 'one node', northMonth: 7, region: 'Europe' } as const;
    expect(names(what).slice(0, 12)).toContain('Lasius niger');
    expect(names(what)).not.toContain('Messor barbarus');
    expect(names(what)).not.toContain('Camponotus ligniperda');
    expect(seen(what).left.length).toBeLessThan(25);
  });

  test('a black queen with a red head and two nodes, in autumn in Europe: the red-headed tree ant is among few', () => {
    const what = {
      queenMm: 9,
      colour: 'two-coloured',
      waist: 'two nodes',
      northMonth: 9,
      region: 'Europe',
    } as const;
    expect(names(what)).toContain('Crematogaster scutellaris');
    expect(names(what).length).toBeLessThan(10);
  });

  test('a red queen of 12 mm with two nodes in Europe that founds by hunting: the alpine stinging ant', () => {
    const what = { queenMm: 12, colour: 'red', waist: 'two nodes', region: 'Europe' } as const;
    expect(names(what)).toContain('Manica rubida');
    expect(names({ ...what, shape: 'slim-large-head' })).toContain('Manica rubida');
    expect(names({ ...what, shape: 'large-gaster' })).not.toContain('Manica rubida');
  });

  test('a ruler off by half a millimetre and a flight a month early rule nothing out', () => {
    const { low, high } = KIND_CARDS.find((k) => k.id === 'lasius-niger')!.queenLengthMm.value;
    for (const queenMm of [low - 0.5, high + 0.5]) expect(names({ queenMm })).toContain('Lasius niger');
    for (const northMonth of [6, 7, 8, 9]) expect(names({ northMonth })).toContain('Lasius niger');
    expect(names({ northMonth: 12 })).not.toContain('Lasius niger');
    // the year goes round
    expect(names({ northMonth: 1 }).length).toBeGreaterThan(0);
  });

  test('what is not known of a kind never rules it out, and is told', () => {
    const unknown = KIND_CARDS.filter((k) => k.rank === 'species' && k.colours.value.length === 0);
    expect(unknown.length).toBeGreaterThan(0);
    const { left } = seen({ colour: 'green' });
    for (const k of unknown)
      expect(left.find((l) => l.kind.id === k.id)).toMatchObject({ fits: 0, notKnown: 1 });
    // what fits comes before what is not known
    expect(left[0]).toMatchObject({ fits: 1, notKnown: 0 });
  });

  test('one that is left needs no more questions', () => {
    const one = KIND_CARDS.filter((k) => k.id === 'manica-rubida');
    expect(narrowed(one, NOTHING_SEEN)).toMatchObject({ of: 1, next: null });
  });

  // Hölldobler & Wilson, The Ants (1990), key to the subfamilies, from memory: Formicinae and Dolichoderinae have one node,
  // Myrmicinae, Myrmeciinae and Pseudomyrmecinae two.
  test.each([
    ['one node', ['lasius', 'camponotus', 'formica', 'tapinoma', 'iridomyrmex', 'odontomachus', 'ponera']],
    ['two nodes', ['messor', 'myrmica', 'tetramorium', 'pheidole', 'atta', 'myrmecia', 'pseudomyrmex']],
  ] as const)('%s: as in the keys to the subfamilies', (waist, ids) => {
    for (const id of ids) expect([id, KIND_CARDS.find((k) => k.id === id)?.waist.value]).toEqual([id, waist]);
  });
});
