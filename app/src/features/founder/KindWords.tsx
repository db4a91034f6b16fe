import type { KindCard } from '@gentle-burrow/core/species';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Words } from '@/ui/Words';
import { FOUNDER_WORDS } from '@/words/kind';
import { KindSilhouette } from './KindSilhouette';

/** "any of this genus" for a genus; how she founds, and by which other name she was found. */
export function aboutKind(kind: KindCard, by: string | null = null): string {
  return [
    kind.rank === 'genus' && kind.copiedOf === null ? 'any of this genus' : null,
    // a genus lends its species no everyday name
    by ??
      (kind.copiedOf !== null
        ? `your copy of ${kind.otherNames[0]}`
        : kind.rank !== 'genus' && kind.otherNames.includes(kind.plainName)
          ? kind.plainName
          : null),
    FOUNDER_WORDS[kind.founder.value],
    kind.status === 'protected' ? 'protected by law' : null,
    kind.status === 'invasive' ? 'forbidden in many countries' : null,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** A kind in a list: its queen in her size, its name, and what there is to say of it. */
export function KindWords({ kind, about }: { kind: KindCard; about: string }) {
  return (
    <View style={styles.row}>
      <KindSilhouette kind={kind} />
      <View style={styles.fill}>
        <Words kind="latin">{kind.name}</Words>
        <Words kind="small" soft>
          {about}
        </Words>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  fill: { flex: 1 },
});
