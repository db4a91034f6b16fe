import { columnsOf } from '../../climate';
import type { Place } from '../../facts';
import { addDays, msOf, type Instant } from '../../quantity';
import { batchOf, type Fact } from '../../records';
import { simulateProbe, USUAL_PROBE_WORLD, type ProbeWorld } from '../probe';
import type { NewId } from './scenario';

const DAYS = 60;
const EVERY_S = 1800;

/** Two loggers of the demo, and what they have shown for two months: one in a room, one above a mat with a thermostat. */
export function demoClimate(
  { drawer, cupboard }: { drawer: Place; cupboard: Place },
  now: Instant,
  newId: NewId,
): Fact[] {
  return [
    ...logger('Drawer logger', drawer, { meanC: 24, dayC: 0.7, rh: 0.5, seed: 11 }, now, newId),
    ...logger(
      'Cupboard logger',
      cupboard,
      { meanC: 23, dayC: 1.4, rh: 0.45, matC: 26, seed: 12 },
      now,
      newId,
    ),
  ];
}

function logger(
  name: string,
  place: Place,
  room: Partial<ProbeWorld> & { seed: number },
  now: Instant,
  newId: NewId,
): Fact[] {
  const from = addDays(now, -DAYS);
  const probe = {
    id: newId(from),
    name,
    kind: 'logger' as const,
    stays: [{ from, placeId: place.id }],
    silentAfterH: 48,
    checks: [],
  };
  // the demo is made on any day of the year: its rooms know no season
  const world = { ...USUAL_PROBE_WORLD, seasonC: 0, ...room };
  const readings = [...simulateProbe(world, msOf(from), msOf(now), EVERY_S)];
  return [
    { fact: 'probe', value: probe },
    { fact: 'readings', value: batchOf(probe.id, columnsOf(readings)) },
  ];
}
