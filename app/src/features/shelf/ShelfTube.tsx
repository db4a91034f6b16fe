import type { SpeciesProfile } from '@gentle-burrow/core/species';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { router } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { TubeDrawing } from '@/features/tube/TubeDrawing';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { phraseText } from '@/ui/Said';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { usePreferences } from '@/theme/preferences';

interface ShelfTubeProps {
  row: ShelfRow;
  profile: SpeciesProfile | undefined;
  chosen: boolean;
}

const MARKS = { now: 'alert', soon: 'clock-outline', free: 'eye-outline', rest: 'weather-night' } as const;
const MARK_WORDS = { now: 'now', soon: 'soon', free: 'may look', rest: 'at rest' } as const;

/** One tube on the shelf: drawn to scale, with what she needs. One at rest wears her sleeve. */
export function ShelfTube({ row, profile, chosen }: ShelfTubeProps) {
  const p = useBurrow();
  const units = usePreferences();
  const [width, onLayout] = useWidth();
  const resting = row.pressure === 'rest' && !row.lost;
  const color = row.lost
    ? p.inkSoft
    : { now: p.clay, soon: p.amber, free: p.moss, rest: p.inkSoft }[row.pressure];
  const sleeve = resting ? (row.restUntil ? `rests until ${dayText(row.restUntil)}` : 'rests') : undefined;
  const says = phraseText(row.says, units);
  const name = profile?.name ?? 'Unknown';
  return (
    <Pressable
      role="link"
      aria-current={chosen ? 'page' : undefined}
      aria-label={`${row.queen.label}, ${name}. ${row.lost ? '' : `${MARK_WORDS[row.pressure]}. `}${says}`}
      onPress={() => router.navigate(`/queens/${row.queen.id}` as never)}
      onLayout={onLayout}
      style={[
        styles.tube,
        OFFSCREEN,
        { borderLeftColor: chosen ? p.moss : 'transparent' },
        chosen && { backgroundColor: p.sheet },
      ]}
    >
      <View style={styles.head}>
        <Words kind="heading">{row.queen.label}</Words>
        <View style={styles.name}>
          <Words kind="latin" soft>
            {name}
          </Words>
        </View>
        {row.lost ? null : (
          <View style={styles.mark} aria-hidden>
            <Icon source={MARKS[row.pressure]} size={18} color={color} />
            <Words kind="smallBold" color={color}>
              {MARK_WORDS[row.pressure]}
            </Words>
          </View>
        )}
      </View>
      <View style={row.lost ? styles.lost : null} aria-hidden>
        <TubeDrawing
          tube={row.tube}
          width={Math.max(0, width - 2 * SPACE.s - 3)}
          lineMm={row.lineMm}
          counts={shown(row)}
          queenAtMm={row.queenAtMm}
          profile={profile}
          wetFront={row.wetFront}
          sleeve={sleeve}
          empty={row.lost !== null || row.orphans}
        />
      </View>
      {resting && row.restUntil ? null : (
        <Words kind={row.pressure === 'rest' ? 'small' : 'body'}>{says}</Words>
      )}
    </Pressable>
  );
}

/** Tubes far down a long shelf are laid out and painted when they come near. */
const OFFSCREEN = { contentVisibility: 'auto', containIntrinsicSize: 'auto 100px' } as object;

const shown = (row: ShelfRow) =>
  row.lost
    ? {}
    : {
        eggs: row.counts.eggs?.range,
        larvae: row.counts.larvae?.range,
        pupae: row.counts.pupae?.range,
        workers: row.counts.workers?.range,
      };

const styles = StyleSheet.create({
  tube: {
    paddingVertical: SPACE.s,
    paddingHorizontal: SPACE.s,
    gap: SPACE.xs,
    borderLeftWidth: 3,
    marginHorizontal: -SPACE.s,
  },
  head: { flexDirection: 'row', alignItems: 'baseline', gap: SPACE.s },
  name: { flex: 1 },
  mark: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
  lost: { opacity: 0.55 },
});
