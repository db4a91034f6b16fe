import type { Link, PartNow, Share } from '@gentle-burrow/core/housing';
import { endAt, linksOf, standing } from '@gentle-burrow/core/light';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import type { ShownQueen } from '@/data/queries';
import { isGone } from '@/features/log/deed';
import { usePreferences, type Preferences } from '@/theme/preferences';
import { SPACE, TARGET } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { openDeeds } from '@/ui/open-deeds';
import { fineText } from '@/ui/units';
import { Told } from '@/ui/Told';
import { capital } from '@gentle-burrow/core/words';
import { COVER_WORDS, GATE_WORDS, JOINT_WORDS } from '@/words/home';
import { gateName } from './gate-name';
import { partName } from './part-name';

/** Every part of her home in words: how it is joined, what is shut, who is in it; and a button that writes of it. */
export function Parts({ shown }: { shown: ShownQueen }) {
  const { length } = usePreferences();
  const { housing } = shown.view;
  const parts = standing(housing);
  const [only] = parts;
  // a tube alone has nothing to tell beside its drawing
  if (parts.length === 1 && only?.part.kind === 'tube' && !only.part.divider) return null;
  return (
    <View role="list" aria-label="The parts of her home">
      {parts.map((now) => {
        const name = capital(partName(housing, now.part.id) ?? 'another part');
        return (
          <View role="listitem" key={now.part.id} style={styles.part}>
            <View style={styles.words}>
              <Told kind="small" soft>
                {`${name}: ${stateWords(shown, now, length)}.`}
              </Told>
            </View>
            {isGone(shown.view) ? null : (
              <IconButton
                icon="pencil-outline"
                size={20}
                accessibilityLabel={`Write of this part: ${name}`}
                style={styles.button}
                onPress={() => openDeeds(shown.facts.queen.id, { kind: 'home', partId: now.part.id })}
              />
            )}
          </View>
        );
      })}
    </View>
  );
}

function stateWords(
  { view: { housing, counsel } }: ShownQueen,
  now: PartNow,
  unit: Preferences['length'],
): string {
  const { part } = now;
  const alone = standing(housing).length === 1;
  const links = linksOf(housing, part.id);
  const watering = counsel?.watering.find((w) => w.partId === part.id);
  return (
    [
      ...(alone
        ? []
        : links.length > 0
          ? links.map((l) => jointWords(housing, l, part.id, unit))
          : [JOINT_WORDS.beside]),
      part.kind === 'tube' && part.divider ? `divided at ${fineText(part.divider.atMm, unit)}` : null,
      ...Object.entries(now.gates).flatMap(([gate, { value }]) =>
        value === 'open' ? [] : [`${gateName(gate)} ${GATE_WORDS[value]}`],
      ),
      now.cover ? COVER_WORDS[now.cover.value] : null,
      watering?.dryAt.p50 ? `water it by ${dayText(watering.dryAt.p50)}` : null,
      alone ? null : `${whoWords(now)}${now.saidAt ? ` (${dayText(now.saidAt)})` : ''}`,
    ]
      .filter(Boolean)
      .join(', ') || 'she lives in it'
  );
}

function jointWords(
  housing: ShownQueen['view']['housing'],
  link: Link,
  id: string,
  unit: Preferences['length'],
): string {
  const there = partName(housing, endAt(link, id).there.partId) ?? 'another part';
  if (link.by === 'lies-in')
    return link.a.partId === id ? `lying open in ${there}` : `${there} lies open in it`;
  return `${JOINT_WORDS[link.by]} to ${there}${link.gapMm ? `, gap ${fineText(link.gapMm, unit)}` : ''}`;
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
  part: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET },
  words: { flex: 1 },
  button: { margin: 0, width: TARGET, height: TARGET },
});
