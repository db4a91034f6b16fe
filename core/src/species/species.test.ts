import {
  FIGURE_IDS,
  FIGURE_UNITS,
  kindSearch,
  provenanceText,
  STAGES,
  type KindRecord,
  type SpeciesProfile,
} from './index';
import { EVERYDAY_IDS, everydayNames } from './kinds/everyday';
import { REST_IDS } from './kinds/rest';
import { COMMONEST } from './kinds/warmth';
import { DEMO_KINDS } from '../world/demo/kinds';
import { KIND_CARDS, KINDS, resolveKind, speciesProfile } from './catalogue';

const ofRank = (rank: KindRecord['rank']) => KINDS.filter((k) => k.rank === rank);

describe('the catalogue', () => {
  test('has the kinds that hobby keepers really keep: 50 genera and 120 species at the least', () => {
    expect(ofRank('genus').length).toBeGreaterThanOrEqual(50);
    expect(ofRank('species').length).toBeGreaterThanOrEqual(120);
    expect(ofRank('type').map((k) => k.id)).toEqual([
      'unknown-temperate',
      'unknown-tropical',
      'unknown-parasite',
    ]);
    expect(KINDS.map((k) => k.id)).toEqual(expect.arrayContaining([...DEMO_KINDS]));
    // from every part of the world in which ants are kept
    for (const region of ['Europe', 'Asia', 'Africa', 'North America', 'South America', 'Australia'] as const)
      expect(ofRank('species').filter((k) => k.regions.includes(region)).length).toBeGreaterThanOrEqual(8);
  });

  test('who is said to rest so deep is in it, and nobody is that does not winter', () => {
    for (const id of REST_IDS) {
      const { winters, rest } = speciesProfile(id);
      expect(`${id}: ${KINDS.some((k) => k.id === id)} ${winters.value}`).toBe(`${id}: true true`);
      expect(['cool', 'cold']).toContain(rest.value);
    }
    // what does not winter has no depth; of an unnamed temperate queen it is not known
    expect(speciesProfile('camponotus-floridanus').rest.value).toBe('none');
    expect(speciesProfile('unknown-temperate').rest.value).toBe('unknown');
    // Mediterranean kinds are kept milder than northern ones (common practice, no source)
    expect(['messor-barbarus', 'lasius-niger'].map((id) => speciesProfile(id).rest.value)).toEqual([
      'cool',
      'cold',
    ]);
  });

  test('the kinds that are kept most say who says how warm suits them', () => {
    expect(COMMONEST).toHaveLength(20);
    for (const id of COMMONEST) {
      const { source, level } = speciesProfile(id).bestTempC;
      expect(`${id} ${level} ${provenanceText(source)}`).toMatch(/ species (prior: as keepers|published: )/);
    }
    // C. ligniperda is kept at up to 30 °C (common practice, no source)
    expect(speciesProfile('camponotus-ligniperda').bestTempC.value.high).toBe(30);
    // growth between about 24 and 36 °C, best near 32 (Porter 1988, from memory)
    const { low, high } = speciesProfile('solenopsis-invicta').bestTempC.value;
    expect([low >= 24, high <= 36]).toEqual([true, true]);
  });

  test('two that are taken for one another say how they are told apart', () => {
    expect(speciesProfile('camponotus-consobrinus').cautions.join()).toMatch(/nigriceps.*band/);
    expect(speciesProfile('camponotus-nigriceps').cautions.join()).toMatch(/consobrinus.*black head/);
    expect(speciesProfile('camponotus-consobrinus').queenLengthMm.value).toEqual({ low: 20, high: 25 });
    expect(speciesProfile('camponotus-consobrinus').workerLengthMm.value).toEqual({ low: 10, high: 16 });
  });

  test('each kind and each of its scientific names stands once', () => {
    expect(new Set(KINDS.map((k) => k.id)).size).toBe(KINDS.length);
    const names = KINDS.flatMap((k) => [k.name, ...k.synonyms]).map((n) => n.toLowerCase());
    expect(names.filter((n, i) => names.indexOf(n) !== i)).toEqual([]);
  });

  test('a species is of its genus, and what the type says is whole', () => {
    for (const k of ofRank('species')) expect(k.name.split(' ')[0]?.toLowerCase()).toBe(k.parentId);
    // widths follow from lengths where nobody measured them
    const whole = FIGURE_IDS.filter((id) => id !== 'workerHeadMm');
    for (const k of ofRank('type')) for (const id of whole) expect(k.figures).toHaveProperty(id);
  });

  test('every figure has a unit or is a word, and says where it comes from', () => {
    for (const k of KINDS)
      for (const id of FIGURE_IDS) {
        const figure = k.figures[id];
        if (!figure) continue;
        expect(provenanceText(figure.source)).toMatch(
          /^(published: .+ \d{4}.*|common practice, no source|prior: .+)$/,
        );
        const isWord =
          [figure.value].flat().every((v) => ['string', 'boolean'].includes(typeof v)) &&
          id !== 'flightMonths';
        expect([id, FIGURE_UNITS[id] === null]).toEqual([id, isWord]);
      }
  });

  test('what is published is not reckoned from it: no stage length of ours is called published', () => {
    for (const k of KINDS)
      for (const id of ['layingDays', 'eggDays', 'larvaDays', 'pupaDays', 'stageLogSpread'] as const)
        expect(k.figures[id]?.source.kind ?? 'prior').toBe('prior');
  });
});

