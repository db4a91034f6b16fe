import type { ShelfRow } from '@gentle-burrow/core/view';
import { Pressable, StyleSheet, View, type GestureResponderEvent } from 'react-native';
import { Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Words } from '@/ui/Words';
import { MARKS } from './marks';

interface ShelfTickProps {
  row: ShelfRow;
  species: string;
  on: boolean;
  onTick(): void;
  /** All from the last one touched up to this one. */
  onUpTo(): void;
}

/** A queen as a line to be ticked, while several are selected: without her drawing, so that many are in reach of a thumb. */
export function ShelfTick({ row, species, on, onTick, onUpTo }: ShelfTickProps) {
  const p = useBurrow();
  const mark = MARKS[row.pressure];
  const { label, batch } = row.queen;
  const about = [row.placeName, batch].filter(Boolean).join(' · ');
  const press = ({ nativeEvent }: GestureResponderEvent) => {
    if ((nativeEvent as unknown as MouseEvent).shiftKey) onUpTo();
    else onTick();
  };
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={`${label}, ${species}. ${mark.word}. ${about}`}
      onPress={press}
      onLongPress={onUpTo}
      style={[styles.line, { borderBottomColor: p.rule }, on && { backgroundColor: p.mossWash }, UNSELECTED]}
    >
      <Icon
        source={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
        size={24}
        color={on ? p.moss : p.inkSoft}
      />
      <View style={styles.words}>
        <View style={styles.names}>
          <Words kind="heading">{label}</Words>
          <Words kind="latin" soft style={styles.fill}>
            {species}
          </Words>
        </View>
        <Words kind="small" soft>
          {about}
        </Words>
      </View>
      <Icon source={mark.icon} size={18} color={mark.color(p)} />
      <Words kind="smallBold" color={mark.color(p)}>
        {mark.word}
      </Words>
    </Pressable>
  );
}

/** Words under a held finger are not marked. */
const UNSELECTED = { userSelect: 'none', WebkitTouchCallout: 'none' } as object;

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.s,
    minHeight: TARGET + 8,
    paddingVertical: SPACE.xs,
    borderBottomWidth: 1,
  },
  words: { flex: 1 },
  names: { flexDirection: 'row', alignItems: 'baseline', gap: SPACE.s },
  fill: { flex: 1 },
});
