import type { Divider, TubeHome } from '@gentle-burrow/core/facts';
import type { PartNow } from '@gentle-burrow/core/housing';
import { FRONT_SHARE } from '@gentle-burrow/core/tube';
import type { WetFront } from '@gentle-burrow/core/vocabulary';
import type { Milestone, KindLooks } from '@gentle-burrow/core/species';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { useBurrow } from '@/theme/theme';
import { usePreferences } from '@/theme/preferences';
import { FONTS, type Palette } from '@/theme/tokens';
import { MM_PER_INCH } from '@/ui/units';
import {
  anatomyOf,
  drawnNumber,
  jitter,
  middle,
  pilesOf,
  queenIn,
  tubeInWords,
  type Counts,
} from './anatomy';
import { Ants } from './Ant';
import { Eggs, Larvae, Pupae } from './Brood';
import { Cotton, Glass, Puddle, Water } from './Glass';

export interface TubeDrawingProps {
  tube: TubeHome;
  /** Width on the screen, px. The height follows: everything is to scale. */
  width: number;
  /** Where the water ends, mm from the closed end. */
  lineMm: number;
  counts?: Counts;
  queenAtMm?: number | null;
  /** Draws no queen at all, as in a tube made ready. */
  empty?: boolean;
  profile?: KindLooks | undefined;
  wetFront?: string | null | undefined;
  mould?: string | null | undefined;
  /** How its mouth is, where that was said: closed with cotton otherwise. */
  gates?: PartNow['gates'];
  /** Part of the tube to show, mm; the whole when not given. */
  view?: [from: number, to: number];
  /** Words on a dark sleeve drawn over the chamber: she is left alone. */
  sleeve?: string | undefined;
  scaleBar?: boolean;
  /** Shows faintly where brood that is not counted yet would lie. */
  ghosts?: boolean;
  /** How likely each stage is there, 0..1: what is drawn is reckoned, not seen, and the unlikely is pale. */
  chances?: Record<Milestone, number>;
}

const MARGIN = 3;

/** How much a whole tube takes in a drawing, its margins too, mm. */
export const wholeMm = (tube: TubeHome): number => {
  const a = anatomyOf(tube);
  return tube.lengthMm + (a.R - a.r) + 2 * MARGIN;
};

/** Millimetres to pixels for a drawing, so that fingers can be placed on it. */
export function scaleOf(tube: TubeHome, width: number, view?: [number, number]) {
  const a = anatomyOf(tube);
  const from = view ? view[0] : -(a.R - a.r) - MARGIN;
  const to = view ? view[1] : tube.lengthMm + MARGIN;
  const pxPerMm = width / (to - from);
  const tall = 2 * a.R + 2 * MARGIN;
  return { from, to, pxPerMm, height: tall * pxPerMm, tall };
}

