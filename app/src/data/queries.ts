import { DAY_MS } from '@gentle-burrow/core/quantity';
import type { QueenDetail, Shelf } from '@gentle-burrow/contract';
import type { KeeperSettings, Place } from '@gentle-burrow/core/facts';
import type { Learned } from '@gentle-burrow/core/founding';
import { ownCard, type KindCard, type OwnKind } from '@gentle-burrow/core/species';
import type { QueenFacts, QueenView, ShelfRow } from '@gentle-burrow/core/view';
import { byUrgency, DEFAULT_SETTINGS, isWithdrawn } from '@gentle-burrow/core/light';
import {
  keepPreviousData,
  useQueries,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import { useMemo } from 'react';
import { showDatesIn } from '@/ui/dates';
import { CLIMATE_KEY, climateQuery } from './climate';
import { dailyQuery } from './daily-backup';
import { fetchAnew } from './fetch-anew';
import { call } from './network';
import { onSent, useOutbox, type OutboxItem, type Outgoing } from './outbox';
import { newQueensIn, queenIdsOf, withPending } from './pending';
import { projectLocally } from './projection';
import { stockQuery } from './stock';
import { told } from './told';

const NOTHING_LEARNED: Learned = {};

const KEYS = {
  shelf: ['shelf'],
  queen: (id: string) => ['queen', id],
  species: ['species'],
  ownKinds: ['own-kinds'],
  learned: ['learned'],
  places: ['places'],
  settings: ['settings'],
};

/**
 * Works what was sent into what is kept here of a queen. It leaves the outbox next: when she cannot be fetched anew just now, or is
 * not shown at the moment, her log must not lose it until she is.
 */
function keepSent(client: QueryClient, out: Outgoing): void {
  for (const id of new Set(queenIdsOf(out)))
    client.setQueryData<QueenDetail>(KEYS.queen(id), (kept) => {
      const facts = kept && withPending(id, factsOf(kept), [{ id: '', out }]);
      return kept && facts ? { ...kept, ...facts, measured: kept.measured, falls: kept.falls } : undefined;
    });
}

/** Fetches anew what a sent item has changed. To be called once, at the start. */
export function refetchAfterSending(client: QueryClient): void {
  onSent(async (out: Outgoing) => {
    if (out.what === 'probe' || out.what === 'readings' || out.what === 'readings-taken-back')
      return fetchAnew(client, CLIMATE_KEY);
    const keys: string[][] = [KEYS.shelf, KEYS.learned, ...queenIdsOf(out).map(KEYS.queen)];
    if (out.what === 'queen' || out.what === 'place') keys.push(KEYS.places);
    if (out.what === 'settings') keys.push(KEYS.settings);
    if (out.what === 'own-kind') keys.push(KEYS.ownKinds);
    const parts =
      out.what === 'entries' && out.entries.some((e) => e.kind === 'home' || e.kind === 'amendment');
    if (parts || out.what === 'stock-item' || out.what === 'stock-move' || out.what === 'queen')
      keys.push(stockQuery.queryKey);
    if (out.what === 'place' || out.what === 'settings' || out.what === 'own-kind') keys.push(['queen']);
    keepSent(client, out);
    await Promise.allSettled([
      ...keys.map((queryKey) => fetchAnew(client, queryKey)),
      // nobody has asked for a new queen yet: without this her page would be empty until someone does
      ...(out.what === 'queen'
        ? [client.prefetchQuery({ ...queenQuery(out.body.queen.id), staleTime: 0 })]
        : []),
    ]);
  });
}

export const shelfQuery = { queryKey: KEYS.shelf, queryFn: () => call<Shelf>('/shelf') };
/** The catalogue changes with the application alone. */
const CATALOGUE_FRESH_MS = DAY_MS;

const speciesQuery = {
  queryKey: KEYS.species,
  queryFn: () => call<{ species: KindCard[] }>('/species'),
  staleTime: CATALOGUE_FRESH_MS,
};

/** Asks for what the first page shows before it is drawn, so that it is drawn once, with its tubes and its alarms. */
export function askForShelf(client: QueryClient): void {
  void client.prefetchQuery(shelfQuery);
  void client.prefetchQuery(speciesQuery);
  void client.prefetchQuery(ownKindsQuery);
  void client.prefetchQuery(climateQuery);
  void client.prefetchQuery(dailyQuery);
}

const ownKindsQuery = { queryKey: KEYS.ownKinds, queryFn: () => call<{ kinds: OwnKind[] }>('/own-kinds') };

/** The keeper's own profiles, those put away too, with what still waits to be sent. */
export function useOwnKinds(): readonly OwnKind[] {
  const items = useOutbox();
  const { data } = useQuery(ownKindsQuery);
  return useMemo(() => {
    const all = new Map((data?.kinds ?? []).map((k) => [k.id, k]));
    // one that the server refused stays too, so that it can be mended
    for (const { out } of items) if (out.what === 'own-kind') all.set(out.kind.id, out.kind);
    return [...all.values()].sort((a, b) => a.name.localeCompare(b.name));
  }, [data, items]);
}

/** Whether the keeper's own profiles are known, or nobody can tell them now. */
export function useOwnKindsKnown(): boolean {
  return told(useQuery(ownKindsQuery));
}

/** Names and looks of every kind, the keeper's own first; what one is reckoned by is in its profile (`useProfileOf`). */
export function useSpecies(): readonly KindCard[] {
  const { data } = useQuery(speciesQuery);
  const own = useOwnKinds();
  return useMemo(() => {
    const cards = data?.species ?? [];
    const copied = (k: OwnKind) => cards.find((c) => c.id === k.copiedOf);
    const mine = own.flatMap((k) => {
      const card = copied(k) ?? cards.find((c) => c.rank === 'type');
      return card ? [ownCard(card, k)] : [];
    });
    return mine.length > 0 ? [...mine, ...cards] : cards;
  }, [data, own]);
}

/** What all queens together say of their kinds, as the server last told; null while it has not. */
export function useLearned(): Learned | null {
  const { data } = useQuery({
    queryKey: KEYS.learned,
    queryFn: () => call<{ learned: Learned }>('/learned'),
  });
  return data?.learned ?? null;
}

const placesQuery = { queryKey: KEYS.places, queryFn: () => call<{ places: Place[] }>('/places') };

/** Whether the places are known, or nobody can tell them now. */
export const usePlacesTold = (): boolean => told(useQuery(placesQuery));

export function usePlaces(): Place[] {
  const items = useOutbox();
  const { data } = useQuery(placesQuery);
  return useMemo(() => {
    const all = new Map((data?.places ?? []).map((p) => [p.id, p]));
    for (const { out } of items) {
      if (out.what === 'place') all.set(out.place.id, out.place);
      if (out.what === 'queen') all.set(out.body.place.id, out.body.place);
    }
    return [...all.values()].sort((a, b) => a.name.localeCompare(b.name));
  }, [data, items]);
}

export function useSettings(): KeeperSettings {
  const items = useOutbox();
  const { data } = useQuery({ queryKey: KEYS.settings, queryFn: () => call<KeeperSettings>('/settings') });
  return useMemo(() => {
    const waiting = items.flatMap((i) => (i.out.what === 'settings' ? [i.out.settings] : []));
    const settings = waiting[waiting.length - 1] ?? data ?? DEFAULT_SETTINGS;
    showDatesIn(settings.zone ?? null);
    return settings;
  }, [data, items]);
}

/** Whether the keeper's settings are known, or nobody can tell them: until then nothing may be decided over them. */
export function useSettingsKnown(): boolean {
  const items = useOutbox();
  const { data, isError } = useQuery({
    queryKey: KEYS.settings,
    queryFn: () => call<KeeperSettings>('/settings'),
  });
  return data !== undefined || isError || items.some((i) => i.out.what === 'settings');
}

export const queenQuery = (id: string) => ({
  queryKey: KEYS.queen(id),
  queryFn: () => call<QueenDetail>(`/queens/${id}`),
});

/** What is known of these queens on this device, or else by the server; those that neither can tell now are left out. */
export async function knownQueens(client: QueryClient, ids: readonly string[]): Promise<QueenDetail[]> {
  const asked = await Promise.allSettled(
    ids.map((id) => client.ensureQueryData({ ...queenQuery(id), networkMode: 'always', retry: false })),
  );
  return asked.flatMap((a) => (a.status === 'fulfilled' ? [a.value] : []));
}

export interface ShownQueen {
  facts: QueenFacts;
  view: QueenView;
  /** What the others say of the kinds she may be. */
  learned: Learned;
  /** Something about her has not been sent yet. */
  waiting: boolean;
}

export interface Shown<T> {
  data: T | null;
  /** Nothing to show yet, and none known to come without a connection. */
  loading: boolean;
  error: Error | null;
  retry(): void;
}

const factsOf = ({ queen, home, place, places, measured, falls, entries }: QueenDetail): QueenFacts => ({
  queen,
  home,
  place,
  places,
  measured,
  falls,
  entries,
});
const about = (items: readonly OutboxItem[], id: string, stored?: QueenDetail) =>
  items.filter(
    ({ out }) =>
      queenIdsOf(out).includes(id) ||
      (out.what === 'place' && stored?.places.some((p) => p.id === out.place.id)) ||
      (out.what === 'own-kind' && stored?.view.species.some((s) => s.profileId === out.kind.id)),
  );

/** Her view as this device works it out from what waits to be sent. */
const localQuery = (
  id: string,
  stored: QueenDetail | undefined,
  facts: QueenFacts | null,
  mine: readonly OutboxItem[],
  settings: KeeperSettings,
  own: readonly OwnKind[],
) => ({
  queryKey: ['local', id, stored?.at ?? '', settings, own, mine.map((m) => m.id)],
  queryFn: () =>
    projectLocally(facts as QueenFacts, settings, new Date().toISOString(), own, stored?.learned),
  enabled: mine.length > 0 && facts !== null,
  networkMode: 'always' as const,
  gcTime: 60_000,
});

/** One queen: as the server sees her, or, with entries still waiting, as this device works it out. */
export function useQueen(id: string): Shown<ShownQueen> & { settled: boolean } {
  const items = useOutbox();
  const settings = useSettings();
  const places = usePlaces();
  const own = useOwnKinds();
  const isNew = newQueensIn(items).includes(id);
  const stored = useQuery({ ...queenQuery(id), enabled: !isNew });
  const { mine, facts } = useMemo(() => {
    const some = about(items, id, stored.data);
    return { mine: some, facts: withPending(id, stored.data ? factsOf(stored.data) : null, some, places) };
  }, [id, stored.data, items, places]);
  const local = useQuery({
    ...localQuery(id, stored.data, facts, mine, settings, own),
    placeholderData: keepPreviousData,
  });
  const data = shownOf(stored.data, facts, mine.length > 0, local.data?.view);
  const error = (mine.length > 0 ? local.error : null) ?? stored.error;
  return {
    data,
    loading: data === null && error === null,
    error: data === null ? error : null,
    // what an earlier visit kept is shown at once, but nothing may be said to be as it was until the server has told
    settled: stored.fetchStatus !== 'fetching',
    retry: () => void stored.refetch(),
  };
}

/** A queen with what waits worked in; until it is, her view is as the server told it. Null while nothing is known of her. */
function shownOf(
  stored: QueenDetail | undefined,
  facts: QueenFacts | null,
  waiting: boolean,
  local: QueenView | undefined,
): ShownQueen | null {
  const view = (waiting ? local : undefined) ?? stored?.view;
  if (!facts || !view) return null;
  return { facts, view, learned: stored?.learned ?? NOTHING_LEARNED, waiting };
}

interface SeveralQueens {
  /** Those who are known, in the order asked for. */
  shown: ShownQueen[];
  /** Some are still being fetched. */
  loading: boolean;
  /** Why some of them are not known; null when all are. */
  error: Error | null;
  retry(): void;
}

/** Several queens at once, each as `useQueen` has her. */
export function useQueens(ids: readonly string[]): SeveralQueens {
  const items = useOutbox();
  const settings = useSettings();
  const places = usePlaces();
  const own = useOwnKinds();
  const fresh = newQueensIn(items);
  const stored = useQueries({
    queries: ids.map((id) => ({ ...queenQuery(id), enabled: !fresh.includes(id) })),
  });
  const known = ids.map((id, i) => {
    const detail = stored[i]?.data;
    const mine = about(items, id, detail);
    return { id, detail, mine, facts: withPending(id, detail ? factsOf(detail) : null, mine, places) };
  });
  const locals = useQueries({
    queries: known.map(({ id, detail, facts, mine }) => localQuery(id, detail, facts, mine, settings, own)),
  });
  const shown = known.map(({ detail, facts, mine }, i) =>
    shownOf(detail, facts, mine.length > 0, locals[i]?.data?.view),
  );
  const error = stored.find((s, i) => s.error && !shown[i])?.error ?? null;
  return {
    shown: shown.filter((s) => s !== null),
    loading: error === null && shown.some((s) => s === null),
    error,
    retry: () => void Promise.all(stored.map((s) => s.refetch())),
  };
}

/** The shelf, with what still waits worked in. */
export function useShelf(): Shown<ShelfRow[]> {
  const items = useOutbox();
  const settings = useSettings();
  const client = useQueryClient();
  const places = usePlaces();
  const own = useOwnKinds();
  const stored = useQuery({ ...shelfQuery, refetchInterval: 10 * 60_000 });
  const rows = stored.data?.rows;

  const touched = [...new Set(items.flatMap((i) => queenIdsOf(i.out)))];
  const written = touched.map((id) => {
    const mine = about(items, id);
    const detail = client.getQueryData<QueenDetail>(KEYS.queen(id));
    return { id, mine, detail, facts: withPending(id, detail ? factsOf(detail) : null, mine, places) };
  });
  const withdrawn = new Set(
    written.flatMap(({ id, facts }) => (facts && isWithdrawn(facts.entries) ? [id] : [])),
  );
  const locals = useQueries({
    queries: written.map(({ id, mine, detail, facts }) => localQuery(id, detail, facts, mine, settings, own)),
  });
  const changed = new Map(
    locals.flatMap((l) => (l.data ? [[l.data.row.queen.id, l.data.row] as const] : [])),
  );
  let data: ShelfRow[] | null = null;
  if (rows || changed.size > 0) {
    const base = (rows ?? []).filter((r) => !changed.has(r.queen.id) && !withdrawn.has(r.queen.id));
    const mine = [...changed.values()].filter((r) => !withdrawn.has(r.queen.id));
    // the server has put them in order already
    data = mine.length === 0 ? base : [...base, ...mine].sort(byUrgency);
  }
  return {
    data,
    loading: data === null && stored.error === null,
    error: data === null ? stored.error : null,
    retry: () => void stored.refetch(),
  };
}
