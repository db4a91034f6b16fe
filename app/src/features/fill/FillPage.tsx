import { tubeSchema } from '@gentle-burrow/core/facts';
import { UNKNOWN_ID } from '@gentle-burrow/core/species';
import { fillTo, type FillConditions } from '@gentle-burrow/core/tube';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { put } from '@/data/outbox';
import { usePlacesAsMeasured } from '@/data/places-as-measured';
import { useSettings, useSpecies } from '@/data/queries';
import { useStock, useStockTold } from '@/data/stock';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { useDraft } from '@/ui/drafts';
import { Fault, NumberField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Screen } from '@/ui/Screen';
import { Caution } from '@/ui/Sheet';
import { fromC, fromMm, lengthName, lengthText, tempText, toC, toMm } from '@/ui/units';
import { useEver } from '@/ui/useEver';
import { Waiting } from '@/ui/Waiting';
import { Words } from '@/ui/Words';
import { Cells } from './Cells';
import { Hygiene, Substrate, WaterSources } from './Checks';
import { attempt, FillRows, FillWords } from './FillRows';
import { FloodPanel } from './FloodPanel';
import { PlugGallery } from './PlugGallery';
import { KindPicker } from '@/features/founder/KindPicker';
import { DIVIDER_MM } from '@/features/tube/divider';
import { SlideLine } from './SlideLine';
import { tubeSizes } from './tube-sizes';

interface Draft {
  size: string;
  outsideMm: number;
  boreMm: number;
  lengthMm: number;
  end: 'round' | 'flat';
  waterLineMm: number;
  innerMm: number;
  outerMm: number;
  by: 'length' | 'volume';
  divider: boolean;
  profileId: string;
  placeId: string;
  tempC: number;
  roomRelHumidity: number;
}

const START: Draft = {
  size: '16x150',
  outsideMm: 16,
  boreMm: 14,
  lengthMm: 150,
  end: 'round',
  waterLineMm: 85,
  innerMm: 15,
  outerMm: 15,
  by: 'length',
  divider: false,
  profileId: UNKNOWN_ID,
  placeId: '',
  tempC: 24,
  roomRelHumidity: 0.5,
};

const QUESTION = 'How shall her tube be filled?';

/** Tubes of the stock are offered first: none is before they are known. */
export function FillPage() {
  const told = useEver(useStockTold());
  return told ? <Filling /> : <Waiting question={QUESTION} back="/bench" what="the stock" wide />;
}

