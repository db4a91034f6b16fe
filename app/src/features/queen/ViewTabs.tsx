import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Go } from '@/ui/Go';
import { goInstead } from '@/ui/way';
import { Words } from '@/ui/Words';
import { VIEW_NAMES, VIEWS, type ViewName } from './views';

/** The ways between the views of one colony. "Back" leads out of them all, to where she was come to from. */
export function ViewTabs({ id, at }: { id: string; at: ViewName }) {
  const p = useBurrow();
  return (
    <View role="navigation" aria-label="Views of her" style={[styles.row, { borderBottomColor: p.rule }]}>
      {VIEW_NAMES.map((name) => {
        const to = `/queens/${id}${VIEWS[name].path}`;
        const on = name === at;
        return (
          <Go
            key={name}
            to={to}
            onGo={() => goInstead(to)}
            aria-current={on ? 'page' : undefined}
            style={[styles.tab, { borderBottomColor: on ? p.moss : 'transparent' }]}
          >
            <Words kind={on ? 'bold' : 'body'} color={on ? p.ink : p.inkSoft}>
              {VIEWS[name].title}
            </Words>
          </Go>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', borderBottomWidth: 1 },
  tab: {
    flexGrow: 1,
    minHeight: TARGET,
    minWidth: TARGET,
    paddingHorizontal: SPACE.s,
    alignItems: 'center',
    justifyContent: 'center',
    borderBottomWidth: 3,
  },
});
