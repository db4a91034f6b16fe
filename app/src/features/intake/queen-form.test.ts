import { newQueenSchema } from '@gentle-burrow/contract';
import { dayInput } from '@/ui/dates';
import { newQueenOf, nextLabel, queenFormSchema, type QueenForm } from './queen-form';

const GOOD: QueenForm = {
  found: 'bought',
  day: dayInput(new Date()),
  where: '',
  label: 'A',
  batch: '',
  broodWithHer: { eggs: null, larvae: null, pupae: null, workers: { low: 6, high: 8 } },
  profileId: 'messor-structor',
  sure: 'likely',
  namedBy: '',
  wings: 'unknown',
  outsideMm: 16,
  boreMm: 14,
  lengthMm: 150,
  end: 'round',
  waterLineMm: 85,
  innerMm: 15,
  outerMm: 15,
  placeId: '',
  placeName: 'Drawer',
  tempC: 24,
  roomRelHumidity: 0.5,
};

const faults = (change: Partial<Record<keyof QueenForm, unknown>>) =>
  (queenFormSchema.safeParse({ ...GOOD, ...change }).error?.issues ?? []).map(
    (i) => `${i.path[0] as string}: ${i.message}`,
  );

test('a good form becomes facts that the contract takes', () => {
  const body = newQueenOf(queenFormSchema.parse(GOOD), []);
  expect(newQueenSchema.safeParse(body).error).toBeUndefined();
  expect(body.intake).toMatchObject({ workers: { low: 6, high: 8 } });
  expect(body.place.name).toBe('Drawer');
});

test('brood is not kept for a queen caught alone', () => {
  expect(newQueenOf({ ...GOOD, found: 'walking' }, []).intake).not.toHaveProperty('workers');
});

test('a place that is known is used, not made again', () => {
  const { place } = newQueenOf(GOOD, []);
  expect(newQueenOf({ ...GOOD, placeId: place.id }, [place]).place).toBe(place);
});

test.each([
  [{ found: undefined }, /^found: Say how she came/],
  [{ day: '2999-01-01' }, /^day: That day is still to come/],
  [{ label: '  ' }, /^label: Give her a letter/],
  [{ profileId: '' }, /^profileId: Choose a species/],
  [{ waterLineMm: 160 }, /^waterLineMm: The water line \(160 mm\) lies beyond the tube \(150 mm\)/],
  [{ waterLineMm: 125 }, /^waterLineMm: Water and plugs leave no chamber/],
  [{ boreMm: 17 }, /^boreMm: The bore \(17 mm\) is not smaller/],
  [{ placeName: '' }, /^placeName: Give the place a name/],
  [{ tempC: 60 }, /^tempC: .*no queen lives there/],
  [{ tempC: NaN }, /^tempC: The temperature is not a number/],
])('%j is refused with the way to mend it', (change, says) => {
  expect(faults(change).join('\n')).toMatch(says);
});

test('the next free letter goes on after Z', () => {
  expect(nextLabel([])).toBe('A');
  expect(nextLabel(['a', 'B', 'D'])).toBe('C');
  expect(nextLabel([...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'])).toBe('A2');
});
