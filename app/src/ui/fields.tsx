import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { FONTS, SPACE, TARGET } from '@/theme/tokens';
import { withTerms } from '@/words/glossary';
import { Told } from './Told';
import { inUnits, numberInput, parseNumber } from './units';
import { Words } from './Words';

/** What is wrong with a field, and how to mend it. */
export function Fault({ children }: { children: string | undefined }) {
  const p = useBurrow();
  const units = usePreferences();
  if (!children) return null;
  return (
    <View role="alert">
      <Words kind="small" color={p.clay}>
        {inUnits(children, units)}
      </Words>
    </View>
  );
}

/** Stands above a field, where it neither moves nor hides what is typed. The field carries the same name itself. */
function FieldLabel({ children }: { children: string }) {
  return (
    // a word that can be asked about must not be hidden from those who listen
    <View aria-hidden={!withTerms(children).some(({ term }) => term)}>
      <Told kind="smallBold" soft>
        {children}
      </Told>
    </View>
  );
}

/** By which the field is found that a page is searched by. */
const FINDS = { dataSet: { finds: 'here' } } as object;
export const FINDER = '[data-finds]';

interface TextFieldProps {
  label: string;
  value: string;
  onChange(text: string): void;
  fault?: string | undefined;
  hint?: string | undefined;
  multiline?: boolean;
  /** What is searched on this page: "/" leads into it. */
  finds?: boolean;
  /** Enter was pressed in it. */
  onEnter?: (() => void) | undefined;
}

export function TextField({
  label,
  value,
  onChange,
  fault,
  hint,
  multiline = false,
  finds = false,
  onEnter,
}: TextFieldProps) {
  return (
    <View style={styles.field}>
      <FieldLabel>{label}</FieldLabel>
      <TextInput
        mode="outlined"
        dense
        aria-label={label}
        value={value}
        onChangeText={onChange}
        multiline={multiline}
        {...(multiline ? { numberOfLines: 3 } : {})}
        {...(finds ? FINDS : {})}
        {...(onEnter ? { onSubmitEditing: onEnter, submitBehavior: 'submit' as const } : {})}
        error={fault !== undefined}
      />
      {hint && !fault ? (
        <Words kind="small" soft>
          {hint}
        </Words>
      ) : null}
      <Fault>{fault}</Fault>
    </View>
  );
}

interface NumberFieldProps {
  label: string;
  /** In the unit shown; null when what stands there is no number. */
  value: number | null;
  unit?: string;
  onChange(value: number | null): void;
  fault?: string | undefined;
  /** Takes the focus when it appears, to be typed in at once. */
  autoFocus?: boolean;
  /** Enter was pressed in it. */
  onEnter?: (() => void) | undefined;
}

/** A number with its unit. What is typed stays as it was typed, also while it is no number yet. */
export function NumberField({
  label,
  value,
  unit,
  onChange,
  fault,
  autoFocus = false,
  onEnter,
}: NumberFieldProps) {
  const [typed, setTyped] = useState(value === null ? '' : numberInput(value));
  // the value may be moved from elsewhere: by a drag on the drawing, or by another unit
  const text =
    parseNumber(typed) === value || (value === null && parseNumber(typed) === null)
      ? typed
      : value === null
        ? ''
        : numberInput(value);
  const noNumber = text.trim() !== '' && parseNumber(text) === null;
  return (
    <View style={[styles.field, styles.number]}>
      <FieldLabel>{unit ? `${label}, ${unit}` : label}</FieldLabel>
      <TextInput
        mode="outlined"
        dense
        aria-label={unit ? `${label}, ${unit}` : label}
        value={text}
        inputMode="decimal"
        autoFocus={autoFocus}
        {...(onEnter ? { onSubmitEditing: onEnter, submitBehavior: 'submit' as const } : {})}
        onChangeText={(t) => {
          setTyped(t);
          onChange(parseNumber(t));
        }}
        error={fault !== undefined || noNumber}
      />
      <Fault>
        {fault ?? (noNumber ? `"${text}" is not a number. Write digits, like 16 or 16.5.` : undefined)}
      </Fault>
    </View>
  );
}

interface DateFieldProps {
  label: string;
  /** yyyy-mm-dd */
  value: string;
  max?: string;
  min?: string;
  onChange(value: string): void;
  fault?: string | undefined;
}

/** The browser's own date input: its calendar, keyboard and language are the keeper's already. */
export const DateField = (props: DateFieldProps) => <Native type="date" {...props} />;

/** The same for an hour, hh:mm. */
export const TimeField = (props: Omit<DateFieldProps, 'min' | 'max'>) => <Native type="time" {...props} />;

function Native({
  type,
  label,
  value,
  min,
  max,
  onChange,
  fault,
}: DateFieldProps & { type: 'date' | 'time' }) {
  const p = useBurrow();
  return (
    <View style={styles.field}>
      <label style={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
        <Words kind="smallBold" soft>
          {label}
        </Words>
        <input
          type={type}
          value={value}
          min={min}
          max={max}
          aria-invalid={fault !== undefined}
          onChange={(e) => onChange(e.target.value)}
          style={{
            font: `16px ${FONTS.sans}`,
            fontFamily: FONTS.sans,
            boxSizing: 'border-box',
            minHeight: TARGET,
            padding: '8px 12px',
            color: p.ink,
            background: p.sheet,
            border: `1px solid ${fault ? p.clay : p.inkSoft}`,
            borderRadius: 4,
            colorScheme: p.dark ? 'dark' : 'light',
            maxWidth: 220,
          }}
        />
      </label>
      <Fault>{fault}</Fault>
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: SPACE.xs },
  number: { flexGrow: 1, flexShrink: 1, flexBasis: 104, minWidth: 0 },
});
