import type { KeeperSettings } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { put } from '@/data/outbox';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayInput, dayText } from '@/ui/dates';
import { DateField } from '@/ui/fields';
import { Words } from '@/ui/Words';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
/** The week begins on Monday. */
const ORDER = [1, 2, 3, 4, 5, 6, 0];

/** Weekdays with time for the tubes, and days away. */
export function MyDays({ settings }: { settings: KeeperSettings }) {
  const p = useBurrow();
  const today = dayInput(new Date());
  const [away, setAway] = useState({ from: today, to: today });
  const decide = (change: Partial<KeeperSettings>) =>
    void put({ what: 'settings', settings: { ...settings, ...change } });
  const { weekdays, absences } = settings;
  const toggle = (d: number) =>
    decide({ weekdays: weekdays.includes(d) ? weekdays.filter((w) => w !== d) : [...weekdays, d].sort() });
  const wrong = away.to < away.from;
  return (
    <View style={styles.list}>
      <View role="group" aria-label="Weekdays with time" style={styles.row}>
        {ORDER.map((d) => {
          const on = weekdays.includes(d);
          return (
            <Pressable
              key={d}
              role="button"
              aria-pressed={on}
              onPress={() => toggle(d)}
              style={[
                styles.day,
                {
                  borderColor: on ? p.moss : p.rule,
                  backgroundColor: on ? p.mossWash : p.sheet,
                  borderWidth: on ? 2 : 1,
                },
              ]}
            >
              <Words kind={on ? 'bold' : 'body'}>{WEEKDAYS[d]}</Words>
            </Pressable>
          );
        })}
      </View>
      <Words kind="small" soft>
        {weekdays.length === 0 ? 'No day is chosen: every day will do.' : 'Visits fall on these days alone.'}
      </Words>
      {absences
        .filter((a) => a.to >= today)
        .map((a) => (
          <View key={`${a.from}-${a.to}`} style={styles.away}>
            <Words>{`Away ${dayText(`${a.from}T12:00:00Z`)} to ${dayText(`${a.to}T12:00:00Z`)}`}</Words>
            <IconButton
              icon="close"
              accessibilityLabel={`Not away from ${a.from}`}
              onPress={() => decide({ absences: absences.filter((x) => x !== a) })}
            />
          </View>
        ))}
      <View style={styles.row}>
        <DateField
          label="Away from"
          value={away.from}
          min={today}
          onChange={(from) => setAway({ ...away, from })}
        />
        <DateField
          label="Away until"
          value={away.to}
          min={away.from}
          onChange={(to) => setAway({ ...away, to })}
          fault={wrong ? 'The last day lies before the first. Swap them or correct one.' : undefined}
        />
      </View>
      <Button
        mode="outlined"
        style={styles.left}
        disabled={wrong || !away.from || !away.to}
        onPress={() => decide({ absences: [...absences, away] })}
      >
        I am away then
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  left: { alignSelf: 'flex-start' },
  away: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' },
  day: {
    minWidth: TARGET,
    height: TARGET,
    paddingHorizontal: SPACE.s,
    borderRadius: 4,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
