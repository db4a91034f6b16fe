import { Burrow } from './burrow';

/** Before all tests: what their directories begin with, the empty one and the demo, made beside each other. */
export default async function setup(): Promise<void> {
  await Promise.all([Burrow.makeTemplate(false), Burrow.makeTemplate(true)]);
}
