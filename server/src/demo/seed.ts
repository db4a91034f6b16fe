import { demoFacts } from '@gentle-burrow/core/world/demo';
import { v7 } from 'uuid';
import type { Store } from '../db/store';

/** Writes the demo once, into an empty store: what a keeper has written is never touched. */
export async function seedDemo(store: Store, now: Date): Promise<boolean> {
  if ((await store.queens()).length > 0) return false;
  const facts = demoFacts(now, (at) => v7({ msecs: Date.parse(at) }));
  const heads = facts.filter((f) => f.fact !== 'entry');
  const entries = facts.filter((f) => f.fact === 'entry');
  await store.write(heads);
  for (let i = 0; i < entries.length; i += 500) await store.write(entries.slice(i, i + 500));
  return true;
}
