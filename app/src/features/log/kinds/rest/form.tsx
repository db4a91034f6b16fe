import { addDays, daysBetween, daysText } from '@gentle-burrow/core/quantity';
import { Choice } from '@/ui/Choice';
import type { FieldsProps, KindForm } from '../../kind-form';
import { NAMES } from '@/words/names';

interface Draft {
  days: number;
}

/** Days that are offered. */
export const REST_TERMS = [7, 14, 28];

function Fields({ draft, change }: FieldsProps<Draft>) {
  const terms = REST_TERMS.includes(draft.days) ? REST_TERMS : [...REST_TERMS, draft.days];
  return (
    <Choice
      label="For how long"
      options={terms.map((days) => ({ value: String(days), label: daysText(days) }))}
      value={String(draft.days)}
      onChange={(days) => change({ days: Number(days) })}
    />
  );
}

export const rest: KindForm<'rest', Draft> = {
  deed: NAMES.leaveAlone,
  keep: 'Leave her alone',
  kept: ({ at, until }) => `Left alone for ${daysText(daysBetween(at, until))}.`,
  begin: (_, body) => ({ days: body ? Math.round(daysBetween(body.at, body.until)) : 14 }),
  finish: ({ days }, _, at) => ({ until: addDays(at, days) }),
  Fields,
};
