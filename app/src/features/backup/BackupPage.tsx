import { StyleSheet } from 'react-native';
import { download } from '@/ui/download';
import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { Caution, Sheet } from '@/ui/Sheet';
import { Loading } from '@/ui/states';
import { useEver } from '@/ui/useEver';
import { Words } from '@/ui/Words';
import { BringBack } from './BringBack';
import { Daily } from './Daily';
import { useDailyTold } from '@/data/daily-backup';

/** Everything out as one file, every day by itself, and in again. */
export function BackupPage() {
  const told = useEver(useDailyTold());
  return (
    <Screen question="What if it were lost?" back="/records">
      <Sheet>
        <Words kind="heading" level={2}>
          Everything in one file
        </Words>
        <Words>
          Your log, photos, stock, places, readings and settings, with a list of what is in it and checksums.
        </Words>
        <Button
          mode="outlined"
          icon="download"
          style={styles.left}
          onPress={() => download('/api/backup.zip')}
        >
          Take a whole backup
        </Button>
        <Caution>
          <Words>
            It tells exactly where queens were found. Keep it where only you can read it. The secrets of
            probes are not in it.
          </Words>
        </Caution>
      </Sheet>
      {told ? (
        <>
          <Daily />
          <BringBack />
        </>
      ) : (
        <Loading what="the daily backup" />
      )}
    </Screen>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