/** A tube to scale in millimetres: closed end, water, wet front, plugs, chamber, brood, queen, mouth. */
export function TubeDrawing(props: TubeDrawingProps) {
  const {
    tube,
    width,
    lineMm,
    counts = {},
    queenAtMm,
    empty,
    profile,
    wetFront,
    mould,
    gates,
    view,
    sleeve,
    scaleBar,
    ghosts,
    chances,
  } = props;
  const palette = useBurrow();
  const units = usePreferences();
  const a = anatomyOf(tube);
  const { from, to, height, tall } = scaleOf(tube, width, view);
  if (width <= 0) return null;
  const workerMm = middle(profile?.workerLengthMm.value, 3.5);
  const chamber = a.innerEnd - a.chamberStart;
  const at = (share: number) => a.chamberStart + chamber * share;
  const queen = queenIn(a, queenAtMm, profile);
  const piles = pilesOf(a, empty ? null : queen);
  const floor = a.r - 0.3;
  const pile = { floor, workerMm, palette, room: { from: a.chamberStart, to: a.innerEnd } };
  const cocoons = profile?.pupae.value === 'in cocoons';
  const bar = scaleBar ? 6 : 0;
  return (
    <Svg
      width={width}
      height={height + (bar * width) / (to - from)}
      viewBox={`${from} ${-tall / 2} ${to - from} ${tall + bar}`}
      role="img"
      aria-label={tubeInWords(tube, lineMm, counts, {
        sleeve,
        queenAtMm: empty ? null : queenAtMm,
        unit: units.length,
      })}
    >
      <Glass tube={tube} a={a} palette={palette} />
      <Water tube={tube} a={a} lineMm={lineMm} plugMm={a.plugStart} palette={palette} />
      <Cotton
        from={a.plugStart}
        to={a.chamberStart}
        r={a.r - 0.2}
        wet={lineMm <= 0.5 ? 0 : Math.min(1, FRONT_SHARE[(wetFront ?? 'right') as WetFront])}
        palette={palette}
      />
      {tube.divider ? <Wall {...tube.divider} r={a.r} palette={palette} /> : null}
      <Mouth
        from={a.chamberEnd}
        to={tube.lengthMm - 0.5}
        r={a.r}
        is={gates?.mouth?.value}
        palette={palette}
      />
      {wetFront === 'leaking' || wetFront === 'soaked' ? (
        <Puddle from={a.chamberStart} to={a.chamberEnd} r={a.r} palette={palette} />
      ) : null}
      {mould && mould !== 'none' ? (
        <Mould
          x={mould === 'near-brood' ? a.chamberStart + 1 : a.chamberEnd + 3}
          r={a.r}
          color={palette.broodLine}
        />
      ) : null}
      {sleeve ? (
        <Sleeve from={a.chamberStart - 3} to={tube.lengthMm + 1.4} R={a.R} words={sleeve} />
      ) : (
        <G>
          {ghosts ? (
            <G opacity={0.4}>
              {counts.eggs ? null : <Eggs {...pile} n={5} x={piles.eggs} />}
              {counts.larvae ? null : <Larvae {...pile} n={3} x={piles.larvae} />}
              {counts.pupae ? null : <Pupae {...pile} n={1} x={piles.pupae} cocoons={cocoons} />}
              {counts.workers ? null : (
                <Ants
                  ants={[{ x: piles.workers, facesWater: false }]}
                  floor={floor}
                  lengthMm={workerMm}
                  color={palette.queen}
                />
              )}
            </G>
          ) : null}
          {/* first: workers stand behind the brood they look after */}
          <G opacity={pale(chances?.workers)}>
            <Ants
              ants={Array.from({ length: Math.min(20, drawnNumber(counts.workers)) }, (_, k) => ({
                x: at(0.5 + 0.86 * jitter(k + 5)),
                facesWater: k % 2 === 0,
              }))}
              floor={floor}
              lengthMm={workerMm}
              color={palette.queen}
            />
          </G>
          <G opacity={pale(chances?.eggs)}>
            <Eggs {...pile} n={drawnNumber(counts.eggs)} x={piles.eggs} />
          </G>
          <G opacity={pale(chances?.larvae)}>
            <Larvae {...pile} n={drawnNumber(counts.larvae)} x={piles.larvae} />
          </G>
          <G opacity={pale(chances?.pupae)}>
            <Pupae {...pile} n={drawnNumber(counts.pupae)} x={piles.pupae} cocoons={cocoons} />
          </G>
          {/* last, with a pale rim: brood never hides her */}
          {empty ? null : (
            <Ants
              ants={[{ x: queen.atMm, facesWater: true }]}
              floor={floor}
              lengthMm={queen.lengthMm}
              color={palette.queen}
              queen
              halo={palette.sheet}
            />
          )}
        </G>
      )}
      {scaleBar ? <ScaleBar x={to - 3} y={tall / 2 + 1.6} color={palette.inkSoft} /> : null}
    </Svg>
  );
}

