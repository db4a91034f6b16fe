import {
  byDay,
  columnsOf,
  DAY_HOURS,
  HOUR_MS,
  placeRecord,
  readingsOf,
  rolled,
  without,
  type PlaceRecord,
  type ProbeHours,
} from '../climate';
import { DAY_MS, msOf, type Instant } from '../quantity';
import type { Fact } from './fact';
import { columnsOfBatch } from './reading-batch';

/** All that probes measured, of a log: each with the hours in which it was read. */
export function probeHoursOf(facts: readonly Fact[]): ProbeHours[] {
  const probes = new Map(facts.flatMap((f) => (f.fact === 'probe' ? [[f.value.id, f.value] as const] : [])));
  return [...probes.values()].map((probe) => {
    const back = new Set(
      facts.flatMap((f) =>
        f.fact === 'readings-taken-back' && f.value.probeId === probe.id ? f.value.ms : [],
      ),
    );
    const readings = facts.flatMap((f) =>
      f.fact === 'readings' && f.value.probeId === probe.id ? readingsOf(columnsOfBatch(f.value)) : [],
    );
    const hours = byDay(without(columnsOf(readings), back)).flatMap(({ day, columns }) =>
      rolled(columns, day * DAY_MS, HOUR_MS, DAY_HOURS).filter((h) => h.n > 0),
    );
    return { probe, hours };
  });
}

/** What was known of each place at a moment; later readings are not there yet. */
export function recordsAt(
  measured: readonly ProbeHours[],
  placeIds: Iterable<string>,
  at: Instant,
): PlaceRecord[] {
  const before = measured.map(({ probe, hours }) => ({
    probe,
    hours: hours.filter((h) => h.ms <= msOf(at)),
  }));
  return [...placeIds].flatMap((id) => placeRecord(id, before) ?? []);
}
