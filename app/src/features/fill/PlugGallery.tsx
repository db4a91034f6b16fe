import { PLUG_SIGNS, type PlugSign } from '@gentle-burrow/core/tube';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import { jitter } from '@/features/tube/anatomy';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Words } from '@/ui/Words';

/** How a plug looks when it is right, and when it is not; what it means and how to mend it. */
export function PlugGallery() {
  const p = useBurrow();
  return (
    <View style={styles.list} role="list">
      {PLUG_SIGNS.map((sign) => (
        <View key={sign.id} role="listitem" style={styles.sign}>
          <PlugPicture sign={sign} />
          <View style={styles.words}>
            <Words kind="bold" color={sign.good ? p.moss : p.clay}>
              {`${sign.name} ${sign.good ? '✓' : '✕'}`}
            </Words>
            <Words kind="small">{`Looks ${sign.looks}: ${sign.means}.`}</Words>
            <Words kind="small" soft>
              {sign.mend}
            </Words>
          </View>
        </View>
      ))}
    </View>
  );
}

/** Water at the left, the plug, then the chamber: mm, as in a tube of 14 mm bore. */
function PlugPicture({ sign }: { sign: PlugSign }) {
  const p = useBurrow();
  const mouth = sign.id === 'mouth-tight';
  const wet = mouth ? 0 : Math.min(1, sign.front) * 15;
  const leaks = sign.front > 1.1;
  return (
    <Svg
      width={120}
      height={68}
      viewBox="-8 -9 38 18"
      role="img"
      aria-label={`A plug that is ${sign.name.toLowerCase()}`}
    >
      <Path d="M-8 -7H30M-8 7H30" stroke={p.glass} strokeWidth={1} />
      <Rect x={mouth ? -8 : -8} y={-6.5} width={38} height={13} fill={p.glassFill} />
      {mouth ? null : <Rect x={-8} y={-6.5} width={8} height={13} fill={p.water} />}
      <G>
        <Rect
          x={mouth ? 6 : 0}
          y={-6.4}
          width={15}
          height={12.8}
          rx={1.4}
          fill={p.cotton}
          stroke={p.cottonLine}
          strokeWidth={0.3}
        />
        {wet > 0 ? <Rect x={0} y={-6.4} width={wet} height={12.8} rx={1.4} fill={p.cottonWet} /> : null}
        {wet > 0 ? (
          <Path d={`M${wet} -6.2q1.4 3 0 6.2t0 6.2`} stroke={p.waterDeep} strokeWidth={0.6} fill="none" />
        ) : null}
        {Array.from({ length: mouth ? 60 : 16 }, (_, k) => {
          const x = (mouth ? 13.5 : 7.5) + jitter(k) * 13;
          const y = jitter(k + 40) * 11;
          return (
            <Path
              key={k}
              d={`M${x} ${y}q0.7 -0.8 1.6 0`}
              stroke={p.cottonLine}
              strokeWidth={0.35}
              fill="none"
            />
          );
        })}
      </G>
      {sign.front > 1 && !leaks ? (
        <Path d="M15.3 -5.5q1.1 5.5 0 11" stroke={p.waterDeep} strokeWidth={0.9} fill="none" />
      ) : null}
      {leaks ? (
        <G>
          <Path d="M15 6.5q4 -2.6 13 0z" fill={p.waterDeep} />
          <Circle cx={17} cy={1} r={1.1} fill={p.waterDeep} />
          <Circle cx={16.3} cy={-3} r={0.8} fill={p.waterDeep} />
        </G>
      ) : null}
      {mouth ? <Path d="M24 -3h4M24 0h5M24 3h4" stroke={p.clay} strokeWidth={0.8} /> : null}
    </Svg>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  sign: { flexDirection: 'row', gap: SPACE.m, alignItems: 'center' },
  words: { flex: 1 },
});
