import type { Preferred } from '@gentle-burrow/core/care';
import { msOf } from '@gentle-burrow/core/quantity';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { FONTS } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { tempText } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { courseText } from './step-words';

const HEIGHT = 110;
const [TOP, BOTTOM, LEFT, RIGHT] = [8, 26, 44, 10];
const BAR_PX = 10;

/** What she seemed to prefer after each look, as a band, and how warm it was where she sat. */
export function PreferenceCourse({ course }: { course: readonly Preferred[] }) {
  const p = useBurrow();
  const { temperature } = usePreferences();
  const [width, onLayout] = useWidth();
  const [first, last] = [course[0], course[course.length - 1]];
  if (course.length < 2 || !first || !last) return null;
  const all = course.flatMap(({ seat, band }) => [seat.tempC, band.p10, band.p90]);
  const [low, high] = [Math.floor(Math.min(...all)), Math.ceil(Math.max(...all))];
  const span = Math.max(1, msOf(last.at) - msOf(first.at));
  const x = (at: string) =>
    LEFT + BAR_PX + ((msOf(at) - msOf(first.at)) / span) * Math.max(0, width - LEFT - RIGHT - 2 * BAR_PX);
  const y = (c: number) => TOP + ((high - c) / Math.max(1, high - low)) * (HEIGHT - TOP - BOTTOM);
  const degrees = (c: number) => tempText(c, temperature);
  const label = { fontFamily: FONTS.sans, fontSize: 13, fill: p.inkSoft };
  return (
    <View onLayout={onLayout}>
      <Words kind="small" soft>
        Dot: where she sat. Bar: what she seemed to prefer after that look.
      </Words>
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} role="img" aria-label={courseText(course, temperature)}>
          {[high, low].map((c) => (
            <G key={c}>
              <Line x1={LEFT} x2={width - RIGHT} y1={y(c)} y2={y(c)} stroke={p.rule} />
              <SvgText {...label} x={LEFT - 6} y={y(c) + 4} textAnchor="end">
                {degrees(c)}
              </SvgText>
            </G>
          ))}
          {course.map(({ at, seat, band: { p10, p90 } }) => (
            <G key={at}>
              <Rect
                x={x(at) - BAR_PX / 2}
                y={y(p90)}
                width={BAR_PX}
                height={y(p10) - y(p90)}
                rx={BAR_PX / 2}
                fill={p.moss}
                opacity={0.35}
              />
              <Circle cx={x(at)} cy={y(seat.tempC)} r={3} fill={p.ink} />
            </G>
          ))}
          <SvgText {...label} x={LEFT} y={HEIGHT - 4}>
            {dayText(first.at)}
          </SvgText>
          <SvgText {...label} x={width - RIGHT} y={HEIGHT - 4} textAnchor="end">
            {dayText(last.at)}
          </SvgText>
        </Svg>
      ) : null}
    </View>
  );
}
