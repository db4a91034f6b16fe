import { router } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useStock } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';

/** What do you want to get ready? The ways to the bench, the stock, the places and the labels. */
export function WorkbenchPage() {
  const { levels, plan } = useStock();
  const low = levels.filter((l) => l.low).map((l) => l.item.name);
  return (
    <Screen question="What do you want to get ready?" back="/">
      <View>
        <Way
          to="/bench"
          icon="test-tube"
          title="A founding tube"
          says="How full, how tight the plug, which water, how much warming floods it."
        />
        <Way
          to="/stock"
          icon="archive-outline"
          title="The stock"
          says={
            plan && plan.make > 0
              ? `Make ${plan.make} tubes before ${dayText(plan.by)}.`
              : low.length > 0
                ? `Low: ${low.join(', ')}.`
                : 'What is ready, and what runs low.'
          }
        />
        <Way
          to="/places"
          icon="thermometer"
          title="The places"
          says="Where tubes stand, how warm, and how steady."
        />
        <Way
          to="/labels"
          icon="label-outline"
          title="Labels"
          says="For tubes, with a code that opens her look."
        />
        <Way to="/scan" icon="qrcode-scan" title="Read a label" says="By camera, or from a picture." />
        <Way
          to="/cohort"
          icon="chart-line-variant"
          title="What they show"
          says="Survival and the way to workers, by species, batch, place and school."
        />
        <Way
          to="/settings"
          icon="cog-outline"
          title="Settings and records"
          says="Methods, units, and your log to take with you."
        />
      </View>
    </Screen>
  );
}

function Way({ to, icon, title, says }: { to: string; icon: string; title: string; says: string }) {
  const p = useBurrow();
  return (
    <Pressable
      role="link"
      aria-label={`${title}. ${says}`}
      onPress={() => router.navigate(to as never)}
      style={[styles.way, { borderBottomColor: p.rule }]}
    >
      <Icon source={icon} size={26} color={p.moss} />
      <View style={styles.words}>
        <Words kind="heading">{title}</Words>
        <Words kind="small" soft>
          {says}
        </Words>
      </View>
      <Icon source="chevron-right" size={22} color={p.inkSoft} />
    </Pressable>
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