/** A way as high through the cotton of a narrowed mouth, mm (prior). */
const WAY_MM = 3;

/** Cotton at the mouth; with a way along the floor where it is narrowed, and none where it lies open. */
function Mouth({
  from,
  to,
  r,
  is,
  palette,
}: {
  from: number;
  to: number;
  r: number;
  is: string | undefined;
  palette: Palette;
}) {
  if (is === 'open') return null;
  return (
    <G>
      <Cotton from={from} to={to} r={r - 0.2} wet={0} palette={palette} />
      {is === 'narrowed' ? (
        <Rect
          x={from - 1.5}
          y={r - 0.2 - WAY_MM}
          width={to - from + 3}
          height={WAY_MM}
          fill={palette.glassFill}
        />
      ) : null}
    </G>
  );
}

/** A wall of cotton with a straw through it: what lies beyond is the room in which she is fed. */
function Wall({ atMm, strawMm, r, palette }: Divider & { r: number; palette: Palette }) {
  const thick = 4;
  const from = atMm - thick / 2;
  // the straw lies on the floor, where she walks
  const top = r - 0.2 - strawMm;
  return (
    <G>
      <Cotton from={from} to={atMm + thick / 2} r={r - 0.2} wet={0} palette={palette} />
      <Rect
        x={from - 1.5}
        y={top}
        width={thick + 3}
        height={strawMm}
        rx={0.4}
        fill={palette.glassFill}
        stroke={palette.glass}
        strokeWidth={0.4}
      />
    </G>
  );
}

function Sleeve({ from, to, R, words }: { from: number; to: number; R: number; words: string }) {
  const palette = useBurrow();
  const size = Math.min(5.6, ((to - from - 4) / words.length) * 1.95);
  return (
    <G>
      <Rect x={from} y={-R - 0.8} width={to - from} height={2 * R + 1.6} rx={0.8} fill={palette.sleeve} />
      <Line
        x1={from + 1.6}
        y1={-R - 0.6}
        x2={from + 1.6}
        y2={R + 0.6}
        stroke={palette.sleeveInk}
        strokeWidth={0.35}
        strokeDasharray="1.6 1.1"
        opacity={0.55}
      />
      <SvgText
        x={(from + 1.6 + to) / 2}
        y={size * 0.34}
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

function Mould({ x, r, color }: { x: number; r: number; color: string }) {
  return (
    <G opacity={0.8}>
      {Array.from({ length: 9 }, (_, k) => (
        <Circle key={k} cx={x + jitter(k) * 3.4} cy={r - 1.4 + jitter(k + 9) * 2.2} r={0.42} fill={color} />
      ))}
    </G>
  );
}

/** A length that is easily told, in the keeper's unit. */
const BARS = { mm: { mm: 10, says: '10 mm' }, in: { mm: MM_PER_INCH / 2, says: '½ in' } } as const;

function ScaleBar({ x, y, color }: { x: number; y: number; color: string }) {
  const bar = BARS[usePreferences().length];
  return (
    <G>
      <Line x1={x - bar.mm} y1={y} x2={x} y2={y} stroke={color} strokeWidth={0.4} />
      <Line x1={x - bar.mm} y1={y - 0.8} x2={x - bar.mm} y2={y + 0.8} stroke={color} strokeWidth={0.4} />
      <Line x1={x} y1={y - 0.8} x2={x} y2={y + 0.8} stroke={color} strokeWidth={0.4} />
      <SvgText
        x={x - bar.mm - 1.5}
        y={y + 1.5}
        fontSize={4.2}
        fontFamily={FONTS.sans}
        fill={color}
        textAnchor="end"
      >
        {bar.says}
      </SvgText>
    </G>
  );
}

/** What is unlikely stays visible, but only just. */
const pale = (chance: number | undefined): number => (chance === undefined ? 1 : 0.15 + 0.85 * chance);
