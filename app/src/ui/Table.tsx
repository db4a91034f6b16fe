import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Words } from './Words';

interface TableProps {
  /** What it is a table of, for those who listen. */
  label: string;
  head: readonly string[];
  /** Each as long as the head; the first cell names its row. */
  rows: readonly (readonly string[])[];
}

/** Figures in rows and columns; the first column takes the room that the others leave. */
export function Table({ label, head, rows }: TableProps) {
  const p = useBurrow();
  return (
    <View role="table" aria-label={label}>
      <View role="row" style={[styles.row, { borderBottomColor: p.rule }]}>
        {head.map((h, i) => (
          <View key={h} role="columnheader" style={i === 0 ? styles.first : styles.cell}>
            <Words kind="smallBold" soft>
              {h}
            </Words>
          </View>
        ))}
      </View>
      {rows.map((cells, r) => (
        <View key={r} role="row" style={[styles.row, { borderBottomColor: p.rule }]}>
          {cells.map((c, i) => (
            <View key={i} role={i === 0 ? 'rowheader' : 'cell'} style={i === 0 ? styles.first : styles.cell}>
              <Words kind="small">{c}</Words>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderBottomWidth: 1, paddingVertical: SPACE.xs, gap: SPACE.s },
  first: { flex: 2, minWidth: 0 },
  cell: { flex: 1, minWidth: 0 },
});
