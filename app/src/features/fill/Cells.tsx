import { LOOKING_SCHOOLS } from '@gentle-burrow/core/care';
import { provenanceText } from '@gentle-burrow/core/species';
import { bodyPartSchema } from '@gentle-burrow/core/facts';
import { disturbancesPerMonth, FIRST_HOMES, waterSource, wetting } from '@gentle-burrow/core/housing';
import type { LookingSchoolId } from '@gentle-burrow/core/vocabulary';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/fields';
import { fromMm, toMm } from '@/ui/units';
import { Words } from '@/ui/Words';
import { daysRange } from './days-range';

interface CellsProps {
  tempC: number;
  roomRelHumidity: number;
  school: LookingSchoolId;
}

/** Homes that are no tube: how often each wants water here, and what that costs her in rest. */
export function Cells({ tempC, roomRelHumidity, school }: CellsProps) {
  const p = useBurrow();
  const { length } = usePreferences();
  const [id, setId] = useState('damp-box');
  const home = FIRST_HOMES.find((h) => h.id === id) ?? FIRST_HOMES[0]!;
  const [size, setSize] = useState<{ widthMm: number; depthMm: number } | null>(null);
  const now = size ?? { widthMm: home.part.widthMm, depthMm: home.part.depthMm };
  const part = { ...home.part, ...now, round: false };
  const fault = bodyPartSchema.safeParse({ ...part, id: NO_ID }).error?.issues[0]?.message;
  const wet = fault ? null : wetting(part, { tempC, roomRelHumidity }, new Date().toISOString());
  const source = waterSource({ ...part, id: '', setUpAt: '' });
  const looks = LOOKING_SCHOOLS.find((s) => s.id === school);
  return (
    <View style={styles.list}>
      <Choice
        label="Instead of a tube"
        options={FIRST_HOMES.map((h) => ({ value: h.id, label: h.name }))}
        value={id}
        onChange={(v) => {
          setId(v);
          setSize(null);
        }}
      />
      <View style={styles.row} key={id}>
        <NumberField
          label="Space, long"
          unit={length}
          value={Number.isFinite(now.widthMm) ? fromMm(now.widthMm, length) : null}
          onChange={(v) => setSize({ ...now, widthMm: v === null ? NaN : toMm(v, length) })}
        />
        <NumberField
          label="Space, wide"
          unit={length}
          value={Number.isFinite(now.depthMm) ? fromMm(now.depthMm, length) : null}
          onChange={(v) => setSize({ ...now, depthMm: v === null ? NaN : toMm(v, length) })}
        />
      </View>
      <View aria-live="polite">
        {fault ? (
          <Words color={p.clay}>{fault}</Words>
        ) : wet && Number.isFinite(wet.everyDays.p50) ? (
          <>
            <Words kind="bold">
              {`Wet it again every ${daysRange(wet.everyDays.p10, wet.everyDays.p90)}: ${wet.usableMl.toFixed(1)} ml to spend, ${wet.lossMlPerDay.toFixed(1)} ml gone a day.`}
            </Words>
            <Words kind="small">
              {`${disturbances(disturbancesPerMonth(wet))} a month. A tube needs none for water${looks ? `; your method says: ${looks.says.toLowerCase().replace(/\.$/, '')}` : ''}.`}
            </Words>
          </>
        ) : (
          <Words>In air as damp as this it need not be wetted.</Words>
        )}
        <Words kind="small">{home.how}</Words>
        <Words kind="small" soft>
          {`Diffusion through its vents and bare faces; ${source ? provenanceText(source) : 'our own prior'}. The tube is preferred because its water needs no hand for months (common practice).`}
        </Words>
      </View>
    </View>
  );
}

const disturbances = (n: number): string => {
  const whole = Math.max(1, Math.round(n));
  return whole === 1 ? 'About one disturbance' : `About ${whole} disturbances`;
};

/** A made-up part that stands nowhere still has an id of the right form. */
const NO_ID = '018f0000-0000-7000-8000-000000000000';

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
