import { standing, type PartNow, type Share } from '@gentle-burrow/core/housing';
import { StyleSheet, View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences, type Preferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { fineText } from '@/ui/units';
import { Told } from '@/ui/Told';
import { useWidth } from '@/ui/useWidth';
import { capital } from '@/words/capital';
import { COVER_WORDS, JOINT_WORDS } from '@/words/home';
import { tiedTo } from './HomeDrawing';
import { partName } from './part-name';

/** The tubes of her home in which she does not live: offered, given as room, or left and not yet taken away. */
export function OtherTubes({ shown }: { shown: ShownQueen }) {
  const { housing } = shown.view;
  return standing(housing)
    .filter((p) => p.tube.id !== housing.home)
    .map((part) => <OtherTube key={part.tube.id} shown={shown} part={part} />);
}

function OtherTube({ shown, part }: { shown: ShownQueen; part: PartNow }) {
  const { length } = usePreferences();
  const [width, onLayout] = useWidth();
  const { housing, counsel } = shown.view;
  const { move } = housing;
  const inMove = move !== null && (move.to === part.tube.id || move.from === part.tube.id);
  const line = inMove ? counsel?.otherWater?.lineMm : undefined;
  // what is tied to hers is drawn with it
  const drawn = tiedTo(housing) === part;
  return (
    <View style={styles.tube} onLayout={onLayout}>
      {drawn ? null : (
        <TubeDrawing tube={part.tube} width={width} lineMm={line ?? part.tube.waterLineMm} empty />
      )}
      <Told kind="small" soft>
        {`${capital(partName(housing, part.tube.id) ?? 'another tube')}: ${stateWords(shown, part, length)}.`}
      </Told>
    </View>
  );
}

function stateWords({ view: { housing } }: ShownQueen, part: PartNow, unit: Preferences['length']): string {
  const mine = part.joint ?? housing.parts.find((p) => p.joint?.to === part.tube.id)?.joint;
  return [
    mine ? JOINT_WORDS[mine.by] : JOINT_WORDS.beside,
    mine?.gapMm ? `gap ${fineText(mine.gapMm, unit)}` : null,
    part.cover ? COVER_WORDS[part.cover.value] : null,
    `${whoWords(part)}${part.saidAt ? ` (${dayText(part.saidAt)})` : ''}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** "nobody seen in it", or who is, as ranges: "10–70 % of her brood". */
function whoWords({ holds: { queen, brood, workers } }: PartNow): string {
  const who = [
    queen.low === 1 ? 'the queen' : null,
    brood.high > 0 ? `${shareWords(brood)} of her brood` : null,
    workers.high > 0 ? `${shareWords(workers)} of the workers` : null,
  ].filter(Boolean);
  return who.length > 0 ? `in it ${who.join(' and ')}` : 'nobody seen in it';
}

const percent = (share: number): number => Math.round(share * 100);
const shareWords = ({ low, high }: Share): string =>
  low === 1 ? 'all' : low === high ? `${percent(low)} %` : `${percent(low)}–${percent(high)} %`;

const styles = StyleSheet.create({
  tube: { gap: SPACE.xs },
});
