import type { Peace } from '@gentle-burrow/core/care';
import type { Outlook } from '@gentle-burrow/core/founding';
import type { Reservoir } from '@gentle-burrow/core/tube';
import { counted, capital } from '@gentle-burrow/core/words';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Fold } from '@/ui/Fold';
import { lengthText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { chanceText } from '@/words/chance';
import { AWAITED } from '@/words/stages';

interface PeacePanelProps {
  peace: Peace;
  outlook: Outlook | null;
  /** Null where she lives in no tube. */
  water: Pick<Reservoir, 'lineErrorMm'> | null;
}

/** The one account of what she has been put through: what was spent, when a look is free, what one would show. */
export function PeacePanel({ peace, outlook, water }: PeacePanelProps) {
  const p = useBurrow();
  const units = usePreferences();
  const { allowed, spent, nextFree, restless } = peace;
  const share = allowed === null || allowed === 0 ? 1 : Math.min(1, spent / allowed);
  const next = outlook?.next ?? null;
  return (
    <View style={styles.box}>
      <Words kind="smallBold">
        {spent < 0.05
          ? 'Left in peace for four weeks.'
          : allowed === null
            ? `Hands off; all the same she was disturbed as much as by ${looks(spent)} in four weeks.`
            : `In four weeks she was disturbed as much as by ${looks(spent)}; your method allows ${trim(allowed)}.`}
      </Words>
      <View
        style={[styles.track, { backgroundColor: p.rule }]}
        role="img"
        aria-label={`${Math.round(share * 100)} percent of what your method allows`}
      >
        <View
          style={[
            styles.fill,
            { width: `${Math.round(share * 100)}%`, backgroundColor: restless ? p.amber : p.moss },
          ]}
        />
      </View>
      <Words kind="small">
        {nextFree ? `The next look is free from ${dayText(nextFree)}.` : 'A look costs her little now.'}
        {next && next !== 'firstBatchEnd' && outlook
          ? ` One now would ${wouldFind(outlook.found)} show ${AWAITED[next]}.`
          : ''}
      </Words>
      <Fold title="How this was reckoned">
        <Words kind="small" soft>
          {`A look counts 1, a feed in her cell ½, a feed where she need not be met hardly anything, a move 1½, a bump 1: that all spend from one account is common practice, the weights are our own. Things done at one opening count once.`}
        </Words>
        {next && outlook ? (
          <Words kind="small" soft>
            {`Would a look now find ${AWAITED[next]}? ${capital(chanceText(outlook.found))}.${water ? ` Her water line is known to ±${lengthText(water.lineErrorMm, units.length)}; reading it makes that smaller.` : ''}`}
          </Words>
        ) : null}
      </Fold>
    </View>
  );
}

const trim = (n: number): string => String(Math.round(n * 10) / 10);
const looks = (n: number): string => (trim(n) === '1' ? counted(1, 'look') : `${trim(n)} looks`);

/** A chance as a person would say it. */
function wouldFind(chance: number): string {
  if (chance >= 0.9) return 'almost surely';
  if (chance >= 0.6) return 'probably';
  if (chance >= 0.3) return 'perhaps';
  return chance >= 0.05 ? 'hardly' : 'almost surely not';
}

const styles = StyleSheet.create({
  box: { gap: SPACE.xs },
  track: { height: 8, borderRadius: 4, overflow: 'hidden' },
  fill: { height: 8 },
});
