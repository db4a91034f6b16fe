import { useEffect, useLayoutEffect } from 'react';

export const KEYS = [
  { keys: 'j or ↓', does: 'next tube on the shelf' },
  { keys: 'k or ↑', does: 'tube before it' },
  { keys: 'l', does: 'log a look at this queen' },
  { keys: 'n', does: 'take in a new queen' },
  { keys: 'u', does: 'undo what was just written' },
  { keys: 'x', does: 'on the shelf: select several; Space ticks, Shift+click ticks all up to it' },
  { keys: 'f', does: 'feed several queens' },
  { keys: '/', does: 'search this page, or the shelf; Enter opens the only one found' },
  { keys: 't', does: 'to Today' },
  { keys: 'g', does: 'to the shelf' },
  { keys: 'b', does: 'to the bench' },
  { keys: 'p', does: 'to the places' },
  { keys: 'r', does: 'to the records' },
  { keys: 's', does: 'settings' },
  { keys: '?', does: 'this sheet' },
  {
    keys: '1 to 4',
    does: 'in a look: type the count of eggs, larvae, pupae, workers; Enter goes to the next',
  },
  { keys: 'q', does: 'in a look: the queen was seen' },
  { keys: 'Ctrl+Enter', does: 'save what is written on this page; in the intake, go to the next step' },
  { keys: '← and →', does: 'on the drawing: move the water line or the queen by 1 mm' },
] as const;

/** Listens for single keys, but never while something is being typed or moved. */
export function useKeys(handlers: Record<string, () => void>): void {
  // from the first picture on: a key pressed as soon as something is seen is not lost
  useLayoutEffect(() => {
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

/** Ctrl and Enter keep what is written on a page, from within any field of it. */
export function useKeepKey(keep: () => void): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== 'Enter' || !(e.ctrlKey || e.metaKey)) return;
      if ((e.target as HTMLElement | null)?.closest('[role="dialog"]')) return;
      e.preventDefault();
      e.stopPropagation();
      keep();
    };
    // before the field that is typed in takes Enter for its own
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  });
}
