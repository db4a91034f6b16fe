import type { ShelfRow } from '@gentle-burrow/core/view';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useShelf, useSpecies } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Go } from '@/ui/Go';
import { phraseText } from '@/ui/Said';
import { Words } from '@/ui/Words';
import { MARKS, rowLabel } from './marks';

/** The shelf as a narrow list beside a colony's page: who is who, and who wants something. */
export function ShelfPane({ chosen }: { chosen: string }) {
  const rows = useShelf().data ?? [];
  return (
    <ScrollView tabIndex={0} role="region" aria-label="Shelf, a list" contentContainerStyle={styles.list}>
      {rows.map((row) => (
        <Line key={row.queen.id} row={row} chosen={row.queen.id === chosen} />
      ))}
    </ScrollView>
  );
}

function Line({ row, chosen }: { row: ShelfRow; chosen: boolean }) {
  const p = useBurrow();
  const units = usePreferences();
  const name = useSpecies().find((s) => s.id === row.profileId)?.name ?? 'Unknown';
  const mark = MARKS[row.pressure];
  return (
    <Go
      to={`/queens/${row.queen.id}`}
      aria-label={rowLabel(row, name, phraseText(row.says, units))}
      aria-current={chosen ? 'page' : undefined}
      style={[
        styles.line,
        { borderBottomColor: p.rule, borderLeftColor: chosen ? p.moss : 'transparent' },
        chosen && { backgroundColor: p.sheet },
      ]}
    >
      <View style={styles.fill}>
        <Words kind="heading">{row.queen.label}</Words>
        <Words kind="small" soft style={styles.latin}>
          {name}
        </Words>
      </View>
      {row.lost ? (
        <Words kind="small" soft>
          lost
        </Words>
      ) : (
        <View style={styles.mark}>
          <Icon source={mark.icon} size={18} color={mark.color(p)} />
          <Words kind="smallBold" color={mark.color(p)}>
            {mark.word}
          </Words>
        </View>
      )}
    </Go>
  );
}

const styles = StyleSheet.create({
  list: { paddingVertical: SPACE.s },
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: TARGET + 12,
    paddingHorizontal: SPACE.m,
    paddingVertical: SPACE.xs,
    borderBottomWidth: 1,
    borderLeftWidth: 3,
  },
  fill: { flex: 1 },
  latin: { fontStyle: 'italic' },
  mark: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
});
