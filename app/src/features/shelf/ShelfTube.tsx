import type { KindCard } from '@gentle-burrow/core/species';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { StyleSheet, View } from 'react-native';
import { Icon, IconButton } from 'react-native-paper';
import { HomePicture } from '@/features/home/HomePicture';
import { PartDrawing } from '@/features/home/PartDrawing';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Go } from '@/ui/Go';
import { openDeeds } from '@/ui/open-deeds';
import { phraseText } from '@/ui/Said';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { MARKS, rowLabel } from './marks';

interface ShelfTubeProps {
  row: ShelfRow;
  profile: KindCard | undefined;
}

/** One tube on the shelf: drawn to scale, with what she needs. One at rest wears her sleeve. */
export function ShelfTube({ row, profile }: ShelfTubeProps) {
  const p = useBurrow();
  const units = usePreferences();
  const [width, onLayout] = useWidth();
  const resting = row.pressure === 'rest' && !row.lost;
  const mark = MARKS[row.pressure];
  const color = mark.color(p);
  const sleeve = resting ? (row.restUntil ? `rests until ${dayText(row.restUntil)}` : 'rests') : undefined;
  const says = phraseText(row.says, units);
  const name = profile?.name ?? 'Unknown';
  const { id, label } = row.queen;
  const drawn = {
    lineMm: row.lineMm,
    counts: shown(row),
    queenAtMm: row.queenAtMm,
    profile,
    wetFront: row.wetFront,
    sleeve,
    empty: row.lost !== null || row.orphans,
  };
  return (
    <View style={[styles.tube, OFFSCREEN]} onLayout={onLayout}>
      <Go
        to={`/queens/${id}`}
        aria-label={rowLabel(row, name, says)}
        onLongPress={row.lost ? undefined : () => openDeeds(id)}
        style={styles.link}
      >
        <View style={[styles.head, row.lost ? null : styles.besideMore]}>
          <Words kind="heading">{label}</Words>
          <Words kind="latin" soft style={styles.name}>
            {name}
          </Words>
          {row.lost ? null : (
            <View style={styles.mark} aria-hidden>
              <Icon source={mark.icon} size={18} color={color} />
              <Words kind="smallBold" color={color}>
                {mark.word}
              </Words>
            </View>
          )}
        </View>
        <View style={row.lost ? styles.lost : null} aria-hidden>
          {row.home ? (
            <HomePicture home={row.home} width={width} hers={drawn} mostTall={160} />
          ) : (
            <PartDrawing
              {...drawn}
              part={row.part}
              width={row.part.kind === 'tube' ? width : Math.min(width, BODY_PX)}
            />
          )}
        </View>
        {resting && row.restUntil ? null : (
          <Words kind={row.pressure === 'rest' ? 'small' : 'body'}>{says}</Words>
        )}
      </Go>
      {row.lost ? null : (
        <IconButton
          icon="dots-horizontal"
          size={22}
          accessibilityLabel={`Write of ${label}`}
          style={styles.more}
          onPress={() => openDeeds(id)}
        />
      )}
    </View>
  );
}

/** What is no tube is drawn no larger than that on the shelf. */
const BODY_PX = 220;

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
  tube: { paddingVertical: SPACE.s },
  link: { gap: SPACE.xs },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET },
  besideMore: { paddingRight: TARGET },
  name: { flex: 1 },
  mark: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
  more: { position: 'absolute', top: SPACE.s, right: -SPACE.s, margin: 0, width: TARGET, height: TARGET },
  lost: { opacity: 0.55 },
});
