import type { Climate } from '@gentle-burrow/contract';
import { StyleSheet, View } from 'react-native';
import { useClimate } from '@/data/climate';
import { usePlaces } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { AlarmCard } from '@/ui/AlarmCard';
import { Said } from '@/ui/Said';
import { Words } from '@/ui/Words';

type Alarm = Climate['alarms'][number];

/** What is wrong at the places, the graver first; nothing when all is well. With a place, of that one alone. */
export function Alarms({ placeId }: { placeId?: string }) {
  const { alarms } = useClimate();
  const here = alarms.filter((a) => placeId === undefined || a.placeId === placeId);
  if (here.length === 0) return null;
  return (
    <View role="status" style={styles.list}>
      {here.map((a) => (
        <OneAlarm key={`${a.id} ${a.probeId}`} alarm={a} link={placeId === undefined} />
      ))}
    </View>
  );
}

function OneAlarm({ alarm, link }: { alarm: Alarm; link: boolean }) {
  const name = usePlaces().find((one) => one.id === alarm.placeId)?.name ?? '';
  return (
    <AlarmCard now={alarm.grave === 'now'} about={name} to={link ? `/places/${alarm.placeId}` : null}>
      <Said phrase={alarm.says} />
      <Words>{alarm.todo}</Words>
    </AlarmCard>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
});
