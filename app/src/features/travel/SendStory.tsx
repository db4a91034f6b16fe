import { storyOf } from '@gentle-burrow/core/records';
import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { useOwnKinds, type ShownQueen } from '@/data/queries';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { saveBlob } from '@/ui/download';
import { Pop } from '@/ui/Pop';
import { SaveBar } from '@/ui/SaveBar';
import { Words } from '@/ui/Words';

const PRIVATE = [
  { value: 'without', label: 'Left out', hint: 'site, notes, batch, names' },
  { value: 'with', label: 'Included', hint: 'as you wrote them' },
] as const;

/** Her story as a small file for another keeper. */
export function SendStory({ shown }: { shown: ShownQueen }) {
  const [open, setOpen] = useState(false);
  const [told, setTold] = useState<'without' | 'with'>('without');
  const own = useOwnKinds();
  const { label } = shown.facts.queen;
  const save = () => {
    const lines = storyOf(shown.facts, own, told === 'with').map((fact) => JSON.stringify(fact));
    const name = `${label}-story.jsonl`.replace(/[^\p{L}\p{N}._-]/gu, '');
    saveBlob(new Blob([lines.join('\n'), '\n'], { type: 'application/jsonl' }), name);
    setOpen(false);
  };
  return (
    <>
      <Button mode="outlined" icon="briefcase-outline" style={styles.left} onPress={() => setOpen(true)}>
        Give her story along
      </Button>
      {open ? (
        <Pop title={`The story of ${label}`} onClose={() => setOpen(false)}>
          <Words>
            A small file with her tube, her dates and her log. Another keeper opens it when taking her in, and
            sees her as you do. Photos stay with you.
          </Words>
          <Choice label="Private details" options={PRIVATE} value={told} onChange={(v) => setTold(v)} />
          <Words kind="small" soft>
            Before you hand over ants, ask your local authorities whether you may. Never release them.
          </Words>
          <SaveBar>
            <Button mode="contained" icon="download" onPress={save}>
              Save the file
            </Button>
          </SaveBar>
        </Pop>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
