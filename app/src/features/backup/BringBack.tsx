import { useRef } from 'react';
import { StyleSheet } from 'react-native';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { Bringing } from './Bringing';
import { useBringBack } from './use-bring-back';

/** A backup, or a log alone: what is in it is seen before anything of it is taken. */
export function BringBack() {
  const input = useRef<HTMLInputElement>(null);
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
      <input
        ref={input}
        type="file"
        accept=".zip,.jsonl,application/zip"
        aria-label="A backup or a log"
        style={{ display: 'none' }}
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          if (chosen) void choose(chosen);
          e.target.value = '';
        }}
      />
      {busy || state.is === 'found' ? null : (
        <Button mode="outlined" icon="upload" style={styles.left} onPress={() => input.current?.click()}>
          Choose a file
        </Button>
      )}
      <Bringing bringing={bringing} onLeave={leave} />
    </Sheet>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
