import { Pressable, StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { roving, tabStop } from './roving';
import { capital } from '@gentle-burrow/core/words';
import { Told } from './Told';
import { Words } from './Words';

export interface Option<T extends string> {
  value: T;
  label: string;
  hint?: string;
}

/** A closed list with its words, as options. */
export const optionsOf = <T extends string>(list: readonly T[], words: Record<T, string>): Option<T>[] =>
  list.map((value) => ({ value, label: capital(words[value]) }));

interface ChoiceProps<T extends string> {
  /** What is chosen; read out before the options. */
  label: string;
  options: readonly Option<T>[];
  value: T | null;
  onChange(value: T): void;
  /** Tapping the chosen one again takes the choice back. */
  onClear?: () => void;
  hideLabel?: boolean;
}

/** One of several, as targets for a thumb. The chosen one is marked by shape and weight, not by colour alone. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
  onClear,
  hideLabel,
}: ChoiceProps<T>) {
  const p = useBurrow();
  const at = options.findIndex((o) => o.value === value);
  return (
    <View role="radiogroup" aria-label={label} style={styles.group}>
      {hideLabel ? null : (
        <Told kind="smallBold" soft>
          {label}
        </Told>
      )}
      <View style={styles.row} {...roving('radio')}>
        {options.map((o, i) => {
          const chosen = o.value === value;
          return (
            <Pressable
              key={o.value}
              role="radio"
              tabIndex={tabStop(i, at)}
              aria-checked={chosen}
              aria-label={o.hint ? `${o.label}. ${o.hint}` : o.label}
              onPress={() => (chosen && onClear ? onClear() : onChange(o.value))}
              style={[
                styles.option,
                { borderColor: chosen ? p.moss : p.rule, backgroundColor: chosen ? p.mossWash : p.sheet },
                chosen && styles.chosen,
              ]}
            >
              <Words kind={chosen ? 'bold' : 'body'}>{o.label}</Words>
              {o.hint ? (
                <Words kind="small" soft>
                  {o.hint}
                </Words>
              ) : null}
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  option: {
    maxWidth: '100%',
    minHeight: TARGET,
    minWidth: TARGET,
    paddingHorizontal: SPACE.m,
    paddingVertical: SPACE.s,
    borderWidth: 1,
    borderRadius: 4,
    justifyContent: 'center',
  },
  chosen: { borderWidth: 2, paddingHorizontal: SPACE.m - 1, paddingVertical: SPACE.s - 1 },
});
