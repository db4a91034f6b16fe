import { usePathname } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { RAIL, SPACE } from '@/theme/tokens';
import { Go } from './Go';
import { NAV, placeOf } from './nav';
import { Words } from './Words';

/** The places, where the thumb is on a phone; down the side on a wide screen. */
export function NavBar({ wide }: { wide: boolean }) {
  const p = useBurrow();
  const path = usePathname();
  const here = placeOf(path);
  return (
    <View
      role="navigation"
      aria-label="Places of the application"
      style={[wide ? styles.rail : styles.bar, { borderColor: p.rule, backgroundColor: p.sheet }]}
    >
      {NAV.map(({ to, icon, title }) => {
        const on = here === to;
        return (
          <Go
            key={to}
            to={to}
            aria-label={title}
            aria-current={on ? (path === to ? 'page' : 'true') : undefined}
            style={[
              styles.place,
              wide ? styles.railPlace : styles.barPlace,
              wide
                ? { borderLeftColor: on ? p.moss : 'transparent' }
                : { borderTopColor: on ? p.moss : 'transparent' },
            ]}
          >
            <View aria-hidden>
              <Icon source={icon} size={22} color={on ? p.moss : p.inkSoft} />
            </View>
            <Words kind={on ? 'tinyBold' : 'tiny'} color={on ? p.moss : p.inkSoft}>
              {title}
            </Words>
          </Go>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  // in two rows where the words have no room in one
  bar: { flexDirection: 'row', flexWrap: 'wrap', borderTopWidth: 1 },
  rail: { width: RAIL, borderRightWidth: 1, paddingTop: SPACE.l, gap: SPACE.xs },
  place: { alignItems: 'center', justifyContent: 'center', gap: 2 },
  barPlace: {
    flexGrow: 1,
    minWidth: 60,
    paddingHorizontal: 2,
    minHeight: 54,
    borderTopWidth: 3,
    marginTop: -1,
  },
  railPlace: { minHeight: 64, borderLeftWidth: 3 },
});
