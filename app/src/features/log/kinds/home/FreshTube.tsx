import { tubeMeasuresSchema, type TubeMeasures } from '@gentle-burrow/core/facts';
import { JOINTS, TUBE_PURPOSES } from '@gentle-burrow/core/vocabulary';
import { useSpecies, useStock, type ShownQueen } from '@/data/queries';
import { SlideLine } from '@/features/fill/SlideLine';
import { tubeSizes } from '@/features/fill/tube-sizes';
import { usePreferences } from '@/theme/preferences';
import { Choice, optionsOf } from '@/ui/Choice';
import { NumberField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { fineFromMm, lengthName, toMm } from '@/ui/units';
import { JOINT_WORDS, PURPOSE_WORDS } from '@/words/home';
import { TubeNumbers } from '../../TubeNumbers';
import type { HomeDraft } from './form';

const PURPOSES = optionsOf(TUBE_PURPOSES, PURPOSE_WORDS);
const JOINT_OPTIONS = optionsOf(JOINTS, JOINT_WORDS);

interface FreshTubeProps {
  shown: ShownQueen;
  draft: HomeDraft;
  change(part: Partial<HomeDraft>): void;
}

/** The fresh tube: from the stock or of a common size, its water on the drawing, and how it stands to hers. */
export function FreshTube({ shown, draft, change }: FreshTubeProps) {
  const { length } = usePreferences();
  const sizes = tubeSizes(useStock().levels, length);
  const profile = useSpecies().find((s) => s.id === shown.view.profileId);
  const { tube } = draft;
  const chosen =
    sizes.find((t) => t.itemId !== null && t.itemId === draft.itemId) ??
    sizes.find((t) => t.itemId === null && sameSize(t, tube));
  const set = (next: TubeMeasures) => change({ tube: { ...next, id: tube.id } });
  const choose = (value: string) => {
    const size = sizes.find((t) => t.value === value);
    if (!size) return;
    const { outsideMm, boreMm, lengthMm, end, itemId } = size;
    // the same share of water as before
    const waterLineMm = Math.round((lengthMm * tube.waterLineMm) / tube.lengthMm);
    change({ itemId, tube: { ...tube, outsideMm, boreMm, lengthMm, end, waterLineMm } });
  };
  const drawn = tubeMeasuresSchema.safeParse(tube).success;
  return (
    <>
      <Choice
        label={`Fresh tube, outside × length in ${lengthName(length)}`}
        options={sizes}
        value={chosen?.value ?? null}
        onChange={choose}
      />
      {drawn ? (
        <SlideLine
          tube={{ ...tube, kind: 'tube', setUpAt: '' }}
          profile={profile}
          empty
          onChange={(waterLineMm) => set({ ...tube, waterLineMm })}
        />
      ) : null}
      <Fold title="Its measures">
        <TubeNumbers tube={tube} onChange={set} />
      </Fold>
      <Choice
        label="What for"
        options={PURPOSES}
        value={draft.purpose}
        onChange={(purpose) => change({ purpose })}
      />
      <Joint draft={draft} change={change} />
    </>
  );
}

function Joint({ draft, change }: Omit<FreshTubeProps, 'shown'>) {
  const { length } = usePreferences();
  return (
    <>
      <Choice
        label="How it stands to her tube"
        options={JOINT_OPTIONS}
        value={draft.by}
        onChange={(by) => change({ by })}
      />
      {draft.by !== null && draft.by !== 'beside' ? (
        <NumberField
          label="Air gap at the joint"
          unit={length}
          value={draft.gapMm === null ? null : fineFromMm(draft.gapMm, length)}
          onChange={(v) => change({ gapMm: v === null ? null : toMm(v, length) })}
        />
      ) : null}
    </>
  );
}
FreshTube.Joint = Joint;

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

const sameSize = (
  a: Pick<TubeMeasures, 'outsideMm' | 'boreMm' | 'lengthMm'>,
  b: Pick<TubeMeasures, 'outsideMm' | 'boreMm' | 'lengthMm'>,
): boolean => a.outsideMm === b.outsideMm && a.boreMm === b.boreMm && a.lengthMm === b.lengthMm;