describe('every profile', () => {
  const profiles = KINDS.map((k) => speciesProfile(k.id));
  /** Names of those for which something does not hold. */
  const failing = (holds: (s: SpeciesProfile) => boolean) =>
    profiles.filter((s) => !holds(s)).map((s) => s.name);
  const RUNNERS = /^(Cataglyphis|Melophorus|Forelius|Camponotus fulvopilosus)/;

  test('has stages that make sense', () => {
    for (const stage of STAGES) {
      expect(failing((s) => s.stages[stage].thresholdC < s.bestTempC.value.low)).toEqual([]);
      expect(failing((s) => s.stages[stage].optimumC >= s.bestTempC.value.high)).toEqual([]);
      expect(failing((s) => s.stages[stage].upperC > s.stages[stage].optimumC)).toEqual([]);
      // above the mid-thirties is dangerous for most; runners of deserts bear more (common practice, no source)
      expect(failing((s) => s.stages[stage].upperC <= (RUNNERS.test(s.name) ? 40 : 38))).toEqual([]);
      expect(failing((s) => s.stages[stage].degreeDays > 0 && s.stages[stage].logSpread > 0)).toEqual([]);
    }
  });

  test('has spans that run upwards, and a tube that she fits', () => {
    const spans = [
      'queenLengthMm',
      'workerLengthMm',
      'workerHeadMm',
      'boreMm',
      'bestTempC',
      'firstBatch',
    ] as const;
    for (const span of spans) expect(failing((s) => s[span].value.high > s[span].value.low)).toEqual([]);
    expect(failing((s) => s.workerLengthMm.value.low <= s.queenLengthMm.value.low)).toEqual([]);
    expect(failing((s) => s.boreMm.value.low > s.workerHeadMm.value.high)).toEqual([]);
    expect(failing((s) => s.boreMm.value.high > s.queenLengthMm.value.low / 2)).toEqual([]);
    expect(
      failing((s) => s.flightMonths.value.every((m) => Number.isInteger(m) && m >= 1 && m <= 12)),
    ).toEqual([]);
  });

  test('says who stings or sprays, and what spreads where it does not belong, where her home is opened', () => {
    const warns = (s: SpeciesProfile, words: RegExp) => words.test(s.cautions.join(' '));
    expect(failing((s) => !s.defence.value.startsWith('stings') || warns(s, /sting/i))).toEqual([]);
    const badly = (s: SpeciesProfile) => s.defence.value === 'stings' || s.defence.value === 'stings-badly';
    expect(failing((s) => !badly(s) || warns(s, /allergic.*emergency/i))).toEqual([]);
    expect(failing((s) => s.defence.value !== 'sprays-acid' || warns(s, /acid.*eyes/i))).toEqual([]);
    expect(failing((s) => s.status !== 'invasive' || warns(s, /authority.*never let any out/i))).toEqual([]);
  });
});

describe('levels', () => {
  test('what a species does not say is taken from its genus, then from its type, and says so', () => {
    const fallax = speciesProfile('camponotus-fallax');
    expect(fallax.queenLengthMm).toMatchObject({ value: { low: 9, high: 12 }, level: 'species' });
    expect(fallax.pupae).toMatchObject({ value: 'in cocoons', level: 'genus' });
    expect(fallax.stages.egg.level).toBe('genus');
    expect(fallax.slowLaying.level).toBe('type');
    // a tube for her own length, though her genus has no bore of its own
    expect(fallax.boreMm).toMatchObject({ value: { low: 14, high: 18 }, level: 'species' });
    // one of a tropical kind in a genus of the north
    expect(speciesProfile('camponotus-floridanus').winters).toMatchObject({ value: false, level: 'species' });
    expect(speciesProfile('pheidole-pallidula').winters).toMatchObject({ value: true, level: 'type' });
  });

  test('the coarser the level, the wider the spread', () => {
    const spread = (id: string) => {
      const { stages, queenLogSpread } = speciesProfile(id);
      return Math.hypot(stages.egg.logSpread, queenLogSpread.value);
    };
    expect(spread('camponotus-vagus')).toBeLessThan(spread('camponotus'));
    expect(spread('camponotus-fallax')).toBe(spread('camponotus'));
    for (const k of [...ofRank('species'), ...ofRank('genus')])
      expect(spread(k.id)).toBeLessThanOrEqual(spread('unknown-temperate'));
    for (const id of DEMO_KINDS) expect(spread(id)).toBeLessThan(spread('unknown-temperate'));
  });

  test('what differs within a genus is said of the genus, not of a species that is known', () => {
    expect(speciesProfile('lasius').differs?.says).toMatch(/host colony/);
    expect(speciesProfile('lasius-umbratus').differs).toBeNull();
    expect(speciesProfile('formica').founder.value).toBe('unknown');
    expect(speciesProfile('polyrhachis-ammon').differs?.tells).toMatch(/Offer/);
  });
});

