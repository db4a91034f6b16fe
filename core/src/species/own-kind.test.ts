import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { DEMO_KINDS } from '../world/demo/kinds';
import { KIND_CARDS, KINDS, ownFaults, profilesWith, speciesProfile } from './catalogue';
import { figureOf, OWN_FIGURE_IDS, ownCard, provenanceText, type KindCard, type OwnKind } from './index';
import { ownDocument, ownDocumentJsonSchema, readOwnDocument } from './own';

const own = (over: Partial<OwnKind> = {}): OwnKind => ({
  id: '018f2b6e-7c1d-7aaa-8bbb-0123456789ab',
  name: 'Pavement ants of Mill Lane',
  copiedOf: 'tetramorium-immigrans',
  copiedName: 'Tetramorium immigrans',
  figures: { eggDays: { value: 11, says: 'my own queens' } },
  changedAt: '2026-05-01T10:00:00Z',
  ...over,
});
const profile = (kind: OwnKind) => profilesWith([kind])(kind.id);
const says = (kind: OwnKind, others: OwnKind[] = []) => ownFaults(kind, others).map((f) => f.says);

describe('an own profile', () => {
  test('says what it says, and follows the kind that was copied in all else', () => {
    const mine = profile(own());
    const catalogue = speciesProfile('tetramorium-immigrans');
    expect(figureOf(mine, 'eggDays')).toEqual({
      value: 11,
      source: { kind: 'keeper', says: 'my own queens' },
      level: 'own',
    });
    expect(provenanceText(mine.stages.egg.source)).toBe('your own figure: my own queens');
    for (const id of OWN_FIGURE_IDS)
      if (id !== 'eggDays') expect([id, figureOf(mine, id)]).toEqual([id, figureOf(catalogue, id)]);
    expect(mine).toMatchObject({
      name: 'Pavement ants of Mill Lane',
      rank: 'species',
      copiedOf: 'tetramorium-immigrans',
      kin: catalogue.kin,
      cautions: catalogue.cautions,
    });
  });

  test('what follows from a figure follows from her own', () => {
    const small = profile(
      own({ figures: { queenLengthMm: { value: { low: 4, high: 5 }, says: 'a ruler' } } }),
    );
    expect(small.boreMm).toMatchObject({ value: { low: 6, high: 10 }, level: 'own' });
    // a copy of a genus with days of its own is held no looser than a species
    const lasius = own({ copiedOf: 'lasius', copiedName: 'Lasius', name: 'Lasius carniolicus' });
    expect(profile(lasius).stages.egg.logSpread).toBeLessThan(speciesProfile('lasius').stages.egg.logSpread);
    expect(profile(lasius).rank).toBe('genus');
  });

  test('adds a caution and takes none away', () => {
    const harmless = own({
      copiedOf: 'manica-rubida',
      copiedName: 'Manica rubida',
      figures: { defence: { value: 'none', says: 'mine never did' } },
    });
    expect(profile(harmless).cautions).toEqual(speciesProfile('manica-rubida').cautions);
    const sprays = own({ figures: { defence: { value: 'sprays-acid', says: 'seen' } } });
    expect(profile(sprays).cautions).toEqual([
      expect.stringMatching(/Sprays acid/),
      ...speciesProfile('tetramorium-immigrans').cautions,
    ]);
  });

  test('of a kind that this catalogue does not have takes what is nearest to its name', () => {
    const later = own({ copiedOf: 'lasius-carniolicus', copiedName: 'Lasius carniolicus' });
    expect(profile(later).copiedOf).toBe('lasius');
    const strange = own({ copiedOf: 'nobody', copiedName: 'Nobody knows' });
    expect(profile(strange).copiedOf).toBe('unknown-temperate');
  });

  test('its card says the same as its whole profile', () => {
    for (const id of DEMO_KINDS) {
      const card = KIND_CARDS.find((c) => c.id === id) as KindCard;
      const kind = own({
        copiedOf: id,
        copiedName: card.name,
        figures: {
          workerLengthMm: { value: { low: 2, high: 3 }, says: 'a ruler' },
          pupae: { value: 'naked', says: 'seen' },
          defence: { value: 'stings', says: 'felt' },
        },
      });
      const whole = profile(kind);
      const mine = ownCard(card, kind);
      for (const key of [
        'name',
        'rank',
        'kin',
        'copiedOf',
        'cautions',
        'differs',
        'regions',
        'status',
      ] as const)
        expect([key, mine[key]]).toEqual([key, whole[key]]);
      for (const key of [
        'queenLengthMm',
        'workerLengthMm',
        'workerHeadMm',
        'pupae',
        'flightMonths',
        'diet',
      ] as const)
        expect([key, mine[key].value]).toEqual([key, whole[key].value]);
    }
  });
});

