import { MILESTONES, type Milestone } from '@gentle-burrow/core';
import { useState } from 'react';
import { Controller, useFormContext } from 'react-hook-form';
import { CountPad } from '@/features/look/CountPad';
import { FOUND_WORDS } from '@/features/queen/entry-words';
import { Choice } from '@/ui/Choice';
import { dayInput } from '@/ui/dates';
import { DateField, Fault, TextField } from '@/ui/fields';
import { Caution, Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { comesWithBrood, type QueenForm } from './queen-form';

const FOUND = Object.entries(FOUND_WORDS).map(([value, label]) => ({
  value: value as QueenForm['found'],
  label: `${label[0]?.toUpperCase()}${label.slice(1)}`,
}));
const STAGES: { value: Milestone; label: string }[] = MILESTONES.map((value) => ({ value, label: value }));

/** Step 1: how found, when, where; and what came with her. */
export function StepOrigin() {
  const { control, watch } = useFormContext<QueenForm>();
  const [stage, setStage] = useState<Milestone>('workers');
  const found = watch('found') as QueenForm['found'] | undefined;
  return (
    <>
      <Controller
        control={control}
        name="found"
        render={({ field, fieldState }) => (
          <>
            <Choice label="How found" options={FOUND} value={field.value ?? null} onChange={field.onChange} />
            <Fault>{fieldState.error?.message}</Fault>
          </>
        )}
      />
      <Controller
        control={control}
        name="day"
        render={({ field, fieldState }) => (
          <DateField
            label="Day she came into her tube"
            value={field.value}
            max={dayInput(new Date())}
            onChange={field.onChange}
            fault={fieldState.error?.message}
          />
        )}
      />
      <Controller
        control={control}
        name="label"
        render={({ field, fieldState }) => (
          <TextField
            label="Letter or name on the tube"
            value={field.value}
            onChange={field.onChange}
            fault={fieldState.error?.message}
          />
        )}
      />
      <Controller
        control={control}
        name="where"
        render={({ field, fieldState }) => (
          <TextField
            label="Where found"
            value={field.value}
            onChange={field.onChange}
            fault={fieldState.error?.message}
          />
        )}
      />
      <Controller
        control={control}
        name="batch"
        render={({ field, fieldState }) => (
          <TextField
            label="Batch"
            value={field.value}
            onChange={field.onChange}
            fault={fieldState.error?.message}
            hint="Sisters caught together share one, and are compared at equal age."
          />
        )}
      />
      {comesWithBrood(found) ? (
        <Sheet tight>
          <Words kind="heading" level={2}>
            What came with her?
          </Words>
          <Words kind="small" soft>
            Offspring are the only proof that she is mated. Leave open what you could not count.
          </Words>
          <Controller
            control={control}
            name="broodWithHer"
            render={({ field }) => (
              <>
                <Choice label="Stage" options={STAGES} value={stage} onChange={(v) => setStage(v)} />
                <CountPad
                  key={stage}
                  stage={stage}
                  count={field.value[stage]}
                  fault={undefined}
                  onChange={(c) => field.onChange({ ...field.value, [stage]: c })}
                />
              </>
            )}
          />
        </Sheet>
      ) : null}
      <Caution>
        <Words kind="small">
          Collecting, buying and posting ants is restricted in some places, and some species and sites are
          protected. Ask your local authorities which rules and permits apply to you.
        </Words>
      </Caution>
    </>
  );
}
