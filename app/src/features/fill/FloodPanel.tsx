import type { TubeHome } from '@gentle-burrow/core/facts';
import { DROP_ML, dropsOf, floodMl, safeStepC, tubeVolumeMl } from '@gentle-burrow/core/tube';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { NumberField } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { fromC, tempDiffText, toC } from '@/ui/units';
import { Words } from '@/ui/Words';
import { attempt } from './FillRows';

/** What warming the tube pushes into her chamber, and the step that is safe. */
export function FloodPanel({
  tube,
  tempC,
  reserveMl,
}: {
  tube: TubeHome;
  tempC: number;
  reserveMl: number | null;
}) {
  const p = useBurrow();
  const { temperature } = usePreferences();
  const [bubbleMl, setBubble] = useState<number | null>(1);
  const [fromTemp, setFrom] = useState<number | null>(Math.min(tempC, 30));
  const [toTemp, setTo] = useState<number | null>(Math.min(tempC + 6, 34));
  const warming = {
    bubbleMl: bubbleMl ?? NaN,
    waterMl: tubeVolumeMl(tube, tube.waterLineMm),
    fromC: fromTemp ?? NaN,
  };
  const flood = attempt(() => floodMl({ ...warming, toC: toTemp ?? NaN }));
  const step = attempt(() => safeStepC(warming));
  const tempField = (label: string, value: number | null, set: (c: number | null) => void) => (
    <NumberField
      label={label}
      unit={`°${temperature}`}
      value={value === null ? null : fromC(value, temperature)}
      onChange={(v) => set(v === null ? null : toC(v, temperature))}
    />
  );
  return (
    <View style={styles.panel}>
      <Words kind="small" soft>
        Air shut in behind the plug grows when it is warmed, and pushes as much water into her chamber.
      </Words>
      <View style={styles.row}>
        <NumberField label="Bubble" unit="ml" value={bubbleMl} onChange={setBubble} />
        {tempField('From', fromTemp, setFrom)}
        {tempField('To', toTemp, setTo)}
      </View>
      <View aria-live="polite">
        {typeof flood === 'string' ? (
          <Words color={p.clay}>{flood}</Words>
        ) : (
          <>
            <Words kind="bold" color={reserveMl !== null && flood > reserveMl ? p.clay : p.ink}>
              {flood >= 0
                ? `Pushes ${flood.toFixed(2)} ml out: ${dropsOf(flood)} drops.`
                : `Draws ${(-flood).toFixed(2)} ml back into the plug.`}
            </Words>
            {reserveMl !== null && flood > 0 ? (
              <Words kind="small">
                {flood > reserveMl
                  ? `More than plug and chamber take (${reserveMl.toFixed(2)} ml): water would stand. Warm in steps.`
                  : `Plug and chamber take ${reserveMl.toFixed(2)} ml before water stands a millimetre deep (prior).`}
              </Words>
            ) : null}
          </>
        )}
        {typeof step === 'object' ? (
          <Words kind="small">
            {step.stepC <= 0
              ? 'It is dangerously warm already: no step more.'
              : step.limitedBy === 'flood'
                ? `Safe step: ${tempDiffText(step.stepC, temperature)} pushes one drop (${DROP_ML} ml). Take it, let the plug drink for a day, then the next.`
                : `One drop is never reached: heat is the limit. No more than ${tempDiffText(step.stepC, temperature)} in all.`}
          </Words>
        ) : null}
        <Words kind="small" soft>
          Ideal gas with saturated vapour, and the water’s own expansion (Wagner &amp; Pruss 1993; Kell 1975).
        </Words>
      </View>
      <Caution>
        <Words kind="small">
          Heat touches the open end only, never the water end; start far and move closer in small steps. Mats
          and cables run on a thermostat, on a fire-safe surface, with residual-current protection. No lamp
          close by.
        </Words>
      </Caution>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
