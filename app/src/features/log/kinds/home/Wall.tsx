import { dividerFault } from '@gentle-burrow/core/facts';
import { partOf, type Housing } from '@gentle-burrow/core/housing';
import { DIVIDER_MM, STRAW_MM } from '@/features/tube/divider';
import { usePreferences } from '@/theme/preferences';
import { Choice } from '@/ui/Choice';
import { Fault, NumberField } from '@/ui/fields';
import { fineFromMm, fromMm, toMm } from '@/ui/units';
import type { HomeDraft } from './draft';

interface WallProps {
  home: Housing;
  partId: string;
  draft: HomeDraft;
  change(part: Partial<HomeDraft>): void;
}

/** Where the wall of cotton stands, and the straw through it; or that it was taken out. */
export function Wall({ home, partId, draft, change }: WallProps) {
  const { length } = usePreferences();
  const part = partOf(home, partId)?.part;
  if (part?.kind !== 'tube') return null;
  const { divider } = draft;
  const usual = { atMm: part.lengthMm - part.plugs.outerMm - DIVIDER_MM, strawMm: STRAW_MM };
  return (
    <>
      <Choice
        label="The wall"
        options={[
          { value: 'in', label: 'Set in' },
          { value: 'out', label: 'Taken out' },
        ]}
        value={divider ? 'in' : part.divider ? 'out' : null}
        onChange={(v) => change({ divider: v === 'in' ? (divider ?? usual) : null })}
      />
      {divider ? (
        <>
          <NumberField
            label="It stands at"
            unit={length}
            value={fromMm(divider.atMm, length)}
            onChange={(v) => change({ divider: { ...divider, atMm: v === null ? NaN : toMm(v, length) } })}
          />
          <NumberField
            label="Bore of the straw"
            unit={length}
            value={fineFromMm(divider.strawMm, length)}
            onChange={(v) => change({ divider: { ...divider, strawMm: v === null ? NaN : toMm(v, length) } })}
          />
          <Fault>{dividerFault(part, divider) ?? undefined}</Fault>
        </>
      ) : null}
    </>
  );
}
