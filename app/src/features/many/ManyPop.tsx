import { useQueens } from '@/data/queries';
import { CorrectHer } from '@/features/log/kinds/correct/CorrectHer';
import { Pop } from '@/ui/Pop';
import { Failed, Loading } from '@/ui/states';
import { Words } from '@/ui/Words';
import { MANY_WORDS, queensText } from '@/words/many';
import type { ManyKind } from './many-kinds';
import { namesText } from './names-text';
import { WriteMany } from './WriteMany';

interface ManyPopProps {
  ids: readonly string[];
  what: ManyKind | 'correct';
  onClose(): void;
  /** It was written. */
  onDone(): void;
}

/** One thing written of all who are ticked, over the shelf. */
export function ManyPop({ ids, what, onClose, onDone }: ManyPopProps) {
  const { shown, loading, error, retry } = useQueens(ids);
  const names = namesText(shown.map((s) => s.facts.queen.label));
  const missing = ids.length - shown.length;
  return (
    <Pop title={names && !loading ? `${MANY_WORDS[what]}: ${names}` : MANY_WORDS[what]} onClose={onClose}>
      {loading ? <Loading what="their logs" /> : null}
      {error ? <Failed error={error} onRetry={retry} /> : null}
      {error && shown.length > 0 ? (
        <Words kind="small" soft>
          {`The logs of ${queensText(missing)} could not be loaded. What you save now is for the other ${shown.length}.`}
        </Words>
      ) : null}
      {loading || shown.length === 0 ? null : what === 'correct' ? (
        <CorrectHer shown={shown} onDone={onDone} />
      ) : (
        <WriteMany shown={shown} kind={what} onDone={onDone} />
      )}
    </Pop>
  );
}
