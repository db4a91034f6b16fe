import { nounOf, usedFault, type Stay, type UsedPart } from '@gentle-burrow/core/housing';
import type { HomePart } from '@gentle-burrow/core/facts';
import { View, StyleSheet } from 'react-native';
import { amendEntry, writeEntry } from '@/data/entries';
import { PartDrawing } from '@/features/home/PartDrawing';
import { usePreferences, type Preferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText } from '@/ui/dates';
import { Fold } from '@/ui/Fold';
import { Caution, Sheet } from '@/ui/Sheet';
import { Told } from '@/ui/Told';
import { offerUndo } from '@/ui/undo';
import { lengthText } from '@/ui/units';
import { useOnce } from '@/ui/useOnce';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { capital } from '@gentle-burrow/core/words';

/** "Tube, 16 mm × 150 mm". */
export function usedName(part: HomePart, length: Preferences['length']): string {
  const [across, along] =
    part.kind === 'tube' ? [part.outsideMm, part.lengthMm] : [part.widthMm, part.depthMm];
  const name = part.kind !== 'tube' && part.name ? part.name : capital(nounOf(part));
  return `${name}, ${lengthText(across, length)} × ${lengthText(along, length)}`;
}

/** "A2 lived in it, 3 Aug to 5 Nov". */
const stayText = ({ label, from, until }: Stay): string =>
  `${label} lived in it, ${dayText(from)} ${until ? `to ${dayText(until)}` : 'until now'}`;

/** What went on in a part that was used before, in one line. */
export function historyText({ stays, mould }: Pick<UsedPart, 'stays' | 'mould'>): string {
  const lived = stays.length > 0 ? stays.map(stayText) : ['nobody lived in it'];
  const mouldy = {
    none: 'no mould seen',
    'far-plug': 'mould on the far plug',
    'near-brood': 'mould at the brood',
  };
  return `${[...lived, ...(mould ? [mouldy[mould]] : [])].join('; ')}.`;
}

/** Without its water and its plugs, which are not used twice. */
const emptied = (part: HomePart): HomePart =>
  part.kind === 'tube' ? { ...part, waterLineMm: 0, plugs: { innerMm: 0, outerMm: 0 } } : part;

/** Parts in which nobody lives any more: each with its history, so that none is taken for clean that is not. */
export function UsedParts({ used }: { used: readonly UsedPart[] }) {
  if (used.length === 0) return null;
  const [left, aside] = [used.filter((u) => u.left), used.filter((u) => !u.left)];
  return (
    <Sheet tight>
      <Words kind="heading" level={2}>
        Used before
      </Words>
      {aside.map((one) => (
        <Used key={one.part.id} one={one} />
      ))}
      {left.length > 0 ? (
        <Fold title={`Left by queens that are gone: ${left.length}`}>
          {left.map((one) => (
            <Used key={one.part.id} one={one} />
          ))}
        </Fold>
      ) : null}
      <Caution>
        <Words kind="small">
          Hot water and soap, then dry well; glass breaks, and brushes too thick burst it. Alcohol burns: no
          flame, fresh air, and nobody in before it has dried. Cotton and silicone are not used twice.
        </Words>
      </Caution>
    </Sheet>
  );
}

function Used({ one }: { one: UsedPart }) {
  const { length } = usePreferences();
  const [width, onLayout] = useWidth();
  const { part, queenId, cleanedAt, left } = one;
  const fault = usedFault(one);
  const write = useOnce(async (change: 'cleaned' | 'thrown-away') => {
    const at = new Date().toISOString();
    const partId = part.id;
    const entry = await writeEntry(queenId, {
      kind: 'home',
      at,
      change:
        change === 'cleaned' && !left
          ? { what: 'cleaned', partId, aside: true }
          : { what: 'taken-away', partId, to: change, aside: true },
    });
    offerUndo(change === 'cleaned' ? 'It is cleaned.' : 'It is thrown away.', () => amendEntry(entry, null));
  });
  return (
    <View role="group" aria-label={usedName(part, length)} style={styles.one}>
      <View onLayout={onLayout} style={styles.picture}>
        <PartDrawing part={emptied(part)} width={Math.min(width, 160)} empty />
      </View>
      <View style={styles.words}>
        <Words kind="bold">{usedName(part, length)}</Words>
        <Told>{historyText(one)}</Told>
        <Words kind="small" soft={fault === null}>
          {fault ?? `Clean since ${dayText(cleanedAt ?? one.asideAt)}: it can be set up again.`}
        </Words>
        <View style={styles.buttons}>
          {cleanedAt === null ? (
            <Button mode="outlined" compact icon="water-check-outline" onPress={() => write('cleaned')}>
              It is cleaned
            </Button>
          ) : null}
          <Button mode="text" compact icon="delete-outline" onPress={() => write('thrown-away')}>
            Thrown away
          </Button>
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  one: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m, paddingVertical: SPACE.s },
  picture: { width: 160, paddingTop: SPACE.xs },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 200, gap: SPACE.xs },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
