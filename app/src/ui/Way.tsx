import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Go } from './Go';
import { Words } from './Words';

interface WayProps {
  to: string;
  icon: string;
  title: string;
  says: string;
}

/** A way to a page, with what is found there. */
export function Way({ to, icon, title, says }: WayProps) {
  const p = useBurrow();
  return (
    <Go to={to} aria-label={`${title}. ${says}`} style={[styles.way, { borderBottomColor: p.rule }]}>
      <Icon source={icon} size={26} color={p.moss} />
      <View style={styles.words}>
        <Words kind="heading">{title}</Words>
        <Words kind="small" soft>
          {says}
        </Words>
      </View>
      <Icon source="chevron-right" size={22} color={p.inkSoft} />
    </Go>
  );
}

const styles = StyleSheet.create({
  way: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.m,
    minHeight: TARGET + 20,
    paddingVertical: SPACE.s,
    borderBottomWidth: 1,
  },
  words: { flex: 1 },
});
