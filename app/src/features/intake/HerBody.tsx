import { Controller, useFormContext } from 'react-hook-form';
import { View } from 'react-native';
import { BodyDrawing } from '@/features/home/BodyDrawing';
import { BodyNumbers } from '@/features/log/BodyNumbers';
import { useSpecies } from '@/data/queries';
import { Fault } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import type { QueenForm } from './queen-form';

/** A first home that is no tube: its measures, drawn while they change. */
export function HerBody() {
  const { control, watch } = useFormContext<QueenForm>();
  const [width, onLayout] = useWidth();
  const profile = useSpecies().find((s) => s.id === watch('profileId'));
  return (
    <>
      <Controller
        control={control}
        name="body"
        render={({ field, fieldState }) =>
          field.value ? (
            <>
              <View onLayout={onLayout}>
                {[field.value.widthMm, field.value.depthMm, field.value.heightMm].every(Number.isFinite) ? (
                  <BodyDrawing
                    part={{ ...field.value, setUpAt: '' }}
                    width={Math.min(width, 300)}
                    profile={profile}
                  />
                ) : null}
              </View>
              <BodyNumbers part={field.value} heads={profile} onChange={field.onChange} />
              <Fault>{fieldState.error?.message}</Fault>
            </>
          ) : (
            <></>
          )
        }
      />
      <Caution>
        <Words kind="small">
          Plaster and aerated concrete dust: cut and sand them wet, with a mask. Air must come in through mesh
          or cotton, and no gap as wide as her head.
        </Words>
      </Caution>
    </>
  );
}
