import { Snackbar } from 'react-native-paper';
import { dismissUndo, undoLast, useUndoable } from './undo';

export function UndoBar() {
  const offer = useUndoable();
  return (
    <Snackbar
      visible={offer !== null}
      onDismiss={dismissUndo}
      duration={12_000}
      action={{ label: 'Undo', onPress: () => void undoLast() }}
    >
      {offer?.says ?? ''}
    </Snackbar>
  );
}
