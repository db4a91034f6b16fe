import { DAY_MS } from '@gentle-burrow/core/quantity';
import type { ProbeNow, Series } from '@gentle-burrow/contract';
import { correctionsOf, degreeDaysOfSpans, summaryOf, type TempSpan } from '@gentle-burrow/core/climate';
import type { Place, Probe } from '@gentle-burrow/core/facts';
import type { SpeciesProfile } from '@gentle-burrow/core/species';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lyingAt, useClimate, useSeries } from '@/data/climate';
import { useShelf } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { momentText, zoneNow } from '@/ui/dates';
import { Fold } from '@/ui/Fold';
import { Slide } from '@/ui/Slide';
import { Loading } from '@/ui/states';
import { Table } from '@/ui/Table';
import { tempDiffText, tempText } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { ClimateChart } from './ClimateChart';

const HOUR_MS = 3_600_000;

/** How long a stretch is looked at, and in how many columns: an hour each, or what fits a telephone. */
const SPANS = {
  day: { label: 'Day', days: 1, columns: 96 },
  week: { label: 'Week', days: 7, columns: 168 },
  month: { label: 'Month', days: 30, columns: 240 },
  year: { label: 'Year', days: 366, columns: 183 },
} as const;
type SpanId = keyof typeof SPANS;

/** What lay elsewhere before says nothing of this place. */
function hereOnly(series: Series, probe: Probe): Series {
  const from = probe.stays[probe.stays.length - 1]?.from ?? '';
  return {
    ...series,
    columns: series.columns.map((c) => (c.at >= from ? c : { ...c, n: 0, tempC: null, rh: null })),
  };
}

/** How long is looked at, until another span is chosen. */
const FIRST_SPAN = 'week';

const isByHand = ({ probe }: ProbeNow): boolean => probe.kind === 'by-hand';

/** Those that have measured something at a place, what is read by hand last; the first is shown, until another is chosen. */
const tellingAt = (probes: readonly ProbeNow[], placeId: string) =>
  lyingAt(probes, placeId)
    .filter((p) => p.latest !== null)
    .sort((a, b) => Number(isByHand(a)) - Number(isByHand(b)));

/** Whether what a place's course shows first is still being fetched. */
export function useCourseComing(placeId: string): boolean {
  const [first] = tellingAt(useClimate().probes, placeId);
  return useSeries(first?.probe.id ?? null, SPANS[FIRST_SPAN]).isLoading;
}

/** How warm and damp it has been here: drawn, read out column by column, as a table, beside another place. */
export function Course({ place, places }: { place: Place; places: readonly Place[] }) {
  const { probes } = useClimate();
  const here = tellingAt(probes, place.id);
  const [probeId, setProbeId] = useState<string | null>(null);
  const [otherId, setOtherId] = useState<string | null>(null);
  const [span, setSpan] = useState<SpanId>(FIRST_SPAN);
  const [chosen, setChosen] = useState<number | null>(null);
  const [width, onLayout] = useWidth();
  const units = usePreferences();
  const kinds = useKindsAt(place.id);
  const shown = here.find((p) => p.probe.id === probeId) ?? here[0];
  const asked = useSeries(shown?.probe.id ?? null, SPANS[span]);
  const hand = here.find(isByHand);
  const read = useSeries(hand?.probe.id ?? null, SPANS[span]);
  const others = places.flatMap((p) => {
    const [probe] = tellingAt(probes, p.id);
    return p.id !== place.id && probe ? [{ place: p, probe }] : [];
  });
  const other = others.find((o) => o.place.id === otherId);
  const beside = useSeries(other?.probe.probe.id ?? null, SPANS[span]);
  if (!shown) return null;
  const series = asked.data && hereOnly(asked.data, shown.probe);
  // the newest that was read, until another is chosen
  const newest = series ? series.columns.findLastIndex((c) => c.n > 0) : -1;
  const at = Math.max(0, Math.min(chosen ?? newest, (series?.columns.length ?? 1) - 1));
  const readOut = (i: number) => columnText(series?.columns[i], units.temperature);
  return (
    <View style={styles.course} onLayout={onLayout}>
      <Choice
        label="How long"
        hideLabel
        options={(Object.keys(SPANS) as SpanId[]).map((value) => ({ value, label: SPANS[value].label }))}
        value={span}
        onChange={(s) => {
          setSpan(s);
          setChosen(null);
        }}
      />
      {here.length > 1 ? (
        <Choice
          label="Probe"
          options={here.map(({ probe }) => ({ value: probe.id, label: probe.name }))}
          value={shown.probe.id}
          onChange={setProbeId}
        />
      ) : null}
      {series ? (
        <>
          <ClimateChart
            series={series}
            other={other && beside.data ? hereOnly(beside.data, other.probe.probe) : null}
            dots={hand && read.data ? hereOnly(read.data, hand.probe) : null}
            best={kinds.map((k) => k.bestTempC.value)}
            chosen={at}
            width={width}
            label={`Temperature${series.columns.some((c) => c.rh) ? ' and humidity' : ''} at ${place.name}: ${SPANS[span].label.toLowerCase()}`}
            onChoose={setChosen}
          />
          {kinds.length > 0 ? (
            <Words kind="small" soft>
              {`Green: the best range for the queens kept here. Band: lowest to highest. Line: the mean.${hand ? ' Dots: read by hand.' : ''}`}
            </Words>
          ) : null}
          <Slide
            label="Read at"
            value={at}
            min={0}
            max={Math.max(0, series.columns.length - 1)}
            text={readOut(at)}
            onChange={setChosen}
          />
          <Summary series={series} kinds={kinds} span={span} errorC={correctionsOf(shown.probe).tempErrorC} />
          <Fold title="As a table">
            <CourseTable series={series} name={place.name} />
          </Fold>
        </>
      ) : asked.isFetching ? (
        <Loading what="the readings" />
      ) : (
        <Words soft>The course cannot be fetched now. It comes when the server can be reached.</Words>
      )}
      {others.length > 0 && !asked.isLoading ? (
        <Choice
          label="Beside it, dashed"
          options={others.map((o) => ({ value: o.place.id, label: o.place.name }))}
          value={other?.place.id ?? null}
          onChange={setOtherId}
          onClear={() => setOtherId(null)}
        />
      ) : null}
    </View>
  );
}

