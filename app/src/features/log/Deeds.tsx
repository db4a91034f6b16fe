import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import type { ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import type { FormKind } from './kind-form';
import { KIND_FORMS } from './kind-forms';
import { kindIcon } from './kind-views';
import { WriteEntry } from './WriteEntry';

/** What can be written of her, a button each; the form of one opens below. */
export function Deeds({ shown, kinds }: { shown: ShownQueen; kinds: readonly FormKind[] }) {
  const [open, setOpen] = useState<FormKind | null>(null);
  return (
    <>
      <View style={styles.buttons}>
        {kinds.map((kind) => (
          <Button
            key={kind}
            icon={kindIcon(kind)}
            mode={open === kind ? 'contained-tonal' : 'outlined'}
            onPress={() => setOpen(open === kind ? null : kind)}
          >
            {KIND_FORMS[kind].deed}
          </Button>
        ))}
      </View>
      {open ? <WriteEntry key={open} shown={shown} kind={open} onDone={() => setOpen(null)} /> : null}
    </>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
