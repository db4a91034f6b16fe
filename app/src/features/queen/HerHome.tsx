import type { LastCount } from '@gentle-burrow/core/founding';
import { standing } from '@gentle-burrow/core/light';
import { countText, type Instant } from '@gentle-burrow/core/quantity';
import { MILESTONES, type Milestone, type KindCard } from '@gentle-burrow/core/species';
import { StyleSheet, View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { HomePicture } from '@/features/home/HomePicture';
import { PartDrawing } from '@/features/home/PartDrawing';
import { Parts } from '@/features/home/Parts';
import { isGone } from '@/features/log/deed';
import { anatomyOf } from '@/features/tube/anatomy';
import { lensView } from '@/features/tube/lens';
import { TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayText, nearText, spanText } from '@/ui/dates';
import { openDeeds } from '@/ui/open-deeds';
import { lengthText } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { Told } from '@/ui/Told';

/** Her whole home to scale, and the chamber of her tube through the lens, as last seen. */
export function HerHome({ shown, profile }: { shown: ShownQueen; profile: KindCard | undefined }) {
  const [width, onLayout] = useWidth();
  const { view } = shown;
  const { ledger, counsel, housing, part } = view;
  const counts = Object.fromEntries(MILESTONES.map((m) => [m, ledger.counts[m]?.range]));
  const seenAt = ledger.lastLook?.at ?? ledger.intake?.at;
  const drawing = {
    counts: ledger.loss && !ledger.loss.orphans ? {} : counts,
    queenAtMm: ledger.queenSeen?.atMm ?? null,
    profile,
    wetFront: ledger.wetFront?.value,
    mould: ledger.mould?.value,
    empty: ledger.loss !== null,
    lineMm: counsel?.water?.lineMm,
    gates: housing.parts.find((p) => p.part.id === part.id)?.gates ?? {},
  };
  const alone = standing(housing).length <= 1;
  const { id } = shown.facts.queen;
  return (
    <View style={styles.home} onLayout={onLayout}>
      {alone ? (
        <PartDrawing
          {...drawing}
          part={part}
          width={part.kind === 'tube' ? width : Math.min(width, BODY_PX)}
          scaleBar
        />
      ) : (
        <HomePicture
          home={{ ...housing, parts: standing(housing) }}
          width={width}
          hers={drawing}
          lines={otherLines(shown)}
          onPart={isGone(view) ? undefined : ({ id: partId }) => openDeeds(id, { kind: 'home', partId })}
        />
      )}
      {part.kind === 'tube' ? (
        <Lens shown={shown} drawing={{ ...drawing, tube: part }} width={width} />
      ) : null}
      <Told kind="small" soft>
        {`${seenAt ? `As seen ${nearText(seenAt)}` : 'Not seen yet'}: ${
          MILESTONES.flatMap((m) => countWords(m, ledger.counts[m], seenAt)).join(', ') || 'no brood counted'
        }.`}
      </Told>
      <Water shown={shown} />
      <Parts shown={shown} />
    </View>
  );
}

/** A part alone is drawn no larger than that: a nest of a hand's width needs no whole screen. */
const BODY_PX = 420;

interface LensProps {
  shown: ShownQueen;
  drawing: Omit<Parameters<typeof TubeDrawing>[0], 'width' | 'lineMm'> & { lineMm: number | undefined };
  width: number;
}

function Lens({ drawing, width }: LensProps) {
  const p = useBurrow();
  const a = anatomyOf(drawing.tube);
  return (
    <View style={[styles.lens, { borderColor: p.rule, backgroundColor: p.sheet }]}>
      <TubeDrawing
        {...drawing}
        lineMm={drawing.lineMm ?? drawing.tube.waterLineMm}
        width={Math.max(0, width - 2)}
        view={lensView(a, 2 * a.R + 6, width)}
      />
    </View>
  );
}

/** How long the water of the part she lives in lasts. */
function Water({ shown }: { shown: ShownQueen }) {
  const units = usePreferences();
  const { counsel, part } = shown.view;
  if (part.kind !== 'tube') {
    const watering = counsel?.watering.find((w) => w.partId === part.id);
    if (!watering) return null;
    const { dryAt, lastAt } = watering;
    return (
      <Told kind="small" soft>
        {`Watered last ${nearText(lastAt)}${dryAt.p10 && dryAt.p90 ? `; by reckoning dry ${spanText(dryAt.p10, dryAt.p90)}` : ''}.`}
      </Told>
    );
  }
  const dry = counsel?.water?.dryAt;
  return (
    <Told kind="small" soft>
      {`Water now about ${lengthText(counsel?.water?.lineMm ?? part.waterLineMm, units.length)} by reckoning${
        dry?.p10 && dry.p90 ? `; gone ${spanText(dry.p10, dry.p90)}` : ''
      }.`}
    </Told>
  );
}

/** Where the water stands in the other tube of a move. */
function otherLines({ view: { housing, counsel } }: ShownQueen): Record<string, number | undefined> {
  const { move, home } = housing;
  return move ? { [move.to === home ? move.from : move.to]: counsel?.otherWater?.lineMm } : {};
}

/** "eggs 8–12", with the day when it was counted at another look than the last. */
function countWords(stage: Milestone, count: LastCount | null, seenAt: Instant | undefined): string[] {
  if (!count) return [];
  const day = seenAt && count.at !== seenAt ? ` (${dayText(count.at)})` : '';
  return [`${stage} ${countText(count.range)}${day}`];
}

const styles = StyleSheet.create({
  home: { gap: SPACE.s },
  lens: { borderWidth: 1, borderRadius: 8, overflow: 'hidden' },
});
