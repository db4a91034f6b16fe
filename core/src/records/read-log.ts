import type { ProbeHours } from '../climate';
import { DEFAULT_SETTINGS, type KeeperSettings } from '../facts';
import { corrected, isWithdrawn, placeIdNow, type Entry } from '../log';
import { InputError } from '../quantity';
import type { OwnKind } from '../species';
import type { QueenFacts } from '../view';
import { factSchema, type Fact } from './fact';
import { probeHoursOf } from './measured';

/** A log as it was exported, put together again. */
export interface ReadLog {
  settings: KeeperSettings;
  /** Profiles of the keeper's own. */
  own: OwnKind[];
  /** In the order of their names. */
  queens: QueenFacts[];
  /** What was measured, probe by probe. */
  measured: ProbeHours[];
}

/**
 * Reads an exported log: JSON Lines, one fact a line, of this or any earlier version. Empty lines are passed over; of
 * several facts about one thing the last holds.
 * @throws InputError naming the line that cannot be read, or the queen whose tube or place is missing
 */
export function readFacts(text: string): Fact[] {
  return text.split(/\r?\n/).flatMap((line, i) => readLine(line, i + 1) ?? []);
}

/**
 * One line of an exported log; null for an empty one.
 * @param n which line it is, counted from 1
 * @throws InputError saying why it cannot be read
 */
export function readLine(line: string, n: number): Fact | null {
  if (line.trim() === '') return null;
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw new InputError(`line ${n}`, `Line ${n} is not JSON. Was the file cut off, or edited?`);
  }
  const read = factSchema.safeParse(value);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  const where = issue && issue.path.length > 1 ? ` (${issue.path.slice(1).join('.')})` : '';
  throw new InputError(
    `line ${n}`,
    `Line ${n} cannot be read${where}: ${issue?.message ?? 'it is no fact that is known here.'}`,
  );
}

/** Puts the facts of a log together, queen by queen. */
export function logOf(facts: readonly Fact[]): ReadLog {
  const places = lastOfEach(facts.flatMap((f) => (f.fact === 'place' ? [f.value] : [])));
  const homes = lastOfEach(facts.flatMap((f) => (f.fact === 'home' ? [f.value] : [])));
  const queens = lastOfEach(facts.flatMap((f) => (f.fact === 'queen' ? [f.value] : [])));
  const own = lastOfEach(facts.flatMap((f) => (f.fact === 'own-kind' ? [f.value] : [])));
  const settings = facts.flatMap((f) => (f.fact === 'settings' ? [f.value] : [])).at(-1) ?? DEFAULT_SETTINGS;
  const entries = new Map<string, Map<string, Entry>>();
  for (const f of facts) {
    if (f.fact !== 'entry') continue;
    const hers = entries.get(f.value.queenId) ?? new Map<string, Entry>();
    hers.set(f.value.id, f.value);
    entries.set(f.value.queenId, hers);
  }
  for (const id of entries.keys())
    if (!queens.has(id))
      throw new InputError('queenId', `There are entries about a queen (${id}) who is not in the log.`);
  const whole = [...queens.values()].flatMap((written): QueenFacts[] => {
    const hers = [...(entries.get(written.id)?.values() ?? [])];
    if (isWithdrawn(hers)) return [];
    const first = homes.get(written.homeId);
    if (!first) throw new InputError('homeId', `The home of ${written.label} is not in the log.`);
    const { queen, home } = corrected({ queen: written, home: first, entries: hers });
    const place = places.get(placeIdNow(queen, hers));
    if (!place) throw new InputError('placeId', `The place of ${queen.label} is not in the log.`);
    return [{ queen, home, place, places: [...places.values()], entries: hers }];
  });
  return {
    settings,
    own: [...own.values()],
    measured: probeHoursOf(facts),
    queens: whole.sort((a, b) => compare(a.queen.label, b.queen.label)),
  };
}

const lastOfEach = <T extends { id: string }>(values: readonly T[]): Map<string, T> =>
  new Map(values.map((v) => [v.id, v]));
const compare = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });
