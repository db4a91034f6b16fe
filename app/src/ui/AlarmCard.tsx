import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Go } from './Go';
import { Words } from './Words';

interface AlarmCardProps {
  now: boolean;
  /** What it is about. */
  about: string;
  /** Where it is seen to; null when that is here. */
  to: string | null;
  children: ReactNode;
}

/** Something is wrong, now or soon: in colour and in words, with the way to where it is seen to. */
export function AlarmCard({ now, about, to, children }: AlarmCardProps) {
  const p = useBurrow();
  const look = [
    styles.alarm,
    now
      ? { borderLeftColor: p.clay, backgroundColor: p.clayWash }
      : { borderLeftColor: p.amber, backgroundColor: p.amberWash },
  ];
  const words = (
    <>
      <Words kind="bold" color={now ? p.clay : p.ink}>{`${now ? 'Now' : 'Soon'} · ${about}`}</Words>
      {children}
    </>
  );
  return to === null ? (
    <View style={look}>{words}</View>
  ) : (
    <Go to={to} style={look}>
      {words}
    </Go>
  );
}

const styles = StyleSheet.create({
  alarm: { borderLeftWidth: 4, padding: SPACE.m, gap: SPACE.xs },
});
