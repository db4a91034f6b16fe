import type { Contradiction, Reading } from '@gentle-burrow/core/founding';
import { effectiveEntries, type Amendment, type FactEntry } from '@gentle-burrow/core/log';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { amendEntry } from '@/data/entries';
import { type ShownQueen } from '@/data/queries';
import { bodyOf } from '@/features/log/body-of';
import { hasForm } from '@/features/log/kind-forms';
import { entryWords, kindTitle } from '@/features/log/kind-views';
import { useHerNames } from '@/features/log/use-names';
import { WriteEntry } from '@/features/log/WriteEntry';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText, momentText } from '@/ui/dates';
import { Caution } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { go } from '@/ui/way';
import { KIND_NOUNS } from '@/words/kinds';
import { NAMES } from '@/words/names';

/** An entry that two devices put right without knowing of one another: both are shown, and the keeper says which holds. */
function Rivals({ shown }: { shown: ShownQueen }) {
  const names = useHerNames(shown);
  return effectiveEntries(shown.facts.entries).map(({ original, amendment, rival }) => {
    if (!amendment || !rival) return null;
    const says = (a: Amendment) => (a.replacement ? entryWords(a.replacement, names) : 'taken back');
    const holds = async (a: Amendment) => {
      const settled = await amendEntry(original, a.replacement, amendment.id);
      offerUndo('Settled.', () => amendEntry(settled, null));
    };
    return (
      <Caution key={original.id}>
        <Words kind="bold">Two devices put this right differently</Words>
        <Words>{`${kindTitle(original.kind)}, ${dayText(original.at)}. Which holds?`}</Words>
        {[amendment, rival].map((a, i) => (
          <View key={a.id} style={styles.reading}>
            <Words kind="small" style={styles.says}>
              {`${i === 0 ? 'Holds now' : 'Was overruled'}, written ${dayText(a.loggedAt)}: ${says(a)}`}
            </Words>
            <Button mode="outlined" onPress={() => void holds(a)}>
              {i === 0 ? 'Leave it so' : 'This one holds'}
            </Button>
          </View>
        ))}
      </Caution>
    );
  });
}

/** What cannot both be right: both readings, and the way to put either right. Nothing is resolved in silence. */
export function Contradictions({ shown }: { shown: ShownQueen }) {
  return (
    <>
      <Rivals shown={shown} />
      {shown.view.ledger.contradictions.map((c) => (
        <One key={c.says} shown={shown} contradiction={c} />
      ))}
      {shown.view.housing.faults.map(({ entryId, at, says }) => (
        <One
          key={entryId}
          shown={shown}
          contradiction={{ says, readings: [{ entryId, at, says: 'Until then it counts for nothing.' }] }}
        />
      ))}
    </>
  );
}

/**
 * What the button of each reading is called: with its hour where two are of one kind and day. What both readings say of one
 * entry has one button, the last.
 */
export function buttonNames(readings: readonly Reading[], entries: readonly FactEntry[]): (string | null)[] {
  const named = readings.map(({ entryId }) => entries.find((e) => e.id === entryId));
  const dayName = (e: FactEntry) => `the ${KIND_NOUNS[e.kind]} of ${dayText(e.at)}`;
  return named.map((entry, i) => {
    if (!entry || named.slice(i + 1).some((later) => later?.id === entry.id)) return null;
    const twice = named.some((other) => other && other.id !== entry.id && dayName(other) === dayName(entry));
    const name = twice ? `the ${KIND_NOUNS[entry.kind]} of ${momentText(entry.at)}` : dayName(entry);
    return `${NAMES.putRight} ${name}`;
  });
}

function One({ shown, contradiction }: { shown: ShownQueen; contradiction: Contradiction }) {
  const buttons = buttonNames(
    contradiction.readings,
    effectiveEntries(shown.facts.entries).flatMap(({ entry }) => (entry ? [entry] : [])),
  );
  return (
    <Caution>
      <Words kind="bold">
        {contradiction.readings.length > 1 ? 'These cannot both be right' : 'This cannot be right'}
      </Words>
      <Words>{contradiction.says}</Words>
      {contradiction.readings.map((r, i) => (
        <ReadingLine
          key={`${r.entryId}.${i}`}
          shown={shown}
          reading={r}
          letter={contradiction.readings.length < 2 ? null : i === 0 ? 'Either' : 'Or'}
          button={buttons[i] ?? null}
        />
      ))}
    </Caution>
  );
}

interface ReadingLineProps {
  shown: ShownQueen;
  reading: Reading;
  letter: string | null;
  /** What its button is called; null where another reading has the same. */
  button: string | null;
}

function ReadingLine({ shown, reading, letter, button }: ReadingLineProps) {
  const { id } = shown.facts.queen;
  const [open, setOpen] = useState(false);
  const found = effectiveEntries(shown.facts.entries).find((e) => e.entry?.id === reading.entryId);
  const entry = found?.entry;
  if (!found || !entry) return null;
  const amend = () => {
    if (hasForm(entry.kind)) setOpen(!open);
    else go(`/queens/${id}/look?amend=${found.original.id}`);
  };
  return (
    <View style={styles.reading}>
      <Words kind="small" style={styles.says}>
        {letter ? `${letter}: ${reading.says}` : reading.says}
      </Words>
      {button ? (
        <Button mode="outlined" onPress={amend}>
          {button}
        </Button>
      ) : null}
      {open && hasForm(entry.kind) ? (
        <View style={styles.form}>
          <WriteEntry
            shown={shown}
            kind={entry.kind}
            amends={{
              id: found.original.id,
              body: bodyOf(entry) as never,
              over: found.amendment?.id ?? null,
            }}
            onDone={() => setOpen(false)}
          />
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  reading: { gap: SPACE.xs, alignItems: 'flex-start' },
  says: { alignSelf: 'stretch' },
  form: { alignSelf: 'stretch' },
});
