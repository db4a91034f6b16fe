import { OUTLOOK_EVENTS, seenBetween } from '@gentle-burrow/core/founding';
import { DAY_MS, msOf } from '@gentle-burrow/core/quantity';
import type { QueenFacts, QueenView } from '@gentle-burrow/core/view';
import { scaleTime } from 'd3-scale';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useBurrow } from '@/theme/theme';
import { FONTS, SPACE } from '@/theme/tokens';
import { bandText, dayText, intervalText } from '@/ui/dates';
import { Told } from '@/ui/Told';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { EVENT_TITLES } from '@/words/stages';

const BAR = 22;

/** What came and what comes, on one axis: past intervals solid, what is ahead as bands. */
export function StageChart({
  view,
  facts,
  now = new Date(),
}: {
  view: QueenView;
  facts: QueenFacts;
  now?: Date;
}) {
  const p = useBurrow();
  const [width, onLayout] = useWidth();
  const ahead = view.outlook;
  if (!ahead) return null;
  const [start, end] = domain(view, now);
  const x = scaleTime()
    .domain([start, end])
    .range([6, Math.max(7, width - 6)]);
  const looks = facts.entries.filter((e) => e.kind === 'look').map((e) => msOf(e.at));
  return (
    <View style={styles.chart} onLayout={onLayout}>
      {OUTLOOK_EVENTS.map((event) => {
        const { status, band } = ahead.events[event];
        const seen = status === 'seen' && event !== 'firstBatchEnd';
        const interval = seen ? seenBetween(view, event) : null;
        return (
          <View key={event} style={styles.row}>
            <View style={styles.words}>
              <Told kind="smallBold">{EVENT_TITLES[event]}</Told>
              <Words kind="small" soft>
                {interval ? `seen ${intervalText(interval)}` : bandText(band, now)}
              </Words>
            </View>
            <Svg width={width} height={BAR} aria-hidden>
              <Line x1={x(start)} x2={x(end)} y1={BAR / 2} y2={BAR / 2} stroke={p.rule} strokeWidth={1} />
              {interval ? (
                <Seen
                  from={interval.after ? x(msOf(interval.after)) : x(start)}
                  to={x(msOf(interval.by ?? now.toISOString()))}
                  open={interval.after === null}
                />
              ) : (
                <Ahead
                  p10={band.p10 ? x(msOf(band.p10)) : null}
                  p50={band.p50 ? x(msOf(band.p50)) : null}
                  p90={band.p90 ? x(msOf(band.p90)) : null}
                  right={x(end)}
                />
              )}
              <Line
                x1={x(now)}
                x2={x(now)}
                y1={0}
                y2={BAR}
                stroke={p.ink}
                strokeWidth={1}
                strokeDasharray="2 2"
              />
            </Svg>
          </View>
        );
      })}
      <Axis x={x} width={width} looks={looks} now={now} />
      <Words kind="small" soft>
        {ahead.strained > 1
          ? 'Her log does not fit what is known of her kind, so the bands are widened. Solid: seen between two looks. Band: nine in ten such queens come before its end, one in ten before its start.'
          : 'Solid: seen between two looks. Band: one in ten such queens comes before its start, one in ten after its end; the mark is the middle. Dots: looks.'}
      </Words>
    </View>
  );
}

/** From intake to the end of what is ahead, at most ten months on, so that one far tail does not flatten the rest. */
function domain(view: QueenView, now: Date): [Date, Date] {
  const begin = view.ledger.intake ? msOf(view.ledger.intake.at) : now.getTime();
  const firsts = OUTLOOK_EVENTS.flatMap((e) => {
    const band = view.outlook?.events[e].band;
    return [band?.p90 ?? band?.p50 ?? null].filter((d) => d !== null).map((d) => msOf(d));
  });
  const last = Math.max(now.getTime() + 14 * DAY_MS, ...firsts);
  const cap = now.getTime() + 300 * DAY_MS;
  return [new Date(begin - 2 * DAY_MS), new Date(Math.min(last + 4 * DAY_MS, cap))];
}

