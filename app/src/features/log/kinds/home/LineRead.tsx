import { usePreferences } from '@/theme/preferences';
import { NumberField } from '@/ui/fields';
import { fineFromMm, toMm } from '@/ui/units';

/** The water line of a tube that is not hers yet, or no longer. */
export function LineRead({ mm, onChange }: { mm: number | null; onChange(mm: number | null): void }) {
  const { length } = usePreferences();
  return (
    <NumberField
      label="Water line of that tube, if read"
      unit={length}
      value={mm === null ? null : fineFromMm(mm, length)}
      onChange={(v) => onChange(v === null ? null : toMm(v, length))}
    />
  );
}
