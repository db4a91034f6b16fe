import {
  bodyMeasuresSchema,
  queenSchema,
  tubeMeasuresSchema,
  type BodyHome,
  type BodyMeasures,
  type TubeHome,
  type TubeMeasures,
} from '@gentle-burrow/core/facts';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePlaces, useSpecies, type ShownQueen } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { TextField } from '@/ui/fields';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import type { FieldsProps, KindForm, Saying } from '../../kind-form';
import { BodyNumbers } from '../../BodyNumbers';
import { TubeNumbers } from '../../TubeNumbers';

interface Facts {
  label: string;
  batch: string;
  placeId: string;
  /** Null for a first home that is no tube. */
  tube: TubeMeasures | null;
  /** Null for one that is. */
  body: BodyMeasures | null;
}
interface Draft {
  was: Facts;
  is: Facts;
}

function factsOf({ facts: { queen, home } }: ShownQueen): Facts {
  return {
    label: queen.label,
    batch: queen.batch,
    placeId: queen.placeId,
    tube: home.kind === 'tube' ? measuresOf(home) : null,
    body: home.kind === 'tube' ? null : bodyOf(home),
  };
}

const measuresOf = ({ outsideMm, boreMm, lengthMm, end, waterLineMm, plugs }: TubeHome): TubeMeasures => ({
  outsideMm,
  boreMm,
  lengthMm,
  end,
  waterLineMm,
  plugs,
});

const bodyOf = ({ id: _, setUpAt: __, ...measures }: BodyHome): BodyMeasures => measures;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

function Fields({ shown, draft, change }: FieldsProps<Draft>): ReactNode {
  const { temperature } = usePreferences();
  const places = usePlaces();
  const heads = useSpecies().find((s) => s.id === shown.view.profileId);
  const { is } = draft;
  const set = (part: Partial<Facts>) => change({ is: { ...is, ...part } });
  return (
    <View style={styles.form}>
      <Words kind="small" soft>
        What was wrong from the start. Carrying her elsewhere is a move; what was held before stays in her
        log.
      </Words>
      <TextField
        label="Letter or name on the tube"
        value={is.label}
        onChange={(label) => set({ label })}
        fault={queenSchema.shape.label.safeParse(is.label).error?.issues[0]?.message}
      />
      <TextField label="Batch" value={is.batch} onChange={(batch) => set({ batch })} />
      <Choice
        label="Where she was first put"
        options={places.map((p) => ({ value: p.id, label: p.name, hint: tempText(p.tempC, temperature) }))}
        value={is.placeId}
        onChange={(placeId) => set({ placeId })}
      />
      {is.tube ? (
        <>
          <Words kind="smallBold" soft>
            {shown.view.housing.parts.length > 1
              ? 'Her first tube, as it was set up'
              : 'Her tube, as it was set up'}
          </Words>
          <TubeNumbers tube={is.tube} onChange={(tube) => set({ tube })} />
        </>
      ) : null}
      {is.body ? (
        <>
          <Words kind="smallBold" soft>
            Her first home, as it was set up
          </Words>
          <BodyNumbers
            part={{ ...is.body, id: shown.facts.home.id }}
            heads={heads}
            onChange={({ id: _, ...body }) => set({ body })}
          />
        </>
      ) : null}
    </View>
  );
}

/** Puts right what stands outside her log: name, batch, first home, first place. */
export const correct: KindForm<'correct', Draft> = {
  deed: 'Put her facts right',
  keep: 'Keep the correction',
  kept: ({ label }, shown) => `${label?.is ?? shown.facts.queen.label}: put right.`,
  begin: (shown, body) => {
    const now = factsOf(shown);
    const side = (which: 'was' | 'is'): Facts => ({
      label: body?.label?.[which] ?? now.label,
      batch: body?.batch?.[which] ?? now.batch,
      placeId: body?.placeId?.[which] ?? now.placeId,
      tube: body?.tube?.[which] ?? now.tube,
      body: body?.body?.[which] ?? now.body,
    });
    return { was: side('was'), is: side('is') };
  },
  finish({ was, is }) {
    const trimmed = { ...is, label: is.label.trim(), batch: is.batch.trim() };
    const sound =
      queenSchema.shape.label.safeParse(trimmed.label).success &&
      (trimmed.tube === null || tubeMeasuresSchema.safeParse(trimmed.tube).success) &&
      (trimmed.body === null || bodyMeasuresSchema.safeParse(trimmed.body).success);
    const changed = Object.fromEntries(
      (Object.keys(trimmed) as (keyof Facts)[])
        .filter((key) => !same(was[key], trimmed[key]))
        .map((key) => [key, { was: was[key], is: trimmed[key] }]),
    ) as Saying<'correct'>;
    return sound && Object.keys(changed).length > 0 ? changed : null;
  },
  Fields,
};

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
});