/** The kinds that stand at a place, those that live. */
function useKindsAt(placeId: string): SpeciesProfile[] {
  const { data } = useShelf();
  const profileOf = useProfileOf();
  const ids = new Set((data ?? []).flatMap((r) => (r.placeId === placeId && !r.lost ? [r.profileId] : [])));
  return [...ids].map((id) => profileOf(id));
}

type Column = Series['columns'][number];

function columnText(column: Column | undefined, unit: 'C' | 'F'): string {
  if (!column) return '';
  const when = momentText(column.at);
  if (column.n === 0) return `${when}: nothing was read`;
  const t = column.tempC;
  const parts = [
    t
      ? t.min === t.max
        ? tempText(t.mean, unit)
        : `${tempText(t.mean, unit)}, ${tempText(t.min, unit)} to ${tempText(t.max, unit)}`
      : '',
    column.rh ? `${Math.round(100 * column.rh.mean)} % humidity` : '',
  ];
  return `${when}: ${parts.filter(Boolean).join(' · ')}`;
}

interface SummaryProps {
  series: Series;
  kinds: readonly SpeciesProfile[];
  span: SpanId;
  /** So far off the probe may be, in eight cases of ten. */
  errorC: number;
}

/** What the days are like in this stretch, and how much warmth the brood had. */
function Summary({ series, kinds, span, errorC }: SummaryProps) {
  const { temperature } = usePreferences();
  const spanMs = (Date.parse(series.to) - Date.parse(series.from)) / series.columns.length;
  const spans: TempSpan[] = series.columns.flatMap((c) =>
    c.tempC ? [{ at: c.at, minC: c.tempC.min, meanC: c.tempC.mean, maxC: c.tempC.max }] : [],
  );
  const days = summaryOf(spans, zoneNow());
  if (!days) return <Words soft>Nothing was read here in this time.</Words>;
  const t = (c: number) => tempText(c, temperature);
  // hours are needed for what a day and a night are like
  const hourly = spanMs <= 3 * HOUR_MS;
  // a degree-day is as large as the degree of the keeper's thermometer
  const degree = temperature === 'F' ? 1.8 : 1;
  const range = Math.round((degree * errorC * spans.length * spanMs) / DAY_MS);
  const sumAbove = (thresholdC: number) => Math.round(degree * degreeDaysOfSpans(spans, spanMs, thresholdC));
  const warmth = hourly
    ? [...new Set(kinds.map((k) => k.stages.larva.thresholdC))].map(
        (thresholdC) => `${sumAbove(thresholdC)} ± ${range} degree-days above ${t(thresholdC)}`,
      )
    : [];
  return (
    <View>
      <Words>{`Between ${t(days.lowC)} and ${t(days.highC)}, ${t(days.meanC)} in the middle.`}</Words>
      {hourly && span !== 'day' && days.swingC !== null ? (
        <Words>{`A usual day swings by ${tempDiffText(days.swingC, temperature)}${
          days.nightC === null ? '' : `; nights are at ${t(days.nightC)}`
        }.`}</Words>
      ) : null}
      {warmth.length > 0 ? (
        <Words
          soft
        >{`Warmth for brood: ${warmth.join(', ')}; the range is that of the thermometer, in eight cases of ten.`}</Words>
      ) : null}
    </View>
  );
}

/** A row a day, or an hour of a day: figures for those who listen, and for those who want them. */
function CourseTable({ series, name }: { series: Series; name: string }) {
  const { temperature } = usePreferences();
  const t = (c: number | undefined) => (c === undefined ? '–' : tempText(c, temperature));
  return (
    <Table
      label={`Readings at ${name}`}
      head={['When', 'Lowest', 'Mean', 'Highest', 'Humidity']}
      rows={coarse(series.columns).map((c) => [
        momentText(c.at),
        t(c.tempC?.min),
        t(c.tempC?.mean),
        t(c.tempC?.max),
        c.rh ? `${Math.round(100 * c.rh.mean)} %` : '–',
      ])}
    />
  );
}

const TABLE_ROWS = 32;

/** So many rows that they can be read; a gap stays one. */
function coarse(columns: readonly Column[]): Column[] {
  const each = Math.ceil(columns.length / TABLE_ROWS);
  const rows: Column[] = [];
  for (let i = 0; i < columns.length; i += each) {
    const some = columns.slice(i, i + each);
    const of = (measure: 'tempC' | 'rh') => {
      const read = some.flatMap((c) => (c[measure] ? [c[measure]] : []));
      if (read.length === 0) return null;
      return {
        min: Math.min(...read.map((s) => s.min)),
        mean: read.reduce((sum, s) => sum + s.mean, 0) / read.length,
        max: Math.max(...read.map((s) => s.max)),
      };
    };
    rows.push({
      at: (some[0] as Column).at,
      n: some.reduce((n, c) => n + c.n, 0),
      tempC: of('tempC'),
      rh: of('rh'),
    });
  }
  return rows;
}

const styles = StyleSheet.create({
  course: { gap: SPACE.m },
});
