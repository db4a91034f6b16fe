import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useShelf, useSpecies } from '@/data/queries';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { FINDER, TextField } from '@/ui/fields';
import { Screen } from '@/ui/Screen';
import { Failed, Loading } from '@/ui/states';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { useKeys } from '@/ui/keys';
import { allOf, NONE, toggled, upTo, type Chosen } from '@/features/many/chosen';
import { ManyBar, type ManyDeed } from '@/features/many/ManyBar';
import { ManyPop } from '@/features/many/ManyPop';
import { arrange, living, MANY, SORTS, type Sort } from './arrange';
import { EmptyShelf } from './EmptyShelf';
import { TubeList } from './TubeList';
import { NAMES } from '@/words/names';

/** Who stands here? Every tube to scale; searched and sorted when there are many. */
export function ShelfPage({ find = false }: { find?: boolean }) {
  const shelf = useShelf();
  const species = useSpecies();
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<Sort>('urgent');
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [deed, setDeed] = useState<Exclude<ManyDeed, 'labels'> | null>(null);
  const rows = shelf.data;
  const many = (rows?.length ?? 0) >= MANY || find;
  const sections = arrange(
    rows ?? [],
    many ? { search, sort } : { search: '', sort: 'urgent' },
    (r) => species.find((s) => s.id === r.profileId)?.name ?? 'Unknown',
    (r) => species.find((s) => s.id === r.profileId)?.otherNames ?? [],
  );
  const hits = sections.flatMap((s) => s.rows);
  const there = many && rows !== null;
  useEffect(() => {
    if (find && there) document.querySelector<HTMLElement>(FINDER)?.focus();
  }, [find, there]);
  // as they stand on the shelf; who has gone meanwhile is ticked no more
  const shown = sections.flatMap((s) => living(s.rows).map((r) => r.queen.id));
  const here = useMemo(() => new Set(living(rows ?? []).map((r) => r.queen.id)), [rows]);
  const ticked = chosen?.ids.filter((id) => here.has(id)) ?? [];
  const end = () => {
    setChosen(null);
    setDeed(null);
  };
  const choose = (what: ManyDeed) => {
    if (what === 'labels') go(`/labels?queens=${ticked.join(',')}`);
    else setDeed(what);
  };
  const keys = useMemo(
    () => ({
      x: () => setChosen((c) => c ?? NONE),
      Escape: () => setChosen(null),
    }),
    [],
  );
  useKeys(keys);
  return (
    <Screen
      question="Who stands here?"
      wide
      foot={
        chosen && rows ? (
          <ManyBar
            n={ticked.length}
            full={shown.length > 0 && shown.every((id) => ticked.includes(id))}
            onAll={() => setChosen(allOf(chosen, shown))}
            onDeed={choose}
            onEnd={end}
          />
        ) : rows && rows.length > 0 ? (
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
            <Button
              compact
              mode="outlined"
              icon="checkbox-multiple-marked-outline"
              onPress={() => setChosen(NONE)}
            >
              {NAMES.selectSeveral}
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
          <TextField
            label="Search by name, species, place, site or batch"
            value={search}
            onChange={setSearch}
            finds
            onEnter={() => search.trim() && hits.length === 1 && go(`/queens/${hits[0]?.queen.id}`)}
          />
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
      <TubeList
        sections={sections}
        select={
          chosen
            ? {
                ids: ticked,
                onTick: (id) => setChosen(toggled(chosen, id)),
                onUpTo: (id) => setChosen(upTo(chosen, id, shown)),
                onAllOf: (ids) => setChosen(allOf(chosen, ids)),
              }
            : undefined
        }
      />
      {deed && ticked.length > 0 ? (
        <ManyPop ids={ticked} what={deed} onClose={() => setDeed(null)} onDone={end} />
      ) : null}
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
