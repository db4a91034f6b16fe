import type { ShelfRow } from '@gentle-burrow/core/view';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { useSpecies } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE, TUBE_COLUMN, WIDE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { living, tubesText, type Section } from './arrange';
import { ShelfTick } from './ShelfTick';
import { ShelfTube } from './ShelfTube';

/** So many tubes are drawn on a phone before the rest is folded; three times as many where they stand side by side. */
const UNFOLDED = 8;

interface TubeListProps {
  sections: readonly Section[];
  /** Draws no more than so many before the rest is folded. */
  atFirst?: number;
  /** Several are being selected. */
  select?: Selecting | undefined;
}

interface Selecting {
  ids: readonly string[];
  onTick(id: string): void;
  onUpTo(id: string): void;
  /** All of one heading. */
  onAllOf(ids: readonly string[]): void;
}

const idsOf = (rows: readonly ShelfRow[]): string[] => living(rows).map((r) => r.queen.id);

/** Tubes under their headings, as many beside one another as there is room for. */
export function TubeList({ sections, atFirst, select }: TubeListProps) {
  const wide = useWindowDimensions().width >= WIDE;
  const [all, setAll] = useState(false);
  const total = sections.reduce((n, s) => n + s.rows.length, 0);
  const most = all || select ? total : (atFirst ?? (wide ? 3 * UNFOLDED : UNFOLDED));
  const species = useSpecies();
  const profiles = useMemo(() => new Map(species.map((s) => [s.id, s])), [species]);
  const shown = useGrowing(Math.min(most, total));
  return (
    <>
      {first(sections, Math.min(shown, most)).map(({ title, all: whole, rows }) => (
        <View key={title} style={styles.section}>
          <SectionTitle title={title} n={whole.length} ids={idsOf(whole)} select={select} />
          <View style={GRID}>
            {rows.map((row) => (
              <View key={row.queen.id} style={styles.tube}>
                {select && !row.lost ? (
                  <ShelfTick
                    row={row}
                    species={profiles.get(row.profileId)?.name ?? 'Unknown'}
                    on={select.ids.includes(row.queen.id)}
                    onTick={() => select.onTick(row.queen.id)}
                    onUpTo={() => select.onUpTo(row.queen.id)}
                  />
                ) : (
                  <ShelfTube row={row} profile={profiles.get(row.profileId)} />
                )}
              </View>
            ))}
          </View>
        </View>
      ))}
      {shown >= most && most < total ? (
        <Button mode="text" style={styles.left} onPress={() => setAll(true)}>
          {`Show all ${tubesText(total)}`}
        </Button>
      ) : null}
    </>
  );
}

interface SectionTitleProps {
  title: string;
  n: number;
  /** Those of it who can be ticked. */
  ids: readonly string[];
  select: Selecting | undefined;
}

function SectionTitle({ title, n, ids, select }: SectionTitleProps) {
  const p = useBurrow();
  return (
    <View style={[styles.title, { borderBottomColor: p.rule }]}>
      <Words kind="heading" level={2}>
        {title}
      </Words>
      {select && ids.length > 0 ? (
        <Tick
          label={tubesText(ids.length)}
          name={`${title}: all ${tubesText(ids.length)}`}
          on={ids.every((id) => select.ids.includes(id))}
          onPress={() => select.onAllOf(ids)}
        />
      ) : (
        <Words kind="small" soft>
          {tubesText(n)}
        </Words>
      )}
    </View>
  );
}

/** The sections in order, with no more than so many tubes drawn in all. */
function first(
  sections: readonly Section[],
  shown: number,
): { title: string; all: readonly ShelfRow[]; rows: ShelfRow[] }[] {
  let left = shown;
  return sections
    .map(({ title, rows }) => {
      const some = rows.slice(0, Math.max(0, left));
      left -= rows.length;
      return { title, all: rows, rows: some };
    })
    .filter((s) => s.rows.length > 0);
}

/** Every tube has the same width, so that one scale holds for all. */
const GRID = {
  display: 'grid',
  gridTemplateColumns: `repeat(auto-fill, minmax(min(${TUBE_COLUMN}px, 100%), 1fr))`,
  columnGap: SPACE.xl,
} as object;

const FIRST = 2;
const STEP = 20;

/** How many tubes to draw: the most urgent at once, the rest a moment after, so that the first ones are not kept waiting. */
function useGrowing(total: number): number {
  const [shown, setShown] = useState(FIRST);
  useEffect(() => {
    if (total <= shown) return;
    const timer = setTimeout(() => setShown(shown + STEP), 50);
    return () => clearTimeout(timer);
  }, [shown, total]);
  return shown;
}

const styles = StyleSheet.create({
  section: { gap: SPACE.xs },
  tube: { minWidth: 0 },
  left: { alignSelf: 'flex-start' },
  title: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    borderBottomWidth: 1,
    paddingBottom: SPACE.xs,
  },
});
