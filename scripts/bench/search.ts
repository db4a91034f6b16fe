import { kindSearch, narrowed, NOTHING_SEEN, type Seen } from '@gentle-burrow/core/species';
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
/** Nothing, one and several things seen of her. */
const SEEN: Partial<Seen>[] = [
  {},
  { waist: 'two nodes' },
  { region: 'Europe', colour: 'black' },
  { region: 'Europe', colour: 'black', waist: 'one node', queenMm: 9 },
];
const TIMES = 200;

/** What a letter more in the picker costs, or an answer more in the key, over the whole catalogue. */
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
  const narrowings: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    for (const seen of SEEN) {
      const begin = performance.now();
      narrowed(KIND_CARDS, { ...NOTHING_SEEN, ...seen });
      narrowings.push(performance.now() - begin);
    }
  }
  return [
    {
      what: 'the key: what is left of all species, and what to look at next',
      budget: '≤ 16 ms',
      measured: `median ${ms(percentile(narrowings, 0.5))}, p95 ${ms(percentile(narrowings, 0.95))}`,
    },
    {
      what: `search over ${KIND_CARDS.length} kinds and their other names`,
      budget: '≤ 16 ms',
      measured: `median ${ms(percentile(times, 0.5))}, p95 ${ms(percentile(times, 0.95))}`,
    },
  ];
}
