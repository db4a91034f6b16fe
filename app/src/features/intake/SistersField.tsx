import { Controller, useFormContext } from 'react-hook-form';
import { NumberField } from '@/ui/fields';
import type { QueenForm } from './queen-form';

/** How many are taken in alike, each in a tube of her own. */
export function SistersField({ label = 'How many sisters, each in her own tube?' }: { label?: string }) {
  const { control } = useFormContext<QueenForm>();
  return (
    <Controller
      control={control}
      name="sisters"
      render={({ field, fieldState }) => (
        <NumberField
          label={label}
          value={Number.isFinite(field.value) ? field.value : null}
          onChange={(v) => field.onChange(v ?? NaN)}
          fault={fieldState.error?.message}
        />
      )}
    />
  );
}