describe('real biology', () => {
  const founder = (id: string) => speciesProfile(id).founder.value;

  // Hölldobler & Wilson 1990, The Ants (from memory)
  test('social parasites and slave-makers need a host colony', () => {
    for (const id of [
      'lasius-umbratus',
      'lasius-fuliginosus',
      'formica-rufa',
      'formica-sanguinea',
      'polyergus',
    ])
      expect(founder(id)).toBe('socially-parasitic');
  });

  // Johnson 2002, Oecologia 132:60–67 (from memory)
  test('of the stinging harvesters californicus forages while founding, the others do not', () => {
    expect(founder('pogonomyrmex-californicus')).toBe('semi-claustral');
    for (const id of ['pogonomyrmex-rugosus', 'pogonomyrmex-barbatus', 'pogonomyrmex-occidentalis'])
      expect(founder(id)).toBe('fully-claustral');
  });

  // Haskins & Haskins 1950, Ann. Entomol. Soc. Am. 43:461–491 (from memory)
  test('bulldog ants forage while founding', () => expect(founder('myrmecia-gulosa')).toBe('semi-claustral'));

  test('Manica rubida must eat while founding and stings; her keeper is warned', () => {
    expect(founder('manica-rubida')).toBe('semi-claustral');
    expect(speciesProfile('manica-rubida').cautions.join(' ')).toMatch(/sting.*allergic.*emergency/i);
  });

  // the subfamilies: Bolton 2003, Memoirs of the American Entomological Institute 71 (from memory)
  test('cocoons are spun by Camponotus, Lasius, Formica and hunters; the Myrmicinae have naked pupae', () => {
    for (const id of [
      'camponotus-vagus',
      'lasius-niger',
      'formica-fusca',
      'odontomachus-monticola',
      'myrmecia',
    ])
      expect(speciesProfile(id).pupae.value).toBe('in cocoons');
    for (const id of ['tetramorium', 'manica', 'messor', 'temnothorax', 'pogonomyrmex', 'atta', 'solenopsis'])
      expect(speciesProfile(id).pupae.value).toBe('naked');
  });

  // Hartley & Lester 2003, New Zealand Entomologist 26:91–100: 445.4 degree-days above 15.9 °C from egg to worker (from memory)
  test('the Argentine ant gathers 445 degree-days above 15.9 °C from egg to worker', () => {
    const { egg, larva, pupa } = speciesProfile('linepithema-humile').stages;
    expect(egg.thresholdC).toBe(15.9);
    expect(egg.degreeDays + larva.degreeDays + pupa.degreeDays).toBeCloseTo(445.4, 0);
  });

  // O'Neal & Markin 1975, J. Georgia Entomol. Soc. 10:60–65: egg 7–10, larva 12–15, worker pupa 9–16 days (from memory)
  test('the stages of the imported fire ant lie within the published ranges', () => {
    const { egg, larva, pupa } = speciesProfile('solenopsis-invicta').stages;
    const days = (s: typeof egg) => s.degreeDays / (25 - s.thresholdC);
    for (const [found, low, high] of [
      [days(egg), 7, 10],
      [days(larva), 12, 15],
      [days(pupa), 9, 16],
    ] as const) {
      expect(found).toBeGreaterThanOrEqual(low);
      expect(found).toBeLessThanOrEqual(high);
    }
  });

  test('southern kinds fly half a year later: the meat ant in spring, which is March to May in the north', () => {
    expect(speciesProfile('iridomyrmex-purpureus').flightMonths.value).toEqual([3, 4, 5]);
  });
});

