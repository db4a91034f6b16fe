import { useQueen } from '@/data/queries';
import { Pop } from '@/ui/Pop';
import type { DeedStart } from '@/ui/open-deeds';
import { Failed, Loading } from '@/ui/states';
import { Deeds } from './Deeds';
import { deedsOf } from './deed';

interface DeedSheetProps {
  id: string;
  start?: DeedStart | null;
  onClose(): void;
}

/** Anything written of a queen from where one is, without going to her page. */
export function DeedSheet({ id, start = null, onClose }: DeedSheetProps) {
  const { data, loading, error, retry } = useQueen(id);
  return (
    <Pop title={data ? `What of ${data.facts.queen.label}?` : 'What of her?'} onClose={onClose}>
      {loading ? <Loading what="her log" /> : null}
      {error ? <Failed error={error} onRetry={retry} /> : null}
      {data ? (
        <Deeds shown={data} deeds={deedsOf(data.view, new Date())} start={start} onDone={onClose} />
      ) : null}
    </Pop>
  );
}