/** How shall her tube be filled? Schools side by side, by this room and this queen; plugs, water, and what is no tube. */
function Filling() {
  const { value: d, change } = useDraft<Draft>('bench', START);
  const { length, temperature } = usePreferences();
  const places = usePlacesAsMeasured();
  const settings = useSettings();
  const species = useSpecies();
  const stock = useStock();
  const profile = species.find((s) => s.id === d.profileId);
  const place = places.find((p) => p.id === d.placeId);
  const tempC = place?.tempC ?? d.tempC;
  const roomRelHumidity = place?.roomRelHumidity ?? d.roomRelHumidity;
  const sizes = tubeSizes(stock.levels, length);
  const [asking, setAsking] = useState(false);
  const [own, setOwn] = useState(!sizes.some((s) => s.value === d.size));
  const checked = tubeSchema.safeParse({
    id: BENCH_ID,
    kind: 'tube',
    outsideMm: d.outsideMm,
    boreMm: d.boreMm,
    lengthMm: d.lengthMm,
    end: d.end,
    waterLineMm: d.waterLineMm,
    plugs: { innerMm: d.innerMm, outerMm: d.outerMm },
    setUpAt: NEVER,
  });
  const roomFine = tempC >= 0 && tempC <= 45 && roomRelHumidity >= 0 && roomRelHumidity <= 1;
  const conditions: FillConditions = {
    plugs: { innerMm: d.innerMm, outerMm: d.outerMm },
    tempC,
    roomRelHumidity,
    queenLengthMm: profile?.queenLengthMm.value ?? { low: 6, high: 12 },
    dividerMm: d.divider ? DIVIDER_MM : 0,
  };
  const now = new Date().toISOString();
  const fill =
    checked.success && roomFine ? attempt(() => fillTo(checked.data, d.waterLineMm, conditions, now)) : null;
  const choose = (value: string) => {
    const size = sizes.find((s) => s.value === value);
    setOwn(!size);
    if (!size) return;
    const share = d.lengthMm > 0 ? d.waterLineMm / d.lengthMm : 0.55;
    const { outsideMm, boreMm, lengthMm, end } = size;
    change({ size: value, outsideMm, boreMm, lengthMm, end, waterLineMm: Math.round(lengthMm * share) });
  };
  const mm = (
    label: string,
    key: 'outsideMm' | 'boreMm' | 'lengthMm' | 'waterLineMm' | 'innerMm' | 'outerMm',
  ) => (
    <NumberField
      key={key}
      label={label}
      unit={length}
      value={Number.isFinite(d[key]) ? fromMm(d[key], length) : null}
      onChange={(v) => change({ [key]: v === null ? NaN : toMm(v, length) })}
    />
  );
  const saveSize = async () => {
    const item = {
      id: v7(),
      kind: 'empty-tube' as const,
      name: `${lengthText(d.outsideMm, length)} × ${lengthText(d.lengthMm, length)}, own`,
      tube: { outsideMm: d.outsideMm, boreMm: d.boreMm, lengthMm: d.lengthMm, end: d.end },
      lowAt: 0,
    };
    await put({ what: 'stock-item', item });
    change({ size: item.id });
    setOwn(false);
  };
  return (
    <Screen
      question={QUESTION}
      back="/bench"
      side={
        <>
          <Choice
            label={`Tube, outside × length in ${lengthName(length)}`}
            options={[...sizes, { value: 'own', label: 'My own', hint: 'give its size' }]}
            value={own ? 'own' : d.size}
            onChange={choose}
          />
          {own ? (
            <>
              <View style={styles.row}>
                {mm('Outside', 'outsideMm')}
                {mm('Bore inside', 'boreMm')}
                {mm('Length', 'lengthMm')}
              </View>
              <Button
                mode="outlined"
                icon="content-save-outline"
                style={styles.left}
                disabled={!checked.success}
                onPress={() => void saveSize()}
              >
                Keep this size in my stock
              </Button>
            </>
          ) : null}
          <View style={styles.for}>
            <View style={styles.fill}>
              <Words kind="small">
                {`For ${profile?.name ?? 'an unknown queen'}, at ${tempText(tempC, temperature)} and ${Math.round(roomRelHumidity * 100)} % humidity${place ? ` (${place.name})` : ''}.`}
              </Words>
            </View>
            <Button mode="text" compact onPress={() => setAsking(!asking)}>
              {asking ? 'Close' : 'Another queen, room or measure'}
            </Button>
          </View>
          {asking ? (
            <>
              <KindPicker
                label="For a queen like"
                kinds={species}
                value={d.profileId}
                caughtAt={now}
                onChoose={(profileId) => change({ profileId })}
              />
              <Choice
                label="Where it will stand"
                options={[
                  ...places.map((x) => ({
                    value: x.id,
                    label: x.name,
                    hint: `${fromC(x.tempC, temperature)} °${temperature}, ${Math.round(x.roomRelHumidity * 100)} %`,
                  })),
                  { value: '', label: 'Elsewhere', hint: 'give warmth and humidity' },
                ]}
                value={place ? d.placeId : ''}
                onChange={(placeId) => change({ placeId })}
              />
              {place ? null : (
                <View style={styles.row}>
                  <NumberField
                    label="Temperature"
                    unit={`°${temperature}`}
                    value={Number.isFinite(d.tempC) ? fromC(d.tempC, temperature) : null}
                    onChange={(v) => change({ tempC: v === null ? NaN : toC(v, temperature) })}
                  />
                  <NumberField
                    label="Room humidity"
                    unit="%"
                    value={Number.isFinite(d.roomRelHumidity) ? Math.round(d.roomRelHumidity * 100) : null}
                    onChange={(v) => change({ roomRelHumidity: v === null ? NaN : v / 100 })}
                  />
                </View>
              )}
              <Choice
                label="Closed end"
                options={[
                  { value: 'round', label: 'Round' },
                  { value: 'flat', label: 'Flat' },
                ]}
                value={d.end}
                onChange={(end) => change({ end })}
              />
              <Choice
                label="A share of"
                options={[
                  { value: 'length', label: 'its length' },
                  { value: 'volume', label: 'its volume' },
                ]}
                value={d.by}
                onChange={(by) => change({ by })}
              />
            </>
          ) : null}
          <Choice
            label="Will she be fed in the tube?"
            options={[
              { value: 'no', label: 'No' },
              { value: 'yes', label: 'Yes', hint: `leaves ${lengthText(DIVIDER_MM, length)} for a divider` },
            ]}
            value={d.divider ? 'yes' : 'no'}
            onChange={(v) => change({ divider: v === 'yes' })}
          />
          <View style={styles.row}>
            {mm('Water line', 'waterLineMm')}
            {mm('Inner plug', 'innerMm')}
            {mm('Outer plug', 'outerMm')}
          </View>
        </>
      }
    >
      {checked.success && roomFine ? (
        <>
          <FillRows
            tube={checked.data}
            profile={profile}
            conditions={conditions}
            by={d.by}
            lineMm={d.waterLineMm}
            onChoose={(waterLineMm) => change({ waterLineMm })}
          />
          <Words kind="heading" level={2}>
            Anything between
          </Words>
          <SlideLine
            tube={checked.data}
            profile={profile}
            onChange={(waterLineMm) => change({ waterLineMm })}
          />
          {fill !== null ? <FillWords fill={fill} /> : null}
        </>
      ) : (
        <Fault>
          {checked.success
            ? 'Give a temperature between 0 and 45 °C and a humidity between 0 and 100 %.'
            : checked.error.issues[0]?.message}
        </Fault>
      )}
      <Caution>
        <Words kind="small">
          Push the plug with a rod, never by force: glass breaks into the hand. Gloves and eye protection with
          old glass; cracked tubes go in the bin, wrapped.
        </Words>
      </Caution>
      <Fold title="Warming and flood">
        {checked.success ? (
          <FloodPanel
            tube={checked.data}
            tempC={roomFine ? tempC : 22}
            reserveMl={typeof fill === 'object' ? (fill?.floodReserveMl ?? null) : null}
          />
        ) : null}
      </Fold>
      <Fold title="Is the plug right?">
        <PlugGallery />
      </Fold>
      <Fold title="Clean hands, clean kit">
        <Hygiene />
      </Fold>
      <Fold title="Which water?">
        <WaterSources />
      </Fold>
      <Fold title="Sand or soil in her cell?">
        <Substrate />
      </Fold>
      <Fold title="No tube at hand?">
        <Cells
          tempC={roomFine ? tempC : 22}
          roomRelHumidity={roomFine ? roomRelHumidity : 0.5}
          school={settings.lookingSchool}
        />
      </Fold>
    </Screen>
  );
}

const BENCH_ID = '00000000-0000-7000-8000-000000000000';
const NEVER = '2000-01-01T00:00:00.000Z';

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  left: { alignSelf: 'flex-start' },
  for: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: SPACE.s },
  fill: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
});
