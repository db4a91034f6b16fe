import type { TubeHome } from '@gentle-burrow/core/facts';
import { InputError } from '@gentle-burrow/core/quantity';
import type { KindCard } from '@gentle-burrow/core/species';
import { FILL_SCHOOLS, fillOf, lastingOf, type Fill, type FillConditions } from '@gentle-burrow/core/tube';
import { Pressable, StyleSheet, View } from 'react-native';
import { TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { roving, tabStop } from '@/ui/roving';
import { inUnits } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { fillWords, PRIOR_WORDS } from './fill-words';

interface FillRowsProps {
  tube: TubeHome;
  profile: KindCard | undefined;
  conditions: FillConditions;
  by: 'length' | 'volume';
  /** The line that stands now, mm: the school that it belongs to is marked. */
  lineMm: number;
  onChoose(lineMm: number): void;
}

/** The schools of fill, one under the other on one scale, with what each comes to. */
export function FillRows({ tube, profile, conditions, by, lineMm, onChoose }: FillRowsProps) {
  const p = useBurrow();
  const units = usePreferences();
  const { length } = units;
  const [width, onLayout] = useWidth();
  const inner = Math.max(0, width - 2 * SPACE.s - 2);
  const now = new Date().toISOString();
  const fills = FILL_SCHOOLS.map((school) => ({
    school,
    fill: attempt(() => fillOf(tube, school.share, by, conditions, now)),
  }));
  const lasting = lastingOf(fills.map(({ fill }) => (typeof fill === 'object' ? fill : null)));
  const at = fills.findIndex(({ fill }) => typeof fill === 'object' && Math.abs(fill.lineMm - lineMm) < 0.6);
  return (
    <View
      role="radiogroup"
      aria-label="Method of filling"
      style={styles.list}
      onLayout={onLayout}
      {...roving('radio')}
    >
      {fills.map(({ school, fill }, i) => {
        const chosen = i === at;
        return (
          <Pressable
            key={school.id}
            role="radio"
            tabIndex={tabStop(i, at)}
            aria-checked={chosen}
            aria-label={`${school.name} water. They say: ${school.because}`}
            disabled={typeof fill === 'string'}
            onPress={() => typeof fill === 'object' && onChoose(Math.round(fill.lineMm * 10) / 10)}
            style={[styles.row, { borderColor: chosen ? p.moss : p.rule }, chosen && styles.chosen]}
          >
            <View style={styles.head}>
              <Words kind="bold">{school.name}</Words>
              <Words kind="small" soft style={styles.says}>
                {`They say: “${school.because}”.`}
              </Words>
            </View>
            {typeof fill === 'object' ? (
              <>
                <TubeDrawing
                  tube={{ ...tube, waterLineMm: fill.lineMm }}
                  width={inner}
                  lineMm={fill.lineMm}
                  profile={profile}
                  scaleBar={i === FILL_SCHOOLS.length - 1}
                />
                {fillWords(fill, length, { lasting: lasting[i] ?? 'alike', school }).map((line) => (
                  <Words kind="small" key={line}>
                    {line}
                  </Words>
                ))}
              </>
            ) : (
              <Words kind="small" color={p.clay}>
                {inUnits(fill, units)}
              </Words>
            )}
          </Pressable>
        );
      })}
    </View>
  );
}

/** The answer, or the sentence that says why there is none. */
export function attempt<T>(work: () => T): T | string {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
}

/** What the line set by hand comes to. */
export function FillWords({ fill }: { fill: Fill | string }) {
  const p = useBurrow();
  const units = usePreferences();
  if (typeof fill === 'string')
    return (
      <Words kind="small" color={p.clay}>
        {inUnits(fill, units)}
      </Words>
    );
  const [first, ...more] = fillWords(fill, units.length);
  return (
    <View aria-live="polite">
      <Words kind="bold">{first}</Words>
      {more.map((line) => (
        <Words kind="small" key={line}>
          {line}
        </Words>
      ))}
      <Words kind="small" soft>
        {PRIOR_WORDS}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { borderWidth: 1, borderRadius: 4, padding: SPACE.s, gap: SPACE.xs },
  chosen: { borderWidth: 2, padding: SPACE.s - 1 },
  head: { flexDirection: 'row', gap: SPACE.s, alignItems: 'baseline', flexWrap: 'wrap' },
  says: { flexShrink: 1 },
});
