import { useSyncExternalStore } from 'react';

/** Stands in for the router in unit tests: one address, which pages drawn by `test/pages` follow. */
let address = '/';
const listeners = new Set<() => void>();
const to = (next: string): void => {
  address = next;
  for (const l of listeners) l();
};

export const router = { push: jest.fn(to), replace: jest.fn(to) };

const useAddress = (): URL => {
  const now = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => address,
  );
  return new URL(now, 'http://burrow');
};

export const usePathname = (): string => useAddress().pathname;

export const useLocalSearchParams = (): Record<string, string> =>
  Object.fromEntries(useAddress().searchParams);
export const useGlobalSearchParams = useLocalSearchParams;
