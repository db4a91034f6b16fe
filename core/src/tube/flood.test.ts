import { dropsOf, floodMl, floodReserveMl, safeStepC } from './index';

describe('water pushed out by warming', () => {
  // computed outside the project with Massman's and IAPWS figures; ideal gas saturated with vapour at 101.325 kPa
  test.each([
    [2.0, 20, 30, 0.109],
    [1.0, 22, 32, 0.0565],
  ])('a bubble of %s ml from %s to %s °C', (bubbleMl, fromC, toC, expected) => {
    expect(floodMl({ bubbleMl, waterMl: 0, fromC, toC })).toBeCloseTo(expected, 3);
  });

  test('the water itself grows as its density falls (densities of IAPWS-IF97: 998.206 and 995.652 kg/m³)', () => {
    expect(floodMl({ bubbleMl: 0, waterMl: 20, fromC: 20, toC: 30 })).toBeCloseTo(
      20 * (998.206 / 995.652 - 1),
      3,
    );
  });

  test('dry air alone would push out less than air with vapour (Gay-Lussac)', () => {
    const dry = 2 * (303.15 / 293.15 - 1);
    expect(floodMl({ bubbleMl: 2, waterMl: 0, fromC: 20, toC: 30 })).toBeGreaterThan(dry * 1.5);
  });

  test('cooling draws it back, nothing changes nothing', () => {
    expect(floodMl({ bubbleMl: 1, waterMl: 15, fromC: 28, toC: 20 })).toBeLessThan(0);
    expect(floodMl({ bubbleMl: 1, waterMl: 15, fromC: 24, toC: 24 })).toBe(0);
  });

  test('one drop is a twentieth of a ml (pharmacopoeial dropper, from memory)', () => {
    expect(dropsOf(0.109)).toBe(2.2);
  });

  test.each([
    [{ bubbleMl: -1, waterMl: 0, fromC: 20, toC: 30 }, /bubble \(-1 ml\) is outside/],
    [{ bubbleMl: 1, waterMl: NaN, fromC: 20, toC: 30 }, /water is not a number/],
    [{ bubbleMl: 1, waterMl: 0, fromC: 20, toC: 90 }, /temperature after \(90 °C\)/],
  ])('%j is refused', (input, says) => expect(() => floodMl(input)).toThrow(says));
});

describe('the safe step', () => {
  test('is the warming that pushes out just what is allowed', () => {
    const tube = { bubbleMl: 3, waterMl: 15, fromC: 20 };
    const { stepC, limitedBy } = safeStepC(tube);
    expect(limitedBy).toBe('flood');
    expect(floodMl({ ...tube, toC: 20 + stepC })).toBeCloseTo(0.05, 6);
  });

  test('without a bubble heat sets the limit before water does', () => {
    expect(safeStepC({ bubbleMl: 0, waterMl: 5, fromC: 22 }, 0.1)).toEqual({ stepC: 12, limitedBy: 'heat' });
  });

  test('no step from where it is too hot already', () => {
    expect(safeStepC({ bubbleMl: 1, waterMl: 10, fromC: 36 }).stepC).toBe(0);
  });
});

test('the reserve is the dry third of the plug and a film of a millimetre on the floor', () => {
  const tube = { boreMm: 14, lengthMm: 150, end: 'round' as const };
  // the segment's area by integrating the chord from the bottom to one millimetre
  let area = 0;
  const steps = 20_000;
  for (let i = 0; i < steps; i++) {
    const h = (i + 0.5) / steps;
    area += (2 * Math.sqrt(7 ** 2 - (7 - h) ** 2)) / steps;
  }
  const film = (area * 35) / 1000;
  const plug = (Math.PI * 7 ** 2 * 15 * 0.8) / 3 / 1000;
  expect(floodReserveMl(tube, 85, { innerMm: 15, outerMm: 15 })).toBeCloseTo(film + plug, 4);
});
