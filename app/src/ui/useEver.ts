import { useState } from 'react';

/**
 * Whether something has been so since the page was opened. A page that was drawn once what it needs was told stays, also
 * while that is asked for again in vain: what was typed in it would go with it.
 */
export function useEver(now: boolean): boolean {
  const [once, setOnce] = useState(now);
  if (now && !once) setOnce(true);
  return once || now;
}
