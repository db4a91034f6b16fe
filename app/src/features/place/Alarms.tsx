import type { Climate } from '@gentle-burrow/contract';
import { StyleSheet, View } from 'react-native';
import { useClimate } from '@/data/climate';
import { usePlaces } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Go } from '@/ui/Go';
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
  const p = useBurrow();
  const name = usePlaces().find((one) => one.id === alarm.placeId)?.name ?? '';
  const now = alarm.grave === 'now';
  const colors = now
    ? { borderLeftColor: p.clay, backgroundColor: p.clayWash }
    : { borderLeftColor: p.amber, backgroundColor: p.amberWash };
  const words = (
    <>
      <Words kind="bold" color={now ? p.clay : p.ink}>{`${now ? 'Now' : 'Soon'} · ${name}`}</Words>
      <Said phrase={alarm.says} />
      <Words>{alarm.todo}</Words>
    </>
  );
  return link ? (
    <Go to={`/places/${alarm.placeId}`} style={[styles.alarm, colors]}>
      {words}
    </Go>
  ) : (
    <View style={[styles.alarm, colors]}>{words}</View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  alarm: { borderLeftWidth: 4, padding: SPACE.m, gap: SPACE.xs },
});
