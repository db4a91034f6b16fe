import { halfRangeC } from '@gentle-burrow/core/climate';
import { phrase } from '@gentle-burrow/core/quantity';
import { StyleSheet, View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { Button } from '@/ui/Button';
import { Said } from '@/ui/Said';
import { go } from '@/ui/way';

/** Less than that is not worth a word, °C. */
const WORTH_SAYING_C = 0.3;

/** What the dates rest on: how warm it was measured or told, how sure that is, and what her own stages say of the thermometer. */
export function WarmthTold({ shown }: { shown: ShownQueen }) {
  const { facts, view } = shown;
  const { measuredSince, errorC } = view.warmth;
  const { name, id } = facts.place;
  const range = { tempDiffC: halfRangeC(errorC) };
  return (
    <View>
      <Said
        kind="small"
        soft
        phrase={
          measuredSince
            ? phrase`Warmth as it was measured at ${{ word: name }} since ${{ date: measuredSince }}, with a thermometer that may be off by ${range}; from now on like the last fortnight, and with the season.`
            : phrase`Warmth as it was told for ${{ word: name }}, about ${{ tempC: view.tempC }}, off by ${range} perhaps.`
        }
      />
      <HerOffset shown={shown} />
      <Button mode="text" icon="thermometer" style={styles.left} onPress={() => go(`/places/${id}`)}>
        {measuredSince ? `Climate of ${name}` : 'Measure it'}
      </Button>
    </View>
  );
}

/** "By her own stages it is 0.8 °C warmer …": only when it is worth a word. */
function HerOffset({ shown }: { shown: ShownQueen }) {
  const { offset } = shown.view.outlook ?? {};
  if (!offset || Math.abs(offset.meanC) < WORTH_SAYING_C) return null;
  return (
    <Said
      kind="small"
      phrase={phrase`By her own stages it is about ${{ tempDiffC: Math.abs(offset.meanC) }} ${{ word: offset.meanC > 0 ? 'warmer' : 'cooler' }} than the thermometer shows, give or take ${{ tempDiffC: halfRangeC(offset.errorC) }}: her dates follow that.`}
    />
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
