import { effectiveEntries, type EffectiveEntry } from '@gentle-burrow/core/log';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, IconButton } from 'react-native-paper';
import { amendEntry, otherOf } from '@/data/entries';
import { useSpecies, type ShownQueen } from '@/data/queries';
import { ColonySheet } from '@/features/paper/ColonySheet';
import { usePreferences } from '@/theme/preferences';
import { SendStory } from '@/features/travel/SendStory';
import { usePaper } from '@/ui/paper';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText, momentText } from '@/ui/dates';
import { Told } from '@/ui/Told';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { bodyOf } from '@/features/log/body-of';
import { hasForm } from '@/features/log/kind-forms';
import { entryWords, kindIcon, kindTitle } from '@/features/log/kind-views';
import { useHerNames } from '@/features/log/use-names';
import { WriteEntry } from '@/features/log/WriteEntry';
import { go } from '@/ui/way';
import { termsOf } from '@/words/glossary';
import { NAMES } from '@/words/names';

const FIRST = 8;

/** Everything written about her, newest first. Nothing is ever lost: what was amended shows what it said before. */
export function Log({ shown }: { shown: ShownQueen }) {
  const [all, setAll] = useState(false);
  const [gone, setGone] = useState(false);
  const items = useMemo(() => [...effectiveEntries(shown.facts.entries)].reverse(), [shown.facts.entries]);
  const standing = items.filter((i) => i.entry !== null);
  const withdrawn = items.length - standing.length;
  const told = gone ? items : standing;
  const some = all ? told : told.slice(0, FIRST);
  const names = useHerNames(shown);
  // once below the lines: in each of them the same words would be asked about again and again
  const terms = termsOf(some.map(({ entry, original }) => entryWords(bodyOf(entry ?? original), names)));
  const [paper, print] = usePaper();
  const units = usePreferences();
  const profile = useSpecies().find((s) => s.id === shown.view.profileId);
  return (
    <View>
      <View role="list">
        {some.map((item) => (
          <LogLine key={item.original.id} item={item} shown={shown} />
        ))}
      </View>
      {terms.length > 0 ? (
        <Told kind="small" soft style={styles.terms}>{`Words in these lines: ${terms.join(', ')}.`}</Told>
      ) : null}
      {told.length > some.length ? (
        <Button mode="text" onPress={() => setAll(true)}>
          {`Show all ${told.length}`}
        </Button>
      ) : null}
      {withdrawn > 0 ? (
        <Button mode="text" onPress={() => setGone(!gone)}>
          {gone ? 'Fold away what was taken back' : `${withdrawn} taken back`}
        </Button>
      ) : null}
      <View style={styles.ways}>
        {paper}
        <Button
          mode="outlined"
          icon="printer-outline"
          style={styles.left}
          onPress={() => print(<ColonySheet shown={shown} profile={profile} names={names} units={units} />)}
        >
          {`Print the sheet of ${shown.facts.queen.label}`}
        </Button>
        <SendStory shown={shown} />
      </View>
    </View>
  );
}

function LogLine({ item, shown }: { item: EffectiveEntry; shown: ShownQueen }) {
  const p = useBurrow();
  const queenId = shown.facts.queen.id;
  const [open, setOpen] = useState(false);
  const { entry, original, amendment } = item;
  const body = bodyOf(entry ?? original);
  const names = useHerNames(shown);
  const withdraw = async () => {
    const a = await amendEntry(original, null, amendment?.id ?? null);
    const says =
      original.kind === 'intake'
        ? `${shown.facts.queen.label} is taken back.`
        : `${kindTitle(original.kind)}: taken back.`;
    offerUndo(says, () => amendEntry(a, null));
  };
  const restore = async () => {
    if (!amendment) return;
    const a = await amendEntry({ queenId, id: amendment.id, otherId: otherOf(original) }, null);
    offerUndo('Restored.', () => amendEntry(a, null));
  };
  const amend = () => {
    if (body.kind === 'look') go(`/queens/${queenId}/look?amend=${original.id}`);
    else setOpen(!open);
  };
  const title = `${kindTitle(body.kind)}, ${dayText(body.at)}`;
  return (
    <View role="listitem" style={{ borderBottomColor: p.rule, borderBottomWidth: 1 }}>
      <View style={styles.line}>
        <View aria-hidden style={styles.icon}>
          <Icon source={kindIcon(body.kind)} size={20} color={p.inkSoft} />
        </View>
        <View style={styles.words}>
          <Words kind="smallBold">{title}</Words>
          <Words kind="body" soft={entry === null} style={entry === null ? styles.gone : null}>
            {entryWords(body, names)}
          </Words>
          {original.ownAt ? (
            <Words kind="small" soft>
              {`Saved with the server’s time. The clock of the device showed ${momentText(original.ownAt)}.`}
            </Words>
          ) : null}
          {entry === null ? (
            <Words kind="small" soft>
              Taken back; it counts for nothing.
            </Words>
          ) : amendment ? (
            <Words kind="small" soft>
              {`${NAMES.putRight} ${dayText(amendment.loggedAt)}. Before: ${entryWords(bodyOf(original), names)}`}
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
        {entry ? (
          <IconButton
            icon="pencil-outline"
            size={20}
            accessibilityLabel={`${NAMES.putRight}: ${title}`}
            aria-expanded={hasForm(entry.kind) ? open : undefined}
            onPress={amend}
          />
        ) : null}
        {entry ? (
          <IconButton
            icon="close"
            size={20}
            accessibilityLabel={
              entry.kind === 'intake'
                ? 'Taken in by mistake: take her back whole'
                : `${NAMES.takeBack}: ${title}`
            }
            onPress={() => void withdraw()}
          />
        ) : null}
      </View>
      {open && entry && hasForm(entry.kind) ? (
        <WriteEntry
          shown={shown}
          kind={entry.kind}
          amends={{ id: original.id, body: body as never, over: amendment?.id ?? null }}
          onDone={() => setOpen(false)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'flex-start', paddingVertical: SPACE.s },
  icon: { paddingTop: 2, paddingRight: SPACE.s },
  words: { flex: 1, gap: 2 },
  gone: { textDecorationLine: 'line-through' },
  terms: { paddingVertical: SPACE.s },
  left: { alignSelf: 'flex-start' },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, paddingTop: SPACE.m },
});
