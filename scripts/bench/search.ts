import { kindSearch } from '@gentle-burrow/core/species';
import { KIND_CARDS } from '@gentle-burrow/core/species/catalogue';
import { ms, percentile, type Row } from './row';

const TYPED = [
  'm',
  'me',
  'mes',
  'mes s',
  'garden',
  'ant',
  'l',
  'camponotus ligniperdus',
  'black g',
  'griffin',
];
const TIMES = 200;

/** What a letter more in the picker costs, over the whole catalogue. */
export function benchSearch(): Row[] {
  const search = kindSearch(KIND_CARDS);
  const times: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    for (const text of TYPED) {
      const begin = performance.now();
      search(text, 60);
      times.push(performance.now() - begin);
    }
  }
  return [
    {
      what: `search over ${KIND_CARDS.length} kinds and their other names`,
      budget: '≤ 16 ms',
      measured: `median ${ms(percentile(times, 0.5))}, p95 ${ms(percentile(times, 0.95))}`,
    },
  ];
}
