import { provenanceText, SPECIES, speciesProfile, STAGES, type Figure } from './index';

const EIGHT = [
  'Crematogaster scutellaris',
  'Tetramorium immigrans',
  'Camponotus vagus',
  'Manica rubida',
  'Prenolepis imparis',
  'Aphaenogaster subterranea',
  'Messor structor',
  'Temnothorax nylanderi',
];

test('the eight kinds and three unknowns, each once', () => {
  const names = SPECIES.map((s) => s.name);
  expect(names.filter((n) => !n.startsWith('Unknown')).sort()).toEqual([...EIGHT].sort());
  expect(new Set(SPECIES.map((s) => s.id)).size).toBe(11);
});

describe.each(SPECIES.map((s) => [s.name, s] as const))('%s', (_, s) => {
  const figures: [string, Figure<unknown>][] = [
    ['founder', s.founder],
    ['queenLengthMm', s.queenLengthMm],
    ['workerLengthMm', s.workerLengthMm],
    ['boreMm', s.boreMm],
    ['bestTempC', s.bestTempC],
    ['pupae', s.pupae],
    ['firstBatch', s.firstBatch],
    ['winters', s.winters],
    ['queenLogSpread', s.queenLogSpread],
  ];

  test.each(figures)('%s says where it comes from', (_name, figure) => {
    expect(provenanceText(figure.source)).toMatch(/^(published: .+|common practice, no source|prior: .+)$/);
  });

  test('every stage says where it comes from and makes sense', () => {
    for (const stage of STAGES) {
      const w = s.stages[stage];
      expect(w.source.kind).toBe('prior'); // none of these figures is published with confidence
      expect(w.thresholdC).toBeLessThan(s.bestTempC.value.low);
      expect(w.optimumC).toBeGreaterThanOrEqual(s.bestTempC.value.high);
      expect(w.upperC).toBeGreaterThan(w.optimumC);
      // above the mid-thirties is dangerous for most (common practice, no source)
      expect(w.upperC).toBeLessThanOrEqual(38);
      expect(w.degreeDays).toBeGreaterThan(0);
    }
  });

  test('spans run upwards, and she fits her tube', () => {
    for (const span of [s.queenLengthMm, s.workerLengthMm, s.boreMm, s.bestTempC, s.firstBatch]) {
      expect(span.value.high).toBeGreaterThan(span.value.low);
    }
    expect(s.workerLengthMm.value.low).toBeLessThanOrEqual(s.queenLengthMm.value.low);
    expect(s.boreMm.value.low).toBeGreaterThan(s.workerLengthMm.value.low);
  });
});

test('where nothing is known the spread is widest', () => {
  const spread = (id: string) =>
    speciesProfile(id).stages.egg.logSpread + speciesProfile(id).queenLogSpread.value;
  for (const s of SPECIES.filter((x) => !x.id.startsWith('unknown'))) {
    expect(spread('unknown-temperate')).toBeGreaterThan(spread(s.id));
  }
});

test('Manica rubida must eat while founding and stings; her keeper is warned (real biology)', () => {
  const manica = speciesProfile('manica-rubida');
  expect(manica.founder.value).toBe('semi-claustral');
  expect(manica.cautions.join(' ')).toMatch(/sting.*allergic.*emergency/i);
});

test('cocoons are spun by Camponotus; the Myrmicinae have naked pupae (real biology)', () => {
  expect(speciesProfile('camponotus-vagus').pupae.value).toBe('in cocoons');
  for (const id of ['tetramorium-immigrans', 'manica-rubida', 'messor-structor', 'temnothorax-nylanderi']) {
    expect(speciesProfile(id).pupae.value).toBe('naked');
  }
});

test('an id that nobody knows is an unknown temperate kind', () => {
  expect(speciesProfile('griffin').id).toBe('unknown-temperate');
});

test('learned and published figures say so', () => {
  expect(provenanceText({ kind: 'learned', n: 3 })).toBe('learned from your log (n=3)');
  expect(provenanceText({ kind: 'published', citation: 'Hartley & Lester 2003' })).toBe(
    'published: Hartley & Lester 2003',
  );
});
