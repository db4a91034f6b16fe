import { StyleSheet, View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { WhatIfPanel, workersText } from '@/features/what-if/WhatIfPanel';
import { Button } from '@/ui/Button';
import { bandText, dayText } from '@/ui/dates';
import { Fold } from '@/ui/Fold';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { StageChart } from './StageChart';
import { WarmthTold } from './WarmthTold';
import { NAMES } from '@/words/names';

/** What comes next: the bands of every stage, the second batch, and what another warmth would do. */
export function Ahead({ shown }: { shown: ShownQueen }) {
  const { facts, view } = shown;
  if (!view.outlook || view.ledger.loss)
    return (
      <Words>
        {view.ledger.loss ? 'She is gone: there is nothing to wait for.' : 'No outlook can be given for her.'}
      </Words>
    );
  return (
    <>
      <Button
        mode="outlined"
        icon="creation-outline"
        style={styles.left}
        onPress={() => go(`/queens/${facts.queen.id}/watch`)}
      >
        {NAMES.probably}
      </Button>
      <StageChart view={view} facts={facts} />
      <Later shown={shown} />
      <WarmthTold shown={shown} />
      <Fold title={NAMES.whatIf}>
        <WhatIfPanel shown={shown} />
      </Fold>
    </>
  );
}

/** Beyond the first batch, and whose queens this was learned from. */
function Later({ shown }: { shown: ShownQueen }) {
  const { outlook, ledger, learnedFrom } = shown.view;
  if (!outlook?.later) return null;
  const { secondBatch, byWinter } = outlook.later;
  const eggs = ledger.batches[1]?.eggs;
  return (
    <View>
      <Words kind="small">
        {`Second batch: ${eggs ? 'laid' : `eggs ${bandText(secondBatch.eggs)}`}, workers ${bandText(secondBatch.workers)}.`}
      </Words>
      {byWinter ? (
        <Words kind="small">{`By winter, ${dayText(byWinter.on)}: ${workersText(byWinter.workers)}.`}</Words>
      ) : null}
      <Words kind="small" soft>
        She lays again when the first brood pupates (common practice); days and batch sizes beyond the first
        are our own, held loosely.
      </Words>
      <Words kind="small" soft>
        {learnedFrom.kind + learnedFrom.genus > 0
          ? `Moved by what your other queens showed (${learnedText(learnedFrom)}). Under “What if?” it can be left out.`
          : 'By the profile alone: no other queen of her kind or genus has finished a stage here.'}
      </Words>
    </View>
  );
}

/** "n=3 of her kind, and 2 of others of her genus". */
const learnedText = ({ kind, genus }: ShownQueen['view']['learnedFrom']): string =>
  [kind > 0 ? `n=${kind} of her kind` : null, genus > 0 ? `n=${genus} of other kinds of her genus` : null]
    .filter(Boolean)
    .join(', ');

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
