import type { Count } from '@gentle-burrow/core/facts';
import { countText } from '@gentle-burrow/core/quantity';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { roving } from '@/ui/roving';
import { Told } from '@/ui/Told';
import { Words } from '@/ui/Words';
import { CountField } from './CountField';
import { LOTS, SOME, tapNumber } from './look-draft';

const NUMBERS = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 30, 50];

interface CountPadProps {
  /** What is counted, in the plural. */
  stage: string;
  count: Count | null;
  fault: string | undefined;
  /** What was typed and is no count. */
  unread?: string | undefined;
  /** A count, or null and what was typed where that is none. */
  onChange(count: Count | null, unread?: string): void;
  /** It is to be typed at once. */
  typing?: boolean;
  /** Enter was pressed after a number was typed. */
  onNext?: () => void;
  /** Single keys that do something while a count is typed. */
  fieldKeys?: Record<string, () => void>;
}

/** Counting one stage with a thumb: none, some, a number, or two numbers for a range. */
export function CountPad({
  stage,
  count,
  fault,
  unread,
  onChange,
  typing = false,
  onNext,
  fieldKeys,
}: CountPadProps) {
  const [tapped, setTapped] = useState(false);
  const [at, setAt] = useState(0);
  const tap = (n: number) => {
    setTapped(true);
    onChange(tapNumber(count, n, tapped));
  };
  // two taps may also have been a correction of the first
  const range = tapped && count !== null && count.high !== null && count.low > 0 && count.high > count.low;
  const chosen = (n: number) => count !== null && (count.low === n || count.high === n);
  const some = count !== null && count.high === null && count.low === 1;
  const lots = count?.word === 'lots';
  const keys = [
    { label: 'None', on: chosen(0), onPress: () => tap(0), says: `no ${stage}` },
    { label: 'Some', on: some, onPress: () => onChange(some ? null : SOME), says: `some ${stage}` },
    { label: 'Lots', on: lots, onPress: () => onChange(lots ? null : LOTS), says: `lots of ${stage}` },
    ...NUMBERS.map((n) => ({
      label: String(n),
      on: chosen(n),
      onPress: () => tap(n),
      says: `${n} ${stage}`,
    })),
  ];
  return (
    <View style={styles.pad} role="group" aria-label={`Count of ${stage}`}>
      <View style={styles.head}>
        <Told kind="bold">{`${stage[0]?.toUpperCase()}${stage.slice(1)}: ${count ? countText(count) : 'not counted'}`}</Told>
        <Words kind="small" soft>
          A larger number next makes a range.
        </Words>
      </View>
      <View role="toolbar" aria-label={`Numbers for ${stage}`} style={styles.keys} {...roving('button')}>
        {keys.map((k, i) => (
          <Key key={k.label} {...k} stop={i === at} onFocus={() => setAt(i)} />
        ))}
      </View>
      {range ? (
        <Button
          compact
          mode="text"
          style={styles.only}
          onPress={() => onChange({ low: count.high as number, high: count.high })}
        >
          {`${countText(count)} ${stage}. Or only ${count.high}?`}
        </Button>
      ) : null}
      <CountField
        stage={stage}
        count={count}
        unread={unread}
        fault={fault}
        autoFocus={typing}
        onEnter={onNext}
        keys={fieldKeys}
        onChange={onChange}
      />
    </View>
  );
}

interface KeyProps {
  label: string;
  on: boolean;
  says: string;
  /** Tab stops here, of all the keys. */
  stop: boolean;
  onPress(): void;
  onFocus(): void;
}

function Key({ label, on, says, stop, onPress, onFocus }: KeyProps) {
  const p = useBurrow();
  return (
    <Pressable
      role="button"
      aria-pressed={on}
      aria-label={says}
      tabIndex={stop ? 0 : -1}
      onFocus={onFocus}
      onPress={onPress}
      style={[
        styles.key,
        {
          borderColor: on ? p.moss : p.rule,
          backgroundColor: on ? p.mossWash : p.sheet,
          borderWidth: on ? 2 : 1,
        },
      ]}
    >
      <Words kind={on ? 'bold' : 'body'}>{label}</Words>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  pad: { gap: SPACE.s },
  head: { flexDirection: 'row', justifyContent: 'space-between', flexWrap: 'wrap' },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs + 2 },
  key: {
    minWidth: TARGET,
    height: TARGET,
    paddingHorizontal: SPACE.s,
    borderRadius: 4,
    alignItems: 'center',
    justifyContent: 'center',
  },
  only: { alignSelf: 'flex-start' },
});
