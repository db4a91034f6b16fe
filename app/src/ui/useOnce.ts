import { useRef } from 'react';

/** A deed that is not done a second time while the first is still under way: a key or a finger is quicker than the writing. */
export function useOnce<A extends unknown[]>(deed: (...args: A) => Promise<void>): (...args: A) => void {
  const underWay = useRef(false);
  return (...args) => {
    if (underWay.current) return;
    underWay.current = true;
    void deed(...args).finally(() => {
      underWay.current = false;
    });
  };
}
