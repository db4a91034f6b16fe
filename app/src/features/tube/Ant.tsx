import { Ellipse, G, Polyline } from 'react-native-svg';

interface AntProps {
  /** Middle of the body, mm. */
  x: number;
  /** The floor she stands on, mm. */
  floor: number;
  lengthMm: number;
  color: string;
  queen?: boolean;
  /** Head towards the closed end. */
  facesWater?: boolean;
}

/** An ant seen from the side, drawn to her length. A queen has the large thorax that held her wings. */
export function Ant({ x, floor, lengthMm, color, queen = false, facesWater = false }: AntProps) {
  const turn = facesWater ? -1 : 1;
  const line = {
    stroke: color,
    strokeWidth: 0.028,
    fill: 'none',
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
  } as const;
  const thorax = queen ? { rx: 0.17, ry: 0.115 } : { rx: 0.14, ry: 0.065 };
  const gaster = queen ? { rx: 0.24, ry: 0.145 } : { rx: 0.18, ry: 0.115 };
  return (
    <G transform={`translate(${x} ${floor}) scale(${turn * lengthMm} ${lengthMm})`}>
      <Polyline points="0.06,-0.15 -0.03,-0.24 -0.13,0" {...line} />
      <Polyline points="0.14,-0.14 0.15,-0.23 0.12,0" {...line} />
      <Polyline points="0.22,-0.15 0.31,-0.24 0.36,0" {...line} />
      <Ellipse cx={-0.26} cy={-0.2} {...gaster} fill={color} transform="rotate(6 -0.26 -0.2)" />
      <Ellipse cx={-0.01} cy={-0.16} rx={0.035} ry={0.05} fill={color} />
      <Ellipse cx={0.16} cy={queen ? -0.22 : -0.19} {...thorax} fill={color} />
      <Ellipse cx={0.39} cy={-0.2} rx={0.105} ry={0.085} fill={color} transform="rotate(14 0.39 -0.2)" />
      <Polyline points="0.44,-0.25 0.5,-0.35 0.6,-0.29" {...line} />
      <Polyline points="0.46,-0.24 0.54,-0.31 0.62,-0.23" {...line} />
    </G>
  );
}
