import { router, Slot, usePathname } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { warmUpProjection } from '@/data/projection';
import { useShelf } from '@/data/queries';
import { ShelfPane } from '@/features/shelf/ShelfPane';
import { useBurrow } from '@/theme/theme';
import { SHELF_PANE, WIDE } from '@/theme/tokens';
import { Banner } from './Banner';
import { KeyHelp } from './KeyHelp';
import { useKeys } from './keys';
import { fetchPagesAhead } from './pages';
import { undoLast } from './undo';
import { UndoBar } from './UndoBar';

/** One pane on a phone; the shelf beside it on a wide screen. */
export function Frame() {
  const p = useBurrow();
  const wide = useWindowDimensions().width >= WIDE;
  const path = usePathname();
  const chosen = /^\/queens\/([0-9a-f-]{36})/.exec(path)?.[1];
  const [help, setHelp] = useState(false);
  const rows = useShelf().data;
  const keys = useMemo(() => {
    const ids = (rows ?? []).map((r) => r.queen.id);
    const step = (by: number) => {
      if (ids.length === 0) return;
      const at = chosen ? ids.indexOf(chosen) : by > 0 ? -1 : ids.length;
      const next = ids[Math.max(0, Math.min(ids.length - 1, at + by))];
      if (next) router.navigate(`/queens/${next}` as never);
    };
    return {
      j: () => step(1),
      ArrowDown: () => step(1),
      k: () => step(-1),
      ArrowUp: () => step(-1),
      n: () => router.navigate('/queens/new' as never),
      s: () => router.navigate('/settings' as never),
      g: () => router.navigate('/' as never),
      u: () => void undoLast(),
      '?': () => setHelp(true),
    };
  }, [rows, chosen]);
  useKeys(keys);
  useEffect(() => {
    const later = setTimeout(() => {
      warmUpProjection();
      fetchPagesAhead();
    }, 1500);
    return () => clearTimeout(later);
  }, []);
  return (
    <View style={[styles.fill, { backgroundColor: p.ground }]}>
      <Banner />
      <View style={[styles.fill, styles.panes]}>
        {wide ? (
          <View role="complementary" aria-label="Shelf" style={[styles.shelf, { borderRightColor: p.rule }]}>
            <ShelfPane chosen={chosen} beside />
          </View>
        ) : null}
        <View style={styles.fill}>
          <Slot />
        </View>
      </View>
      <UndoBar />
      <KeyHelp visible={help} onDismiss={() => setHelp(false)} />
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1 },
  panes: { flexDirection: 'row' },
  shelf: { width: SHELF_PANE, borderRightWidth: 1 },
});
