import type { Climate, ProbeNow, Series } from '@gentle-burrow/contract';
import type { Probe } from '@gentle-burrow/core/facts';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from './network';
import { useOutbox, type OutboxItem } from './outbox';

/** Everything that probes tell is asked for anew together. */
export const CLIMATE_KEY = ['climate'];
/** A probe sends by itself: who looks at a place sees it move. */
const ANEW_MS = 60_000;

/** Whatever measures with what it shows now, and what is wrong at the places; with what still waits to be sent. */
export function useClimate(): { probes: ProbeNow[]; alarms: Climate['alarms']; known: boolean; failed: boolean } {
  const items = useOutbox();
  const { data, isError } = useQuery({
    queryKey: [...CLIMATE_KEY, 'now'],
    queryFn: () => call<Climate>('/climate'),
    refetchInterval: ANEW_MS,
  });
  return useMemo(
    () => ({
      probes: withWaiting(data?.probes ?? [], items),
      alarms: data?.alarms ?? [],
      known: data !== undefined,
      failed: isError && data === undefined,
    }),
    [data, isError, items],
  );
}

function withWaiting(told: readonly ProbeNow[], items: readonly OutboxItem[]): ProbeNow[] {
  const all = new Map(told.map((p) => [p.probe.id, p]));
  for (const { out } of items) {
    if (out.what === 'probe') {
      const before = all.get(out.probe.id);
      all.set(out.probe.id, { latest: null, day: null, tokenMadeAt: null, ...before, probe: out.probe });
    }
    if (out.what === 'readings') {
      const { probeId, ms, tempC, rh } = out.batch;
      const before = all.get(probeId);
      const last = ms.length - 1;
      const at = new Date(ms[last] ?? 0).toISOString();
      if (before && (before.latest === null || before.latest.at < at))
        all.set(probeId, { ...before, latest: { at, tempC: tempC[last] ?? null, rh: rh[last] ?? null } });
    }
  }
  return [...all.values()];
}

/** Where a probe lies now; null when it is put away. */
export const placeIdOf = ({ stays }: Probe): string | null => stays[stays.length - 1]?.placeId ?? null;

/** Probes that lie at a place now. */
export const lyingAt = (probes: readonly ProbeNow[], placeId: string): ProbeNow[] =>
  probes.filter(({ probe }) => placeIdOf(probe) === placeId);

/** A chart of one probe: so many columns between two moments; nothing without a probe. */
export function useSeries(probeId: string | null, from: string, to: string, columns: number) {
  const path = `/probes/${probeId}/series?from=${from}&to=${to}&columns=${columns}`;
  return useQuery({
    queryKey: [...CLIMATE_KEY, 'series', probeId, from, to, columns],
    queryFn: () => call<Series>(path),
    enabled: probeId !== null,
    refetchInterval: ANEW_MS,
    placeholderData: (before) => before,
  });
}
