import { kindSearch, narrowed } from '@gentle-burrow/core/species';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useSpecies, useShelf } from '@/data/queries';
import { KindKey } from '@/features/founder/KindKey';
import { useSeen } from '@/features/founder/use-seen';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Loading } from '@/ui/states';
import { Words } from '@/ui/Words';
import { go } from '@/ui/way';
import { KindLine, type KindLineProps } from './KindLine';
import { OwnProfiles } from './OwnProfiles';

/** So many are shown at once; more on asking. */
const SHOWN = 15;

/** What is known of a kind? All that are in the catalogue and the keeper's own, found by name or by what is seen. */
export function KindsPage() {
  const kinds = useSpecies();
  const rows = useShelf().data;
  const [typed, setTyped] = useState('');
  const { seen, tell, keyed } = useSeen(null);
  const [all, setAll] = useState(false);
  const search = useMemo(() => kindSearch(kinds), [kinds]);
  const searching = typed.trim() !== '';
  const kept = useMemo(() => new Set((rows ?? []).map((r) => r.profileId)), [rows]);
  const shown: readonly KindLineProps[] = searching
    ? search(typed, 200).map(({ kind, by }) => ({ kind, by }))
    : keyed
      ? narrowed(kinds, seen).left.map(({ kind }) => ({ kind }))
      : kinds
          .filter((k) => kept.has(k.id) && k.copiedOf === null && k.rank !== 'type')
          .map((kind) => ({ kind }));
  const cut = all ? shown : shown.slice(0, SHOWN);
  return (
    <Screen question="What is known of a kind?" back="/records">
      {kinds.length === 0 ? <Loading what="the kinds" /> : null}
      <TextField
        label="Search by Latin, former or everyday name"
        value={typed}
        onChange={(text) => {
          setTyped(text);
          setAll(false);
        }}
        finds
        onEnter={() => searching && shown.length === 1 && shown[0] && go(`/kinds/${shown[0].kind.id}`)}
      />
      <Fold title="Not sure? Narrow it down by what you see">
        <KindKey kinds={kinds} seen={seen} onChange={tell} />
      </Fold>
      <Sheet tight>
        <Words kind="heading" level={2}>
          {searching ? 'Found' : keyed ? 'She may be one of these' : 'You keep these'}
        </Words>
        <View role="status" aria-live="polite">
          {shown.length === 0 ? (
            <Words soft>
              {searching
                ? `Nothing is named like “${typed.trim()}”. Try its genus alone.`
                : keyed
                  ? 'No species of the list is like that.'
                  : `None yet. ${kinds.filter((k) => k.rank === 'species' && k.copiedOf === null).length} species of the catalogue can be searched.`}
            </Words>
          ) : null}
        </View>
        {cut.map((f) => (
          <KindLine key={f.kind.id} {...f} />
        ))}
        {cut.length < shown.length ? (
          <Button mode="text" icon="chevron-down" style={styles.left} onPress={() => setAll(true)}>
            {`Show ${shown.length - cut.length} more`}
          </Button>
        ) : null}
      </Sheet>
      <OwnProfiles kinds={kinds} />
    </Screen>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
