import type { Count } from '@gentle-burrow/core/facts';
import { COUNT_FAULT, countInput, readCount } from '@gentle-burrow/core/quantity';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { Fault } from '@/ui/fields';
import { Words } from '@/ui/Words';

interface CountFieldProps {
  /** What is counted, in the plural. */
  stage: string;
  count: Count | null;
  /** What was typed and is no count; undefined when there is none. */
  unread: string | undefined;
  fault: string | undefined;
  autoFocus: boolean;
  onEnter?: (() => void) | undefined;
  /** Single keys that do something else than write. */
  keys?: Record<string, () => void> | undefined;
  /** A count, or null and what was typed where that is none. */
  onChange(count: Count | null, unread?: string): void;
}

const same = (a: Count | null, b: Count | null): boolean =>
  a?.low === b?.low && a?.high === b?.high && a?.word === b?.word;

/** A count by typing, as keepers write it: 5, 3–5, about 5, 12+, a dozen. What cannot be read stays and is said. */
export function CountField(props: CountFieldProps) {
  const { stage, count, unread, fault, autoFocus, onEnter, keys, onChange } = props;
  const [typed, setTyped] = useState(unread ?? (count ? countInput(count) : ''));
  const [typing, setTyping] = useState(false);
  // the count may be tapped on the pad beside it
  const text = unread ?? (same(readCount(typed), count) ? typed : count ? countInput(count) : '');
  const label = `${stage}, a number or a range`;
  const says = fault ?? (unread !== undefined && !typing ? `“${unread}” ${COUNT_FAULT}` : undefined);
  return (
    <View>
      <Words kind="smallBold" soft>
        {`Or type it: 5, 3–5, about 5, 12+`}
      </Words>
      <TextInput
        mode="outlined"
        dense
        aria-label={label}
        value={text}
        autoFocus={autoFocus}
        autoComplete="off"
        onFocus={() => setTyping(true)}
        onBlur={() => setTyping(false)}
        onKeyPress={(e) => {
          const does = keys?.[e.nativeEvent.key];
          if (!does) return;
          e.preventDefault();
          does();
        }}
        {...(onEnter ? { onSubmitEditing: onEnter, submitBehavior: 'submit' as const } : {})}
        onChangeText={(t) => {
          setTyped(t);
          if (t.trim() === '') return onChange(null);
          const read = readCount(t);
          return read ? onChange(read) : onChange(null, t);
        }}
        error={says !== undefined}
      />
      <Fault>{says}</Fault>
    </View>
  );
}
