import { useCallback, useState } from 'react';
import { apart } from '@/data/example';
import { offerUndo } from './undo';

const PREFIX = apart('burrow.draft.');

/** What was typed and not saved yet, kept on this device until it is saved or thrown away. */
export function readDraft<T>(key: string): T | null {
  try {
    const text = globalThis.localStorage?.getItem(PREFIX + key);
    return text ? (JSON.parse(text) as T) : null;
  } catch {
    return null;
  }
}

export function keepDraft(key: string, value: unknown): void {
  try {
    globalThis.localStorage?.setItem(PREFIX + key, JSON.stringify(value));
  } catch {
    // storage full or forbidden: the draft lives as long as the page
  }
}

export function clearDraft(key: string): void {
  try {
    globalThis.localStorage?.removeItem(PREFIX + key);
  } catch {
    // nothing was kept
  }
}

export const DRAFT_DISCARDED = 'Draft discarded.';

/** State that survives leaving the page half done. `clear` forgets it, once it is saved; `discard` offers it back. */
export function useDraft<T extends object>(key: string, empty: T) {
  const [kept, setKept] = useState(() => readDraft<T>(key) !== null);
  const [value, setValue] = useState<T>(() => ({ ...empty, ...readDraft<T>(key) }));
  const change = useCallback(
    (part: Partial<T>) =>
      setValue((old) => {
        const next = { ...old, ...part };
        keepDraft(key, next);
        return next;
      }),
    [key],
  );
  const clear = useCallback(() => {
    clearDraft(key);
    setValue(empty);
    setKept(false);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the empty form of a key does not change
  }, [key]);
  const discard = () => {
    clear();
    offerUndo(DRAFT_DISCARDED, async () => {
      keepDraft(key, value);
      setValue(value);
      setKept(true);
    });
  };
  return { value, change, clear, discard, kept };
}
