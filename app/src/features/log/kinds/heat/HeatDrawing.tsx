import type { HeatBench } from '@gentle-burrow/core/care';
import type { TubeHome } from '@gentle-burrow/core/facts';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { scaleOf, TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { FONTS } from '@/theme/tokens';
import { tempText } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';

/** How much of the heat is drawn, mm, and how tall its strip and the figures under the tube are, px. */
const MAT_MM = 22;
const MAT_PX = 12;
const FIGURES_PX = 34;
const GAP = 4;

interface HeatDrawingProps {
  tube: TubeHome;
  lineMm: number;
  queenAtMm: number | null;
  bench: HeatBench;
  /** From the mouth to the edge of the heat, mm; null where there is none. */
  matMm: number | null;
}

/** Her tube and the heat on one scale, with how warm it is at both ends of her cell. */
export function HeatDrawing({ tube, lineMm, queenAtMm, bench, matMm }: HeatDrawingProps) {
  const p = useBurrow();
  const { temperature } = usePreferences();
  const [width, onLayout] = useWidth();
  const begin = scaleOf(tube, 100).from;
  const end = Math.max(tube.lengthMm + 3, tube.lengthMm + (matMm ?? 0) + MAT_MM);
  const x = (mm: number) => ((mm - begin) / (end - begin)) * width;
  const { along, cell } = bench;
  const marks = along
    ? [
        { mm: cell.coolMm, anchor: 'middle' as const },
        { mm: cell.warmMm, anchor: 'start' as const },
      ]
    : [];
  const says = along
    ? `Along the tube: ${tempText(along.atC(tube.waterLineMm), temperature)} at the water, ${tempText(along.atC(cell.coolMm), temperature)} to ${tempText(along.atC(cell.warmMm), temperature)} in her cell`
    : 'The heat beside the tube, to scale';
  return (
    <View onLayout={onLayout}>
      <TubeDrawing tube={tube} width={width} lineMm={lineMm} queenAtMm={queenAtMm} view={[begin, end]} />
      {width > 0 ? (
        <Svg width={width} height={MAT_PX + FIGURES_PX} role="img" aria-label={says}>
          {matMm === null ? null : (
            <>
              <Rect
                x={x(tube.lengthMm + matMm)}
                y={GAP}
                width={Math.max(4, x(tube.lengthMm + matMm + MAT_MM) - x(tube.lengthMm + matMm))}
                height={MAT_PX - GAP}
                fill={p.clay}
              />
              <SvgText
                x={width - 1}
                y={MAT_PX + FIGURES_PX - GAP * 3}
                fontFamily={FONTS.sans}
                fontSize={13}
                fill={p.ink}
                textAnchor="end"
              >
                heat
              </SvgText>
            </>
          )}
          {marks.map(({ mm, anchor }) => (
            <G key={mm}>
              <Line x1={x(mm)} x2={x(mm)} y1={0} y2={MAT_PX + GAP} stroke={p.inkSoft} />
              <SvgText
                x={x(mm)}
                y={MAT_PX + FIGURES_PX - GAP * 3}
                fontFamily={FONTS.sans}
                fontSize={13}
                fill={p.ink}
                textAnchor={anchor}
              >
                {tempText(along?.atC(mm) ?? 0, temperature)}
              </SvgText>
            </G>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
