import { useSyncExternalStore } from 'react';

const APPEARANCES = ['auto', 'paper', 'night', 'red'] as const;
const TEMPERATURES = ['C', 'F'] as const;
const LENGTHS = ['mm', 'in'] as const;

/** How this device shows things. What the keeper decides for the queens is kept by the server. */
export interface Preferences {
  appearance: (typeof APPEARANCES)[number];
  temperature: (typeof TEMPERATURES)[number];
  length: (typeof LENGTHS)[number];
  /** The part of the world whose kinds are offered first; guessed from the time zone while it is not chosen. */
  region: string | null;
}

/** Countries where people say degrees Fahrenheit, and where they say inches (CLDR, measurementData; from memory). */
const SAY_F = ['US', 'BS', 'BZ', 'KY', 'PW', 'FM', 'MH', 'LR', 'PR', 'GU', 'VI', 'AS', 'MP'];
const SAY_INCHES = ['US', 'LR', 'PR', 'GU', 'VI', 'AS', 'MP'];

/** The units that this device's country uses, until the keeper chooses; metric where the language names none. */
export function unitsOf(language: string | undefined): Pick<Preferences, 'temperature' | 'length'> {
  const country = /-([A-Za-z]{2})$/.exec(language ?? '')?.[1]?.toUpperCase() ?? '';
  return {
    temperature: SAY_F.includes(country) ? 'F' : 'C',
    length: SAY_INCHES.includes(country) ? 'in' : 'mm',
  };
}

const KEY = 'burrow.preferences';
const listeners = new Set<() => void>();
let current: Preferences = read();

/** What is not one of the choices is taken as the first. Read before anything is drawn, so without a schema. */
function read(): Preferences {
  let kept: Record<string, unknown> = {};
  try {
    kept = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '{}') as Record<string, unknown>;
  } catch {
    // damaged, or a browser that keeps nothing
  }
  const oneOf = <T extends string>(choices: readonly [T, ...T[]], value: unknown): T =>
    choices.find((c) => c === value) ?? choices[0];
  const usual = unitsOf(globalThis.navigator?.language);
  return {
    appearance: oneOf(APPEARANCES, kept?.appearance),
    temperature: oneOf(TEMPERATURES, kept?.temperature ?? usual.temperature),
    length: oneOf(LENGTHS, kept?.length ?? usual.length),
    region: typeof kept?.region === 'string' ? kept.region : null,
  };
}

export function setPreferences(change: Partial<Preferences>): void {
  current = { ...current, ...change };
  try {
    globalThis.localStorage?.setItem(KEY, JSON.stringify(current));
  } catch {
    // a browser that keeps nothing: the choice holds until the page is closed
  }
  for (const l of listeners) l();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const usePreferences = (): Preferences =>
  useSyncExternalStore(
    subscribe,
    () => current,
    () => current,
  );
