import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useShelf, useSpecies } from '@/data/queries';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { TextField } from '@/ui/fields';
import { Screen } from '@/ui/Screen';
import { Failed, Loading } from '@/ui/states';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { arrange, MANY, SORTS, type Sort } from './arrange';
import { EmptyShelf } from './EmptyShelf';
import { TubeList } from './TubeList';
import { NAMES } from '@/words/names';

/** Who stands here? Every tube to scale; searched and sorted when there are many. */
export function ShelfPage() {
  const shelf = useShelf();
  const species = useSpecies();
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<Sort>('urgent');
  const rows = shelf.data;
  const many = (rows?.length ?? 0) >= MANY;
  const sections = arrange(
    rows ?? [],
    many ? { search, sort } : { search: '', sort: 'urgent' },
    (r) => species.find((s) => s.id === r.profileId)?.name ?? 'Unknown',
  );
  return (
    <Screen
      question="Who stands here?"
      wide
      foot={
        rows && rows.length > 0 ? (
          <View style={styles.foot}>
            <Button
              compact
              mode="contained"
              icon="plus"
              style={styles.fill}
              onPress={() => go('/queens/new')}
            >
              {NAMES.takeIn}
            </Button>
            <Button compact mode="outlined" icon="food-apple-outline" onPress={() => go('/feed')}>
              {NAMES.feedSeveral}
            </Button>
            <IconButton
              icon="qrcode-scan"
              mode="outlined"
              accessibilityLabel={NAMES.readLabel}
              style={styles.icon}
              onPress={() => go('/scan')}
            />
          </View>
        ) : null
      }
    >
      {shelf.loading ? <Loading what="the shelf" /> : null}
      {shelf.error ? <Failed error={shelf.error} onRetry={shelf.retry} /> : null}
      {rows && rows.length === 0 ? <EmptyShelf /> : null}
      {many ? (
        <View style={styles.find}>
          <TextField label="Search by name, species, place or batch" value={search} onChange={setSearch} />
          <Choice label="Order" hideLabel options={SORTS} value={sort} onChange={(v) => setSort(v)} />
        </View>
      ) : null}
      {rows && rows.length > 0 && sections.length === 0 ? (
        <View role="status">
          <Words>{`No queen is found by “${search}”.`}</Words>
          <Button mode="text" style={styles.left} onPress={() => setSearch('')}>
            Show all
          </Button>
        </View>
      ) : null}
      <TubeList sections={sections} />
    </Screen>
  );
}

const styles = StyleSheet.create({
  find: { gap: SPACE.s },
  foot: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s },
  fill: { flexGrow: 1 },
  left: { alignSelf: 'flex-start' },
  icon: { margin: 0, width: TARGET, height: TARGET },
});