function Seen({ from, to, open }: { from: number; to: number; open: boolean }) {
  const p = useBurrow();
  const w = Math.max(3, to - from);
  return (
    <G>
      <Rect x={from} y={BAR / 2 - 5} width={w} height={10} rx={2} fill={p.moss} opacity={open ? 0.5 : 1} />
      <Line x1={to} x2={to} y1={BAR / 2 - 8} y2={BAR / 2 + 8} stroke={p.moss} strokeWidth={2} />
    </G>
  );
}

interface AheadProps {
  p10: number | null;
  p50: number | null;
  p90: number | null;
  right: number;
}

function Ahead({ p10, p50, p90, right }: AheadProps) {
  const p = useBurrow();
  if (p10 === null) return null;
  const clip = (v: number) => Math.min(v, right);
  const end = p90 === null ? right : clip(p90);
  const beyond = p90 === null || p90 > right;
  return (
    <G>
      <Rect
        x={clip(p10)}
        y={BAR / 2 - 7}
        width={Math.max(3, end - clip(p10))}
        height={14}
        rx={7}
        fill={p.mossWash}
        stroke={p.moss}
        strokeWidth={1.2}
        strokeDasharray="3 2"
      />
      {p50 !== null && p50 <= right ? (
        <Line x1={p50} x2={p50} y1={BAR / 2 - 9} y2={BAR / 2 + 9} stroke={p.moss} strokeWidth={3} />
      ) : null}
      {beyond ? (
        <Path d={`M${right - 7} ${BAR / 2 - 5} l6 5 l-6 5`} stroke={p.moss} strokeWidth={2} fill="none" />
      ) : null}
    </G>
  );
}

interface AxisProps {
  x: ReturnType<typeof scaleTime<number>>;
  width: number;
  looks: number[];
  now: Date;
}

function Axis({ x, width, looks, now }: AxisProps) {
  const p = useBurrow();
  const [start, end] = x.domain() as [Date, Date];
  const ticks = x.ticks(Math.max(2, Math.floor(width / 90)));
  const nowX = x(now);
  const labelled = roomy(ticks, x, nowX, (t) => dayText(t.toISOString(), now));
  return (
    <Svg width={width} height={38} aria-hidden>
      <Line x1={x(start)} x2={x(end)} y1={8} y2={8} stroke={p.inkSoft} strokeWidth={1} />
      {looks.map((at) => (
        <Circle key={at} cx={x(at)} cy={8} r={2.6} fill={p.inkSoft} />
      ))}
      {ticks.map((t) => (
        <G key={t.getTime()}>
          <Line x1={x(t)} x2={x(t)} y1={8} y2={13} stroke={p.inkSoft} />
          {labelled.has(t) ? (
            <SvgText
              x={x(t)}
              y={28}
              fontSize={12}
              fontFamily={FONTS.sans}
              fill={p.inkSoft}
              textAnchor="middle"
            >
              {dayText(t.toISOString(), now)}
            </SvgText>
          ) : null}
        </G>
      ))}
      <SvgText x={nowX} y={28} fontSize={12} fontFamily={FONTS.sansBold} fill={p.ink} textAnchor="middle">
        today
      </SvgText>
    </Svg>
  );
}

/** Width of a letter of an axis label, px, on the safe side. */
const LETTER = 7;
const BETWEEN = 8;

/** The ticks whose labels fit beside "today" and beside one another: those with a year are longer. */
export function roomy(
  ticks: readonly Date[],
  x: (t: Date) => number,
  nowX: number,
  label: (t: Date) => string,
): Set<Date> {
  const half = (text: string) => (text.length * LETTER) / 2;
  const taken: [number, number][] = [[nowX - half('today'), nowX + half('today')]];
  const fits = new Set<Date>();
  for (const t of ticks) {
    const [from, to] = [x(t) - half(label(t)), x(t) + half(label(t))];
    if (taken.some(([a, b]) => from < b + BETWEEN && to > a - BETWEEN)) continue;
    taken.push([from, to]);
    fits.add(t);
  }
  return fits;
}

const styles = StyleSheet.create({
  chart: { gap: SPACE.s },
  row: { gap: 2 },
  words: { flexDirection: 'row', justifyContent: 'space-between', flexWrap: 'wrap', columnGap: SPACE.s },
});
