import { DAY_MS } from '@gentle-burrow/core/quantity';
import { View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { dayInput, timeInput } from '@/ui/dates';
import { DateField, TimeField } from '@/ui/fields';
import type { DayLimits, WhenDraft } from './when';

const DAYS = [
  { value: 'now', label: 'Now' },
  { value: 'earlier', label: 'Earlier today' },
  { value: 'yesterday', label: 'Yesterday' },
  { value: 'other', label: 'Another day' },
] as const;

/** Offered first: an hour ago, or the first minute of today. */
function hourAgo(now: Date): string {
  const ago = new Date(now.getTime() - 3_600_000);
  return dayInput(ago) === dayInput(now) ? timeInput(ago) : '00:00';
}

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
  const yesterday = dayInput(new Date(now.getTime() - DAY_MS));
  const when =
    value.day === null ? (value.time == null ? 'now' : 'earlier') : value.otherDay ? 'other' : 'yesterday';
  return (
    <View style={{ gap: SPACE.m }}>
      {amends ? null : (
        <Choice
          label="When"
          options={DAYS}
          value={when}
          onChange={(v) =>
            onChange({
              day: v === 'yesterday' ? yesterday : v === 'other' ? (value.day ?? yesterday) : null,
              otherDay: v === 'other',
              time: v === 'earlier' ? hourAgo(now) : null,
            })
          }
        />
      )}
      {when === 'earlier' ? (
        <TimeField
          label="At what time"
          value={value.time ?? ''}
          onChange={(time) => onChange({ day: null, otherDay: false, time })}
          fault={fault}
        />
      ) : null}
      {when === 'other' ? (
        <DateField
          label={label}
          value={value.day ?? ''}
          {...(limits.from ? { min: dayInput(new Date(limits.from)) } : {})}
          max={dayInput(limits.to ? new Date(limits.to) : now)}
          onChange={(day) => onChange({ day, otherDay: true, time: null })}
          fault={fault}
        />
      ) : null}
    </View>
  );
}
