import { usualTube } from '@gentle-burrow/core/tube';
import type { BodyKind, Place, Queen, TubeHome } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { usualBody } from '@gentle-burrow/core/housing';
import { addDays, uniformStream } from '@gentle-burrow/core/quantity';
import { broodOn } from '@gentle-burrow/core/world';
import { DEMO_KINDS } from '@gentle-burrow/core/world/demo';
import { v7 } from 'uuid';

/** What is joined to her tube one after the other: a space, a nest behind it, what stands beside. */
const PARTS: readonly BodyKind[] = ['outworld', 'nest', 'drinker', 'cell', 'box'];

/** A made-up queen with a log of so many entries: looks, with notes between them; her home has one to six parts. */
export function madeUpQueen(k: number, entryCount: number, now: Date, place?: Place) {
  const random = uniformStream(k + 1);
  const age = 40 + Math.floor(random() * 160);
  const at = addDays(now.toISOString(), -age);
  const home: TubeHome = { ...usualTube(v7(), at), waterLineMm: 90 };
  const queen: Queen = {
    id: v7(),
    label: `Q${k}`,
    batch: '',
    homeId: home.id,
    placeId: place?.id ?? v7(),
    lookingSchool: null,
    createdAt: at,
  };
  const species = DEMO_KINDS[k % DEMO_KINDS.length] as string;
  const entries: Entry[] = [
    {
      kind: 'intake',
      id: v7(),
      queenId: queen.id,
      at,
      loggedAt: at,
      found: 'walking',
      wings: 'dealate',
      species: { profileId: species, sure: 'likely' },
    },
  ];
  const truth = {
    species,
    tempC: place?.tempC ?? 25,
    laysAfter: 5 + 10 * random(),
    slow: 0.8 + 0.5 * random(),
    eggs: 6 + Math.floor(6 * random()),
  };
  const n = (there: number) => ({ low: there, high: there + (there > 4 ? 2 : 0) });
  const parts = PARTS.slice(0, k % (PARTS.length + 1)).map((kind) => usualBody(v7(), kind));
  for (let i = 1; i < entryCount; i++) {
    const day = (i / entryCount) * age;
    const brood = broodOn(truth, day);
    const head = { id: v7(), queenId: queen.id, at: addDays(at, day), loggedAt: addDays(at, day) };
    const part = parts[i - 2];
    if (part) {
      const before = parts[i - 3];
      const joint = part.kind === 'nest' && before ? { by: 'pipe', toId: before.id } : { by: 'pipe' };
      const by = i - 2 < 2 ? joint : { by: 'beside' };
      entries.push({
        kind: 'home',
        ...head,
        change: { what: 'set-up', part, purpose: 'room', ...by },
      } as Entry);
      continue;
    }
    entries.push(
      i % 3 === 0
        ? {
            kind: 'look',
            ...head,
            queen: 'seen',
            queenAtMm: 118,
            eggs: n(brood.eggs),
            larvae: n(brood.larvae),
            pupae: n(brood.pupae),
            workers: n(brood.workers),
            waterLineMm: Math.max(5, Math.round(90 - day * 0.35)),
            mould: 'none',
          }
        : { kind: 'note', ...head, text: 'Drawer shut; nothing to see from outside.' },
    );
  }
  return { queen, home, entries };
}