describe('a name is resolved, and never to nothing', () => {
  test.each([
    ['Messor structor', 'species', 'messor-structor'],
    ['  messor   STRUCTOR (Latreille, 1798) ', 'species', 'messor-structor'],
    ['Camponotus ligniperdus', 'species', 'camponotus-ligniperda'],
    ['Messor pergandei', 'species', 'veromessor-pergandei'],
    ['Acanthomyops claviger', 'species', 'lasius-claviger'],
    ['Messor cf. structor', 'genus', 'messor'],
    ['Messor sp.', 'genus', 'messor'],
    ['Messor', 'genus', 'messor'],
    ['Messor bellicosus', 'genus', 'messor'],
    ['Messor structor muticus', 'species', 'messor-structor'],
    ['Griffin griffin', 'type', 'unknown-temperate'],
    ['', 'type', 'unknown-temperate'],
    ['Ἄνθραξ 12', 'type', 'unknown-temperate'],
  ])('%s', (name, level, id) => {
    const found = resolveKind(name);
    expect([found.level, found.id]).toEqual([level, id]);
    expect(found.profile.id).toBe(id);
  });

  test('every name that ships, as it stands and with its authors', () => {
    for (const k of KINDS)
      for (const name of k.rank === 'type' ? [] : [k.name, ...k.synonyms])
        expect([name, resolveKind(`${name} (Smith, 1858)`).id]).toEqual([name, k.id]);
  });

  test('an id that nobody knows is an unknown temperate kind', () => {
    expect(speciesProfile('griffin').id).toBe('unknown-temperate');
  });
});

describe('search', () => {
  const search = kindSearch(KIND_CARDS);
  const ids = (text: string) => search(text).map((f) => f.kind.id);

  test('three letters are enough, in any order of words, with or without accents', () => {
    expect(ids('mes')[0]).toBe('messor');
    expect(ids('mes str')[0]).toBe('messor-structor');
    expect(ids('str mes')).toContain('messor-structor');
    expect(ids('MÉSSOR bar')[0]).toBe('messor-barbarus');
  });

  test('former and everyday names find her, and say by which', () => {
    expect(search('camponotus ligniperdus')[0]).toMatchObject({
      kind: { id: 'camponotus-ligniperda' },
      by: 'Camponotus ligniperdus',
    });
    expect(search('black garden ant')[0]).toMatchObject({
      kind: { id: 'lasius-niger' },
      by: 'black garden ant',
    });
    expect(ids('pharaoh')).toEqual(['monomorium-pharaonis']);
  });

  test('every kind is found by the first three letters of each word of its name', () => {
    for (const { id, name } of KIND_CARDS) {
      const typed = name
        .split(' ')
        .map((w) => w.slice(0, 3))
        .join(' ');
      expect([name, search(typed, 300).map((f) => f.kind.id)]).toEqual([name, expect.arrayContaining([id])]);
    }
  });

  test('nothing typed, or nothing like it, finds nothing', () => {
    expect(ids(' ')).toEqual([]);
    expect(ids('griffin')).toEqual([]);
  });
});

test('learned and published figures say so', () => {
  expect(provenanceText({ kind: 'learned', n: 3 })).toBe('learned from your log (n=3)');
  expect(provenanceText({ kind: 'published', citation: 'Hartley & Lester 2003' })).toBe(
    'published: Hartley & Lester 2003',
  );
});

describe('everyday names of other languages', () => {
  const search = kindSearch(KIND_CARDS);
  const found = (text: string) => search(text).map((f) => f.kind.id);

  test('forty kinds and more have some, and none is of a kind that is not there', () => {
    expect(EVERYDAY_IDS.length).toBeGreaterThanOrEqual(40);
    expect(EVERYDAY_IDS.filter((id) => !KINDS.some((k) => k.id === id))).toEqual([]);
    for (const id of EVERYDAY_IDS) expect(everydayNames(id).length).toBeGreaterThan(0);
  });

  // everyday names, from memory
  test.each([
    ['schwarze wegameise', 'lasius-niger'],
    ['Große Wiesen', 'formica-pratensis'],
    ['grosse wiesen', 'formica-pratensis'],
    ['fourmi d’argentine', 'linepithema-humile'],
    ["fourmi d'argentine", 'linepithema-humile'],
    ['hormiga argentina', 'linepithema-humile'],
    ['mrówka rudnica', 'formica-rufa'],
    ['mrowka lakowa', 'formica-pratensis'],
    ['wscieklica', 'myrmica-rubra'],
    ['gâte-bois', 'camponotus-pennsylvanicus'],
    ['hormiga de jardin', 'lasius-niger'],
  ])('“%s” finds %s', (typed, id) => expect(found(typed)).toContain(id));

  test('she is said to be found by it, and keeps her own name', () => {
    const [first] = search('Rote Waldameise');
    expect(first).toMatchObject({
      kind: { id: 'formica-rufa', plainName: 'red wood ant' },
      by: 'Rote Waldameise',
    });
  });
});
