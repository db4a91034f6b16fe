import { effectiveEntries, type FactEntry } from '../log';
import { clockOf, dayOf, msOf, type Zone } from '../quantity';
import type { ProfileOf } from '../species/catalogue';
import type { StockLevel } from '../stock';
import type { QueenFacts } from '../view';
import { countCell, mealCell } from './cells';
import { FIELDS, headOf, type SheetKind } from './fields';

/** Rows of a sheet by their heads; figures are numbers, all else is text. */
export type SheetRow = Record<string, string | number>;

/** The heads of a sheet, in order: what is read in again, and what else is told. */
export const headsOf = (kind: SheetKind): string[] => {
  const own = FIELDS[kind].map((f) => f.head);
  return kind === 'log' ? ['species', 'what', ...own, 'details'].sort(firstQueen) : own;
};
const firstQueen = (a: string, b: string): number => Number(b === 'queen') - Number(a === 'queen');

/** What a sheet has columns for; the rest of an entry stands in its details. */
const IN_COLUMNS = [
  'kind',
  'id',
  'queenId',
  'at',
  'loggedAt',
  'eggs',
  'larvae',
  'pupae',
  'workers',
  'queen',
  'food',
  'outcome',
  'waterLineMm',
  'text',
];

/** The log as it holds now, a row an entry, the oldest first. */
export function logRows(all: readonly QueenFacts[], profileOf: ProfileOf, zone: Zone): SheetRow[] {
  const h = (id: string) => headOf('log', id);
  const rows = all.flatMap(({ queen, entries }) => {
    const effective = effectiveEntries(entries).flatMap(({ entry }) => (entry ? [entry] : []));
    const intake = effective.find((e) => e.kind === 'intake');
    const species = intake?.kind === 'intake' ? profileOf(intake.species.profileId).name : '';
    return effective.map((e) => {
      const { eggs, larvae, pupae, workers, waterLineMm, text } = e as Partial<
        Extract<FactEntry, { kind: 'look' }>
      >;
      const rest = Object.fromEntries(Object.entries(e).filter(([k]) => !IN_COLUMNS.includes(k)));
      return {
        ms: msOf(e.at),
        row: {
          [h('queen')]: queen.label,
          species,
          [h('date')]: dayOf(e.at, zone),
          [h('time')]: clockOf(e.at, zone),
          what: e.kind,
          [h('eggs')]: countCell(eggs),
          [h('larvae')]: countCell(larvae),
          [h('pupae')]: countCell(pupae),
          [h('workers')]: countCell(workers),
          [h('seen')]: e.kind === 'look' && e.queen ? (e.queen === 'seen' ? 'yes' : 'no') : '',
          [h('food')]: e.kind === 'feed' ? mealCell(e.food, e.outcome) : '',
          [h('water')]: waterLineMm ?? '',
          [h('note')]: text ?? '',
          details: Object.keys(rest).length > 0 ? JSON.stringify(rest) : '',
          [h('entry')]: e.id,
        } satisfies SheetRow,
      };
    });
  });
  return rows.sort((a, b) => a.ms - b.ms).map((r) => r.row);
}

/** What is in stock now, a row a thing. */
export const stockRows = (levels: readonly StockLevel[]): SheetRow[] =>
  levels.map(({ item, count }) => ({
    [headOf('stock', 'name')]: item.name,
    [headOf('stock', 'kind')]: item.kind.replaceAll('-', ' '),
    [headOf('stock', 'count')]: count,
    [headOf('stock', 'low')]: item.lowAt,
  }));
