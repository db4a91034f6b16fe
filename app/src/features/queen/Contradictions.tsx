import type { Contradiction, Reading } from '@gentle-burrow/core/founding';
import { effectiveEntries, type EntryBody } from '@gentle-burrow/core/log';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { amendEntry, type ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { dayInput, dayText } from '@/ui/dates';
import { DateField, NumberField } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { kindTitle } from '@/features/log/kind-views';

/** What cannot both be right: both readings, and the way to put either right. Nothing is resolved in silence. */
export function Contradictions({ shown }: { shown: ShownQueen }) {
  return shown.view.ledger.contradictions.map((c) => <One key={c.says} shown={shown} contradiction={c} />);
}

function One({ shown, contradiction }: { shown: ShownQueen; contradiction: Contradiction }) {
  return (
    <Caution>
      <Words kind="bold">These cannot both be right</Words>
      <Words>{contradiction.says}</Words>
      {contradiction.readings.map((r, i) => (
        <ReadingLine key={`${r.entryId}.${i}`} shown={shown} reading={r} letter={i === 0 ? 'Either' : 'Or'} />
      ))}
    </Caution>
  );
}

interface ReadingLineProps {
  shown: ShownQueen;
  reading: Reading;
  letter: string;
}

function ReadingLine({ shown, reading, letter }: ReadingLineProps) {
  const { id } = shown.facts.queen;
  const [open, setOpen] = useState(false);
  const found = effectiveEntries(shown.facts.entries).find((e) => e.entry?.id === reading.entryId);
  const entry = found?.entry;
  if (!found || !entry) return null;
  const named = `the ${entry.kind} of ${dayText(entry.at)}`;
  const amend = () => {
    if (entry.kind === 'look') router.navigate(`/queens/${id}/look?amend=${found.original.id}` as never);
    else if (entry.kind === 'intake') setOpen(!open);
    else
      void amendEntry(id, found.original.id, null).then((a) =>
        offerUndo(`${kindTitle(entry.kind)} withdrawn.`, () => amendEntry(id, a.id, null)),
      );
  };
  return (
    <View style={styles.reading}>
      <Words kind="small" style={styles.says}>{`${letter}: ${reading.says}`}</Words>
      <Button
        mode="outlined"
        onPress={amend}
        accessibilityLabel={`${entry.kind === 'look' || entry.kind === 'intake' ? 'Amend' : 'Withdraw'} ${named}`}
      >
        {entry.kind === 'look' || entry.kind === 'intake' ? `Amend ${named}` : `Withdraw ${named}`}
      </Button>
      {open && entry.kind === 'intake' ? (
        <AmendIntake
          at={entry.at}
          queens={entry.queens ?? 1}
          onKeep={async (change) => {
            const { id: _id, queenId: _queen, loggedAt: _logged, ...body } = entry;
            const a = await amendEntry(id, found.original.id, { ...body, ...change } as EntryBody);
            setOpen(false);
            offerUndo('Intake amended.', () => amendEntry(id, a.id, null));
          }}
        />
      ) : null}
    </View>
  );
}

interface AmendIntakeProps {
  at: string;
  queens: number;
  onKeep(change: { at: string; queens: number }): Promise<void>;
}

function AmendIntake({ at, queens, onKeep }: AmendIntakeProps) {
  const [day, setDay] = useState(dayInput(new Date(at)));
  const [count, setCount] = useState<number | null>(queens);
  const today = dayInput(new Date());
  const fault =
    !/^\d{4}-\d{2}-\d{2}$/.test(day) || day > today ? 'Choose today or an earlier day.' : undefined;
  const few = count === null || count < 1 || !Number.isInteger(count);
  return (
    <View style={styles.form}>
      <DateField label="Taken in on" value={day} max={today} onChange={setDay} fault={fault} />
      <View style={styles.number}>
        <NumberField
          label="Queens taken in"
          value={count}
          onChange={setCount}
          fault={few ? 'Give a whole number, 1 or more.' : undefined}
        />
      </View>
      <Button
        mode="contained"
        disabled={fault !== undefined || few}
        onPress={() =>
          void onKeep({
            at: day === dayInput(new Date(at)) ? at : new Date(`${day}T12:00:00`).toISOString(),
            queens: count ?? 1,
          })
        }
      >
        Keep the correction
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  reading: { gap: SPACE.xs, alignItems: 'flex-start' },
  says: { alignSelf: 'stretch' },
  form: { gap: SPACE.s, alignSelf: 'stretch' },
  number: { flexDirection: 'row', maxWidth: 200 },
});
