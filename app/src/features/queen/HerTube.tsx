import type { LastCount } from '@gentle-burrow/core/founding';
import { countText, type Instant } from '@gentle-burrow/core/quantity';
import { MILESTONES, type Milestone, type SpeciesProfile } from '@gentle-burrow/core/species';
import { StyleSheet, View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { anatomyOf } from '@/features/tube/anatomy';
import { HomeDrawing, tiedTo } from '@/features/home/HomeDrawing';
import { OtherTubes } from '@/features/home/OtherTubes';
import { TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayText, nearText, spanText } from '@/ui/dates';
import { lengthText } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { Told } from '@/ui/Told';

/** Her tube to scale, and her chamber through the lens, as last seen. */
export function HerTube({ shown, profile }: { shown: ShownQueen; profile: SpeciesProfile | undefined }) {
  const p = useBurrow();
  const units = usePreferences();
  const [width, onLayout] = useWidth();
  const { view } = shown;
  const { ledger, counsel } = view;
  const a = anatomyOf(view.tube);
  const counts = Object.fromEntries(MILESTONES.map((m) => [m, ledger.counts[m]?.range]));
  const seenAt = ledger.lastLook?.at ?? ledger.intake?.at;
  const lineMm = counsel?.water.lineMm ?? view.tube.waterLineMm;
  const drawing = {
    tube: view.tube,
    lineMm,
    counts: ledger.loss && !ledger.loss.orphans ? {} : counts,
    queenAtMm: ledger.queenSeen?.atMm,
    profile,
    wetFront: ledger.wetFront?.value,
    mould: ledger.mould?.value,
    empty: ledger.loss !== null,
  };
  const other = tiedTo(view.housing);
  const lensHeight = 2 * a.R + 6;
  const dry = counsel?.water.dryAt;
  return (
    <View style={styles.tube} onLayout={onLayout}>
      {other ? (
        <HomeDrawing
          {...drawing}
          width={width}
          other={other}
          otherLineMm={counsel?.otherWater?.lineMm ?? other.tube.waterLineMm}
        />
      ) : (
        <TubeDrawing {...drawing} width={width} scaleBar />
      )}
      <View style={[styles.lens, { borderColor: p.rule, backgroundColor: p.sheet }]}>
        <TubeDrawing {...drawing} width={Math.max(0, width - 2)} view={lensView(a, lensHeight, width)} />
      </View>
      <Told kind="small" soft>
        {`${seenAt ? `As seen ${nearText(seenAt)}` : 'Not seen yet'}: ${
          MILESTONES.flatMap((m) => countWords(m, ledger.counts[m], seenAt)).join(', ') || 'no brood counted'
        }.`}
      </Told>
      <Told kind="small" soft>
        {`Water now about ${lengthText(lineMm, units.length)} by reckoning${
          dry?.p10 && dry.p90 ? `; gone ${spanText(dry.p10, dry.p90)}` : ''
        }.`}
      </Told>
      <OtherTubes shown={shown} />
    </View>
  );
}

/** "eggs 8–12", with the day when it was counted at another look than the last. */
function countWords(stage: Milestone, count: LastCount | null, seenAt: Instant | undefined): string[] {
  if (!count) return [];
  const day = seenAt && count.at !== seenAt ? ` (${dayText(count.at)})` : '';
  return [`${stage} ${countText(count.range)}${day}`];
}

/** The chamber and the faces of both plugs, never so near that the tube no longer fits the height. */
export function lensView(a: ReturnType<typeof anatomyOf>, tallMm: number, widthPx: number): [number, number] {
  const least = widthPx > 0 ? (tallMm * widthPx) / 220 : 0;
  const middle = (a.chamberStart + a.chamberEnd) / 2;
  const half = Math.max((a.chamberEnd - a.chamberStart) / 2 + 5, least / 2);
  return [middle - half, middle + half];
}

const styles = StyleSheet.create({
  tube: { gap: SPACE.s },
  lens: { borderWidth: 1, borderRadius: 8, overflow: 'hidden' },
});
