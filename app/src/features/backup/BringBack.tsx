import { StyleSheet } from 'react-native';
import { FileButton } from '@/ui/FileButton';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { Bringing } from './Bringing';
import { useBringBack } from './use-bring-back';

/** A backup, or a log alone: what is in it is seen before anything of it is taken. */
export function BringBack() {
  const bringing = useBringBack();
  const { state, choose, leave } = bringing;
  const busy = state.is === 'looking' || state.is === 'taking';
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        Bring back
      </Words>
      <Words>
        A whole backup (.zip), or a log as you took it along (.jsonl). What is not here is added; what is here
        stays. The same file again changes nothing.
      </Words>
      {busy || state.is === 'found' ? null : (
        <FileButton
          label="A backup or a log"
          accept=".zip,.jsonl,application/zip"
          style={styles.left}
          onChoose={(file) => void choose(file)}
        >
          Choose a file
        </FileButton>
      )}
      <Bringing bringing={bringing} onLeave={leave} />
    </Sheet>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
