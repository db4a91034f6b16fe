import type { KindCard } from '@gentle-burrow/core/species';
import { StyleSheet } from 'react-native';
import { aboutKind, KindWords } from '@/features/founder/KindWords';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Go } from '@/ui/Go';

export interface KindLineProps {
  kind: KindCard;
  by?: string | null;
}

/** A kind as a way to all that is known of it. */
export function KindLine({ kind, by = null }: KindLineProps) {
  const p = useBurrow();
  const about = aboutKind(kind, by);
  return (
    <Go
      to={`/kinds/${kind.id}`}
      aria-label={`${kind.name}, ${about}`}
      style={[styles.line, { borderBottomColor: p.rule }]}
    >
      <KindWords kind={kind} about={about} />
    </Go>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: TARGET + 10,
    borderBottomWidth: 1,
    gap: SPACE.s,
  },
});
