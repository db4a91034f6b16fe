import type { CohortGroup } from '@gentle-burrow/core/cohort';
import Svg, { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { useBurrow } from '@/theme/theme';
import { FONTS } from '@/theme/tokens';

const HEIGHT = 150;
const LEFT = 42;
const BOTTOM = 22;

/** Survival and "still without workers" over days, as steps; what is not known for sure is a slope. */
export function Curves({ group, width, days }: { group: CohortGroup; width: number; days: number }) {
  const p = useBurrow();
  if (width <= LEFT) return null;
  const x = (d: number) => LEFT + (Math.min(d, days) / days) * (width - LEFT - 4);
  const y = (share: number) => 6 + (1 - share) * (HEIGHT - BOTTOM - 6);
  const steps = (points: [number, number][]) =>
    points.reduce((d, [at, share]) => `${d}H${x(at)}V${y(share)}`, `M${x(0)} ${y(1)}`) + `H${x(days)}`;
  const survival = steps(group.survival.map((s) => [s.time, s.survival]));
  const edge = (side: 'low' | 'high') =>
    group.survival.reduce((d, s) => `${d}H${x(s.time)}V${y(s[side])}`, `M${x(0)} ${y(1)}`) + `H${x(days)}`;
  const workers = waiting(group, x, y, days);
  return (
    <Svg
      width={width}
      height={HEIGHT}
      role="img"
      aria-label={`${group.name}: ${group.n - group.died} of ${group.n} alive, ${group.founded} seen with workers`}
    >
      {[0, 0.5, 1].map((s) => (
        <G key={s}>
          <Line x1={LEFT} x2={width} y1={y(s)} y2={y(s)} stroke={p.rule} strokeWidth={1} />
          <SvgText
            x={LEFT - 6}
            y={y(s) + 4}
            fontSize={11}
            fontFamily={FONTS.sans}
            fill={p.inkSoft}
            textAnchor="end"
          >
            {`${s * 100}%`}
          </SvgText>
        </G>
      ))}
      {[0, days / 2, days].map((d) => (
        <SvgText
          key={d}
          x={x(d)}
          y={HEIGHT - 6}
          fontSize={11}
          fontFamily={FONTS.sans}
          fill={p.inkSoft}
          textAnchor={d === 0 ? 'start' : d === days ? 'end' : 'middle'}
        >
          {`day ${Math.round(d)}`}
        </SvgText>
      ))}
      <Path d={edge('low')} stroke={p.clay} strokeWidth={1} strokeDasharray="3 3" fill="none" />
      <Path d={edge('high')} stroke={p.clay} strokeWidth={1} strokeDasharray="3 3" fill="none" />
      <Path d={survival} stroke={p.clay} strokeWidth={2.5} fill="none" />
      {workers ? (
        <Path d={workers} stroke={p.moss} strokeWidth={2} strokeDasharray="7 3" fill="none" />
      ) : null}
    </Svg>
  );
}

/** Within an interval of Turnbull's it is not known where the share falls: drawn as a slope. */
function waiting(
  group: CohortGroup,
  x: (d: number) => number,
  y: (s: number) => number,
  days: number,
): string | null {
  if (!group.workers) return null;
  let share = 1;
  let d = `M${x(0)} ${y(1)}`;
  for (const m of group.workers.masses) {
    if (m.to === Infinity) break;
    d += `H${x(m.from)}`;
    share -= m.mass;
    d += `L${x(m.to)} ${y(Math.max(0, share))}`;
  }
  return `${d}H${x(days)}`;
}
