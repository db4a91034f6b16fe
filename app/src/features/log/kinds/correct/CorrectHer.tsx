import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { writeActs } from '@/data/entries';
import type { ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/drafts';
import { Discard, Returned } from '@/ui/Returned';
import { SaveBar } from '@/ui/SaveBar';
import { offerUndo } from '@/ui/undo';
import { useOnce } from '@/ui/useOnce';
import { Words } from '@/ui/Words';
import { NAMES } from '@/words/names';
import { queensText } from '@/words/many';
import { correctionActs, correctionFault, herFacts, type Corrections, type HerFacts } from './facts';
import { FactFields } from './FactFields';

/** What may be put right of one queen. */
const HERS: readonly (keyof HerFacts)[] = [
  'label',
  'batch',
  'day',
  'where',
  'placeId',
  'species',
  'tube',
  'body',
];
/** Names are each her own, and so is a home that is no tube. */
const THEIRS = HERS.filter((key) => key !== 'label' && key !== 'body');

interface CorrectHerProps {
  shown: readonly ShownQueen[];
  onDone(): void;
}

/** Everything about one or several queens that may have been wrong from the start, in one place, each beside what stood there. */
export function CorrectHer({ shown, onDone }: CorrectHerProps) {
  const one = shown.length === 1 ? shown[0] : undefined;
  const { value, change, clear, discard, kept } = useDraft<{ is: Corrections }>(
    `correct.${one ? one.facts.queen.id : 'several'}`,
    { is: {} },
  );
  const { is } = value;
  const before = useMemo(() => shown.map(herFacts), [shown]);
  const now = new Date();
  const faults = shown.flatMap((s) => {
    const fault = correctionFault(s, is, before[0] as HerFacts, now);
    return fault ? [one ? fault : { ...fault, says: `${s.facts.queen.label}: ${fault.says}` }] : [];
  });
  const acts = faults.length > 0 ? [] : shown.map((s) => correctionActs(s, is, before[0] as HerFacts, now));
  const changed = acts.filter((a) => a.length > 0).length;
  const save = useOnce(async () => {
    if (changed === 0) return;
    const undo = await writeActs(acts.flat());
    clear();
    onDone();
    offerUndo(
      one ? `${is.label?.trim() ?? one.facts.queen.label} corrected.` : `${queensText(changed)} corrected.`,
      undo,
    );
  });
  return (
    <View style={styles.form}>
      <Words kind="small" soft>
        Correct here what was wrong from the start. What was saved before stays in the log. If you carried her
        elsewhere, log a move.
      </Words>
      <Returned kept={kept} />
      <FactFields
        shown={shown}
        fields={one ? HERS : THEIRS}
        before={before}
        is={is}
        fault={faults[0] ?? null}
        set={(part) => change({ is: { ...is, ...part } })}
      />
      <SaveBar>
        <Button mode="contained" disabled={changed === 0} onPress={save}>
          {one ? 'Save correction' : `${NAMES.correct} ${queensText(changed || shown.length)}`}
        </Button>
        <Discard kept={kept} onDiscard={discard} />
      </SaveBar>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m, paddingBottom: SPACE.m },
});
