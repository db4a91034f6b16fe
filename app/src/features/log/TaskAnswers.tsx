import type { Answer, AskedDeed } from '@gentle-burrow/core/care';
import { addCalendarDays, addDays, dayOf, startOfDay } from '@gentle-burrow/core/quantity';
import type { EntryBody } from '@gentle-burrow/core/log';
import { StyleSheet, View } from 'react-native';
import { takeBack, writeEntries } from '@/data/entries';
import { putOff } from '@/data/put-off';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { zoneNow } from '@/ui/dates';
import { openDeeds } from '@/ui/open-deeds';
import { offerUndo } from '@/ui/undo';
import { useOnce } from '@/ui/useOnce';
import { go } from '@/ui/way';
import { answerText } from '@/words/answers';
import { DEED_OF, deedKey } from './deed';

/** What has to be done within hours is asked about again so much later, days. */
const TIMER_LATER_DAYS = 2 / 24;

interface TaskAnswersProps {
  queenId: string;
  label: string;
  due: Pick<AskedDeed, 'task' | 'timer' | 'answers'>;
  /** It may be put off. */
  later?: boolean;
}

/** The likely answers to a deed, one tap each; its whole form; and later. */
export function TaskAnswers({ queenId, label, due, later = true }: TaskAnswersProps) {
  const units = usePreferences();
  const write = useOnce(async (answer: Answer) => {
    const body = { ...answer.says, at: new Date().toISOString() } as EntryBody;
    const written = await writeEntries([{ queenId, body }]);
    offerUndo(`${label}: ${answerText(answer, units.length).toLowerCase()}.`, () => takeBack(written));
  });
  const deed = DEED_OF[due.task];
  const open = () => (deed === 'look' ? go(`/queens/${queenId}/look`) : openDeeds(queenId, { kind: deed }));
  const key = deedKey(queenId, due.task);
  const wait = () => {
    const now = new Date().toISOString();
    const zone = zoneNow();
    putOff(
      key,
      due.timer ? addDays(now, TIMER_LATER_DAYS) : startOfDay(addCalendarDays(dayOf(now, zone), 1), zone),
    );
    offerUndo(`${label}: asked again ${due.timer ? 'in two hours' : 'tomorrow'}.`, async () =>
      putOff(key, null),
    );
  };
  return (
    <View role="group" aria-label={`Answers for ${label}`} style={styles.row}>
      {due.answers.map((a) => {
        const text = answerText(a, units.length);
        return (
          <Button
            key={`${a.id} ${text}`}
            compact
            mode="outlined"
            accessibilityLabel={`${label}: ${text}`}
            onPress={() => write(a)}
          >
            {text}
          </Button>
        );
      })}
      <Button compact mode="text" accessibilityLabel={`${label}: log something else`} onPress={open}>
        {due.answers.length > 0 ? 'Something else' : 'Log it'}
      </Button>
      {later ? (
        <Button compact mode="text" accessibilityLabel={`${label}: later`} onPress={wait}>
          Later
        </Button>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs, alignItems: 'center' },
});
