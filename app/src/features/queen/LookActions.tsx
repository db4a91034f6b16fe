import { addDays, daysText } from '@gentle-burrow/core/quantity';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { amendEntry, writeEntry } from '@/data/entries';
import { kindIcon } from '@/features/log/kind-views';
import { REST_TERMS } from '@/features/log/kinds/rest/form';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { openDeeds } from '@/ui/open-deeds';
import { offerUndo } from '@/ui/undo';
import { go } from '@/ui/way';
import { NAMES } from '@/words/names';

interface LookActionsProps {
  id: string;
  label: string;
}

/** A look taken, and a look not taken: one is as easy as the other, and neither is written by a stray tap. */
export function LookActions({ id, label }: LookActionsProps) {
  const [asking, setAsking] = useState(false);
  const rest = async (days: number) => {
    const at = new Date().toISOString();
    const entry = await writeEntry(id, { kind: 'rest', at, until: addDays(at, days) });
    setAsking(false);
    offerUndo(`Left alone for ${daysText(days)}.`, () => amendEntry(entry, null));
  };
  if (asking)
    return (
      <View role="group" aria-label="Leave alone for how long?" style={styles.actions}>
        {REST_TERMS.map((days) => (
          <Button
            key={days}
            compact
            mode="outlined"
            style={styles.action}
            accessibilityLabel={`Leave alone for ${daysText(days)}`}
            onPress={() => void rest(days)}
          >
            {daysText(days)}
          </Button>
        ))}
        <IconButton icon="close" accessibilityLabel="Do not leave alone" onPress={() => setAsking(false)} />
      </View>
    );
  return (
    <View style={styles.actions}>
      <Button
        mode="contained"
        icon={kindIcon('look')}
        style={styles.action}
        onPress={() => go(`/queens/${id}/look`)}
      >
        {NAMES.look}
      </Button>
      <Button mode="outlined" icon={kindIcon('rest')} style={styles.action} onPress={() => setAsking(true)}>
        {NAMES.leaveAlone}
      </Button>
      <IconButton
        icon="dots-horizontal"
        mode="outlined"
        accessibilityLabel={`Write of ${label}`}
        style={styles.more}
        onPress={() => openDeeds(id)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s },
  action: { flexGrow: 1 },
  more: { margin: 0, width: TARGET, height: TARGET },
});
