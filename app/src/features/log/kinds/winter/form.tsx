import { gradualSteps, stepsPhrase } from '@gentle-burrow/core/care';
import { addDays, dayOf, startOfDay, type Phrase } from '@gentle-burrow/core/quantity';
import { WINTER_TEMP_C, winterAround, winterRange } from '@gentle-burrow/core/season';
import type { SpeciesProfile } from '@gentle-burrow/core/species';
import { StyleSheet, View } from 'react-native';
import { usePlacesAsMeasured } from '@/data/places-as-measured';
import { useSettings } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';
import { usePreferences, type Preferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { zoneNow } from '@/ui/dates';
import { DateField, Fault } from '@/ui/fields';
import { Said } from '@/ui/Said';
import { Caution } from '@/ui/Sheet';
import { Tick } from '@/ui/Tick';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { FreshPlace, freshPlace, NEW_PLACE, placeOf, type Fresh } from '@/features/place/FreshPlace';
import type { FieldsProps, KindForm } from '../../kind-form';

interface Draft {
  off: boolean;
  placeId: string | null;
  thenPlaceId: string | null;
  /** A place that is made with the plan. */
  fresh: Fresh | null;
  /** Calendar days, yyyy-mm-dd; empty while nothing was chosen. */
  from: string;
  until: string;
  /** The moments as they were written, which hold while their days are left as they are. */
  was: { from: string; until: string } | null;
}

/** "5 °C to 8 °C", by how deep a winter suits her, in the keeper's unit. */
const usualText = ({ rest }: Pick<SpeciesProfile, 'rest'>, { temperature }: Preferences): string => {
  const { low, high } = winterRange(rest.value);
  return `${tempText(low, temperature)} to ${tempText(high, temperature)}`;
};

/** By day, at noon of the keeper's clock. */
const noonOf = (day: string) => addDays(startOfDay(day, zoneNow()), 0.5);

const momentOf = (day: string, was: string | undefined) =>
  was !== undefined && dayOf(was, zoneNow()) === day ? was : noonOf(day);

/** What stands against the plan, as a sentence; null when nothing does. */
function faultOf({ placeId, thenPlaceId, from, until }: Draft): string | null {
  if (from && until && until <= from) return 'Her winter ends before it begins. Swap the dates.';
  if (placeId && placeId === thenPlaceId)
    return 'She would stand in the same place afterwards. Choose where she is warmed again.';
  return null;
}

const WHERE_EACH_IS = 'Where each is now';
const NO_WINTER = 'Her species does not winter. In the cold she would simply stop developing.';

function Fields({ shown, all = [shown], draft, change }: FieldsProps<Draft>) {
  const units = usePreferences();
  const { temperature } = units;
  const { hemisphere } = useSettings();
  const known = usePlacesAsMeasured();
  const made = draft.fresh && placeOf(draft.fresh);
  const places = made ? [...known.filter((p) => p.id !== made.id), made] : known;
  const isNew = draft.fresh !== null && draft.placeId === draft.fresh.id;
  const choose = (placeId: string) => {
    const fresh = draft.fresh ?? freshPlace();
    change(placeId === NEW_PLACE.value ? { placeId: fresh.id, fresh } : { placeId });
  };
  const profile = useProfileOf()(shown.view.profileId);
  if (!profile.winters.value) return <Fault>{NO_WINTER}</Fault>;
  const now = new Date().toISOString();
  const usual = winterAround(now, hemisphere, zoneNow());
  const options = known.map((p) => ({ value: p.id, label: p.name, hint: tempText(p.tempC, temperature) }));
  // of several each goes back to her own place (`forOther`)
  const back = all.every((s) => s.facts.place.id === shown.facts.place.id)
    ? options
    : options.map((o) => (o.value === shown.facts.place.id ? { value: o.value, label: WHERE_EACH_IS } : o));
  const [cold, warm] = [draft.placeId, draft.thenPlaceId].map((id) => places.find((p) => p.id === id));
  const fault = faultOf(draft);
  const steps: Phrase[] = [
    ...(cold && draft.from
      ? [stepsWords('Into the cold: ', shown.view.tempC, cold.tempC, noonOf(draft.from))]
      : []),
    ...(cold && warm && draft.until
      ? [stepsWords('Out of it: ', cold.tempC, warm.tempC, noonOf(draft.until))]
      : []),
  ];
  return (
    <View style={styles.all}>
      {shown.view.ledger.winterPlan ? (
        <Tick label="It is called off, or over" on={draft.off} onPress={() => change({ off: !draft.off })} />
      ) : null}
      {draft.off ? null : (
        <>
          <Choice
            label={`Where she winters (${usualText(profile, units)} is usual)`}
            options={[...options, NEW_PLACE]}
            value={isNew ? NEW_PLACE.value : draft.placeId}
            onChange={choose}
          />
          {isNew && draft.fresh ? (
            <FreshPlace value={draft.fresh} onChange={(fresh) => change({ fresh })} />
          ) : null}
          <View style={styles.row}>
            <DateField label="Cooled from" value={draft.from} onChange={(from) => change({ from })} />
            <DateField label="Warmed from" value={draft.until} onChange={(until) => change({ until })} />
          </View>
          <Button
            mode="text"
            style={styles.left}
            onPress={() =>
              change({ from: dayOf(usual.begin, zoneNow()), until: dayOf(usual.wake, zoneNow()) })
            }
          >
            Take the usual dates
          </Button>
          <Choice
            label="Where she stands afterwards"
            options={back}
            value={draft.thenPlaceId}
            onChange={(thenPlaceId) => change({ thenPlaceId })}
          />
          {fault ? <Fault>{fault}</Fault> : null}
          {cold && cold.tempC > Math.max(WINTER_TEMP_C.edge, winterRange(profile.rest.value).high) ? (
            <Words kind="small" soft>
              {`It is warmer there than a winter is: ${usualText(profile, units)} is common practice.`}
            </Words>
          ) : null}
          <View aria-live="polite">
            {all.length > 1 && steps.length > 0 ? (
              <Words kind="smallBold">{`Steps for ${shown.facts.queen.label}`}</Words>
            ) : null}
            {steps.map((s, i) => (
              <Said kind="small" key={i} phrase={s} />
            ))}
          </View>
          <Caution>
            <Words kind="small">
              If you use a fridge that holds food, put her in a closed container. She needs water for the
              whole time. Never let it freeze: that bursts the glass.
            </Words>
          </Caution>
        </>
      )}
    </View>
  );
}

/** "Into the cold: 18 °C from 31 Oct, 12 °C from 3 Nov." */
function stepsWords(lead: string, fromC: number, toC: number, from: string): Phrase {
  const steps = gradualSteps(fromC, toC, from);
  if (steps.length < 2) return [`${lead}in one step, for it is a small one.`];
  return [lead, ...stepsPhrase(steps), '.'];
}

/** Her winter planned: where, from when to when, and where she stands afterwards. */
export const winter: KindForm<'winter', Draft> = {
  deed: 'Her winter',
  keep: 'Keep this plan',
  kept: ({ plan }, shown) =>
    plan
      ? `The winter of ${shown.facts.queen.label} is planned.`
      : `No winter is planned for ${shown.facts.queen.label} any more.`,
  begin: ({ facts, view }, body) => {
    const plan = body ? body.plan : view.ledger.winterPlan;
    const day = (at: string | undefined) => (at ? dayOf(at, zoneNow()) : '');
    return {
      off: body?.plan === null,
      placeId: plan?.placeId ?? null,
      thenPlaceId: plan?.thenPlaceId ?? facts.place.id,
      fresh: null,
      from: day(plan?.from),
      until: day(plan?.until),
      was: plan ? { from: plan.from, until: plan.until } : null,
    };
  },
  finish: (draft) => {
    const { off, placeId, thenPlaceId, fresh, from, until, was } = draft;
    if (!off && fresh && placeId === fresh.id && placeOf(fresh) === null) return null;
    if (off) return { plan: null };
    if (!placeId || !thenPlaceId || !from || !until || faultOf(draft)) return null;
    const [begins, ends] = [momentOf(from, was?.from), momentOf(until, was?.until)];
    return { plan: { placeId, thenPlaceId, from: begins, until: ends } };
  },
  skips(draft, { view }, profileOf) {
    if (!profileOf(view.profileId).winters.value) return NO_WINTER;
    return draft.off ? null : faultOf(draft);
  },
  makes: ({ off, placeId, fresh }) => (!off && fresh && placeId === fresh.id ? placeOf(fresh) : null),
  forOther: (draft, from, to) => ({
    ...draft,
    was: null,
    thenPlaceId: draft.thenPlaceId === from.facts.place.id ? to.facts.place.id : draft.thenPlaceId,
  }),
  Fields,
};

const styles = StyleSheet.create({
  all: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  left: { alignSelf: 'flex-start' },
});
