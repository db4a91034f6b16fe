import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/fields';
import { Words } from '@/ui/Words';
import type { BroodDraft } from './draft';

/** A few minutes make workers slow; longer than this they are looked at again. Prior. */
const WATCH_MINUTES = 5;

interface ChillProps {
  draft: BroodDraft;
  change(part: Partial<BroodDraft>): void;
}

/** How long they are chilled: a watch that goes on while one looks elsewhere, or a figure. */
export function Chill({ draft, change }: ChillProps) {
  const { chillingSince, chilledMinutes } = draft;
  const seconds = useSecondsSince(chillingSince);
  const stop = () => change({ chillingSince: null, chilledMinutes: Math.max(1, Math.round(seconds / 60)) });
  return (
    <View style={styles.all}>
      <NumberField
        label="Chilled"
        unit="minutes"
        value={chilledMinutes}
        onChange={(v) => change({ chilledMinutes: v })}
        fault={
          chilledMinutes !== null && (chilledMinutes < 0 || chilledMinutes > 120)
            ? 'A chill is minutes, not hours. Give 0 to 120.'
            : undefined
        }
      />
      {chillingSince ? (
        <>
          <View role="timer" aria-label={`In the cold for ${clockText(seconds)}`}>
            <Words kind="answer">{`In the cold for ${clockText(seconds)}`}</Words>
          </View>
          {seconds >= WATCH_MINUTES * 60 ? (
            <View role="alert">
              <Words kind="bold">Look at them now: as soon as they are slow, take them out.</Words>
            </View>
          ) : null}
          <Button mode="contained" icon="timer-off-outline" style={styles.left} onPress={stop}>
            They are out
          </Button>
        </>
      ) : (
        <Button
          mode="outlined"
          icon="timer-outline"
          style={styles.left}
          onPress={() => change({ chillingSince: new Date().toISOString() })}
        >
          They go into the cold
        </Button>
      )}
    </View>
  );
}

function useSecondsSince(since: string | null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (since === null) return;
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, [since]);
  return since === null ? 0 : Math.max(0, Math.floor((now - Date.parse(since)) / 1000));
}

const clockText = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} minutes`;

const styles = StyleSheet.create({
  all: { gap: SPACE.s },
  left: { alignSelf: 'flex-start' },
});
