import { FILL_SCHOOLS, fillOf, fillTo, lastingOf, tubeVolumeMl } from './index';

const tube = { boreMm: 14, lengthMm: 150, end: 'round' as const };
const room = { tempC: 24, roomRelHumidity: 0.5 };
const conditions = { plugs: { innerMm: 15, outerMm: 15 }, ...room, queenLengthMm: { low: 6, high: 8 } };
const now = '2026-05-01T18:00:00.000Z';

/** Volume by slices: the circle's area at each depth, added up. */
function sliced(boreMm: number, filledMm: number): number {
  const r = boreMm / 2;
  const steps = 100_000;
  let mm3 = 0;
  for (let i = 0; i < steps; i++) {
    const x = ((i + 0.5) / steps) * filledMm;
    const radius2 = x < r ? r * r - (r - x) ** 2 : r * r;
    mm3 += (Math.PI * radius2 * filledMm) / steps;
  }
  return mm3 / 1000;
}

describe('schools of fill', () => {
  test.each(FILL_SCHOOLS.map((s) => [s.name, s.share] as const))(
    '%s, against volume by slices',
    (_, share) => {
      const fill = fillOf(tube, share, 'length', { ...conditions, plugs: { innerMm: 10, outerMm: 10 } }, now);
      expect(fill.waterMl).toBeCloseTo(sliced(14, 150 * share), 3);
      expect(fill.chamberMm).toBeCloseTo(150 * (1 - share) - 20, 9);
    },
  );

  test('by volume the line stands higher, for the round end holds less', () => {
    const byLength = fillOf(tube, 0.5, 'length', conditions, now);
    const byVolume = fillOf(tube, 0.5, 'volume', conditions, now);
    expect(byVolume.lineMm).toBeGreaterThan(byLength.lineMm);
    expect(byVolume.waterMl).toBeCloseTo(tubeVolumeMl(tube, 150) / 2, 6);
  });

  test('more water lasts longer, and its cell is tighter', () => {
    const [half, twoThirds] = [1 / 2, 2 / 3].map((s) => fillOf(tube, s, 'length', conditions, now));
    expect(twoThirds!.waterMl).toBeGreaterThan(half!.waterMl);
    expect(twoThirds!.bodies.low).toBeLessThan(half!.bodies.low);
    // the shorter way of the vapour eats part of what more water gains
    expect(twoThirds!.days.p50 / half!.days.p50).toBeLessThan(twoThirds!.waterMl / half!.waterMl);
  });

  test('which lasts longest is as reckoned, not as a school holds: in a tube of 150 mm three quarters last shortest', () => {
    const fills = FILL_SCHOOLS.map((s) =>
      fillOf({ ...tube, boreMm: 16 }, s.share, 'length', conditions, now),
    );
    const [half, twoThirds, threeQuarters] = fills;
    // by hand: loss goes as one over the way of the vapour, so days as water times way
    const spends = fills.map((f) => f.waterMl * f.pathMm);
    expect(half!.days.p50 / threeQuarters!.days.p50).toBeCloseTo(spends[0]! / spends[2]!, 1);
    expect(lastingOf(fills)).toEqual(['longest', 'between', 'shortest']);
    expect(twoThirds!.days.p50).toBeGreaterThan(threeQuarters!.days.p50);
    // the label of a school says what it holds; the order says what is reckoned
    expect(FILL_SCHOOLS.find((s) => s.holdsLongest)?.id).toBe('three-quarters');
  });

  test('in a long tube more water does last longer', () => {
    const long = { ...tube, lengthMm: 400 };
    const fills = [0.2, 0.5].map((share) => fillOf(long, share, 'length', conditions, now));
    expect(lastingOf(fills)).toEqual(['shortest', 'longest']);
    expect(lastingOf([fills[0]!, null, fills[0]!])).toEqual(['alike', null, 'alike']);
  });

  test('fifteen to twenty millilitres last several months (common practice, no source)', () => {
    const { days } = fillTo(tube, 105, conditions, now);
    expect(days.p50).toBeGreaterThan(90);
    expect(days.p50).toBeLessThan(500);
    expect(days.p10).toBeLessThan(days.p50);
    expect(days.p50).toBeLessThan(days.p90);
  });

  test('a divider takes its room from her cell', () => {
    expect(fillTo(tube, 75, { ...conditions, dividerMm: 20 }, now).cellMm).toBe(25);
    expect(() => fillTo(tube, 100, { ...conditions, dividerMm: 30 }, now)).toThrow(
      /leaves no cell in a chamber of 20/,
    );
  });

  test('three quarters with long plugs leave no chamber, and that is said', () => {
    expect(() =>
      fillOf(tube, 0.75, 'length', { ...conditions, plugs: { innerMm: 20, outerMm: 20 } }, now),
    ).toThrow(/leave no chamber/);
  });

  test('a bubble makes the safe step of warming smaller', () => {
    const step = (bubbleMl: number) =>
      fillTo(tube, 85, { ...conditions, tempC: 12, bubbleMl }, now).safeStepC;
    expect(step(0)).toBeCloseTo(22, 6);
    expect(step(10)).toBeLessThan(20);
  });

  test('the fit is told in her own lengths', () => {
    const fit = (line: number) => fillTo(tube, line, conditions, now).fit;
    expect([fit(110), fit(95), fit(75), fit(40)]).toEqual(['cramped', 'snug', 'roomy', 'wide']);
  });
});
