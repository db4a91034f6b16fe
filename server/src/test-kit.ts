import { usualTube } from '@gentle-burrow/core/tube';
import { join } from 'node:path';
import type { HomePart, Place, Queen, TubeHome } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { buildApp } from './app';
import { openDb } from './db/open';
import { Store } from './db/store';
import type { Projector } from './jobs/pool';
import { project } from './jobs/project-task';
import { Views } from './jobs/views';

export const MIGRATIONS = join(__dirname, '..', 'drizzle');
export const NOW = new Date('2026-07-01T12:00:00.000Z');
export const daysAgo = (n: number): string => new Date(NOW.getTime() - n * 86_400_000).toISOString();

/** A real database in memory; projections run at once, in this thread. */
export async function testServer() {
  const store = new Store(await openDb({ migrationsFolder: MIGRATIONS }));
  await store.prepare();
  const inline: Projector = { size: 1, run: async (task) => project(task), close: async () => {} };
  const clock = { now: NOW };
  const views = new Views(store, inline);
  const app = await buildApp({ store, views, version: '0.0.0-test', now: () => clock.now });
  return {
    app,
    store,
    views,
    clock,
    async close() {
      await app.close();
      await store.close();
    },
  };
}

export interface NewQueenFacts<H extends HomePart = TubeHome> {
  queen: Queen;
  home: H;
  place: Place;
  intake: Entry;
}

export function newQueen(label = 'Q1', takenIn = 30): NewQueenFacts {
  const at = daysAgo(takenIn);
  const home: TubeHome = usualTube(v7(), at);
  const place: Place = { id: v7(), name: `Place of ${label}`, tempC: 25, roomRelHumidity: 0.5, winter: null };
  const queen: Queen = {
    id: v7(),
    label,
    batch: '',
    homeId: home.id,
    placeId: place.id,
    lookingSchool: null,
    createdAt: at,
  };
  const intake: Entry = {
    kind: 'intake',
    id: v7(),
    queenId: queen.id,
    at,
    loggedAt: at,
    found: 'walking',
    wings: 'dealate',
    species: { profileId: 'tetramorium-immigrans', sure: 'likely' },
  };
  return { queen, home, place, intake };
}

export function lookEntry(queenId: string, ago: number, eggs = 0, larvae = 0): Entry {
  return {
    kind: 'look',
    id: v7(),
    queenId,
    at: daysAgo(ago),
    loggedAt: daysAgo(ago),
    queen: 'seen',
    eggs: { low: eggs, high: eggs },
    larvae: { low: larvae, high: larvae },
    pupae: { low: 0, high: 0 },
    workers: { low: 0, high: 0 },
  };
}

/** A small picture, all of one colour. */
export const picture = (colour: string): Promise<Buffer> =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: colour } })
    .jpeg()
    .toBuffer();

export const factsOf = ({ queen, home, place, intake }: NewQueenFacts<HomePart>) =>
  [
    { fact: 'place', value: place },
    { fact: 'home', value: home },
    { fact: 'queen', value: queen },
    { fact: 'entry', value: intake },
  ] as const;
