import type { DailyBackup } from '@gentle-burrow/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText } from '@/ui/dates';
import { Fault, TextField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { bytesText, failedText, LESS } from './backup-text';
import { chooseFolder, DAILY_KEY, useDaily } from '@/data/daily-backup';

/** The backup that is made every day: where it goes, and how the last one went. */
export function Daily() {
  const daily = useDaily();
  // what stands in for a server has no disk
  if (!daily) return null;
  return <DailyKnown key={daily.folder ?? ''} daily={daily} />;
}

function DailyKnown({ daily }: { daily: DailyBackup }) {
  const { folder, kept, last } = daily;
  const client = useQueryClient();
  const [typed, setTyped] = useState(folder ?? '');
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  const keep = async (next: string | null) => {
    setBusy(true);
    setFault(undefined);
    try {
      client.setQueryData(DAILY_KEY, await chooseFolder(next));
      if (next === null && folder !== null)
        offerUndo('No backup is made every day any more.', async () =>
          client.setQueryData(DAILY_KEY, await chooseFolder(folder)),
        );
    } catch (error) {
      setFault((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const [newest] = kept;
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        Every day by itself
      </Words>
      {folder === null ? (
        <Words>
          No backup is made by itself yet. Name a folder on the machine that runs Gentle Burrow, best on
          another disk: a whole backup goes there once a day, is read back to see that it is sound, and the
          last seven are kept.
        </Words>
      ) : (
        <View role="status" style={styles.some}>
          {last && last.went !== 'well' ? (
            <Fault>
              {[failedText(last), ...(last.went === 'less' ? [LESS.todo, LESS.meanwhile] : [])].join(' ')}
            </Fault>
          ) : null}
          {newest ? (
            <Words>{`The newest is of ${dayText(newest.madeAt)}, ${bytesText(newest.bytes)}. ${
              kept.length === 1 ? 'It is the only one yet.' : `${kept.length} are kept.`
            }`}</Words>
          ) : (
            <Words>There is none yet.</Words>
          )}
          {last && last.went !== 'wrong' ? (
            <Words kind="small" soft>
              {last.says}
            </Words>
          ) : null}
        </View>
      )}
      <TextField
        label="Folder of the daily backup"
        value={typed}
        onChange={(text) => {
          setTyped(text);
          setFault(undefined);
        }}
        fault={fault}
        hint="The whole path, as that machine knows it."
      />
      <View style={styles.row}>
        <Button
          mode={folder === null ? 'contained' : 'outlined'}
          disabled={busy || typed.trim() === '' || typed.trim() === folder}
          onPress={() => void keep(typed.trim())}
        >
          {busy ? 'Making the first one …' : folder === null ? 'Make one every day' : 'Use this folder'}
        </Button>
        {folder === null ? null : (
          <Button mode="text" disabled={busy} onPress={() => void keep(null)}>
            Make none any more
          </Button>
        )}
      </View>
      {kept.length > 1 ? (
        <Fold title="Which are kept">
          <View role="list" style={styles.some}>
            {kept.map((k) => (
              <View key={k.name} role="listitem">
                <Words kind="small">{`${k.name}, ${bytesText(k.bytes)}`}</Words>
              </View>
            ))}
          </View>
        </Fold>
      ) : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' },
  some: { gap: SPACE.s },
});
