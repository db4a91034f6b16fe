import type { ShelfRow } from '@gentle-burrow/core/view';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useClimateTold } from '@/data/climate';
import { useDailyTold } from '@/data/daily-backup';
import { useSettings, useShelf } from '@/data/queries';
import { BackupAlarm } from '@/features/backup/BackupAlarm';
import { Alarms } from '@/features/place/Alarms';
import { needing } from '@/features/shelf/arrange';
import { EmptyShelf } from '@/features/shelf/EmptyShelf';
import { TubeList } from '@/features/shelf/TubeList';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { lazyPart } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';
import { Screen } from '@/ui/Screen';
import { Failed, Loading } from '@/ui/states';
import { useEver } from '@/ui/useEver';
import { useLate } from '@/ui/useLate';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { NAMES } from '@/words/names';
import { answer } from './answer';
import { planOf } from './plan';

// planning visits is not needed for the first picture
const Plan = lazyPart(PAGES.plan);

/** Those who want something now are drawn, up to so many; of those who soon will, as many as make up the least. */
const MOST = 5;
const LEAST = 3;

/** Alarms stand above all else, so the shelf waits for them, but no longer than so. */
const ALARMS_WITHIN_MS = 1000;

/** What needs me today? The urgent drawn first, then the visits ahead, and a calm answer for all that rest. */
export function TodayPage() {
  const shelf = useShelf();
  const told = useEver([useClimateTold(), useDailyTold()].every(Boolean));
  const late = useLate(ALARMS_WITHIN_MS);
  const rows = told || late ? shelf.data : null;
  return (
    <Screen
      question="What needs me today?"
      side={
        <>
          <Alarms />
          <BackupAlarm />
          {shelf.loading || (shelf.data && !rows) ? <Loading what="the shelf" /> : null}
          {shelf.error ? <Failed error={shelf.error} onRetry={shelf.retry} /> : null}
          {rows && rows.length === 0 ? <EmptyShelf /> : null}
          {rows && rows.length > 0 ? <Needs rows={rows} /> : null}
        </>
      }
    >
      <Plan />
    </Screen>
  );
}

function Needs({ rows }: { rows: readonly ShelfRow[] }) {
  const settings = useSettings();
  const says = useMemo(() => answer(rows, () => planOf(rows, settings, new Date())), [rows, settings]);
  const urgent = needing(rows);
  const now = urgent.filter((r) => r.pressure === 'now').length;
  return (
    <>
      <Words kind="answer">{says}</Words>
      <View style={styles.ways}>
        <Button mode="outlined" icon="rotate-right" onPress={() => go('/round')}>
          {NAMES.round}
        </Button>
        <Button mode="outlined" icon="food-apple-outline" onPress={() => go('/feed')}>
          {NAMES.feedSeveral}
        </Button>
      </View>
      <TubeList
        sections={urgent.length > 0 ? [{ title: 'Needs you', rows: urgent }] : []}
        atFirst={Math.max(LEAST, Math.min(MOST, now))}
      />
    </>
  );
}

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