describe('what is wrong with one', () => {
  test('nothing, as a rule: whichever kind is copied, and whichever of its figures is written down as it is', () => {
    expect(ownFaults(own(), [])).toEqual([]);
    const found = KINDS.flatMap(({ id, name }) =>
      OWN_FIGURE_IDS.flatMap((figure) => {
        const { value } = figureOf(speciesProfile(id), figure);
        const figures = { [figure]: { value, says: 'the catalogue' } };
        return ownFaults(own({ copiedOf: id, copiedName: name, figures }), []).map((f) => [
          id,
          figure,
          f.says,
        ]);
      }),
    );
    expect(found).toEqual([]);
  });

  test('low above high, nobody who says so, a slip of the finger, nothing changed', () => {
    expect(
      says(own({ figures: { queenLengthMm: { value: { low: 9, high: 8 }, says: 'a ruler' } } })),
    ).toEqual(['The lower figure is above the higher one. Change them round.']);
    expect(ownFaults(own({ figures: { eggDays: { value: 11, says: '  ' } } }), [])).toEqual([
      { at: 'eggDays', says: 'Say who says so: your own queens, another keeper, a book.' },
    ]);
    expect(
      says(own({ figures: { queenLengthMm: { value: { low: 8, high: 800 }, says: 'a ruler' } } }))[0],
    ).toMatch(/Is the unit right\?/);
    expect(says(own({ figures: {} }))).toEqual(['It says nothing of its own yet. Change a figure.']);
  });

  test('a name that is taken, by whatever name; one that is only like it, or not in the catalogue, is free', () => {
    for (const name of [
      'Lasius niger',
      'lasius  niger',
      'Acanthomyops claviger',
      'Lasius',
      'Unknown, temperate',
    ])
      expect([name, says(own({ name }))[0]]).toEqual([
        name,
        expect.stringMatching(/in the catalogue\. Give yours/),
      ]);
    for (const name of ['Lasius niger, mine', 'Lasius carniolicus', 'Pale garden ants'])
      expect(says(own({ name }))).toEqual([]);
    const other = own({ id: '018f2b6e-7c1d-7aaa-8bbb-0123456789ac' });
    expect(says(own({ name: 'pavement ants of mill lane' }), [other])[0]).toMatch(/You have a profile/);
    expect(says(own(), [own()])).toEqual([]);
  });

  test('a parasite does not become a founder by being written down as one', () => {
    const umbratus = own({
      copiedOf: 'lasius-umbratus',
      copiedName: 'Lasius umbratus',
      figures: { founder: { value: 'fully-claustral', says: 'a forum' } },
    });
    expect(says(umbratus)[0]).toMatch(/^Lasius umbratus cannot found alone/);
    // of a genus in which kinds differ, the keeper may know which of them it is
    const lasius = own({ ...umbratus, copiedOf: 'lasius', copiedName: 'Lasius' });
    expect(says(lasius)).toEqual([]);
  });

  test('figures that contradict one another, also those that were copied', () => {
    const threshold = own({ figures: { thresholdC: { value: 27, says: 'a thermometer' } } });
    expect(ownFaults(threshold, [])[0]).toEqual({
      at: 'thresholdC',
      says: 'Below the threshold nothing grows: it must lie below her best warmth.',
    });
    const upper = own({ figures: { upperC: { value: 26, says: 'a thermometer' } } });
    expect(ownFaults(upper, [])[0]?.at).toBe('upperC');
    const head = own({ figures: { workerHeadMm: { value: { low: 1, high: 9 }, says: 'a ruler' } } });
    expect(says(head)).toEqual(['A head is narrower than its worker is long.']);
  });
});

