import { router } from 'expo-router';

/** Addresses passed through in this window, so that "back" leads where one came from. */
const TRAIL = 'burrow.trail';

function trail(): string[] {
  try {
    return JSON.parse(globalThis.sessionStorage?.getItem(TRAIL) ?? '[]') as string[];
  } catch {
    return [];
  }
}

function keep(addresses: readonly string[]): void {
  try {
    globalThis.sessionStorage?.setItem(TRAIL, JSON.stringify(addresses.slice(-50)));
  } catch {
    // without it "back" leads to the page above
  }
}

/** An address that was left for another before it was noted. */
let left: string | null = null;

/** Notes that an address is shown now: one step further, or the step back that was just taken. */
export function passed(address: string): void {
  const been = trail();
  const gone = address === left;
  left = null;
  if (gone) return;
  if (been[been.length - 1] === address) return;
  keep(been[been.length - 2] === address ? been.slice(0, -1) : [...been, address]);
}

/** To another page; the way back leads here. */
export function go(address: string): void {
  // "navigate" would change an address that differs only in what follows the question mark in place
  if (trail().at(-1) !== address) router.push(address as never);
}

/**
 * To another page that takes the place of this one: the way back leads to where this one was come to from.
 * @param here this one, for a page that leads on before it is noted that it was come to
 */
export function goInstead(address: string, here?: string): void {
  const been = trail();
  if (here === undefined || been.at(-1) === here) keep(been.slice(0, -1));
  else left = here;
  router.replace(address as never);
}

/** To another page that takes the place of all the last ones whose address begins so: of the steps of one form, say. */
export function goInsteadOfAll(beginning: string, address: string): void {
  const been = trail();
  const others = been.findLastIndex((a) => !a.startsWith(beginning)) + 1;
  const steps = been.length - others - 1;
  if (steps < 1) {
    goInstead(address);
    return;
  }
  keep(been.slice(0, others + 1));
  window.addEventListener('popstate', () => setTimeout(() => goInstead(address)), { once: true });
  window.history.go(-steps);
}

/** Back to where one came from; from an address opened by itself, to the page above it. */
export function goBack(above: string): void {
  if (trail().length > 1) window.history.back();
  else goInstead(above);
}
