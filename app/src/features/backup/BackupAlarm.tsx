import { View } from 'react-native';
import { AlarmCard } from '@/ui/AlarmCard';
import { Words } from '@/ui/Words';
import { failedText, LESS } from './backup-text';
import { useDaily } from '@/data/daily-backup';

/** What is wrong with the daily backup, where a keeper looks every day; nothing when all is well or none is made. */
export function BackupAlarm() {
  const daily = useDaily();
  const last = daily?.folder ? daily.last : null;
  if (!last || last.went === 'well') return null;
  return (
    <View role="status">
      <AlarmCard now={last.went === 'less'} about="Daily backup" to="/backup">
        <Words>{failedText(last)}</Words>
        {last.went === 'less' ? <Words>{LESS.todo}</Words> : null}
      </AlarmCard>
    </View>
  );
}
