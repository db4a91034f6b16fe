import { View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { dayInput } from '@/ui/dates';
import { DateField } from '@/ui/fields';
import type { DayLimits, WhenDraft } from './when';

const DAYS = [
  { value: 'today', label: 'Now' },
  { value: 'yesterday', label: 'Yesterday' },
  { value: 'other', label: 'Another day' },
] as const;

interface WhenProps {
  /** What the field of another day is called. */
  label: string;
  value: WhenDraft;
  limits: DayLimits;
  /** An entry that is there already has a day; it is only put right. */
  amends: boolean;
  fault: string | undefined;
  onChange(value: WhenDraft): void;
}

/** When it was: now, yesterday or any day since she was taken in. */
export function When({ label, value, limits, amends, fault, onChange }: WhenProps) {
  const now = new Date();
  const yesterday = dayInput(new Date(now.getTime() - 86_400_000));
  const when = value.day === null ? 'today' : value.otherDay ? 'other' : 'yesterday';
  return (
    <View style={{ gap: SPACE.m }}>
      {amends ? null : (
        <Choice
          label="When"
          options={DAYS}
          value={when}
          onChange={(v) =>
            onChange({
              day: v === 'today' ? null : v === 'yesterday' ? yesterday : (value.day ?? yesterday),
              otherDay: v === 'other',
            })
          }
        />
      )}
      {when === 'other' ? (
        <DateField
          label={label}
          value={value.day ?? ''}
          {...(limits.from ? { min: dayInput(new Date(limits.from)) } : {})}
          max={dayInput(limits.to ? new Date(limits.to) : now)}
          onChange={(day) => onChange({ day, otherDay: true })}
          fault={fault}
        />
      ) : null}
    </View>
  );
}
