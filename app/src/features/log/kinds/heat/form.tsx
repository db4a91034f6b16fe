import { fallsAt, heatBench, heatedTube, heatOf, preferenceCourse } from '@gentle-burrow/core/care';
import { asTube } from '@gentle-burrow/core/facts';
import { cellOf } from '@gentle-burrow/core/tube';
import { phrase } from '@gentle-burrow/core/quantity';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useProfileOf } from '@/features/founder/profiles';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Fault, NumberField } from '@/ui/fields';
import { Said } from '@/ui/Said';
import { Caution } from '@/ui/Sheet';
import { Tick } from '@/ui/Tick';
import { TempField } from '@/ui/TempField';
import { fromMm, inUnits, lengthName, toMm } from '@/ui/units';
import { Words } from '@/ui/Words';
import { HEAT_WORDS } from '@/words/heat';
import type { FieldsProps, KindForm, Saying } from '../../kind-form';
import { HeatDrawing } from './HeatDrawing';
import { PreferenceCourse } from './PreferenceCourse';
import { fallWords, preferenceWords, stepWords } from './step-words';

/** In mm and °C; null while nothing or no number stands there. */
interface Draft {
  away: boolean;
  matMm: number | null;
  roomC: number | null;
  setC: number | null;
  warm: Reading;
  cool: Reading;
  /** Read at further places, as it was written: kept when it is put right. */
  more: { mm: number; tempC: number }[];
}
interface Reading {
  mm: number | null;
  tempC: number | null;
}

const readingsOf = ({ warm, cool, more }: Draft) =>
  [warm, cool, ...more].flatMap(({ mm, tempC }) => (mm === null || tempC === null ? [] : [{ mm, tempC }]));

/** What stands in the form as a setting that can be reckoned with; null while something of it is missing. */
const settingOf = (draft: Draft) => {
  const readings = readingsOf(draft);
  const { away, matMm, roomC } = draft;
  return away || matMm === null || roomC === null || readings.length === 0
    ? null
    : { matMm, roomC, readings };
};

