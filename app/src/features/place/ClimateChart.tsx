import { DAY_MS } from '@gentle-burrow/core/quantity';
import type { Series } from '@gentle-burrow/contract';
import { scaleLinear, scaleTime } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { GestureResponderEvent } from 'react-native';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { FONTS } from '@/theme/tokens';
import { dayText, timeInput } from '@/ui/dates';
import { fromC } from '@/ui/units';

const LEFT = 40;
const TEMP_HEIGHT = 150;
const RH_HEIGHT = 80;
const GAP = 14;
const BOTTOM = 22;
/** Half the width of a name under the chart. */
const HALF_LABEL = 24;

type Column = Series['columns'][number];
type Measure = 'tempC' | 'rh';

interface ClimateChartProps {
  series: Series;
  /** The columns of another place, dashed. */
  other: Series | null;
  /** What was read by hand: single readings, each a dot. */
  dots?: Series | null;
  /** Best warmth of those that stand here, °C. */
  best: readonly { low: number; high: number }[];
  /** The column that is read out. */
  chosen: number;
  width: number;
  /** What it shows, for those who listen. */
  label: string;
  onChoose(column: number): void;
}

/** Lowest to highest as a band, the mean as a line; where nothing was read nothing is drawn. */
export function ClimateChart({
  series,
  other,
  dots = null,
  best,
  chosen,
  width,
  label,
  onChoose,
}: ClimateChartProps) {
  const p = useBurrow();
  const { temperature } = usePreferences();
  const { columns } = series;
  if (width <= LEFT) return null;
  const damp = columns.some((c) => c.rh !== null);
  const height = TEMP_HEIGHT + (damp ? GAP + RH_HEIGHT : 0) + BOTTOM;
  const [from, to] = [new Date(series.from), new Date(series.to)];
  const x = scaleTime()
    .domain([from, to])
    .range([LEFT, width - 4]);
  const shown = (c: number) => fromC(c, temperature);
  const temps = [columns, other?.columns ?? [], dots?.columns ?? []]
    .flat()
    .flatMap((c) => (c.tempC ? [shown(c.tempC.min), shown(c.tempC.max)] : []));
  const y = scaleLinear()
    .domain(temps.length > 0 ? [Math.min(...temps) - 0.5, Math.max(...temps) + 0.5] : [15, 30])
    .nice(4)
    .range([TEMP_HEIGHT - 4, 6]);
  const wet = scaleLinear()
    .domain([0, 100])
    .range([TEMP_HEIGHT + GAP + RH_HEIGHT - 4, TEMP_HEIGHT + GAP + 4]);
  const middle = (c: Column, i: number, all: readonly Column[]) => {
    const next = all[i + 1] ?? null;
    const end = next ? Date.parse(next.at) : to.getTime();
    return x(new Date((Date.parse(c.at) + end) / 2));
  };
  const drawn = (all: readonly Column[], measure: Measure, at: (v: number) => number) => {
    const spread = (c: Column) => c[measure] as NonNullable<Column[Measure]>;
    const defined = (c: Column) => c[measure] !== null;
    const list = [...all];
    return {
      band: area<Column>()
        .defined(defined)
        .x((c, i) => middle(c, i, list))
        .y0((c) => at(spread(c).min))
        .y1((c) => at(spread(c).max))(list),
      mean: line<Column>()
        .defined(defined)
        .x((c, i) => middle(c, i, list))
        .y((c) => at(spread(c).mean))(list),
    };
  };
  const warm = drawn(columns, 'tempC', (c) => y(shown(c)));
  const there = other ? drawn(other.columns, 'tempC', (c) => y(shown(c))).mean : null;
  const moist = damp ? drawn(columns, 'rh', (share) => wet(100 * share)) : null;
  const choose = (e: GestureResponderEvent) => {
    const along = (e.nativeEvent.locationX - LEFT) / (width - 4 - LEFT);
    onChoose(Math.max(0, Math.min(columns.length - 1, Math.floor(along * columns.length))));
  };
  const chosenColumn = columns[chosen];
  const short = to.getTime() - from.getTime() <= 2 * DAY_MS;
  const told = (t: Date) => (short ? timeInput(t) : dayText(t.toISOString()));
  // a day is named once, and no name is cut off at the edge
  const ticks = x
    .ticks(Math.max(2, Math.floor(width / 110)))
    .filter((t, i, all) => x(t) < width - HALF_LABEL && (i === 0 || told(t) !== told(all[i - 1] as Date)));
  return (
    <View
      onStartShouldSetResponder={() => true}
      onResponderGrant={choose}
      onResponderMove={choose}
      style={{ width, height }}
    >
      <Svg width={width} height={height} role="img" aria-label={label} pointerEvents="none">
        {best.map(({ low, high }) => {
          const [top, bottom] = [y(shown(high)), y(shown(low))].map((v) =>
            Math.max(6, Math.min(TEMP_HEIGHT - 4, v)),
          ) as [number, number];
          return bottom > top ? (
            <Rect
              key={`${low}-${high}`}
              x={LEFT}
              width={width - 4 - LEFT}
              y={top}
              height={bottom - top}
              fill={p.mossWash}
              opacity={0.7}
            />
          ) : null;
        })}
        {y.ticks(4).map((t) => (
          <G key={t}>
            <Line x1={LEFT} x2={width - 4} y1={y(t)} y2={y(t)} stroke={p.rule} strokeWidth={1} />
            <Label x={LEFT - 6} y={y(t) + 4} anchor="end">{`${t}°`}</Label>
          </G>
        ))}
        {damp
          ? [0, 50, 100].map((t) => (
              <G key={t}>
                <Line x1={LEFT} x2={width - 4} y1={wet(t)} y2={wet(t)} stroke={p.rule} strokeWidth={1} />
                <Label x={LEFT - 6} y={wet(t) + 4} anchor="end">{`${t}%`}</Label>
              </G>
            ))
          : null}
        {warm.band ? <Path d={warm.band} fill={p.amber} opacity={0.28} /> : null}
        {warm.mean ? <Path d={warm.mean} stroke={p.amber} strokeWidth={2} fill="none" /> : null}
        {dots?.columns.map((c, i, all) =>
          c.tempC ? (
            <Circle
              key={c.at}
              cx={middle(c, i, all)}
              cy={y(shown(c.tempC.mean))}
              r={4}
              fill={p.sheet}
              stroke={p.ink}
              strokeWidth={1.5}
            />
          ) : null,
        )}
        {there ? <Path d={there} stroke={p.ink} strokeWidth={1.5} strokeDasharray="5 3" fill="none" /> : null}
        {moist?.band ? <Path d={moist.band} fill={p.water} opacity={0.5} /> : null}
        {moist?.mean ? <Path d={moist.mean} stroke={p.waterDeep} strokeWidth={2} fill="none" /> : null}
        {chosenColumn ? (
          <Line
            x1={middle(chosenColumn, chosen, columns)}
            x2={middle(chosenColumn, chosen, columns)}
            y1={2}
            y2={height - BOTTOM}
            stroke={p.ink}
            strokeWidth={1}
          />
        ) : null}
        {ticks.map((t) => (
          <Label key={t.getTime()} x={x(t)} y={height - 6} anchor="middle">
            {told(t)}
          </Label>
        ))}
      </Svg>
    </View>
  );
}

function Label({
  x,
  y,
  anchor,
  children,
}: {
  x: number;
  y: number;
  anchor: 'end' | 'middle';
  children: string;
}) {
  const p = useBurrow();
  return (
    <SvgText x={x} y={y} fontSize={11} fontFamily={FONTS.sans} fill={p.inkSoft} textAnchor={anchor}>
      {children}
    </SvgText>
  );
}
