import { effectiveEntries, type EffectiveEntry, type EntryBody } from '@gentle-burrow/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { amendEntry, usePlaces, useSpecies, type ShownQueen } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { entryWords, kindTitle, type Names } from '@/features/log/kind-views';

const FIRST = 8;

/** Everything written about her, newest first. Nothing is ever lost: what was amended shows what it said before. */
export function Log({ shown }: { shown: ShownQueen }) {
  const [all, setAll] = useState(false);
  const items = useMemo(() => [...effectiveEntries(shown.facts.entries)].reverse(), [shown.facts.entries]);
  const some = all ? items : items.slice(0, FIRST);
  return (
    <View>
      <View role="list">
        {some.map((item) => (
          <LogLine key={item.original.id} item={item} queenId={shown.facts.queen.id} />
        ))}
      </View>
      {items.length > some.length ? (
        <Button mode="text" onPress={() => setAll(true)}>
          {`Show all ${items.length}`}
        </Button>
      ) : null}
    </View>
  );
}

const bodyOf = (e: NonNullable<EffectiveEntry['entry']>): EntryBody => {
  const { id: _id, queenId: _queen, loggedAt: _logged, ...body } = e;
  return body as EntryBody;
};

function LogLine({ item, queenId }: { item: EffectiveEntry; queenId: string }) {
  const p = useBurrow();
  const { entry, original, amendment } = item;
  const body = bodyOf(entry ?? original);
  const [species, places] = [useSpecies(), usePlaces()];
  const names: Names = {
    species: (id) => species.find((s) => s.id === id)?.name,
    place: (id) => places.find((x) => x.id === id)?.name,
  };
  const withdraw = async () => {
    const a = await amendEntry(queenId, original.id, null);
    offerUndo(`${kindTitle(original.kind)} withdrawn.`, () => amendEntry(queenId, a.id, null));
  };
  const restore = async () => {
    if (!amendment) return;
    const a = await amendEntry(queenId, amendment.id, null);
    offerUndo('Restored.', () => amendEntry(queenId, a.id, null));
  };
  const title = `${kindTitle(body.kind)}, ${dayText(body.at)}`;
  return (
    <View role="listitem" style={[styles.line, { borderBottomColor: p.rule }]}>
      <View style={styles.words}>
        <Words kind="smallBold">{title}</Words>
        <Words kind="body" soft={entry === null} style={entry === null ? styles.gone : null}>
          {entryWords(body, names)}
        </Words>
        {entry === null ? (
          <Words kind="small" soft>
            Withdrawn; it counts for nothing.
          </Words>
        ) : amendment ? (
          <Words kind="small" soft>
            {`Amended ${dayText(amendment.loggedAt)}. Before: ${entryWords(bodyOf(original), names)}`}
          </Words>
        ) : null}
      </View>
      {amendment ? (
        <IconButton
          icon="undo"
          size={20}
          accessibilityLabel={`Undo the change of: ${title}`}
          onPress={() => void restore()}
        />
      ) : null}
      {entry?.kind === 'look' ? (
        <IconButton
          icon="pencil-outline"
          size={20}
          accessibilityLabel={`Amend: ${title}`}
          onPress={() => router.navigate(`/queens/${queenId}/look?amend=${original.id}` as never)}
        />
      ) : null}
      {entry && entry.kind !== 'intake' ? (
        <IconButton
          icon="close"
          size={20}
          accessibilityLabel={`Withdraw: ${title}`}
          onPress={() => void withdraw()}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'flex-start', paddingVertical: SPACE.s, borderBottomWidth: 1 },
  words: { flex: 1, gap: 2 },
  gone: { textDecorationLine: 'line-through' },
});
