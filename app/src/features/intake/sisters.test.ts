import { v7 } from 'uuid';
import { emptyForm, type QueenForm } from './queen-form';
import { labelsFrom, labelsText, newQueensOf } from './sisters';

test('letters are numbered, numbers go on, and what is taken is passed over', () => {
  expect(labelsFrom('L', 3, [])).toEqual(['L1', 'L2', 'L3']);
  expect(labelsFrom('L', 3, ['l2', 'M1'])).toEqual(['L1', 'L3', 'L4']);
  expect(labelsFrom('B9', 3, [])).toEqual(['B9', 'B10', 'B11']);
  expect(labelsFrom('Vesper', 1, ['Vesper'])).toEqual(['Vesper']);
  expect(labelsText(labelsFrom('L', 12, []))).toBe('L1–L12');
});

test('each has a tube, a log and a piece of the stock of her own; a new place is made once', () => {
  const form: QueenForm = {
    ...(emptyForm() as QueenForm),
    found: 'walking',
    label: 'L',
    sisters: 12,
    batch: 'Pond, June',
    profileId: 'tetramorium-immigrans',
    placeName: 'Shelf',
    tempC: 24,
    itemId: v7(),
  };
  const made = newQueensOf(form, [], []).map((m) => m.body);
  const each = (of: (b: (typeof made)[number]) => string) => new Set(made.map(of)).size;
  expect(made).toHaveLength(12);
  expect([each((b) => b.queen.id), each((b) => b.home.id), each((b) => b.intake.id)]).toEqual([12, 12, 12]);
  expect(each((b) => b.used?.[0]?.id ?? '')).toBe(12);
  expect(each((b) => b.place.id)).toBe(1);
  expect(made.every((b) => b.queen.placeId === b.place.id && b.queen.homeId === b.home.id)).toBe(true);
  expect(made.every((b) => b.queen.batch === 'Pond, June')).toBe(true);
});
