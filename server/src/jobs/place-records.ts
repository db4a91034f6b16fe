import {
  correctedReading,
  correctionsOf,
  dayNumber,
  HOUR_MS,
  PART_MS,
  placeAt,
  placeRecord,
  type PlaceRecord,
} from '@gentle-burrow/core/climate';
import type { Probe } from '@gentle-burrow/core/facts';
import { DAY_MS, msOf } from '@gentle-burrow/core/quantity';
import type { ReadingBatch } from '@gentle-burrow/core/records';
import type { Fact } from '../db/facts';
import type { Store } from '../db/store';

interface Kept {
  record: PlaceRecord | null;
  /** Days from this one on have to be read again. */
  staleFrom: number;
  /** The newest reading that was heard of. */
  heardMs: number;
  /** While it is read, or was. */
  reading: Promise<void> | null;
}

/** Within so much of what the last day was like a new reading changes nothing that is said, °C. */
const AS_EXPECTED_C = 1;
const FOR_EVER_MS = 8.64e15;

/** What was measured at each place, as views take it up: kept, and read again from the first day that has changed. */
export class PlaceRecords {
  private readonly kept = new Map<string, Kept>();
  private probes: Probe[] | null = null;

  constructor(private readonly store: Store) {}

  /** The records of these places; none of one where nothing was read. */
  async of(placeIds: Iterable<string>): Promise<PlaceRecord[]> {
    const found: PlaceRecord[] = [];
    for (const id of placeIds) {
      const record = await this.one(id);
      if (record) found.push(record);
    }
    return found;
  }

  private async one(placeId: string): Promise<PlaceRecord | null> {
    const kept = this.kept.get(placeId);
    if (kept && kept.staleFrom === Infinity) {
      // who asks while it is read waits for the same answer
      await kept.reading;
      return kept.record;
    }
    // what is written meanwhile makes it stale again
    const anew: Kept = {
      record: kept?.record ?? null,
      staleFrom: Infinity,
      heardMs: kept?.heardMs ?? -Infinity,
      reading: null,
    };
    this.kept.set(placeId, anew);
    anew.reading = this.read(placeId, kept).then(
      (record) => void (anew.record = record),
      (error: unknown) => {
        if (this.kept.get(placeId) === anew) this.kept.delete(placeId);
        throw error;
      },
    );
    await anew.reading;
    return anew.record;
  }

  private async read(placeId: string, kept: Kept | undefined): Promise<PlaceRecord | null> {
    await kept?.reading?.catch(() => undefined);
    this.probes ??= await this.store.probes();
    const here = this.probes.filter((p) => p.stays.some((s) => s.placeId === placeId));
    // the day before too, for what the last day was like
    const from = (kept?.record ? kept.staleFrom : 0) - 1;
    const before = (kept?.record?.days ?? []).filter((d) => d.day < from);
    const since = (day: number) =>
      Promise.all(
        here.map(async (probe) => ({
          probe,
          hours: await this.store.hours(probe.id, Math.max(0, day * DAY_MS), FOR_EVER_MS),
        })),
      );
    // nothing may be left of the days that were read again
    return (
      placeRecord(placeId, await since(from), before) ??
      (before.length > 0 ? placeRecord(placeId, await since(0)) : null)
    );
  }

  /**
   * Takes note of what was written.
   * @returns places of which what was said may no longer hold: the past was written, a day has begun, or it is not as it was
   */
  note(facts: readonly Fact[]): Set<string> {
    const moved = new Set<string>();
    for (const f of facts) {
      if (f.fact === 'probe') {
        const { value } = f;
        if (this.probes) this.probes = [...this.probes.filter((p) => p.id !== value.id), value];
        for (const { placeId } of value.stays) if (placeId) this.spoil(placeId, -Infinity, moved);
      } else if (f.fact === 'readings') this.noteReadings(f.value, moved);
      else if (f.fact === 'readings-taken-back')
        for (const s of this.probe(f.value.probeId)?.stays ?? [])
          if (s.placeId) this.spoil(s.placeId, -Infinity, moved);
    }
    return moved;
  }

  private probe(id: string): Probe | undefined {
    return this.probes?.find((p) => p.id === id);
  }

  private spoil(placeId: string, day: number, moved: Set<string>): void {
    const kept = this.kept.get(placeId);
    if (day === -Infinity) this.kept.delete(placeId);
    else if (kept) kept.staleFrom = Math.min(kept.staleFrom, day);
    moved.add(placeId);
  }

  private noteReadings({ probeId, ms, tempC }: ReadingBatch, moved: Set<string>): void {
    const probe = this.probe(probeId);
    if (!probe) return;
    const { tempC: correction } = correctionsOf(probe);
    const first = ms.reduce((a, b) => Math.min(a, b), Infinity);
    const last = ms.reduce((a, b) => Math.max(a, b), -Infinity);
    const shown = tempC.flatMap((c) => (c === null ? [] : [correctedReading(c, correction)]));
    for (const placeId of placesBetween(probe, first, last)) {
      const kept = placeId === null ? undefined : this.kept.get(placeId);
      if (!kept || placeId === null) continue;
      const changes = !asExpected(kept, first, last, shown);
      kept.staleFrom = Math.min(kept.staleFrom, dayNumber(first));
      kept.heardMs = Math.max(kept.heardMs, last);
      if (changes) moved.add(placeId);
    }
  }
}

/** Every place where a probe lay between two moments; carried there and back, the one between too. */
function placesBetween(probe: Probe, first: number, last: number): Set<string | null> {
  const carried = probe.stays.filter(({ from }) => msOf(from) > first && msOf(from) <= last + HOUR_MS);
  return new Set([placeAt(probe, first), ...carried.map((s) => s.placeId)]);
}

function asExpected(
  { record, heardMs }: Kept,
  first: number,
  last: number,
  shown: readonly number[],
): boolean {
  // too little yet: what may make it enough is the next part of a day
  if (!record) return Math.floor(last / PART_MS) === Math.floor(heardMs / PART_MS);
  const { at, lowC, highC } = record.latest;
  const samePart = Math.floor(last / PART_MS) === Math.floor(heardMs / PART_MS);
  return (
    (!record.thin || samePart) &&
    first > msOf(at) - HOUR_MS &&
    dayNumber(last) === dayNumber(msOf(at)) &&
    shown.every((c) => c > lowC - AS_EXPECTED_C && c < highC + AS_EXPECTED_C)
  );
}
