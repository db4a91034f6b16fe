import { onDevice } from './on-device';

/** What was said to the keeper once and is done with. */
const told = onDevice<readonly string[]>('burrow.told-once', []);
/** More than a keeper ever has open; the oldest go. */
const MOST = 500;

export const toldOnce = (what: string): void =>
  told.write([...told.read().filter((w) => w !== what), what].slice(-MOST));

/** Whether something was told already. */
export function useToldOnce(): (what: string) => boolean {
  const all = told.use();
  return (what) => all.includes(what);
}
