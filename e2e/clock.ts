/** The moment at which every test begins: another one for the sweep over the year. A time of day far from midnight in any zone. */
export const START = process.env.BURROW_AT ?? '2026-06-16T10:00:00.000Z';

let aheadMs = Date.parse(START) - Date.now();

/** What the clock shows: in the servers, in the pages, and for the tests. It goes on as time does. */
export const clockMs = (): number => Date.now() + aheadMs;

export function setClock(at: string): void {
  aheadMs = Date.parse(at) - Date.now();
}
