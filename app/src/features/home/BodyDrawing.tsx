import type { BodyHome } from '@gentle-burrow/core/facts';
import type { PartNow } from '@gentle-burrow/core/housing';
import type { Milestone, KindLooks } from '@gentle-burrow/core/species';
import Svg, { Circle, Ellipse, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { drawnNumber, jitter, middle, type Counts } from '@/features/tube/anatomy';
import { Ants } from '@/features/tube/Ant';
import { Eggs, Larvae, Pupae } from '@/features/tube/Brood';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { FONTS, type Palette } from '@/theme/tokens';
import { bodyInWords, insideOf, MARGIN_MM, portAt, roomRects, spanOf, WALL_MM } from './body';

export interface BodyDrawingProps {
  part: BodyHome;
  /** Width on the screen, px; the height follows. */
  width: number;
  gates?: PartNow['gates'];
  counts?: Counts;
  /** Draws no queen, as in a part where she does not live. */
  empty?: boolean;
  profile?: KindLooks | undefined;
  mould?: string | null | undefined;
  /** Words on a cover: she is left alone. */
  sleeve?: string | undefined;
  chances?: Record<Milestone, number>;
}

/** A home that is no tube, from above and to scale: walls, rooms, doors, water, brood and queen. */
export function BodyDrawing({
  part,
  width,
  gates = {},
  counts = {},
  empty,
  profile,
  mould,
  sleeve,
  chances,
}: BodyDrawingProps) {
  const palette = useBurrow();
  const { length } = usePreferences();
  if (width <= 0) return null;
  const { wide, tall } = insideOf(part);
  const span = spanOf(part);
  const off = WALL_MM + MARGIN_MM;
  const isShut = (gate: string) => ['plugged', 'shut'].includes(gates[gate]?.value ?? 'open');
  const rooms = roomRects(part);
  const shut = rooms.filter((_, i) => isShut(`room-${i + 1}`)).length;
  return (
    <Svg
      width={width}
      height={(span.tall * width) / span.wide}
      viewBox={`${-off} ${-off} ${span.wide} ${span.tall}`}
      role="img"
      aria-label={
        sleeve
          ? `${bodyInWords(part, {}, length, shut)}; covered: ${sleeve}`
          : bodyInWords(part, counts, length, shut)
      }
    >
      <Walls part={part} palette={palette} />
      {part.kind === 'outworld' || part.kind === 'box' ? (
        <Sand wide={wide} tall={tall} palette={palette} />
      ) : null}
      <WaterSource part={part} palette={palette} />
      {part.rooms > 1
        ? rooms.map((r, i) => (
            <G key={i}>
              {i > 0 ? <Partition room={r} across={wide >= tall} palette={palette} /> : null}
              {isShut(`room-${i + 1}`) ? <Hatch {...r} palette={palette} /> : null}
            </G>
          ))
        : null}
      {part.ports.map((_, i) => (
        <Door key={i} {...portAt(part, `port-${i + 1}`)} shut={isShut(`port-${i + 1}`)} palette={palette} />
      ))}
      {mould && mould !== 'none' ? <Mould wide={wide} tall={tall} palette={palette} /> : null}
      {sleeve ? (
        <Cover wide={wide} tall={tall} words={sleeve} palette={palette} />
      ) : (
        <Inside
          room={firstOpen(rooms, isShut)}
          counts={counts}
          empty={empty ?? false}
          profile={profile}
          chances={chances}
          palette={palette}
        />
      )}
    </Svg>
  );
}

type Room = ReturnType<typeof roomRects>[number];
const firstOpen = (rooms: readonly Room[], isShut: (gate: string) => boolean): Room =>
  rooms.find((_, i) => !isShut(`room-${i + 1}`)) ?? (rooms[0] as Room);

interface Drawn {
  palette: Palette;
}

function Walls({ part, palette }: { part: BodyHome } & Drawn) {
  const { wide, tall } = insideOf(part);
  const wall = { fill: palette.glassFill, stroke: palette.glass, strokeWidth: WALL_MM };
  const grow = WALL_MM / 2;
  if (part.round && part.kind !== 'drinker')
    return <Ellipse cx={wide / 2} cy={tall / 2} rx={wide / 2 + grow} ry={tall / 2 + grow} {...wall} />;
  return (
    <Rect
      x={-grow}
      y={-grow}
      width={wide + 2 * grow}
      height={tall + 2 * grow}
      rx={part.kind === 'drinker' ? tall / 2 : 2}
      {...wall}
    />
  );
}

/** Wet stone is speckled all over; sponge and tower stand at the far edge; cotton lies in a corner. */
function WaterSource({ part, palette }: { part: BodyHome } & Drawn) {
  const { wide, tall } = insideOf(part);
  const edge = Math.max(4, Math.min(14, tall * 0.16));
  switch (part.water) {
    case 'none':
      return null;
    case 'stone':
      return (
        <G opacity={0.75}>
          {Array.from({ length: 40 }, (_, k) => (
            <Circle
              key={k}
              cx={wide * (0.5 + 0.9 * jitter(k))}
              cy={tall * (0.5 + 0.86 * jitter(k + 77))}
              r={0.5 + 0.5 * Math.abs(jitter(k + 13))}
              fill={palette.water}
            />
          ))}
        </G>
      );
    case 'sponge':
      return (
        <G>
          <Rect x={1} y={1} width={wide - 2} height={edge} rx={1.5} fill={palette.water} />
          <Line
            x1={1}
            x2={wide - 1}
            y1={edge + 1}
            y2={edge + 1}
            stroke={palette.waterDeep}
            strokeWidth={0.5}
            strokeDasharray="1.6 1.2"
          />
        </G>
      );
    case 'tower':
      return (
        <Circle
          cx={wide - edge}
          cy={edge}
          r={edge * 0.7}
          fill={palette.water}
          stroke={palette.waterDeep}
          strokeWidth={0.6}
        />
      );
    case 'cotton':
      return (
        <G>
          <Circle
            cx={edge + 3}
            cy={tall * 0.4}
            r={edge * 0.7}
            fill={palette.cottonWet}
            stroke={palette.cottonLine}
            strokeWidth={0.3}
          />
          <Circle
            cx={edge + 6}
            cy={tall * 0.4 + edge}
            r={edge * 0.6}
            fill={palette.cottonWet}
            stroke={palette.cottonLine}
            strokeWidth={0.3}
          />
        </G>
      );
    case 'plugged-tube':
      return (
        <G>
          <Rect x={0} y={0} width={wide * 0.8} height={tall} rx={tall / 2} fill={palette.water} />
          <Rect
            x={wide * 0.78}
            y={0}
            width={wide * 0.16}
            height={tall}
            fill={palette.cotton}
            stroke={palette.cottonLine}
            strokeWidth={0.3}
          />
        </G>
      );
  }
}

/** The floor on which they walk about. */
function Sand({ wide, tall, palette }: { wide: number; tall: number } & Drawn) {
  return (
    <G opacity={0.9}>
      {Array.from({ length: 90 }, (_, k) => (
        <Circle
          key={k}
          cx={wide * (0.5 + 0.94 * jitter(k + 3))}
          cy={tall * (0.5 + 0.92 * jitter(k + 101))}
          r={0.5 + 0.6 * Math.abs(jitter(k + 7))}
          fill={palette.cottonLine}
        />
      ))}
    </G>
  );
}

/** A wall between two rooms, with a gap in its middle. */
function Partition({ room, across, palette }: { room: Room; across: boolean } & Drawn) {
  const gap = 5;
  const long = across ? room.tall : room.wide;
  const [a, b] = [long / 2 - gap / 2, long / 2 + gap / 2];
  const line = across
    ? `M${room.x} 0V${a}M${room.x} ${b}V${long}`
    : `M0 ${room.y}H${a}M${b} ${room.y}H${long}`;
  return <Path d={line} stroke={palette.glass} strokeWidth={1.2} fill="none" />;
}

/** A room that is shut off. */
function Hatch({ x, y, wide, tall, palette }: Room & Drawn) {
  const step = 6;
  const lines = Array.from({ length: Math.ceil((wide + tall) / step) }, (_, k) => {
    const s = (k + 1) * step;
    const [x1, y1] = [Math.min(s, wide), Math.max(0, s - wide)];
    const [x2, y2] = [Math.max(0, s - tall), Math.min(s, tall)];
    return `M${x + x1} ${y + y1}L${x + x2} ${y + y2}`;
  });
  return <Path d={lines.join('')} stroke={palette.inkSoft} strokeWidth={0.5} opacity={0.55} />;
}

/** A port in the wall: an opening, or a bar across it. */
function Door({ x, y, left, shut, palette }: { x: number; y: number; left: boolean; shut: boolean } & Drawn) {
  const out = left ? -1 : 1;
  const half = 4;
  return (
    <G>
      <Line
        x1={x + (out * WALL_MM) / 2}
        x2={x + (out * WALL_MM) / 2}
        y1={y - half}
        y2={y + half}
        stroke={palette.sheet}
        strokeWidth={WALL_MM + 0.6}
      />
      <Path
        d={`M${x} ${y - half}h${out * (WALL_MM + 3)}M${x} ${y + half}h${out * (WALL_MM + 3)}`}
        stroke={palette.glass}
        strokeWidth={0.9}
      />
      {shut ? (
        <Line x1={x + out} x2={x + out} y1={y - half} y2={y + half} stroke={palette.clay} strokeWidth={1.8} />
      ) : null}
    </G>
  );
}

function Mould({ wide, tall, palette }: { wide: number; tall: number } & Drawn) {
  return (
    <G opacity={0.8}>
      {Array.from({ length: 12 }, (_, k) => (
        <Circle
          key={k}
          cx={wide * 0.62 + jitter(k) * 8}
          cy={tall * 0.7 + jitter(k + 9) * 6}
          r={0.7}
          fill={palette.broodLine}
        />
      ))}
    </G>
  );
}

function Cover({ wide, tall, words, palette }: { wide: number; tall: number; words: string } & Drawn) {
  const size = Math.min(7, tall * 0.3, ((wide - 4) / words.length) * 1.95);
  return (
    <G>
      <Rect x={0} y={0} width={wide} height={tall} rx={1} fill={palette.sleeve} />
      <SvgText
        x={wide / 2}
        y={tall / 2 + size * 0.34}
        fontSize={size}
        fontFamily={FONTS.serif}
        fill={palette.sleeveInk}
        textAnchor="middle"
      >
        {words}
      </SvgText>
    </G>
  );
}

interface InsideProps extends Drawn {
  room: Room;
  counts: Counts;
  empty: boolean;
  profile: KindLooks | undefined;
  chances: Record<Milestone, number> | undefined;
}

const pale = (chance: number | undefined): number => (chance === undefined ? 1 : 0.15 + 0.85 * chance);

/** Brood in heaps of its own, workers about it, and the queen before all of them: nothing hides her. */
function Inside({ room, counts, empty, profile, chances, palette }: InsideProps) {
  const workerMm = middle(profile?.workerLengthMm.value, 3.5);
  const queenMm = middle(profile?.queenLengthMm.value, 9);
  const pile = { floor: room.y + room.tall * 0.62, workerMm, palette };
  const at = (share: number) => room.x + room.wide * share;
  return (
    <G>
      <G opacity={pale(chances?.eggs)}>
        <Eggs {...pile} n={drawnNumber(counts.eggs)} x={at(0.24)} />
      </G>
      <G opacity={pale(chances?.larvae)}>
        <Larvae {...pile} n={drawnNumber(counts.larvae)} x={at(0.46)} />
      </G>
      <G opacity={pale(chances?.pupae)}>
        <Pupae
          {...pile}
          n={drawnNumber(counts.pupae)}
          x={at(0.72)}
          cocoons={profile?.pupae.value === 'in cocoons'}
        />
      </G>
      <G opacity={pale(chances?.workers)}>
        {[0, 1, 2].map((row) => (
          <Ants
            key={row}
            ants={Array.from(
              { length: Math.ceil(Math.min(24, drawnNumber(counts.workers)) / 3) },
              (_, k) => ({
                x: at(0.5 + 0.8 * jitter(3 * k + row + 5)),
                facesWater: (k + row) % 2 === 0,
              }),
            )}
            floor={room.y + room.tall * (0.72 + 0.1 * row)}
            lengthMm={workerMm}
            color={palette.queen}
          />
        ))}
      </G>
      {empty ? null : (
        <Ants
          ants={[{ x: at(0.5), facesWater: true }]}
          floor={room.y + room.tall * 0.42}
          lengthMm={queenMm}
          color={palette.queen}
          queen
          halo={palette.sheet}
        />
      )}
    </G>
  );
}
