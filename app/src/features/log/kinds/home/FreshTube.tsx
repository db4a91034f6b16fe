import { tubeMeasuresSchema, type HomePart, type TubeMeasures } from '@gentle-burrow/core/facts';
import { useSpecies, type ShownQueen } from '@/data/queries';
import { useStock } from '@/data/stock';
import { SlideLine } from '@/features/fill/SlideLine';
import { tubeSizes } from '@/features/fill/tube-sizes';
import { usePreferences } from '@/theme/preferences';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { lengthName } from '@/ui/units';
import { TubeNumbers } from '../../TubeNumbers';
import type { HomeDraft } from './draft';
import { UsedChoice } from './UsedChoice';

interface FreshTubeProps {
  shown: ShownQueen;
  draft: HomeDraft;
  change(part: Partial<HomeDraft>): void;
}

/** The fresh tube: from the stock or of a common size, its water on the drawing. */
export function FreshTube({ shown, draft, change }: FreshTubeProps) {
  const { length } = usePreferences();
  const stock = useStock();
  const sizes = tubeSizes(stock.levels, length);
  const profile = useSpecies().find((s) => s.id === shown.view.profileId);
  const { tube } = draft;
  const chosen =
    sizes.find((t) => t.itemId !== null && t.itemId === draft.itemId) ??
    sizes.find((t) => t.itemId === null && sameSize(t, tube));
  const set = (next: TubeMeasures) =>
    change({ tube: { ...next, id: tube.id, ...(tube.was ? { was: tube.was } : {}) } });
  const choose = (value: string) => {
    const size = sizes.find((t) => t.value === value);
    if (!size) return;
    const { outsideMm, boreMm, lengthMm, end, itemId } = size;
    // the same share of water as before
    const waterLineMm = Math.round((lengthMm * tube.waterLineMm) / tube.lengthMm);
    const { was: _, ...rest } = tube;
    change({ itemId, tube: { ...rest, outsideMm, boreMm, lengthMm, end, waterLineMm } });
  };
  const chooseUsed = (part: HomePart) => {
    if (part.kind !== 'tube') return;
    const { outsideMm, boreMm, lengthMm, end, waterLineMm, plugs } = part;
    change({
      itemId: null,
      tube: { id: tube.id, outsideMm, boreMm, lengthMm, end, waterLineMm, plugs, was: part.id },
    });
  };
  const drawn = tubeMeasuresSchema.safeParse(tube).success;
  return (
    <>
      <Choice
        label={`Fresh tube, outside × length in ${lengthName(length)}`}
        options={sizes}
        value={tube.was ? null : (chosen?.value ?? null)}
        onChange={choose}
      />
      <UsedChoice kind="tube" value={tube.was} onChange={chooseUsed} />
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
    </>
  );
}

const sameSize = (
  a: Pick<TubeMeasures, 'outsideMm' | 'boreMm' | 'lengthMm'>,
  b: Pick<TubeMeasures, 'outsideMm' | 'boreMm' | 'lengthMm'>,
): boolean => a.outsideMm === b.outsideMm && a.boreMm === b.boreMm && a.lengthMm === b.lengthMm;
