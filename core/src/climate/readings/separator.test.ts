import { separatorOf } from './separator';

test('what stands between the cells, whatever stands above the columns', () => {
  expect(separatorOf('date,temp\n2026-06-01,24.3\n')).toBe(',');
  expect(separatorOf('Zeit;Temperatur;Feuchte\n01.06.2026;24,3;50,1\n01.06.2026;24,4;50,2\n')).toBe(';');
  expect(separatorOf('time\ttemp\n2026-06-01\t24,3\n')).toBe('\t');
  const head = 'Device: cellar, shelf 2, left\nOwner: a, b\nSerial: 12\nStarted: 1 June, noon\n\n';
  expect(
    separatorOf(`${head}No;Time;°C\n1;01.06.26 10:00;24,3\n2;01.06.26 11:00;24,3\n3;01.06.26 12:00;24,2`),
  ).toBe(';');
});

test('what stands within quotation marks separates nothing; no separator is told as none', () => {
  expect(separatorOf('"a;b;c",1\n"d;e",2\n')).toBe(',');
  expect(separatorOf('24.3\n24.4\n')).toBeNull();
});
