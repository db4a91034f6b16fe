import { LOOKING_SCHOOLS } from '@gentle-burrow/core/care';
import { provenanceText } from '@gentle-burrow/core/species';
import { FOUNDING_CELLS, rewetting } from '@gentle-burrow/core/tube';
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
import { attempt } from './FillRows';

interface CellsProps {
  tempC: number;
  roomRelHumidity: number;
  school: LookingSchoolId;
}

/** Homes that are no tube: how often each wants water here, and what that costs her in rest. */
export function Cells({ tempC, roomRelHumidity, school }: CellsProps) {
  const p = useBurrow();
  const { length } = usePreferences();
  const [id, setId] = useState<(typeof FOUNDING_CELLS)[number]['id']>('damp-box');
  const cell = FOUNDING_CELLS.find((c) => c.id === id) ?? FOUNDING_CELLS[0]!;
  const [size, setSize] = useState<{ lengthMm: number; widthMm: number } | null>(null);
  const now = size ?? { lengthMm: cell.lengthMm, widthMm: cell.widthMm };
  const wet = attempt(() => rewetting(cell, now, { tempC, roomRelHumidity }));
  const looks = LOOKING_SCHOOLS.find((s) => s.id === school);
  return (
    <View style={styles.list}>
      <Choice
        label="Instead of a tube"
        options={FOUNDING_CELLS.map((c) => ({ value: c.id, label: c.name }))}
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
          value={Number.isFinite(now.lengthMm) ? fromMm(now.lengthMm, length) : null}
          onChange={(v) => setSize({ ...now, lengthMm: v === null ? NaN : toMm(v, length) })}
        />
        <NumberField
          label="Space, wide"
          unit={length}
          value={Number.isFinite(now.widthMm) ? fromMm(now.widthMm, length) : null}
          onChange={(v) => setSize({ ...now, widthMm: v === null ? NaN : toMm(v, length) })}
        />
      </View>
      <View aria-live="polite">
        {typeof wet === 'string' ? (
          <Words color={p.clay}>{wet}</Words>
        ) : Number.isFinite(wet.days.p50) ? (
          <>
            <Words kind="bold">
              {`Wet it again every ${daysRange(wet.days.p10, wet.days.p90)}: ${wet.usableMl.toFixed(1)} ml to spend, ${wet.lossMlPerDay.toFixed(1)} ml gone a day.`}
            </Words>
            <Words kind="small">
              {`${disturbances(wet.disturbancesPerMonth)} a month. A tube needs none for water${looks ? `; your method says: ${looks.says.toLowerCase().replace(/\.$/, '')}` : ''}.`}
            </Words>
          </>
        ) : (
          <Words>In air as damp as this it need not be wetted.</Words>
        )}
        <Words kind="small">{cell.how}</Words>
        <Words kind="small" soft>
          {`Diffusion through its vents and bare faces; ${provenanceText(cell.usableShare.source)}. The tube is preferred because its water needs no hand for months (common practice).`}
        </Words>
      </View>
    </View>
  );
}

const disturbances = (n: number): string => {
  const whole = Math.max(1, Math.round(n));
  return whole === 1 ? 'About one disturbance' : `About ${whole} disturbances`;
};

function daysRange(low: number, high: number): string {
  const [a, b] = [Math.max(1, Math.round(low)), Math.max(1, Math.round(high))];
  return a === b ? (a === 1 ? 'day' : `${a} days`) : `${a} to ${b} days`;
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
