import type { HomePart } from '@gentle-burrow/core/facts';
import { usedFault } from '@gentle-burrow/core/housing';
import { useStock } from '@/data/stock';
import { historyText, usedName } from '@/features/stock/UsedParts';
import { usePreferences } from '@/theme/preferences';
import { Choice } from '@/ui/Choice';

interface UsedChoiceProps {
  kind: HomePart['kind'];
  /** What the chosen one was before; null while none is chosen. */
  value: string | undefined;
  onChange(part: HomePart): void;
}

/**
 * One that was used before instead of a fresh one; nothing is shown where there is none. What is not clean is not offered: it
 * stands in the stock, with what to do.
 */
export function UsedChoice({ kind, value, onChange }: UsedChoiceProps) {
  const { length } = usePreferences();
  const used = useStock().used.filter((u) => u.part.kind === kind && usedFault(u) === null);
  if (used.length === 0) return null;
  return (
    <Choice
      label="Or one that was used, and is clean"
      options={used.map((u) => ({
        value: u.part.id,
        label: usedName(u.part, length),
        hint: historyText(u),
      }))}
      value={value ?? null}
      onChange={(id) => {
        const one = used.find((u) => u.part.id === id);
        if (one) onChange(one.part);
      }}
    />
  );
}
