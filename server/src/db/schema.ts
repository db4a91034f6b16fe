import type {
  BodyHome,
  HomePart,
  Probe,
  Spot,
  StockItem,
  StockMove,
  TubeHome,
} from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import type { KindRecord, OwnKind } from '@gentle-burrow/core/species';
import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  customType,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';

const moment = (name: string) => timestamp(name, { withTimezone: true, precision: 3, mode: 'date' });

const bytes = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });

/** All that a queen can be named by: the catalogue, brought up to date at each start, and the keeper's own, which never are. */
export const speciesProfiles = pgTable('species_profiles', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  profile: jsonb('profile').$type<KindRecord | OwnKind>().notNull(),
  own: boolean('own').notNull().default(false),
});

export const places = pgTable('places', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  tempC: doublePrecision('temp_c').notNull(),
  roomRelHumidity: doublePrecision('room_rel_humidity').notNull(),
  winterUntil: moment('winter_until'),
  winterThenTempC: doublePrecision('winter_then_temp_c'),
  /** What the spot is like: light, vibration, moved air, heat. */
  spot: jsonb('spot').$type<Spot>(),
});

type Bare<P> = Omit<P, 'id' | 'kind' | 'setUpAt'>;
/** What is measured of a first home. */
type HomeBody = Bare<TubeHome> | Bare<BodyHome>;

/** First homes: what is measured of a part depends on its kind, and stands in the body. */
export const homes = pgTable(
  'homes',
  {
    id: uuid('id').primaryKey(),
    kind: text('kind').$type<HomePart['kind']>().notNull(),
    body: jsonb('body').$type<HomeBody>().notNull(),
    setUpAt: moment('set_up_at').notNull(),
  },
  (t) => [
    check(
      'homes_water_in_tube',
      sql`${t.kind} <> 'tube' or (${t.body} ->> 'waterLineMm')::float8 between 0 and (${t.body} ->> 'lengthMm')::float8`,
    ),
  ],
);

export const queens = pgTable(
  'queens',
  {
    id: uuid('id').primaryKey(),
    label: text('label').notNull(),
    batch: text('batch').notNull().default(''),
    homeId: uuid('home_id')
      .notNull()
      .references(() => homes.id),
    placeId: uuid('place_id')
      .notNull()
      .references(() => places.id),
    lookingSchool: text('looking_school'),
    lightSchool: text('light_school'),
    patienceSchool: text('patience_school'),
    createdAt: moment('created_at').notNull(),
  },
  (t) => [index('queens_home').on(t.homeId), index('queens_place').on(t.placeId)],
);

/** Append-only: a trigger refuses update and delete. What is wrong is amended by another entry. */
export const entries = pgTable(
  'entries',
  {
    id: uuid('id').primaryKey(),
    queenId: uuid('queen_id')
      .notNull()
      .references(() => queens.id),
    kind: text('kind').notNull(),
    at: moment('at').notNull(),
    loggedAt: moment('logged_at').notNull(),
    receivedAt: moment('received_at').notNull().defaultNow(),
    /** For an amendment: the entry that it puts right. */
    amends: uuid('amends'),
    /** For an intake: the profile it names. */
    speciesId: text('species_id').references(() => speciesProfiles.id),
    /** The whole entry as it was written; the other columns are taken from it for keys and indices. */
    body: jsonb('body').$type<Entry>().notNull(),
  },
  (t) => [
    foreignKey({ columns: [t.amends], foreignColumns: [t.id], name: 'entries_amends' }),
    index('entries_queen_at').on(t.queenId, t.at),
    index('entries_amends_idx').on(t.amends),
  ],
);

export const stockItems = pgTable('stock_items', {
  id: uuid('id').primaryKey(),
  kind: text('kind').$type<StockItem['kind']>().notNull(),
  name: text('name').notNull(),
  tube: jsonb('tube').$type<NonNullable<StockItem['tube']>>(),
  connector: jsonb('connector').$type<NonNullable<StockItem['connector']>>(),
  lowAt: integer('low_at').notNull().default(0),
});

/** Changes of the stock: only ever added. */
export const stockMoves = pgTable(
  'stock_moves',
  {
    id: uuid('id').primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => stockItems.id),
    at: moment('at').notNull(),
    delta: integer('delta').notNull(),
    why: text('why').$type<StockMove['why']>().notNull(),
    queenId: uuid('queen_id').references(() => queens.id),
  },
  (t) => [index('stock_moves_item').on(t.itemId)],
);

/** Pictures, made smaller and without anything that tells where they were taken. */
export const photos = pgTable(
  'photos',
  {
    id: uuid('id').primaryKey(),
    queenId: uuid('queen_id')
      .notNull()
      .references(() => queens.id),
    at: moment('at').notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    /** JPEG. */
    whole: bytes('whole').notNull(),
    thumb: bytes('thumb').notNull(),
  },
  (t) => [index('photos_queen_at').on(t.queenId, t.at)],
);

/** Whatever measures at the places. */
export const probes = pgTable('probes', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  body: jsonb('body').$type<Probe>().notNull(),
});

/** Which secret a probe sends with: only what it comes to by a one-way function. */
export const probeTokens = pgTable('probe_tokens', {
  probeId: uuid('probe_id')
    .primaryKey()
    .references(() => probes.id),
  hash: text('hash').notNull(),
  madeAt: moment('made_at').notNull(),
});

/**
 * Readings, a row a day (of UTC) and probe: each as it came, and the hours and the day that are rolled up from them, written
 * together. Hundredths of a degree and of a percent.
 */
export const readingDays = pgTable(
  'reading_days',
  {
    probeId: uuid('probe_id')
      .notNull()
      .references(() => probes.id),
    /** Days since 1970. */
    day: integer('day').notNull(),
    n: integer('n').notNull(),
    tempMin: integer('temp_min'),
    tempMean: doublePrecision('temp_mean'),
    tempMax: integer('temp_max'),
    rhMin: integer('rh_min'),
    rhMean: doublePrecision('rh_mean'),
    rhMax: integer('rh_max'),
    hours: bytes('hours').notNull(),
    readings: bytes('readings').notNull(),
  },
  (t) => [primaryKey({ columns: [t.probeId, t.day] })],
);

export const settings = pgTable('settings', {
  key: text('key').primaryKey(),
  value: jsonb('value').$type<unknown>().notNull(),
});
