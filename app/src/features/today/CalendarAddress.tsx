import { useState } from 'react';
import { Linking, StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { inZone } from '@/ui/download';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';

const PATH = '/api/agenda.ics';

/** Where an address of this application can be reached from, by its host. */
export function reachOf(hostname: string): string {
  if (/^(localhost|127\.|\[?::1\]?$)/.test(hostname))
    return 'Only programs on this very computer reach this address. For a telephone, open this page by the computer’s address in your home network.';
  if (/^(10\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.|169\.254\.|\[?f[cd]|\[?fe80)|\.local$/.test(hostname))
    return 'Devices in your home network reach this address; away from home it does not answer.';
  return 'Every device that reaches this page reaches this address, with whatever password protects it.';
}

/** The visits as a calendar that another program subscribes to: copied, or opened at once. */
export function CalendarAddress() {
  // whoever subscribes asks from a machine of its own: the keeper's days go along
  const path = inZone(PATH);
  const address = `${window.location.origin}${path}`;
  const [said, setSaid] = useState('');
  const copy = () =>
    void (navigator.clipboard?.writeText(address) ?? Promise.reject(new Error('no clipboard'))).then(
      () => setSaid('Copied.'),
      () => setSaid('This browser does not let the page copy. Mark the address above and copy it.'),
    );
  return (
    <>
      <Words kind="small">Subscribe to this address, and the visits move with the plan.</Words>
      <Words kind="smallBold" style={SELECTABLE}>
        {address}
      </Words>
      <Words kind="small" soft>
        {reachOf(window.location.hostname)}
      </Words>
      <View style={styles.row}>
        <Button mode="outlined" icon="content-copy" onPress={copy}>
          Copy the address
        </Button>
        <Button mode="outlined" icon="calendar-export" onPress={() => void Linking.openURL(path)}>
          Open the calendar file
        </Button>
      </View>
      <View role="status">{said ? <Words kind="small">{said}</Words> : null}</View>
    </>
  );
}

const SELECTABLE = { userSelect: 'all', overflowWrap: 'anywhere' } as object;

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