function Fields({ shown, draft, change }: FieldsProps<Draft>) {
  const { view, facts } = shown;
  const units = usePreferences();
  const { length } = units;
  const profile = useProfileOf()(view.profileId);
  const tube = asTube(view.part);
  const setting = settingOf(draft);
  const falls = useMemo(
    () => fallsAt(facts.place.id, [...view.falls, ...(facts.falls ?? [])]),
    [view.falls, facts],
  );
  const bench = useMemo(
    () => (tube ? heatBench(view.ledger, tube, profile, falls, setting) : null),
    // the setting is made anew at every drawing; what stands in the form is not
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [view.ledger, tube, profile, falls, draft],
  );
  const course = useMemo(
    () => (tube ? preferenceCourse(view.ledger, tube, profile, falls) : []),
    [view.ledger, tube, profile, falls],
  );
  if (!tube || !bench)
    return (
      <Words soft>Heat along the tube is reckoned for a queen in a tube; she lives in something else.</Words>
    );
  const mm = (label: string, value: number | null, keep: (mm: number | null) => void) => (
    <NumberField
      label={label}
      unit={lengthName(length)}
      value={value === null ? null : fromMm(value, length)}
      onChange={(v) => keep(v === null ? null : toMm(v, length))}
    />
  );
  const temp = (label: string, value: number | null, keep: (c: number | null) => void) => (
    <TempField label={label} valueC={value} onChange={keep} />
  );
  const heat = bench.step ? HEAT_WORDS[heatOf(profile, bench.step.now.warmC)] : null;
  return (
    <View style={styles.all}>
      <Tick label="The heat was taken away" on={draft.away} onPress={() => change({ away: !draft.away })} />
      {draft.away ? null : (
        <>
          <HeatDrawing
            tube={tube}
            lineMm={view.counsel?.water?.lineMm ?? tube.waterLineMm}
            queenAtMm={view.ledger.queenSeen?.atMm ?? null}
            bench={bench}
            matMm={draft.matMm}
          />
          <View style={styles.row}>
            {mm('From the mouth to the heat', draft.matMm, (matMm) => change({ matMm }))}
            {temp('Room beside it', draft.roomC, (roomC) => change({ roomC }))}
          </View>
          <View style={styles.row}>
            {temp('Warm end of her cell', draft.warm.tempC, (tempC) =>
              change({ warm: { ...draft.warm, tempC } }),
            )}
            {mm('Warm end read at', draft.warm.mm, (at) => change({ warm: { ...draft.warm, mm: at } }))}
          </View>
          <View style={styles.row}>
            {temp('Cool end of her cell', draft.cool.tempC, (tempC) =>
              change({ cool: { ...draft.cool, tempC } }),
            )}
            {mm('Cool end read at', draft.cool.mm, (at) => change({ cool: { ...draft.cool, mm: at } }))}
          </View>
          {temp('Thermostat set to (if there is one)', draft.setC, (setC) => change({ setC }))}
          {bench.trouble ? <Fault>{inUnits(bench.trouble, units)}</Fault> : null}
          {heat ? (
            <Caution>
              <Words kind="small">{heat}</Words>
            </Caution>
          ) : null}
          <View aria-live="polite">
            {bench.step ? (
              <>
                <Said kind="bold" phrase={stepWords(bench.step)} />
                <Said
                  kind="small"
                  phrase={phrase`Middle of her cell ${{ tempC: bench.step.now.middleC }}; at the water ${{ tempC: bench.step.now.waterC }}.`}
                />
              </>
            ) : (
              <Words kind="small" soft>
                Hold a thermometer to the glass at both ends of her cell for some minutes, and one beside the
                tube. Lines are read from the closed end. Two readings tell how the warmth falls; one is
                enough later.
              </Words>
            )}
            <Said kind="small" soft phrase={preferenceWords(bench)} />
            <PreferenceCourse course={course} />
            {bench.along ? (
              <Words kind="small" soft>
                {fallWords(bench.along)}
              </Words>
            ) : null}
          </View>
          <Caution>
            <Words kind="small">
              Heat lies at the open end only, never at the water: on a thermostat, on a fire-safe surface,
              never under bedding or foil. Let its cable hang in a loop below the socket, and keep water from
              it.
            </Words>
          </Caution>
        </>
      )}
    </View>
  );
}

/** Where a mat or cable lies at her tube, what was read along it, and what to do next with it. */
export const heat: KindForm<'heat', Draft> = {
  deed: 'Heat along the tube',
  keep: 'Keep this setting',
  kept: ({ matMm }, shown) =>
    matMm === null
      ? `${shown.facts.queen.label} stands without heat.`
      : `Kept how the heat lies at ${shown.facts.queen.label}.`,
  begin: ({ view }, body) => {
    const tube = asTube(view.part);
    const last = body ?? view.ledger.heats.at(-1) ?? null;
    const [warm, cool, ...more] = body?.readings ?? [];
    const cell = tube ? cellOf(heatedTube(tube)) : null;
    const at = (mm: number | undefined) => ({ mm: mm === undefined ? null : Math.round(mm), tempC: null });
    return {
      away: body?.matMm === null,
      matMm: last?.matMm ?? null,
      roomC: body?.roomC ?? null,
      setC: last?.setC ?? null,
      warm: warm ?? at(cell?.warmMm),
      cool: cool ?? at(cell?.coolMm),
      more,
    };
  },
  finish: (draft): Saying<'heat'> | null => {
    if (draft.away) return { matMm: null };
    if (draft.matMm === null) return null;
    const readings = readingsOf(draft);
    return {
      matMm: draft.matMm,
      ...(draft.roomC === null ? {} : { roomC: draft.roomC }),
      ...(readings.length > 0 ? { readings } : {}),
      ...(draft.setC === null ? {} : { setC: draft.setC }),
    };
  },
  Fields,
};

const styles = StyleSheet.create({
  all: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'flex-end' },
});
