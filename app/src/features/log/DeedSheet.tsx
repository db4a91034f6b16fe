import { useQueen } from '@/data/queries';
import { Pop } from '@/ui/Pop';
import { Failed, Loading } from '@/ui/states';
import { Deeds } from './Deeds';
import { deedsOf } from './deed';

/** Anything written of a queen from where one is, without going to her page. */
export function DeedSheet({ id, onClose }: { id: string; onClose(): void }) {
  const { data, loading, error, retry } = useQueen(id);
  return (
    <Pop title={data ? `What of ${data.facts.queen.label}?` : 'What of her?'} onClose={onClose}>
      {loading ? <Loading what="her log" /> : null}
      {error ? <Failed error={error} onRetry={retry} /> : null}
      {data ? <Deeds shown={data} deeds={deedsOf(data.view, new Date())} onDone={onClose} /> : null}
    </Pop>
  );
}
