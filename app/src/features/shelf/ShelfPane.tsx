import type { ShelfRow } from '@gentle-burrow/core/view';
import { router } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { useShelf, useSpecies } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Screen } from '@/ui/Screen';
import { Failed, Loading } from '@/ui/states';
import { Words } from '@/ui/Words';
import { EmptyShelf } from './EmptyShelf';
import { ShelfTube } from './ShelfTube';

interface ShelfPaneProps {
  chosen?: string | undefined;
  /** Stands beside another page, which is then the main one. */
  beside?: boolean;
}

/** What needs me today? The urgent first, then a calm answer for all that rest. */
export function ShelfPane({ chosen, beside = false }: ShelfPaneProps) {
  const shelf = useShelf();
  const species = useSpecies();
  const profiles = useMemo(() => new Map(species.map((s) => [s.id, s])), [species]);
  const rows = shelf.data;
  const shown = useGrowing(rows?.length ?? 0);
  return (
    <Screen
      question="What needs me today?"
      beside={beside}
      aside={
        <View style={styles.row}>
          <IconButton
            icon="tools"
            accessibilityLabel="Workbench"
            style={styles.icon}
            onPress={() => router.navigate('/workbench' as never)}
          />
          <IconButton
            icon="cog-outline"
            accessibilityLabel="Settings"
            style={styles.icon}
            onPress={() => router.navigate('/settings' as never)}
          />
        </View>
      }
      foot={
        rows && rows.length > 0 ? (
          <View style={styles.foot}>
            <Button
              mode="contained"
              icon="plus"
              style={styles.fill}
              onPress={() => router.navigate('/queens/new' as never)}
            >
              Take in a queen
            </Button>
            <IconButton
              icon="qrcode-scan"
              mode="outlined"
              accessibilityLabel="Read a label"
              style={styles.icon}
              onPress={() => router.navigate('/scan' as never)}
            />
          </View>
        ) : null
      }
    >
      {shelf.loading ? <Loading what="the shelf" /> : null}
      {shelf.error ? <Failed error={shelf.error} onRetry={shelf.retry} /> : null}
      {rows && rows.length === 0 ? <EmptyShelf /> : null}
      {rows && rows.length > 0 ? (
        <>
          <Words kind="answer">{answer(rows)}</Words>
          <View style={styles.ways}>
            <Button mode="text" icon="calendar-outline" onPress={() => router.navigate('/visits' as never)}>
              Visits ahead
            </Button>
            <Button mode="text" icon="rotate-right" onPress={() => router.navigate('/round' as never)}>
              Go round
            </Button>
          </View>
          {sections(rows, shown).map(({ title, n, rows: some }) => (
            <View key={title} style={styles.section}>
              <SectionTitle title={title} n={n} />
              {some.map((row) => (
                <ShelfTube
                  key={row.queen.id}
                  row={row}
                  profile={profiles.get(row.profileId)}
                  chosen={row.queen.id === chosen}
                />
              ))}
            </View>
          ))}
        </>
      ) : null}
    </Screen>
  );
}

function SectionTitle({ title, n }: { title: string; n: number }) {
  const p = useBurrow();
  return (
    <View style={[styles.title, { borderBottomColor: p.rule }]}>
      <Words kind="heading" level={2}>
        {title}
      </Words>
      <Words kind="small" soft>
        {n === 1 ? '1 tube' : `${n} tubes`}
      </Words>
    </View>
  );
}

/** The sections in order, with no more than so many tubes drawn in all. */
function sections(rows: readonly ShelfRow[], shown: number) {
  const living = rows.filter((r) => !r.lost);
  let left = shown;
  return [
    { title: 'Needs you', rows: living.filter((r) => r.pressure === 'now' || r.pressure === 'soon') },
    { title: 'May be looked at', rows: living.filter((r) => r.pressure === 'free') },
    { title: 'At rest', rows: living.filter((r) => r.pressure === 'rest') },
    { title: 'Lost', rows: rows.filter((r) => r.lost) },
  ]
    .map(({ title, rows: all }) => {
      const some = all.slice(0, Math.max(0, left));
      left -= all.length;
      return { title, n: all.length, rows: some };
    })
    .filter((s) => s.rows.length > 0);
}

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

/** One calm sentence for the whole shelf. */
export function answer(rows: readonly ShelfRow[]): string {
  const living = rows.filter((r) => !r.lost);
  const now = living.filter((r) => r.pressure === 'now').length;
  const soon = living.filter((r) => r.pressure === 'soon').length;
  const rest = living.length - now - soon;
  const need = [
    ...(now > 0 ? [now === 1 ? 'One tube needs you now.' : `${words(now)} tubes need you now.`] : []),
    ...(soon > 0 ? [soon === 1 ? 'One will soon.' : `${words(soon)} will soon.`] : []),
  ];
  if (living.length === 0) return 'No living queen stands here.';
  const dates = living.flatMap((r) => (r.restUntil ? [r.restUntil] : [])).sort();
  const until = dates[0] ? ` until ${dayText(dates[0])}` : '';
  if (need.length === 0) return `Nothing needs you${until}. Leave the drawer shut.`;
  return [...need, ...(rest > 0 ? [`${words(rest)} can be left alone.`] : [])].join(' ');
}

const NUMBERS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];
const words = (n: number): string => NUMBERS[n] ?? String(n);

const styles = StyleSheet.create({
  row: { flexDirection: 'row' },
  foot: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  fill: { flex: 1 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', marginLeft: -SPACE.m, marginTop: -SPACE.m },
  icon: { margin: 0, width: TARGET, height: TARGET },
  section: { gap: SPACE.s },
  title: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    borderBottomWidth: 1,
    paddingBottom: SPACE.xs,
  },
});
