import { speciesProfile } from '../species/catalogue';
import { portCaution, widthFault } from './openings';

const TINY = speciesProfile('temnothorax-nylanderi');
const LARGE = speciesProfile('camponotus-vagus');

// "mesh opening smaller than the smallest worker's head; common 0.3 mm mesh lets the smallest kinds out": common practice, no source
test('a width is judged by the smallest head of her kind, and a head that just fits goes through', () => {
  expect(widthFault(TINY, 1)).toMatch(/walk through 1 mm.*narrower than/);
  expect(widthFault(LARGE, 0.6)).toBeUndefined();
  const head = TINY.workerHeadMm.value.low;
  expect(widthFault(TINY, head)).toBeDefined();
  expect(widthFault(TINY, head - 0.01)).toBeUndefined();
  expect(widthFault(TINY, null)).toBeUndefined();
});

test('a port as wide as her smallest worker’s head is said where it is entered; a narrower one is not', () => {
  const heads = { workerHeadMm: { value: { low: 0.6, high: 1.1 } } };
  expect(portCaution(heads, 12)).toMatch(/Plug every port that leads nowhere.*0\.6 mm/);
  expect(portCaution(heads, 0.6)).toBeDefined();
  expect(portCaution(heads, 0.5)).toBeUndefined();
  expect(portCaution(heads, undefined)).toBeUndefined();
});
