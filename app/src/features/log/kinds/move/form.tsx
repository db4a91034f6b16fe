import { heatOf } from '@gentle-burrow/core/care';
import { thermometerErrorC } from '@gentle-burrow/core/warmth';
import { View } from 'react-native';
import { usePlacesAsMeasured } from '@/data/places-as-measured';
import { useProfileOf } from '@/features/founder/profiles';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { Caution } from '@/ui/Sheet';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { HEAT_WORDS } from '@/words/heat';
import type { FieldsProps, KindForm } from '../../kind-form';
import { FreshPlace, freshPlace, NEW_PLACE, placeOf, type Fresh } from '@/features/place/FreshPlace';

interface Draft {
  /** What was chosen before, when it is put right. */
  was: string | null;
  placeId: string | null;
  /** A place that is made with the move. */
  fresh: Fresh | null;
}

const LARGE_STEP_C = 5;

function Fields({ shown, all = [shown], draft, change }: FieldsProps<Draft>) {
  const { temperature } = usePreferences();
  const here = shown.facts.place;
  const together = all.every((s) => s.facts.place.id === here.id);
  const places = usePlacesAsMeasured().filter((p) => p.id !== here.id || p.id === draft.was || !together);
  const isNew = draft.fresh !== null && draft.placeId === draft.fresh.id;
  const place = isNew
    ? (placeOf(draft.fresh as Fresh) ?? undefined)
    : places.find((p) => p.id === draft.placeId);
  const choose = (placeId: string) => {
    const fresh = draft.fresh ?? freshPlace();
    change(placeId === NEW_PLACE.value ? { placeId: fresh.id, fresh } : { placeId });
  };
  const profileOf = useProfileOf();
  const heats = place
    ? all.map((s) => HEAT_WORDS[heatOf(profileOf(s.view.profileId), place.tempC, thermometerErrorC(place))])
    : [];
  const heat = [...new Set(heats.filter(Boolean))].join(' ');
  return (
    <View style={{ gap: SPACE.m }}>
      <Choice
        label={draft.was === null && together ? `From ${here.name} to` : 'To'}
        options={[
          ...places.map((p) => ({ value: p.id, label: p.name, hint: tempText(p.tempC, temperature) })),
          NEW_PLACE,
        ]}
        value={isNew ? NEW_PLACE.value : draft.placeId}
        onChange={choose}
      />
      {isNew && draft.fresh ? (
        <FreshPlace value={draft.fresh} onChange={(fresh) => change({ fresh })} />
      ) : null}
      {heat ? (
        <Caution>
          <Words kind="small">{heat}</Words>
        </Caution>
      ) : null}
      <Words kind="small" soft>
        {place && all.some((s) => Math.abs(place.tempC - s.view.tempC) > LARGE_STEP_C)
          ? 'A large step: rapid swings harm. Carry her over in stages, and keep the water end away from heat.'
          : 'Carry it level and slowly: a move disturbs her like a look.'}
      </Words>
    </View>
  );
}

/** It is to be a new place, of which name or warmth is missing. */
const unfinished = ({ placeId, fresh }: Draft): boolean =>
  fresh !== null && placeId === fresh.id && placeOf(fresh) === null;

/** Carrying her tube to another place is an entry: her warmth before and after are both reckoned with. */
export const move: KindForm<'move', Draft> = {
  deed: 'Move',
  keep: 'Keep this move',
  kept: (_, shown) => `${shown.facts.queen.label} was carried over.`,
  begin: (_, body) => ({ was: body?.placeId ?? null, placeId: body?.placeId ?? null, fresh: null }),
  finish: (draft) => (draft.placeId && !unfinished(draft) ? { placeId: draft.placeId } : null),
  makes: ({ placeId, fresh }) => (fresh && placeId === fresh.id ? placeOf(fresh) : null),
  skips: ({ was, placeId }, { facts }) =>
    was === null && placeId === facts.place.id ? `It is at ${facts.place.name} already.` : null,
  Fields,
};
