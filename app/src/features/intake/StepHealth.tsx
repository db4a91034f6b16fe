import { QUARANTINE_DAYS } from '@gentle-burrow/core/care';
import { Controller, useFormContext } from 'react-hook-form';
import { Choice } from '@/ui/Choice';
import { Fault } from '@/ui/fields';
import { Caution, Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { FindingList } from './FindingList';
import { wantsQuarantine, type QueenForm } from './queen-form';

const LOOKED = [
  { value: 'clean', label: 'Nothing found' },
  { value: 'found', label: 'Something found' },
  { value: 'not', label: 'Not looked over yet' },
] as const;

/** Step 2: looked over before she joins the others; what to do for what is found; the welcome drop. */
export function StepHealth() {
  const { control, watch, setValue, formState } = useFormContext<QueenForm>();
  const [looked, findings, quarantine] = watch(['looked', 'findings', 'quarantine']);
  const choose = (how: QueenForm['looked'], list: QueenForm['findings']) => {
    setValue('looked', how, { shouldValidate: formState.isSubmitted });
    setValue('findings', list, { shouldValidate: list.length > 0 });
    setValue('quarantine', how === 'found' && wantsQuarantine(list));
  };
  return (
    <>
      <Words>
        Look her over once, through the glass and with a lens, before she joins the others: mites, worms,
        wounds, legs.
      </Words>
      <Choice
        label="What was found"
        options={LOOKED}
        value={looked}
        onChange={(v) => choose(v, v === 'found' ? findings : [])}
      />
      {looked === 'found' ? (
        <FindingList findings={findings} onChange={(list) => choose('found', list)} />
      ) : null}
      <Fault>{formState.errors.findings?.message}</Fault>
      <Choice
        label="Quarantine"
        options={[
          { value: 'yes', label: 'Yes', hint: `beside the others, ${QUARANTINE_DAYS} days` },
          { value: 'no', label: 'No' },
        ]}
        value={quarantine ? 'yes' : 'no'}
        onChange={(v) => setValue('quarantine', v === 'yes')}
      />
      {quarantine && looked === 'not' ? (
        <Words kind="small" soft>
          Quarantine is kept when she has been looked over: choose what was found.
        </Words>
      ) : null}
      <Sheet tight>
        <Words kind="heading" level={2}>
          A welcome drop?
        </Words>
        <Words kind="small">
          Methods differ: water only until workers, or one drop of sugar water at intake. If you give one: no
          larger than her head, in the catch vial before she is rehoused, never with brood, and out within
          hours. You will be reminded to take it out.
        </Words>
        <Controller
          control={control}
          name="welcomeDrop"
          render={({ field, fieldState }) => (
            <>
              <Choice
                label="Welcome drop"
                hideLabel
                options={[
                  { value: 'no', label: 'None given' },
                  { value: 'yes', label: 'One drop given' },
                ]}
                value={field.value ? 'yes' : 'no'}
                onChange={(v) => field.onChange(v === 'yes')}
              />
              <Fault>{fieldState.error?.message}</Fault>
            </>
          )}
        />
      </Sheet>
      <Caution>
        <Words kind="small">
          Let her walk, never pour or shake. A bare capped vial has neither air nor water: hours only. Wash
          your hands and the brush before the next tube.
        </Words>
      </Caution>
    </>
  );
}
