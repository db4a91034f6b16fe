import type { ShelfRow } from '@gentle-burrow/core/view';
import { dayText } from '@/ui/dates';

/** From so many queens on a shelf is searched and sorted. */
export const MANY = 9;

export const SORTS = [
  { value: 'urgent', label: 'Most urgent first' },
  { value: 'name', label: 'By name' },
  { value: 'species', label: 'By species' },
  { value: 'place', label: 'By place' },
  { value: 'newest', label: 'Newest first' },
] as const;
export type Sort = (typeof SORTS)[number]['value'];

export interface Section {
  title: string;
  rows: ShelfRow[];
}

const living = (rows: readonly ShelfRow[]) => rows.filter((r) => !r.lost);

/** Who wants something now or soon. */
export const needing = (rows: readonly ShelfRow[]): ShelfRow[] =>
  living(rows).filter((r) => r.pressure === 'now' || r.pressure === 'soon');

/** The sections of a shelf that is sorted by how urgent it is; those without a tube are left out. */
function byPressure(rows: readonly ShelfRow[]): Section[] {
  return [
    { title: 'Needs you', rows: needing(rows) },
    { title: 'May be looked at', rows: living(rows).filter((r) => r.pressure === 'free') },
    { title: 'At rest', rows: living(rows).filter((r) => r.pressure === 'rest') },
  ];
}

/** A2 before A10. */
const inOrder = (a: string, b: string): number => a.localeCompare(b, undefined, { numeric: true });

function grouped(rows: readonly ShelfRow[], titleOf: (row: ShelfRow) => string): Section[] {
  const groups = new Map<string, ShelfRow[]>();
  for (const r of rows) groups.set(titleOf(r), [...(groups.get(titleOf(r)) ?? []), r]);
  return [...groups]
    .map(([title, some]) => ({ title, rows: some.sort((a, b) => inOrder(a.queen.label, b.queen.label)) }))
    .sort((a, b) => inOrder(a.title, b.title));
}

/** A shelf as it is looked through: what is searched for, in the order asked for; the lost always last. */
export function arrange(
  rows: readonly ShelfRow[],
  { search, sort }: { search: string; sort: Sort },
  speciesOf: (row: ShelfRow) => string,
): Section[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = rows.filter((r) => {
    const text = [r.queen.label, r.queen.batch, r.placeName, speciesOf(r)].join(' ').toLowerCase();
    return words.every((w) => text.includes(w));
  });
  const here = living(found);
  const sections: Record<Sort, () => Section[]> = {
    urgent: () => byPressure(found),
    name: () => grouped(here, () => 'All by name'),
    species: () => grouped(here, speciesOf),
    place: () => grouped(here, (r) => r.placeName),
    newest: () => [
      {
        title: 'Newest first',
        rows: [...here].sort((a, b) => b.queen.createdAt.localeCompare(a.queen.createdAt)),
      },
    ],
  };
  return [...sections[sort](), { title: 'Lost', rows: found.filter((r) => r.lost) }].filter(
    (s) => s.rows.length > 0,
  );
}

/** One calm sentence for the whole shelf. */
export function answer(rows: readonly ShelfRow[]): string {
  const here = living(rows);
  const now = here.filter((r) => r.pressure === 'now').length;
  const soon = here.filter((r) => r.pressure === 'soon').length;
  const rest = here.length - now - soon;
  const need = [
    ...(now > 0 ? [now === 1 ? 'One tube needs you now.' : `${inWords(now)} tubes need you now.`] : []),
    ...(soon > 0 ? [soon === 1 ? 'One will soon.' : `${inWords(soon)} will soon.`] : []),
  ];
  if (here.length === 0) return 'No living queen stands here.';
  const dates = here.flatMap((r) => (r.restUntil ? [r.restUntil] : [])).sort();
  const until = dates[0] ? ` until ${dayText(dates[0])}` : '';
  if (need.length === 0) return `Nothing needs you${until}. Leave the drawer shut.`;
  return [...need, ...(rest > 0 ? [`${inWords(rest)} can be left alone.`] : [])].join(' ');
}

const NUMBERS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];
const inWords = (n: number): string => NUMBERS[n] ?? String(n);

/** "1 tube", "12 tubes". */
export const tubesText = (n: number): string => (n === 1 ? '1 tube' : `${n} tubes`);
