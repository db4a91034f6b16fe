/** Set while a made-up shelf is being looked at, in this window alone. */
const FLAG = 'burrow.example';

/** Whether this window shows the made-up shelf. It is decided when the page is loaded and holds until the next load. */
export const EXAMPLE: boolean = (() => {
  try {
    return globalThis.sessionStorage?.getItem(FLAG) === '1';
  } catch {
    return false;
  }
})();

/** To keep what belongs to the made-up shelf apart from the keeper's own. */
export const apart = (name: string): string => (EXAMPLE ? `${name}.example` : name);

/** Loads the page anew, with the made-up shelf or with the keeper's own. */
export function showExample(on: boolean): void {
  sessionStorage.clear();
  if (on) sessionStorage.setItem(FLAG, '1');
  window.location.assign('/');
}
