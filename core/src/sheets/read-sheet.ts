import { FOUND_HOW, queenSchema, STOCK_KINDS, type FoundHow, type Place } from '../facts';
import { entrySchema, type Entry } from '../log';
import { InputError, instantOf, type Instant } from '../quantity';
import type { Fact } from '../records';
import { resolveKind } from '../species/catalogue';
import type { StockLevel } from '../stock';
import { usualTube } from '../tube';
import { ROOM_WARM_C } from '../warmth';
import { countIn, figureIn, mealIn, plainCell, yesIn } from './cells';
import { FIELDS, type SheetKind } from './fields';
import { momentReader, type SheetMapping } from './mapping';
import { sheetId } from './sheet-id';

/** What is here already, and what a sheet is held against. */
export interface SheetContext {
  now: Instant;
  queens: readonly { id: string; label: string }[];
  /** Ids of entries that are here: their rows are passed over. */
  entryIds: ReadonlySet<string>;
  stock: readonly StockLevel[];
  /** Every place that is here, which a column may name. */
  places: readonly Place[];
  /** Where queens stand whose row names no place; null while the keeper has not said. */
  place: Place | null;
}

/** Reads rows of a sheet one after the other. */
export interface SheetReader {
  /** @returns what is wrong with the row; null when it was taken, is empty or is here already */
  read(row: readonly string[]): string | null;
  /** What the rows came to so far. */
  taken(): Fact[];
  /** How many rows told what is here already. */
  known(): number;
}

/**
 * @returns a reader of rows by what stands in which column
 * @throws InputError for a time zone that is none
 */
export function sheetReader(kind: SheetKind, mapping: SheetMapping, context: SheetContext): SheetReader {
  const momentIn = momentReader(mapping);
  const facts: Fact[] = [];
  let known = 0;
  const readRow = { log: logRow, captures: captureRow, stock: stockRow }[kind];
  return {
    read(row) {
      if (row.every((c) => c.trim() === '')) return null;
      try {
        for (const { id, head, needed } of FIELDS[kind])
          if (needed && plainCell(row[mapping.columns[id] ?? -1]) === '')
            throw new InputError(id, `It has no ${head}.`);
        const told = readRow({
          cell: (id) => plainCell(row[mapping.columns[id] ?? -1]),
          figure: (id, what) => figureIn(plainCell(row[mapping.columns[id] ?? -1]), what, mapping.decimal),
          at: () => {
            const ms = momentIn(row);
            if (typeof ms === 'string') throw new InputError('date', ms);
            if (ms > Date.parse(context.now)) throw new InputError('date', 'The date lies in the future.');
            return { ms, at: instantOf(ms) };
          },
          context,
          before: facts,
        });
        if (told.length === 0) known++;
        facts.push(...told);
        return null;
      } catch (error) {
        if (error instanceof InputError) return error.message;
        throw error;
      }
    },
    taken: () => facts,
    known: () => known,
  };
}

