import type { LookingBudget } from '@gentle-burrow/core';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { usePreferences } from '@/theme/preferences';
import { dayText } from '@/ui/dates';
import { lengthText } from '@/ui/units';
import { Words } from '@/ui/Words';

/** What has been spent of her looks in four weeks, when the next is free, and what one now would teach. */
export function Budget({ budget, next }: { budget: LookingBudget; next: string | null }) {
  const p = useBurrow();
  const { allowed, spent, left, nextFree, bits, chance, waterBits, lineErrorMm } = budget;
  const units = usePreferences();
  const share = allowed === null || allowed === 0 ? 1 : Math.min(1, spent / allowed);
  return (
    <View style={styles.box}>
      <Words kind="smallBold">
        {allowed === null
          ? `Hands off: ${looks(spent)} spent in four weeks all the same.`
          : `${looks(spent)} of ${trim(allowed)} spent in four weeks${left !== null && left < 0 ? ': overdrawn' : ''}.`}
      </Words>
      <View
        style={[styles.track, { backgroundColor: p.rule }]}
        role="img"
        aria-label={`${Math.round(share * 100)} percent of her looks are spent`}
      >
        <View
          style={[
            styles.fill,
            { width: `${Math.round(share * 100)}%`, backgroundColor: share >= 1 ? p.amber : p.moss },
          ]}
        />
      </View>
      <Words kind="small">
        {[
          nextFree ? `The next is free from ${dayText(nextFree)}.` : null,
          next && chance !== null
            ? `A look now would find ${next} with ${Math.round(chance * 100)} %: it tells ${teaching(bits)} (${bits.toFixed(2)} bit).`
            : null,
          `Reading the water line, now known to ±${lengthText(lineErrorMm, units.length)}, tells ${teaching(waterBits)} (${waterBits.toFixed(2)} bit).`,
        ]
          .filter(Boolean)
          .join(' ')}
      </Words>
      <Words kind="small" soft>
        A look counts 1, a feed ½, a move 1½, a knock 1: weights are our own priors.
      </Words>
    </View>
  );
}

const trim = (n: number): string => String(Math.round(n * 10) / 10);
const looks = (n: number): string => (n === 1 ? '1 look' : `${trim(n)} looks`);
const teaching = (bits: number): string => (bits > 0.8 ? 'much' : bits > 0.4 ? 'something' : 'little');

const styles = StyleSheet.create({
  box: { gap: SPACE.xs },
  track: { height: 8, borderRadius: 4, overflow: 'hidden' },
  fill: { height: 8 },
});
