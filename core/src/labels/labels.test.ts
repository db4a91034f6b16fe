import { LABEL_SHEETS, lookAddress, placeLabels, queenOfAddress, stripFor } from './index';

const QUEEN = '018f0000-0000-7000-8000-000000000001';

describe.each(LABEL_SHEETS)('$name', (sheet) => {
  const all = placeLabels(sheet, sheet.columns * sheet.rows);
  test('every label lies on the page', () => {
    for (const { page, xMm, yMm } of all) {
      expect(page).toBe(0);
      expect(xMm).toBeGreaterThanOrEqual(0);
      expect(yMm).toBeGreaterThanOrEqual(0);
      expect(xMm + sheet.label.widthMm).toBeLessThanOrEqual(sheet.page.widthMm + 1e-9);
      expect(yMm + sheet.label.heightMm).toBeLessThanOrEqual(sheet.page.heightMm + 1e-9);
    }
  });
  test('no two overlap', () => {
    for (let i = 0; i < all.length; i++)
      for (let j = i + 1; j < all.length; j++) {
        const apartX = Math.abs(all[i]!.xMm - all[j]!.xMm) >= sheet.label.widthMm - 1e-9;
        const apartY = Math.abs(all[i]!.yMm - all[j]!.yMm) >= sheet.label.heightMm - 1e-9;
        expect(apartX || apartY).toBe(true);
      }
  });
});

test.each([16, 18])('a strip goes round a tube of %s mm and overlaps itself', (outside) => {
  const { widthMm } = stripFor(outside).label;
  expect(widthMm).toBeGreaterThan(2 * 3.14159 * (outside / 2) + 5);
  expect(widthMm).toBeLessThan(2 * 3.14159 * (outside / 2) + 12);
});

test('labels used already are passed over, and the rest goes to the next page', () => {
  const sheet = LABEL_SHEETS.find((s) => s.id === 'a4-3x8')!;
  const placed = placeLabels(sheet, 3, 22);
  expect(placed.map((p) => p.page)).toEqual([0, 0, 1]);
  expect(placed[0]!.xMm).toBeCloseTo(placed[1]!.xMm - 70, 9);
  expect(() => placeLabels(sheet, 1, 24)).toThrow(/A sheet has 24 labels/);
});

describe('the code', () => {
  test('opens the look of one queen, and is read back whatever the address was', () => {
    expect(lookAddress('http://10.0.0.5:4860/', QUEEN)).toBe(`http://10.0.0.5:4860/queens/${QUEEN}/look`);
    expect(queenOfAddress(lookAddress('https://burrow.example', QUEEN))).toBe(QUEEN);
  });
  test.each([
    '',
    'hello',
    'http://x/queens/12/look',
    `http://x/queens/${QUEEN}`,
    `http://x/queens/${QUEEN}/look?next=evil`,
  ])('another code, %s, is not ours', (text) => expect(queenOfAddress(text)).toBeNull());
});