interface Row {
  cell(id: string): string;
  /** @throws InputError for what is no figure */
  figure(id: string, what: string): number | undefined;
  /** @throws InputError for a row of no moment, or of one that is still to come */
  at(): { ms: number; at: Instant };
  context: SheetContext;
  /** What the rows above came to. */
  before: readonly Fact[];
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** A look, a feed or a note: whatever the row tells. */
function logRow({ cell, figure, at, context }: Row): Fact[] {
  const label = cell('queen');
  const named = context.queens.filter((q) => sameName(q.label, label));
  const [queen] = named;
  if (!queen)
    throw new InputError(
      'queen',
      `There is no queen “${label}” here. Take her in first, or read in your captures first.`,
    );
  if (named.length > 1)
    throw new InputError(
      'queen',
      `There are ${named.length} queens “${label}” here. Give them letters of their own first.`,
    );
  const given = cell('entry');
  if (given !== '' && context.entryIds.has(given)) return [];
  const { ms, at: moment } = at();
  const counts = {
    eggs: countIn(cell('eggs')),
    larvae: countIn(cell('larvae')),
    pupae: countIn(cell('pupae')),
    workers: countIn(cell('workers')),
  };
  const seen = yesIn(cell('seen'));
  const waterLineMm = figure('water', 'water line');
  const meal = mealIn(cell('food'));
  const text = cell('note');
  const looked =
    Object.values(counts).some((c) => c !== undefined) || seen !== undefined || waterLineMm !== undefined;
  if (!looked && !meal && text === '')
    throw new InputError('row', 'It tells nothing that can be written down: no count, no food and no note.');
  const entry = (body: { kind: string }): Fact => {
    const told = [queen.id, moment, JSON.stringify(body)];
    const first = body.kind !== 'feed' || !looked;
    const id = given !== '' && first ? given : sheetId(ms, told);
    return asEntry({ ...body, id, queenId: queen.id, at: moment, loggedAt: moment });
  };
  const note = text === '' ? {} : { text };
  const all: Fact[] = [];
  if (looked)
    all.push(
      entry({
        kind: 'look',
        ...(seen === undefined ? {} : { queen: seen ? 'seen' : 'not-seen' }),
        ...Object.fromEntries(Object.entries(counts).filter(([, c]) => c !== undefined)),
        ...(waterLineMm === undefined ? {} : { waterLineMm }),
        ...note,
      } as { kind: string }),
    );
  if (meal) all.push(entry({ kind: 'feed', ...meal, ...(looked ? {} : note) } as { kind: string }));
  if (!looked && !meal) all.push(entry({ kind: 'note', ...note } as { kind: string }));
  return all.filter((f) => f.fact !== 'entry' || !context.entryIds.has(f.value.id));
}

function asEntry(value: object): Fact {
  const read = entrySchema.safeParse(value);
  if (read.success) return { fact: 'entry', value: read.data as Entry };
  throw new InputError('row', read.error.issues[0]?.message ?? 'It cannot be read.');
}

const FOUND: readonly (readonly [FoundHow, RegExp])[] = [
  ['walking', /walk|ground|pavement/i],
  ['digging', /dig/i],
  ['in-water', /water|pool/i],
  ['under-stone', /stone|wood|bark/i],
  ['bought-with-workers', /bought.*worker/i],
  ['bought', /bought|shop/i],
  ['swapped', /swap/i],
  ['given', /given|gift/i],
  ['small-colony', /colony/i],
];
function foundIn(cell: string): FoundHow {
  const exact = FOUND_HOW.find((f) => sameName(f.replaceAll('-', ' '), cell.replaceAll('-', ' ')));
  return exact ?? FOUND.find(([, names]) => names.test(cell))?.[0] ?? 'unknown';
}

/** A place of which nobody has measured the warmth: about room warm is taken, and every date is wide. */
export const unmeasuredPlace = (name: string): Place => ({
  id: sheetId(0, ['place', name.toLowerCase()]),
  name,
  tempC: ROOM_WARM_C,
  roomRelHumidity: 0.5,
  winter: null,
  spot: { measured: false },
});

/** The place that a row names, one that is here or a new one; else the one that was chosen for all. */
function placeIn(name: string, { places, place }: SheetContext): Place {
  if (name !== '') return places.find((p) => sameName(p.name, name)) ?? unmeasuredPlace(name.slice(0, 80));
  if (place) return place;
  throw new InputError('place', 'It names no place. Choose where these queens are kept.');
}

/** A queen with her first tube, the place where she stands and how she came. */
function captureRow({ cell, figure, at, context, before }: Row): Fact[] {
  const label = cell('label');
  if (context.queens.some((q) => sameName(q.label, label))) return [];
  if (before.some((f) => f.fact === 'queen' && sameName(f.value.label, label)))
    throw new InputError(
      'label',
      `“${label}” stands in a row above already. Give each queen a letter of her own.`,
    );
  const { ms, at: moment } = at();
  const name = cell('species');
  const kind = resolveKind(name);
  const [lat, lon] = [figure('lat', 'latitude'), figure('lon', 'longitude')];
  if ((lat === undefined) !== (lon === undefined))
    throw new InputError('lat', 'Latitude and longitude belong together. Give both, or neither.');
  const uncertaintyM = figure('uncertainty', 'number of metres');
  const id = (what: string) => sheetId(ms, [what, label, moment]);
  const place = placeIn(cell('place'), context);
  const home = usualTube(id('home'), moment);
  const queen = queenSchema.safeParse({
    id: id('queen'),
    label,
    batch: cell('batch'),
    homeId: home.id,
    placeId: place.id,
    createdAt: moment,
  });
  if (!queen.success) throw new InputError('label', queen.error.issues[0]?.message ?? 'It cannot be read.');
  const intake = asEntry({
    kind: 'intake',
    id: id('intake'),
    queenId: queen.data.id,
    at: moment,
    loggedAt: moment,
    found: foundIn(cell('found')),
    species: {
      profileId: kind.id,
      sure: kind.level === 'species' ? 'likely' : 'guess',
      ...(name !== '' && kind.level !== 'species' ? { called: name.slice(0, 120) } : {}),
    },
    ...(cell('where') === '' ? {} : { where: cell('where') }),
    ...(lat === undefined
      ? {}
      : { coordinates: { lat, lon, ...(uncertaintyM === undefined ? {} : { uncertaintyM }) } }),
    ...(cell('note') === '' ? {} : { text: cell('note') }),
  });
  return [
    ...(context.places.some((p) => p.id === place.id) ||
    before.some((f) => f.fact === 'place' && f.value.id === place.id)
      ? []
      : [{ fact: 'place', value: place } as const]),
    { fact: 'home', value: home },
    { fact: 'queen', value: queen.data },
    intake,
  ];
}

/** A thing that is counted: what is here becomes what was counted. */
function stockRow({ cell, figure, context, before }: Row): Fact[] {
  const name = cell('name').slice(0, 80);
  const count = figure('count', 'number of pieces');
  if (count === undefined || !Number.isInteger(count) || count < 0 || count > 10_000)
    throw new InputError('count', 'Count whole pieces, from 0 to 10,000.');
  const told = cell('kind').toLowerCase().replaceAll(' ', '-');
  const here = context.stock.find(
    (l) => sameName(l.item.name, name) && (told === '' || l.item.kind === told),
  );
  const kind = here?.item.kind ?? STOCK_KINDS.find((k) => k === told) ?? 'other';
  if (before.some((f) => f.fact === 'stock-item' && sameName(f.value.name, name)))
    throw new InputError('name', `“${name}” stands in a row above already.`);
  const lowAt = figure('low', 'number of pieces') ?? here?.item.lowAt ?? 0;
  if (!Number.isInteger(lowAt) || lowAt < 0 || lowAt > 1000)
    throw new InputError('low', 'Say with a whole number from 0 to 1,000 how few is low.');
  const item = here?.item ?? { id: sheetId(0, ['stock', kind, name]), kind, name, tube: null, lowAt };
  const delta = count - (here?.count ?? 0);
  const changed = !here || here.item.lowAt !== lowAt;
  if (delta === 0 && !changed) return [];
  const ms = Date.parse(context.now);
  return [
    { fact: 'stock-item', value: { ...item, lowAt } },
    ...(delta === 0
      ? []
      : [
          {
            fact: 'stock-move',
            // how many there were before is part of it: the same sheet after another change is a count of its own
            value: {
              id: sheetId(ms, ['count', item.id, `${here?.count ?? 0} ${count}`]),
              itemId: item.id,
              at: context.now,
              delta,
              why: 'counted',
              queenId: null,
            },
          } as const,
        ]),
  ];
}
