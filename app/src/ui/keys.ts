import { useEffect } from 'react';

export const KEYS = [
  { keys: 'j or ↓', does: 'next tube on the shelf' },
  { keys: 'k or ↑', does: 'tube before it' },
  { keys: 'l', does: 'log a look at this queen' },
  { keys: 'n', does: 'take in a new queen' },
  { keys: 'u', does: 'undo what was just written' },
  { keys: 'f', does: 'feed several queens' },
  { keys: 't', does: 'to Today' },
  { keys: 'g', does: 'to the shelf' },
  { keys: 'b', does: 'to the bench' },
  { keys: 'p', does: 'to the places' },
  { keys: 'r', does: 'to the records' },
  { keys: 's', does: 'settings' },
  { keys: '?', does: 'this sheet' },
  { keys: '← and →', does: 'on the drawing: move the water line or the queen by 1 mm' },
] as const;

/** Listens for single keys, but never while something is being typed or moved. */
export function useKeys(handlers: Record<string, () => void>): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.defaultPrevented) return;
      const target = e.target as HTMLElement | null;
      if (target?.closest('input, textarea, select, [role="slider"], [role="dialog"]')) return;
      const handler = handlers[e.key];
      if (!handler) return;
      e.preventDefault();
      handler();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [handlers]);
}
