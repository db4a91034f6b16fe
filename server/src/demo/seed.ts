import type { Store } from '../db/store';
import { demoFacts } from './scenario';

/** Writes the demo once, into an empty store: what a keeper has written is never touched. */
export async function seedDemo(store: Store, now: Date): Promise<boolean> {
  if ((await store.queens()).length > 0) return false;
  const facts = demoFacts(now);
  const heads = facts.filter((f) => f.fact !== 'entry');
  const entries = facts.filter((f) => f.fact === 'entry');
  await store.write(heads);
  for (let i = 0; i < entries.length; i += 500) await store.write(entries.slice(i, i + 500));
  return true;
}
