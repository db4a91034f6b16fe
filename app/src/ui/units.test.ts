import { unitsOf } from '@/theme/preferences';
import { phraseText } from './Said';
import { inUnits, numberInput, parseNumber, sizeText } from './units';

const INCHES = { length: 'in', temperature: 'F' } as const;
const METRIC = { length: 'mm', temperature: 'C' } as const;

// 25.4 mm to the inch exactly (international yard and pound agreement, 1959); °F = 1.8 °C + 32 by definition
test.each([
  [
    'The water line (132 mm) lies beyond the tube (125 mm).',
    'The water line (5.2 in) lies beyond the tube (4.92 in).',
  ],
  ['plugs (15 and 25.4 mm) leave no chamber', 'plugs (0.59 and 1 in) leave no chamber'],
  ['5 × 13, 38 × 21.2 mm', '5 × 13, 1.5 × 0.83 in'],
  ['Strips round a tube of 16 mm, 70 × 18 mm', 'Strips round a tube of 0.63 in, 2.76 × 0.71 in'],
  [
    'The temperature is above 45 °C: no queen lives there.',
    'The temperature is above 113 °F: no queen lives there.',
  ],
  ['Give a temperature between 0 and 45 °C.', 'Give a temperature between 32 and 113 °F.'],
  ['down to -10 °C', 'down to 14 °F'],
  ['A sheet has 65 labels.', 'A sheet has 65 labels.'],
])('%s', (metric, imperial) => {
  expect(inUnits(metric, INCHES)).toBe(imperial);
  expect(inUnits(metric, METRIC)).toBe(metric);
});

test('a tube’s size follows the unit of length', () => {
  expect(sizeText(16, 150, 'mm')).toBe('16 × 150');
  expect(sizeText(16, 150, 'in')).toBe('0.63 × 5.9');
});

test('a field shows the decimal sign of the browser’s language, and takes either', () => {
  expect(numberInput(16.5, 'de-DE')).toBe('16,5');
  expect(numberInput(1234.25, 'en-US')).toBe('1234.25');
  expect(parseNumber(numberInput(16.5, 'de-DE'))).toBe(16.5);
});

test('a gap that must hold ants is told finely enough in inches too: 0.45 mm is no 0.02 in', () => {
  const says = 'No gap as wide as 0.45 mm, the head of her kind’s smallest worker.';
  const inches = { length: 'in', temperature: 'C' } as const;
  expect(inUnits(says, inches)).toBe('No gap as wide as 0.018 in, the head of her kind’s smallest worker.');
  expect(phraseText([says], inches)).toBe(inUnits(says, inches));
});

// Fahrenheit and inches by country: CLDR measurementData, from memory
test.each([
  ['en-US', 'F', 'in'],
  ['es-US', 'F', 'in'],
  ['en-GB', 'C', 'mm'],
  ['de', 'C', 'mm'],
  ['en', 'C', 'mm'],
  ['en-BS', 'F', 'mm'],
  [undefined, 'C', 'mm'],
])('a device in %s begins with °%s and %s', (language, temperature, length) =>
  expect(unitsOf(language)).toEqual({ temperature, length }),
);
