import { BROOD, BROOD_WAYS } from '@gentle-burrow/core/vocabulary';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { broodWords, MILESTONE_WORDS } from '@gentle-burrow/core/words';
import { StyleSheet, View } from 'react-native';
import { useShelf, useSpecies } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf, type Option } from '@/ui/Choice';
import { Fault, NumberField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Caution } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { BROOD_WAY_WORDS } from '@/words/log';
import type { FieldsProps } from '../../kind-form';
import { Chill } from './Chill';
import type { BroodDraft } from './draft';
import { speciesIn, useBoostFaults } from './ends';

const WAYS = optionsOf(BROOD_WAYS, BROOD_WAY_WORDS);

/** Step by step: nobody is shaken, and nobody is left behind. */
const STEPS = [
  'Join a clean, dark tube to the giving colony, a little lower, as its only way out. Workers walk into it with brood.',
  'When there is enough, take it off and plug it.',
  'Chill it until they are slow: minutes, and you watch. Never freeze them.',
  'Lift the workers back into their home with a soft brush, and count the brood that stays.',
  'Offer the brood in the other tube, near the queen, in the dark. Then leave her alone.',
];

export function Fields({ shown, draft, change }: FieldsProps<BroodDraft>) {
  const rows = useShelf().data ?? [];
  const kinds = useSpecies();
  const mine = speciesIn(kinds, shown.view.profileId);
  const found = useBoostFaults(draft, shown);
  const faults = found ?? [];
  const { id, label } = shown.facts.queen;
  const others = rows
    .filter((r) => r.queen.id !== id && speciesIn(kinds, r.profileId) === mine)
    .sort((a, b) => pupaeOf(b) - pupaeOf(a));
  const at = (what: 'other' | 'counts') => faults.filter((f) => f.at === what);
  return (
    <View style={styles.all}>
      {draft.amends ? null : (
        <Choice
          label={`The brood, seen from ${label}`}
          options={WAYS}
          value={draft.way}
          onChange={(way) => change({ way })}
        />
      )}
      {draft.amends ? null : others.length > 0 ? (
        <Choice
          label={draft.way === 'given' ? 'Given to' : 'It came from'}
          options={others.map(optionOf)}
          value={draft.otherId}
          onChange={(otherId) => change({ otherId })}
        />
      ) : (
        <Words>No other colony of her kind stands on the shelf. Brood of another kind is killed.</Words>
      )}
      {draft.way && draft.otherId && found === null ? (
        <Words soft>
          The other log is not on this device yet; without it nobody can say whether this may be done.
        </Words>
      ) : null}
      {at('other').map((f) => (
        <FaultOrCaution key={f.says} stops={f.stops} says={f.says} />
      ))}
      <View role="group" aria-label="How much brood" style={styles.row}>
        {BROOD.map((b) => (
          <NumberField
            key={b}
            label={MILESTONE_WORDS[b].title}
            value={draft.counts[b] ?? null}
            onChange={(n) => change({ counts: { ...draft.counts, [b]: n } })}
            fault={
              (draft.counts[b] ?? 0) < 0 || !Number.isInteger(draft.counts[b] ?? 0)
                ? 'Count whole ones, or leave it empty.'
                : undefined
            }
          />
        ))}
      </View>
      {at('counts').map((f) => (
        <Fault key={f.says}>{f.says}</Fault>
      ))}
      <Words kind="small" soft>
        Pupae are best: they need no food, and come out as helpers.
      </Words>
      <Fold title="How brood is moved">
        <View role="list" style={styles.steps}>
          {STEPS.map((step, i) => (
            <View key={step} role="listitem">
              <Words>{`${i + 1}. ${step}`}</Words>
            </View>
          ))}
        </View>
        <Chill draft={draft} change={change} />
      </Fold>
      <Caution>
        <Words kind="small">
          Kinds that sting or spray: eyes and skin covered, fresh air, a rimmed box below. Glass breaks: no
          force. Workers that stay without a queen are kept to their end; none is released.
        </Words>
      </Caution>
    </View>
  );
}

function FaultOrCaution({ stops, says }: { stops: boolean; says: string }) {
  return stops ? (
    <Fault>{says}</Fault>
  ) : (
    <Caution>
      <Words kind="small">{says}</Words>
    </Caution>
  );
}

const pupaeOf = ({ counts }: ShelfRow): number => counts.pupae?.range.low ?? 0;

/** A colony as one to choose: its name, and what speaks for it. */
function optionOf({ queen, counts, lost }: ShelfRow): Option<string> {
  const there = Object.fromEntries(
    BROOD.map((b) => [b, counts[b]?.range.low ?? 0] as const).filter(([, n]) => n > 0),
  );
  const brood = broodWords(there);
  const hint = [lost ? 'her queen is gone' : null, brood ? `${brood} last counted` : 'no brood counted']
    .filter((x) => x !== null)
    .join('; ');
  return { value: queen.id, label: queen.label, hint };
}

const styles = StyleSheet.create({
  all: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  steps: { gap: SPACE.xs },
});
