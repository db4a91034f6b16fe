import type { Chain, Port } from '@gentle-burrow/core/housing';
import { View } from 'react-native';
import Svg, { G, Line, Rect } from 'react-native-svg';
import { useBurrow } from '@/theme/theme';
import { useWidth } from '@/ui/useWidth';

/** How long each piece is drawn, and how far one goes into the next, mm: only diameters are to scale here. */
const PIECE_MM = 26;
const INTO_MM = 9;

/** The chain cut open along its middle, diameters to scale. */
export function ChainDrawing({ a, b, chain }: { a: Port; b: Port; chain: Chain }) {
  const p = useBurrow();
  const [width, onLayout] = useWidth();
  const ends: [Port, Port][] = [
    [a, a],
    ...chain.pieces.map(({ connector: { ends: e }, turned }): [Port, Port] =>
      turned ? [e[1], e[0]] : [e[0], e[1]],
    ),
    [b, b],
  ];
  const tall = Math.max(...ends.flat().map(outside)) + 4;
  const total = ends.length * (PIECE_MM - INTO_MM) + INTO_MM;
  const names = ['first end', ...chain.pieces.map((x) => x.connector.name), 'second end'];
  return (
    <View onLayout={onLayout}>
      {width > 0 ? (
        <Svg
          width={width}
          height={Math.min(160, (width * tall) / total)}
          viewBox={`0 ${-tall / 2} ${total} ${tall}`}
          role="img"
          aria-label={`Cut open: ${names.join(', ')}`}
        >
          {ends.map(([left, right], i) => {
            const x = i * (PIECE_MM - INTO_MM);
            const half = PIECE_MM / 2;
            return (
              <G key={i}>
                {(alike(left, right)
                  ? [{ from: x, w: PIECE_MM, port: left }]
                  : [
                      { from: x, w: half, port: left },
                      { from: x + half, w: half, port: right },
                    ]
                ).map(({ from, w, port }) => (
                  <Walls
                    key={from}
                    x={from}
                    w={w}
                    port={port}
                    color={p.ink}
                    fill={i % 2 ? p.sheet : p.mossWash}
                  />
                ))}
              </G>
            );
          })}
          {chain.joints.map((j, i) =>
            j.turns > 0 ? (
              <Line
                key={i}
                x1={(i + 1) * (PIECE_MM - INTO_MM) + 1}
                x2={(i + 1) * (PIECE_MM - INTO_MM) + INTO_MM - 1}
                y1={0}
                y2={0}
                stroke={p.amber}
                strokeWidth={0.8}
                strokeDasharray="1 1"
              />
            ) : null,
          )}
        </Svg>
      ) : null}
    </View>
  );
}

/** A hole in a wall has no outside: the wall is drawn round it. */
const WALL_MM = 3;
const outside = ({ outsideMm, boreMm = 0 }: Port): number => outsideMm ?? boreMm + 2 * WALL_MM;

const alike = (x: Port, y: Port): boolean => x.boreMm === y.boreMm && x.outsideMm === y.outsideMm;

interface WallsProps {
  x: number;
  w: number;
  port: Port;
  color: string;
  fill: string;
}

function Walls({ x, w, port, color, fill }: WallsProps) {
  const out = outside(port) / 2;
  const bore = (port.boreMm ?? outside(port) * 0.7) / 2;
  const wall = Math.max(0.3, out - bore);
  return (
    <G>
      <Rect x={x} y={-out} width={w} height={wall} fill={fill} stroke={color} strokeWidth={0.25} />
      <Rect x={x} y={bore} width={w} height={wall} fill={fill} stroke={color} strokeWidth={0.25} />
    </G>
  );
}
