import type { Shape } from '@gentle-burrow/core/vocabulary';
import { View } from 'react-native';
import { ShapeChoice } from '@/features/founder/ShapeChoice';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import type { FieldsProps, KindForm } from '../../kind-form';

interface Draft {
  shape: Shape | null;
  restless: boolean | null;
  protein: 'accepted' | 'refused' | null;
  broodUnfed: boolean | null;
}

const MANNERS = [
  { value: 'yes', label: 'Paces and searches' },
  { value: 'no', label: 'Sits quietly' },
] as const;
const PROTEIN = [
  { value: 'accepted', label: 'Taken' },
  { value: 'refused', label: 'Refused' },
] as const;
const BROOD = [
  { value: 'yes', label: 'Grew' },
  { value: 'no', label: 'Failed' },
] as const;

const asked = (value: boolean | null) => (value === null ? null : value ? 'yes' : 'no');

function Fields({ draft, change }: FieldsProps<Draft>) {
  return (
    <View style={{ gap: SPACE.m }}>
      <ShapeChoice value={draft.shape} onChange={(shape) => change({ shape })} />
      <Choice
        label="A week after settling she"
        options={MANNERS}
        value={asked(draft.restless)}
        onChange={(v) => change({ restless: v === 'yes' })}
        onClear={() => change({ restless: null })}
      />
      <Choice
        label="A tiny piece of protein was"
        options={PROTEIN}
        value={draft.protein}
        onChange={(protein) => change({ protein })}
        onClear={() => change({ protein: null })}
      />
      <Choice
        label="Without any food her larvae"
        options={BROOD}
        value={asked(draft.broodUnfed)}
        onChange={(v) => change({ broodUnfed: v === 'yes' })}
        onClear={() => change({ broodUnfed: null })}
      />
    </View>
  );
}

export const sign: KindForm<'sign', Draft> = {
  deed: 'Log a sign',
  keep: 'Keep what was seen',
  kept: () => 'Sign kept.',
  begin: (_, body) => ({
    shape: body?.shape ?? null,
    restless: body?.restless ?? null,
    protein: body?.protein ?? null,
    broodUnfed: body?.broodUnfed ?? null,
  }),
  finish({ shape, restless, protein, broodUnfed }) {
    const seen = {
      ...(shape ? { shape } : {}),
      ...(restless !== null ? { restless } : {}),
      ...(protein ? { protein } : {}),
      ...(broodUnfed !== null ? { broodUnfed } : {}),
    };
    return Object.keys(seen).length > 0 ? seen : null;
  },
  Fields,
};
