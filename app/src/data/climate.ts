import { DAY_MS } from '@gentle-burrow/core/quantity';
import type { Climate, MeasuredAt, ProbeNow, Series } from '@gentle-burrow/contract';
import type { Probe } from '@gentle-burrow/core/facts';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from './network';
import { useOutbox, type OutboxItem } from './outbox';
import { told } from './told';

/** Everything that probes tell is asked for anew together. */
export const CLIMATE_KEY = ['climate'];
/** A probe sends by itself: who looks at a place sees it move. */
const ANEW_MS = 60_000;

export const climateQuery = {
  queryKey: [...CLIMATE_KEY, 'now'],
  queryFn: () => call<Climate>('/climate'),
  refetchInterval: ANEW_MS,
};

/** Whether what measures is known, or nobody can tell it now. */
export const useClimateTold = (): boolean => told(useQuery(climateQuery));

/** Whatever measures with what it shows now, and what is wrong at the places; with what still waits to be sent. */
export function useClimate(): Climate & { known: boolean; failed: boolean } {
  const items = useOutbox();
  const { data, isError } = useQuery(climateQuery);
  return useMemo(
    () => ({
      probes: withWaiting(data?.probes ?? [], items),
      reckoned: data?.reckoned ?? [],
      alarms: data?.alarms ?? [],
      known: data !== undefined,
      failed: isError && data === undefined,
    }),
    [data, isError, items],
  );
}

function withWaiting(told: readonly ProbeNow[], items: readonly OutboxItem[]): ProbeNow[] {
  const back = new Set(
    items.flatMap(({ out }) =>
      out.what === 'readings-taken-back' ? out.back.ms.map((ms) => `${out.back.probeId} ${ms}`) : [],
    ),
  );
  const isBack = (probeId: string, ms: number) => back.has(`${probeId} ${ms}`);
  const all = new Map(
    told.map((p) => [
      p.probe.id,
      p.latest && isBack(p.probe.id, Date.parse(p.latest.at)) ? { ...p, latest: null } : p,
    ]),
  );
  for (const { out } of items) {
    if (out.what === 'probe') {
      const before = all.get(out.probe.id);
      all.set(out.probe.id, { latest: null, day: null, tokenMadeAt: null, ...before, probe: out.probe });
    }
    if (out.what === 'readings') {
      const { probeId, ms, tempC, rh } = out.batch;
      const before = all.get(probeId);
      const last = ms.length - 1;
      if (isBack(probeId, ms[last] ?? 0)) continue;
      const at = new Date(ms[last] ?? 0).toISOString();
      if (before && (before.latest === null || before.latest.at < at))
        all.set(probeId, { ...before, latest: { at, tempC: tempC[last] ?? null, rh: rh[last] ?? null } });
    }
  }
  return [...all.values()];
}

/** Where a probe lies now; null when it is put away. */
const placeIdOf = ({ stays }: Probe): string | null => stays[stays.length - 1]?.placeId ?? null;

/** Probes that lie at a place now. */
export const lyingAt = (probes: readonly ProbeNow[], placeId: string): ProbeNow[] =>
  probes.filter(({ probe }) => placeIdOf(probe) === placeId);

/** What was measured at a place, as outlooks take it up; undefined until it is known. */
export function useMeasured(placeId: string | null): MeasuredAt['record'] | undefined {
  const { data } = useQuery({
    queryKey: [...CLIMATE_KEY, 'measured', placeId],
    queryFn: () => call<MeasuredAt>(`/places/${placeId}/measured`),
    enabled: placeId !== null,
  });
  return data?.record;
}

/** How far back a chart reaches, and in how many columns. */
export interface Stretch {
  days: number;
  columns: number;
}

/** Columns begin at full quarters of an hour, so that the same column is the same time at every look. */
const STEP_MS = 15 * 60_000;

/** Whether a probe still waits to be sent, so that the server knows nothing of it. */
export function useProbeWaits(probeId: string | null): boolean {
  const items = useOutbox();
  const { data } = useQuery(climateQuery);
  const stored = data?.probes.some((p) => p.probe.id === probeId) ?? false;
  return !stored && items.some(({ out }) => out.what === 'probe' && out.probe.id === probeId);
}

/**
 * A chart of one probe up to now; nothing without a probe. Kept under how far it reaches, not under its moments: what is kept for
 * times without a connection does not grow with every look.
 */
export function useSeries(probeId: string | null, { days, columns }: Stretch) {
  const waits = useProbeWaits(probeId);
  return useQuery({
    queryKey: [...CLIMATE_KEY, 'series', probeId, days, columns],
    queryFn: () => {
      const step = Math.max(STEP_MS, (days * DAY_MS) / columns);
      const to = Math.ceil(Date.now() / step) * step;
      const [from, until] = [to - days * DAY_MS, to].map((ms) => new Date(ms).toISOString());
      return call<Series>(`/probes/${probeId}/series?from=${from}&to=${until}&columns=${columns}`);
    },
    // of one that still waits to be sent nobody can tell anything yet
    enabled: probeId !== null && !waits,
    refetchInterval: ANEW_MS,
    // while another stretch of the same probe comes; never the readings of another one
    placeholderData: (before, query) => (query?.queryKey[2] === probeId ? before : undefined),
  });
}