describe('as a document', () => {
  const whole = own({
    figures: {
      eggDays: { value: 11, says: 'my own queens' },
      founder: { value: 'fully-claustral', says: 'seen' },
      flightMonths: { value: [6, 7], says: 'a neighbour' },
    },
  });
  const text = () => JSON.stringify(ownDocument([whole]));
  const changed = (change: (kind: Record<string, Record<string, Record<string, unknown>>>) => void) => {
    const doc = JSON.parse(text()) as { kinds: Record<string, Record<string, Record<string, unknown>>>[] };
    change(doc.kinds[0] as never);
    return readOwnDocument(JSON.stringify(doc));
  };

  test('goes out and comes in as it was, each figure with its unit and who says so', () => {
    expect(readOwnDocument(text())).toEqual({ kinds: [whole], faults: [] });
    expect(JSON.parse(text())).toMatchObject({
      format: 'gentle-burrow-kinds',
      version: 1,
      kinds: [{ figures: { eggDays: { value: 11, unit: 'days at 25 °C', source: 'my own queens' } } }],
    });
  });

  test('to whoever reads it in, figures that came from queens are of somebody else’s', () => {
    const taken = own({ figures: { eggDays: { value: 11, says: 'my own queens (n=4)', queens: 4 } } });
    expect(readOwnDocument(JSON.stringify(ownDocument([taken]))).kinds[0]?.figures).toEqual({
      eggDays: { value: 11, says: 'my own queens (n=4)' },
    });
  });

  // The published schema is read by a validator that is not ours (JSON Schema, draft 2020-12).
  test('is valid by its published schema, and what is not is refused by it', () => {
    const ajv = new Ajv({ strict: false });
    addFormats(ajv);
    const valid = ajv.compile(ownDocumentJsonSchema());
    expect(valid(JSON.parse(text()))).toBe(true);
    const bare = JSON.parse(text()) as { kinds: { figures: { eggDays: { unit?: string } } }[] };
    delete bare.kinds[0]?.figures.eggDays.unit;
    expect(valid(bare)).toBe(false);
    // what stands in the docs is what is checked by
    const published = readFileSync(join(__dirname, '../../../docs/own-kinds.schema.json'), 'utf8');
    expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(ownDocumentJsonSchema())));
  });

  test('a foreign file, a newer one, one that was cut off', () => {
    expect(readOwnDocument('{"kinds": [').faults[0]).toMatch(/not JSON. Was it cut off/);
    expect(readOwnDocument('{"type": "FeatureCollection"}').faults[0]).toMatch(/no file of profiles/);
    expect(readOwnDocument(text().replace('"version":1', '"version":2')).faults[0]).toMatch(
      /of version 2, and this application reads up to 1/,
    );
  });

  test('a figure without unit or source, or one that is not known: said by name; the rest is read', () => {
    expect(changed((k) => delete k.figures?.eggDays?.unit).faults).toEqual([
      '“Pavement ants of Mill Lane”: eggDays has no unit, or another one. It is counted in “days at 25 °C”.',
    ]);
    expect(changed((k) => delete k.figures?.eggDays?.source).faults).toEqual([
      '“Pavement ants of Mill Lane”: eggDays has no source. Say who says so.',
    ]);
    expect(changed((k) => delete (k as { id?: unknown }).id).faults[0]).toMatch(
      /“id” cannot be read .* Put it right in the file/,
    );
    expect(changed((k) => (k.figures!.wingspanMm = { value: 3 })).faults[0]).toMatch(
      /wingspanMm.*newer version/,
    );
    const two = ownDocument([
      whole,
      { ...whole, id: '018f2b6e-7c1d-7aaa-8bbb-0123456789ac', name: 'Others' },
    ]);
    const broken = JSON.parse(JSON.stringify(two)) as { kinds: { figures: object }[] };
    broken.kinds[0]!.figures = { eggDays: { value: 'eleven', unit: 'days at 25 °C', source: 'x' } };
    const read = readOwnDocument(JSON.stringify(broken));
    expect(read.kinds.map((k) => k.name)).toEqual(['Others']);
    expect(read.faults[0]).toMatch(/eggDays: It is no number/);
  });
});
