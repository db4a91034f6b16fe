import type { Steadiness } from '@gentle-burrow/core/care';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Reason } from '@/ui/Reason';
import { Words } from '@/ui/Words';

const WORDS: Record<Steadiness['answer'], string> = {
  steady: 'A steady spot.',
  'nearly steady': 'Nearly steady.',
  unsteady: 'Not steady.',
  'not known': 'Not known yet.',
  'too hot': 'Too hot.',
};

/** How steady a spot is, and why. */
export function Steady({ judged }: { judged: Steadiness }) {
  const p = useBurrow();
  const color =
    judged.answer === 'unsteady' || judged.answer === 'too hot'
      ? p.clay
      : judged.answer === 'nearly steady'
        ? p.amber
        : p.ink;
  return (
    <View style={[styles.box, { borderColor: p.rule }]} aria-live="polite">
      <Words kind="bold" color={color}>{`${WORDS[judged.answer]} ${judged.says}`}</Words>
      {judged.criteria.map((c) => (
        <Reason key={c.id} criterion={c} entries={[]} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, borderRadius: 4, padding: SPACE.m, gap: SPACE.s },
});
