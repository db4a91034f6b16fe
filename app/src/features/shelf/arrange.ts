import { plainLetters } from '@gentle-burrow/core/light';
import type { ShelfRow } from '@gentle-burrow/core/view';

/** From so many queens on a shelf is searched and sorted. */
export const MANY = 9;

export const SORTS = [
  { value: 'urgent', label: 'Most urgent first' },
  { value: 'name', label: 'By name' },
  { value: 'species', label: 'By species' },
  { value: 'place', label: 'By place' },
  { value: 'batch', label: 'By batch' },
  { value: 'newest', label: 'Newest first' },
] as const;
export type Sort = (typeof SORTS)[number]['value'];

export interface Section {
  title: string;
  rows: ShelfRow[];
}

export const living = (rows: readonly ShelfRow[]) => rows.filter((r) => !r.lost);

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
export const inOrder = (a: string, b: string): number => a.localeCompare(b, undefined, { numeric: true });

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
  otherNamesOf: (row: ShelfRow) => readonly string[] = () => [],
): Section[] {
  const words = plainLetters(search).split(/\s+/).filter(Boolean);
  const found = rows.filter((r) => {
    const { label, batch } = r.queen;
    const text = plainLetters(
      [label, batch, r.placeName, r.site, speciesOf(r), ...otherNamesOf(r)].join(' '),
    );
    return words.every((w) => text.includes(w));
  });
  const here = living(found);
  const sections: Record<Sort, () => Section[]> = {
    urgent: () => byPressure(found),
    name: () => grouped(here, () => 'All by name'),
    species: () => grouped(here, speciesOf),
    place: () => grouped(here, (r) => r.placeName),
    batch: () => grouped(here, (r) => r.queen.batch || 'No batch'),
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

/** "1 tube", "12 tubes". */
export const tubesText = (n: number): string => (n === 1 ? '1 tube' : `${n} tubes`);
