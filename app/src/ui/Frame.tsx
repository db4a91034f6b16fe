import { Slot, useGlobalSearchParams, usePathname } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { useFetchAhead } from '@/data/fetch-ahead';
import { warmUpProjection } from '@/data/projection';
import { useShelf } from '@/data/queries';
import { ShelfPane } from '@/features/shelf/ShelfPane';
import { useBurrow } from '@/theme/theme';
import { SHELF_PANE, WIDE, WIDEST } from '@/theme/tokens';
import { Banner } from './Banner';
import { FINDER } from './fields';
import { useKeys } from './keys';
import { NavBar } from './NavBar';
import { lazyPart } from './lazy-page';
import { closeDeeds, useDeedsOf } from './open-deeds';
import { fetchPagesAhead, PAGES } from './pages';
import { undoLast } from './undo';
import { UndoBar } from './UndoBar';
import { go, passed } from './way';

const DeedSheet = lazyPart(PAGES.deeds);
const KeyHelp = lazyPart(PAGES.keys);

/** The places around a page: a bar below it on a phone, a rail beside it on a wide screen. */
export function Frame() {
  const p = useBurrow();
  const width = useWindowDimensions().width;
  const wide = width >= WIDE;
  const path = usePathname();
  const { step } = useGlobalSearchParams<{ step?: string }>();
  const chosen = /^\/queens\/([0-9a-f-]{36})/.exec(path)?.[1];
  const [help, setHelp] = useState(false);
  const rows = useShelf().data;
  const deedsOf = useDeedsOf();
  useFetchAhead();
  useEffect(() => passed(step ? `${path}?step=${step}` : path), [path, step]);
  const keys = useMemo(() => {
    const ids = (rows ?? []).map((r) => r.queen.id);
    const move = (by: number) => {
      if (ids.length === 0) return;
      const at = chosen ? ids.indexOf(chosen) : by > 0 ? -1 : ids.length;
      const next = ids[Math.max(0, Math.min(ids.length - 1, at + by))];
      if (next) go(`/queens/${next}`);
    };
    return {
      j: () => move(1),
      ArrowDown: () => move(1),
      k: () => move(-1),
      ArrowUp: () => move(-1),
      n: () => go('/queens/new'),
      f: () => go('/feed'),
      t: () => go('/'),
      g: () => go('/shelf'),
      b: () => go('/bench'),
      p: () => go('/places'),
      r: () => go('/records'),
      s: () => go('/settings'),
      u: () => void undoLast(),
      '/': () => {
        const field = document.querySelector<HTMLElement>(FINDER);
        if (field) field.focus();
        else go('/shelf?find=1');
      },
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
        {wide ? <NavBar wide /> : null}
        {width >= WIDEST && chosen ? (
          <View role="complementary" aria-label="Shelf" style={[styles.shelf, { borderRightColor: p.rule }]}>
            <ShelfPane chosen={chosen} />
          </View>
        ) : null}
        <View style={styles.fill}>
          <Slot />
        </View>
      </View>
      <UndoBar />
      {wide ? null : <NavBar wide={false} />}
      {deedsOf ? (
        <DeedSheet key={deedsOf.queenId} id={deedsOf.queenId} start={deedsOf.start} onClose={closeDeeds} />
      ) : null}
      {help ? <KeyHelp onClose={() => setHelp(false)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1 },
  panes: { flexDirection: 'row' },
  shelf: { width: SHELF_PANE, borderRightWidth: 1 },
});
