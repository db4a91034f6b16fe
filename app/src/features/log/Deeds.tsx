import { useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import type { DeedStart } from '@/ui/open-deeds';
import { go } from '@/ui/way';
import type { Deed } from './deed';
import type { FormKind } from './kind-form';
import { hasForm, KIND_FORMS } from './kind-forms';
import { kindIcon } from './kind-views';
import { CorrectHer } from './kinds/correct/CorrectHer';
import { WriteEntry } from './WriteEntry';
import { NAMES } from '@/words/names';

/** A look is written on its own page. */
const deedWords = (deed: Deed): string => (hasForm(deed) ? KIND_FORMS[deed].deed : NAMES.look);

interface DeedsProps {
  shown: ShownQueen;
  deeds: readonly Deed[];
  /** The form that stands open at first, and the part of her home that it is about. */
  start?: DeedStart | null;
  /** When one of them was written, or its page was gone to. */
  onDone?: () => void;
}

/** What can be written of her, a button each; the form of one takes their place until it is kept or left. */
export function Deeds({ shown, deeds, start = null, onDone }: DeedsProps) {
  const [open, setOpen] = useState<FormKind | null>(start?.kind ?? null);
  const { id } = shown.facts.queen;
  const only = useMemo(() => [shown], [shown]);
  const here = useRef<View>(null);
  // a form that opens below the fold is brought into view
  useEffect(() => {
    if (open) (here.current as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'start' });
  }, [open]);
  const choose = (deed: Deed) => {
    if (hasForm(deed)) {
      setOpen(open === deed ? null : deed);
      return;
    }
    onDone?.();
    go(`/queens/${id}/${deed}`);
  };
  return (
    <View ref={here} style={styles.all}>
      <View role="group" aria-label="What can be written of her" style={styles.buttons}>
        {deeds
          .filter((deed) => open === null || deed === open)
          .map((deed) => (
            <Button
              key={deed}
              compact
              icon={kindIcon(deed)}
              mode={open === deed ? 'contained-tonal' : 'outlined'}
              onPress={() => choose(deed)}
            >
              {deedWords(deed)}
            </Button>
          ))}
        {open ? (
          <Button compact mode="text" onPress={() => setOpen(null)}>
            Something else
          </Button>
        ) : null}
      </View>
      {open === 'correct' ? (
        <CorrectHer
          shown={only}
          onDone={() => {
            setOpen(null);
            onDone?.();
          }}
        />
      ) : open ? (
        <WriteEntry
          key={open}
          shown={shown}
          kind={open}
          {...(start?.partId && open === start.kind ? { partId: start.partId } : {})}
          onDone={() => {
            setOpen(null);
            onDone?.();
          }}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: SPACE.m },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
