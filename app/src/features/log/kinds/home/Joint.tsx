import { widthFault } from '@gentle-burrow/core/care';
import { hasFloor, holdsTubes, partOf, standing, type Housing } from '@gentle-burrow/core/housing';
import { JOINTS } from '@gentle-burrow/core/vocabulary';
import { useSpecies } from '@/data/queries';
import { StyleSheet, View } from 'react-native';
import { partName } from '@/features/home/part-name';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf } from '@/ui/Choice';
import { NumberField } from '@/ui/fields';
import { fineFromMm, fromMm, toMm } from '@/ui/units';
import { capital } from '@gentle-burrow/core/words';
import { JOINT_WORDS } from '@/words/home';
import { isAround, toIdOf, type HomeDraft } from './draft';

const MOUTHS = [
  { value: 'narrowed', label: 'Narrowed', hint: 'few pass at a time: warmer and damper inside' },
  { value: 'open', label: 'Open' },
] as const;
const JOINT_OPTIONS = optionsOf(JOINTS, JOINT_WORDS);
interface JointProps {
  home: Housing;
  /** The part that is joined; null for one that is only being set up. */
  except: string | null;
  draft: HomeDraft;
  profileId: string;
  change(part: Partial<HomeDraft>): void;
}

/** How a part stands to another, which other, and the gap for air. */
export function Joint({ home, except, draft, profileId, change }: JointProps) {
  const { length } = usePreferences();
  const kind = useSpecies().find((s) => s.id === profileId);
  const wide = kind && widthFault(kind, draft.gapMm);
  const others = standing(home).filter((p) => p.part.id !== except);
  const to = toIdOf(home, draft, except);
  const toPart = partOf(home, to)?.part;
  const holds = except === null && holdsTubes({ kind: draft.kind });
  const floored = toPart !== undefined && hasFloor(toPart);
  const around = isAround(home, draft);
  const { by } = draft;
  return (
    <>
      {others.length > 1 ? (
        <Choice
          label="Joined to"
          options={others.map((p) => ({
            value: p.part.id,
            label: capital(partName(home, p.part.id) ?? 'part'),
            ...(p.part.id === home.home ? { hint: 'she lives in it' } : {}),
          }))}
          value={to}
          onChange={(toId) => change({ toId })}
        />
      ) : null}
      {around ? null : (
        <Choice
          label="How it stands to it"
          options={JOINT_OPTIONS.filter((o) => o.value !== 'lies-in' || floored || holds).map((o) =>
            o.value === 'lies-in' && holds && !floored ? { ...o, label: 'Her tube lies open in it' } : o,
          )}
          value={by}
          onChange={(next) => change({ by: next })}
        />
      )}
      {around ? (
        <Choice
          label="The mouth of her tube"
          options={MOUTHS}
          value={draft.mouth}
          onChange={(mouth) => change({ mouth })}
          onClear={() => change({ mouth: null })}
        />
      ) : null}
      <View style={styles.row}>
        {by !== null && by !== 'beside' && by !== 'lies-in' ? (
          <NumberField
            label="Air gap, if you measured it"
            unit={length}
            value={draft.gapMm === null ? null : fineFromMm(draft.gapMm, length)}
            onChange={(v) => change({ gapMm: v === null ? null : toMm(v, length) })}
            {...(wide ? { fault: wide } : {})}
          />
        ) : null}
        {by === 'pipe' ? (
          <NumberField
            label="Length of the pipe"
            unit={length}
            value={draft.lengthMm === null ? null : fromMm(draft.lengthMm, length)}
            onChange={(v) => change({ lengthMm: v === null ? null : toMm(v, length) })}
          />
        ) : null}
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  // beside one another, where a field keeps the height of what is said below it
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
