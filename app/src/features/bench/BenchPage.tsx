import { View } from 'react-native';
import { useStock } from '@/data/stock';
import { dayText } from '@/ui/dates';
import { Screen } from '@/ui/Screen';
import { Way } from '@/ui/Way';
import { NAMES } from '@/words/names';

/** What do you want to get ready? The ways to tubes, stock and labels. */
export function BenchPage() {
  const { levels, plan } = useStock();
  const low = levels.filter((l) => l.low).map((l) => l.item.name);
  return (
    <Screen question="What do you want to get ready?">
      <View>
        <Way
          to="/bench/tube"
          icon="test-tube"
          title={NAMES.tube}
          says="How full, how tight the plug, which water, how much warming floods it."
        />
        <Way
          to="/bench/fit"
          icon="pipe"
          title={NAMES.fit}
          says="Two ends, and what in the stock joins them."
        />
        <Way
          to="/stock"
          icon="archive-outline"
          title={NAMES.stock}
          says={
            plan && plan.make > 0
              ? `Make ${plan.make} tubes before ${dayText(plan.by)}.`
              : low.length > 0
                ? `Low: ${low.join(', ')}.`
                : 'What is ready, and what runs low.'
          }
        />
        <Way
          to="/labels"
          icon="label-outline"
          title={NAMES.labels}
          says="For tubes, with a code that opens her look."
        />
        <Way to="/scan" icon="qrcode-scan" title={NAMES.readLabel} says="By camera, or from a picture." />
      </View>
    </Screen>
  );
}
