import { usualTube } from '@gentle-burrow/core/tube';
import type {
  Climate,
  DailyBackup,
  NewQueen,
  QueenDetail,
  SetAside,
  Series,
  Stock,
} from '@gentle-burrow/contract';
import { DEFAULT_SETTINGS, type Probe } from '@gentle-burrow/core/facts';
import { usedParts } from '@gentle-burrow/core/housing';
import { corrected, isWithdrawn, type Entry, type EntryBody } from '@gentle-burrow/core/log';
import type { Learned } from '@gentle-burrow/core/founding';
import type { ReadingBatch } from '@gentle-burrow/core/records';
import type { OwnKind } from '@gentle-burrow/core/species';
import { KIND_CARDS, profilesWith } from '@gentle-burrow/core/species/catalogue';
import { byUrgency, queenView, shelfRow, type QueenFacts } from '@gentle-burrow/core/view';
import { router } from 'expo-router';
import { onlineManager, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { configure, render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import { v7 } from 'uuid';
import { refetchAfterSending } from '@/data/queries';
import { themeOf } from '@/theme/theme';

// whole pages are drawn, and finding things by role is slow in jsdom
jest.setTimeout(90_000);
// that it comes is asked here, not how soon: a second is little on a busy machine
configure({ asyncUtilTimeout: 20_000 });

beforeEach(() => {
  router.replace('/');
  jest.mocked(router.replace).mockClear();
  jest.mocked(router.push).mockClear();
  sessionStorage.clear();
});

/** Tests begin in June (environment.cjs), in the north. */
export const SETTINGS = { ...DEFAULT_SETTINGS, hemisphere: 'north' as const };

/** A server of a few queens, made of plain functions: answers what the application asks, and keeps what it sends. */
export class PretendServer {
  readonly sent: { method: string; path: string; body: unknown }[] = [];
  down = false;
  /** Answers to reading are ready when they are asked for, and come when this is over. */
  slow: Promise<void> | null = null;
  /** Which of them alone, by how their path begins, if not all. */
  slowAt: string | null = null;
  /** Nothing that is sent is taken before this is over. */
  slowToTake: Promise<void> | null = null;
  stock: Stock['levels'] = [];
  own: OwnKind[] = [];
  learned: Learned = {};
  setAside: SetAside[] = [];
  climate: Climate = { probes: [], reckoned: [], alarms: [] };
  series: Series | null = null;
  daily: DailyBackup | null = null;

  constructor(readonly queens: QueenFacts[]) {
    globalThis.fetch = jest.fn((url: string, init?: { method?: string; body?: string }) =>
      this.answer(url.replace('/api', ''), init),
    ) as never;
  }

  private async answer(path: string, init?: { method?: string; body?: string }) {
    if (this.down) throw new TypeError('no connection');
    if (init?.method) {
      await this.slowToTake;
      this.take(init.method, path, JSON.parse(init.body ?? 'null'));
    }
    const body = init?.method ? {} : this.read(path);
    if (!init?.method && path.startsWith(this.slowAt ?? '')) await this.slow;
    return { ok: body !== null, status: body === null ? 404 : 200, json: async () => body ?? notFound };
  }

  private take(method: string, path: string, body: unknown): void {
    this.sent.push({ method, path, body });
    if (path === '/queens') {
      const { queen, home, place, intake } = body as NewQueen;
      this.queens.push({ queen, home, place, places: [place], entries: [intake] });
    }
    if (path.startsWith('/probes/')) {
      const probe = body as Probe;
      const before = this.climate.probes.find((p) => p.probe.id === probe.id);
      const others = this.climate.probes.filter((p) => p !== before);
      const now = { latest: null, day: null, tokenMadeAt: null, ...before, probe };
      this.climate = { ...this.climate, probes: [...others, now] };
    }
    if (path === '/readings') {
      const { probeId, ms, tempC, rh } = body as ReadingBatch;
      const last = ms.length - 1;
      const latest = {
        at: new Date(ms[last] ?? 0).toISOString(),
        tempC: tempC[last] ?? null,
        rh: rh[last] ?? null,
      };
      const probes = this.climate.probes.map((p) => (p.probe.id === probeId ? { ...p, latest } : p));
      this.climate = { ...this.climate, probes };
    }
    if (path.startsWith('/own-kinds/')) this.own = [...this.own, body as OwnKind];
    if (path === '/entries')
      for (const entry of (body as { entries: Entry[] }).entries)
        this.queens.find((q) => q.queen.id === entry.queenId)?.entries.push(entry);
  }

  private read(path: string): unknown {
    const now = new Date().toISOString();
    const profileOf = profilesWith(this.own);
    const views = () =>
      this.queens
        .filter((q) => !isWithdrawn(q.entries))
        .map(corrected)
        .map((q) => shelfRow(q, queenView(q, SETTINGS, now, { draws: 300, profileOf })));
    if (path === '/shelf') return { at: now, rows: views().sort(byUrgency) };
    if (path === '/species') return { species: KIND_CARDS };
    if (path === '/own-kinds') return { kinds: this.own };
    if (path === '/set-aside') return { setAside: this.setAside };
    if (path === '/learned') return { learned: this.learned };
    if (path === '/places') return { places: this.queens.map((q) => q.place) };
    if (path === '/climate') return this.climate;
    if (path === '/daily-backup') return this.daily;
    if (path.startsWith('/probes/')) return this.series;
    if (path === '/settings') return SETTINGS;
    if (path === '/stock') return { levels: this.stock, used: usedParts(this.queens, now), plan: null };
    const written = this.queens.find((q) => path === `/queens/${q.queen.id}`);
    if (!written) return null;
    const facts = corrected(written);
    const view = queenView(facts, SETTINGS, now, { draws: 300, profileOf });
    const { measured = [], falls = [], entries } = facts;
    return {
      at: now,
      ...facts,
      measured,
      falls,
      entries: [...entries],
      view,
      learned: {},
    } satisfies QueenDetail;
  }

  /** What was sent there, in order; entries, which go in lists, one by one. */
  bodiesOf(path: string): unknown[] {
    return this.sent
      .filter((s) => s.path === path)
      .flatMap(({ body }) => (body as { entries?: unknown[] } | null)?.entries ?? [body]);
  }
}

const notFound = { error: { code: 'not-found', message: 'There is nothing here.' } };

export const daysAgo = (days: number): string => new Date(Date.now() - days * 86_400_000).toISOString();

/** A queen taken in so many days ago, with a log of bodies. */
export function madeQueen(label: string, takenIn: number, bodies: EntryBody[] = []): QueenFacts {
  const at = daysAgo(takenIn);
  const home = usualTube(v7(), at);
  const place = { id: v7(), name: `Drawer of ${label}`, tempC: 25, roomRelHumidity: 0.5, winter: null };
  const queen = {
    id: v7(),
    label,
    batch: '',
    homeId: home.id,
    placeId: place.id,
    lookingSchool: null,
    createdAt: at,
  };
  const intake: EntryBody = {
    kind: 'intake',
    at,
    found: 'walking',
    wings: 'dealate',
    species: { profileId: 'tetramorium-immigrans', sure: 'likely' },
  };
  const entries = [intake, ...bodies].map(
    (b) => ({ ...b, id: v7(), queenId: queen.id, loggedAt: b.at }) as Entry,
  );
  return { queen, home, place, places: [place], entries };
}

/** Shows an element as the application would, with nothing fetched yet. */
export function show(element: ReactElement) {
  onlineManager.setOnline(true);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  refetchAfterSending(client);
  return render(
    <QueryClientProvider client={client}>
      <PaperProvider theme={themeOf('paper')}>{element}</PaperProvider>
    </QueryClientProvider>,
  );
}
