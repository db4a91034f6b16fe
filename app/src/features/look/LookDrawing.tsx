import type { BodyHome, HomePart, TubeHome } from '@gentle-burrow/core/facts';
import type { PartNow } from '@gentle-burrow/core/housing';
import { countText } from '@gentle-burrow/core/quantity';
import { MILESTONES, type Milestone, type KindCard } from '@gentle-burrow/core/species';
import { Pressable, StyleSheet, View, type PointerEvent } from 'react-native';
import { lensView } from '@/features/tube/lens';
import { BodyDrawing } from '@/features/home/BodyDrawing';
import { anatomyOf, pilesOf, queenIn } from '@/features/tube/anatomy';
import { DragLine } from '@/features/tube/DragLine';
import { scaleOf, TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { NumberField } from '@/ui/fields';
import { fromMm, lengthText, toMm } from '@/ui/units';
import { roving } from '@/ui/roving';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { waterLineFault, type LookDraft } from './look-draft';

interface LookDrawingProps {
  part: HomePart;
  /** Doors and rooms of it, for one that is no tube. */
  gates?: PartNow['gates'];
  profile: KindCard | undefined;
  draft: LookDraft;
  /** Where the water of a tube should stand by reckoning, mm. */
  reckonedMm: number | null;
  stage: Milestone;
  onStage(stage: Milestone): void;
  onChange(part: Partial<LookDraft>): void;
}

/** Of the drawing, above the glass. */
const MARGIN_MM = 3;

/** The drawing is the form: in a tube drag the water line and tap where she sits, anywhere tap the brood to count it. */
export function LookDrawing({ part, reckonedMm, ...rest }: LookDrawingProps) {
  return part.kind === 'tube' ? (
    <TubeLook {...rest} tube={part} reckonedMm={reckonedMm ?? part.waterLineMm} />
  ) : (
    <BodyLook {...rest} part={part} />
  );
}

type LookProps = Omit<LookDrawingProps, 'part' | 'reckonedMm'>;

/** A home that is no tube: tapping it says that she was seen. */
function BodyLook({
  part,
  gates = {},
  profile,
  draft,
  stage,
  onStage,
  onChange,
}: LookProps & { part: BodyHome }) {
  const [width, onLayout] = useWidth();
  return (
    <View style={styles.all} onLayout={onLayout}>
      <Pressable aria-hidden tabIndex={-1} onPress={() => onChange({ queen: 'seen' })}>
        <BodyDrawing
          part={part}
          gates={gates}
          width={Math.min(width, 420)}
          counts={draft.counts}
          profile={profile}
          mould={draft.mould}
          empty={draft.queen === 'not-seen'}
        />
      </Pressable>
      <Words kind="small" soft>
        {draft.queen === 'seen'
          ? 'You saw her.'
          : draft.queen === 'not-seen'
            ? 'Not seen this time. That is no death.'
            : 'Tap the drawing when you see her.'}
      </Words>
      <StageTabs draft={draft} stage={stage} onStage={onStage} />
    </View>
  );
}

type TubeLookProps = Omit<LookProps, 'gates'> & { tube: TubeHome; reckonedMm: number };

function TubeLook({ tube, profile, draft, reckonedMm, stage, onStage, onChange }: TubeLookProps) {
  const p = useBurrow();
  const units = usePreferences();
  const [width, onLayout] = useWidth();
  const a = anatomyOf(tube);
  const waterFault = waterLineFault(draft.waterLineMm, tube, units.length) ?? undefined;
  const lineMm = Math.min(a.plugStart, Math.max(0, draft.waterLineMm ?? reckonedMm));
  const drawing = {
    tube,
    lineMm,
    counts: draft.counts,
    queenAtMm: draft.queenAtMm,
    profile,
    wetFront: draft.wetFront,
    mould: draft.mould,
    empty: draft.queen === 'not-seen',
  };
  const whole = scaleOf(tube, width);
  const view = lensView(a, 2 * a.R + 6, width);
  const lens = scaleOf(tube, width, view);
  const sit = (mm: number) =>
    onChange({ queen: 'seen', queenAtMm: Math.round(Math.max(a.chamberStart, Math.min(a.chamberEnd, mm))) });
  const tap = (e: PointerEvent) => {
    const box = (e.currentTarget as unknown as Element).getBoundingClientRect();
    sit(lens.from + (e.nativeEvent.clientX - box.left) / lens.pxPerMm);
  };
  const queen = queenIn(a, draft.queenAtMm, profile);
  const piles = pilesOf(a, drawing.empty ? null : queen);
  return (
    <View style={styles.all} onLayout={onLayout}>
      <View style={{ height: whole.height + TARGET }}>
        <TubeDrawing {...drawing} width={width} />
        {width > 0 ? (
          <DragLine
            label="Water line"
            mm={lineMm}
            min={0}
            max={a.plugStart}
            scale={whole}
            text={lengthText(lineMm, units.length)}
            onChange={(waterLineMm) => onChange({ waterLineMm })}
          />
        ) : null}
      </View>
      <View style={styles.water}>
        <NumberField
          key={units.length}
          label="Water line"
          unit={units.length}
          value={draft.waterLineMm === null ? null : fromMm(draft.waterLineMm, units.length)}
          onChange={(typed) => onChange({ waterLineMm: typed === null ? null : toMm(typed, units.length) })}
          fault={waterFault}
        />
        <Pressable
          role="button"
          onPress={() =>
            onChange({ waterLineMm: draft.waterLineMm === null ? Math.round(reckonedMm) : null })
          }
          style={[styles.small, { borderColor: p.rule, backgroundColor: p.sheet }]}
        >
          <Words kind="small">{draft.waterLineMm === null ? 'It is as drawn' : 'Not read'}</Words>
        </Pressable>
      </View>
      <Words kind="small" soft={draft.waterLineMm === null}>
        {draft.waterLineMm === null
          ? `Water line not read. By reckoning it stands at ${lengthText(reckonedMm, units.length)}.`
          : `Water line read at ${lengthText(draft.waterLineMm, units.length)}.`}
      </Words>
      <View
        style={[styles.lens, { borderColor: p.rule, backgroundColor: p.sheet, height: lens.height + TARGET }]}
      >
        <View onPointerDown={tap} style={CROSSHAIR}>
          <TubeDrawing {...drawing} width={width} view={view} ghosts />
        </View>
        {width > 0
          ? MILESTONES.map((m) => (
              <BroodSpot
                key={m}
                stage={m}
                on={m === stage}
                left={(piles[m] - lens.from) * lens.pxPerMm}
                top={(MARGIN_MM + a.R + a.r) * lens.pxPerMm - TARGET}
                onPress={() => onStage(m)}
              />
            ))
          : null}
        {width > 0 && draft.queen !== 'not-seen' ? (
          <DragLine
            label="Where she sits"
            mm={queen.atMm}
            min={a.chamberStart}
            max={a.chamberEnd}
            scale={lens}
            text={lengthText(queen.atMm, units.length)}
            onChange={sit}
          />
        ) : null}
      </View>
      <Words kind="small" soft>
        {draft.queen === 'seen' && draft.queenAtMm !== null
          ? `She sits at ${lengthText(draft.queenAtMm, units.length)}.`
          : draft.queen === 'not-seen'
            ? 'Not seen this time. That is no death.'
            : 'Tap where she sits.'}
      </Words>
      <StageTabs draft={draft} stage={stage} onStage={onStage} />
    </View>
  );
}

function StageTabs({ draft, stage, onStage }: Pick<LookProps, 'draft' | 'stage' | 'onStage'>) {
  return (
    <View role="tablist" aria-label="Stage to count" style={styles.stages} {...roving('tab')}>
      {MILESTONES.map((m) => (
        <StageTab key={m} stage={m} on={m === stage} count={draft.counts[m]} onPress={() => onStage(m)} />
      ))}
    </View>
  );
}

interface BroodSpotProps {
  stage: Milestone;
  on: boolean;
  left: number;
  top: number;
  onPress(): void;
}

/** Where brood of a stage lies in the drawing: tapped, it is counted. The tabs below do the same for the keyboard. */
function BroodSpot({ on, left, top, onPress }: BroodSpotProps) {
  const p = useBurrow();
  return (
    <Pressable
      aria-hidden
      tabIndex={-1}
      onPress={onPress}
      style={[styles.spot, { left: left - TARGET / 2, top, borderColor: on ? p.moss : p.glass }]}
    />
  );
}

interface StageTabProps {
  stage: Milestone;
  on: boolean;
  count: LookDraft['counts'][Milestone];
  onPress(): void;
}

function StageTab({ stage, on, count, onPress }: StageTabProps) {
  const p = useBurrow();
  return (
    <Pressable
      role="tab"
      tabIndex={on ? 0 : -1}
      aria-selected={on}
      aria-label={`${stage}, ${count ? countText(count) : 'not counted'}`}
      onPress={onPress}
      style={[
        styles.stage,
        { borderBottomColor: on ? p.moss : p.rule, backgroundColor: on ? p.mossWash : 'transparent' },
      ]}
    >
      <Words kind={on ? 'smallBold' : 'small'}>{stage}</Words>
      <Words kind={count ? 'bold' : 'small'} soft={!count}>
        {count ? countText(count) : '–'}
      </Words>
    </Pressable>
  );
}

const CROSSHAIR = { cursor: 'crosshair' } as object;

const styles = StyleSheet.create({
  all: { gap: SPACE.s },
  fill: { flex: 1 },
  water: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: SPACE.s },
  small: {
    minHeight: TARGET,
    paddingHorizontal: SPACE.m,
    borderWidth: 1,
    borderRadius: 4,
    justifyContent: 'center',
  },
  lens: { borderWidth: 1, borderRadius: 8, overflow: 'hidden' },
  spot: {
    position: 'absolute',
    width: TARGET,
    height: TARGET,
    borderWidth: 1,
    borderStyle: 'dotted',
    borderRadius: 22,
  },
  stages: { flexDirection: 'row' },
  stage: { flex: 1, minHeight: 52, alignItems: 'center', justifyContent: 'center', borderBottomWidth: 3 },
});
