import type { HomePart } from '@gentle-burrow/core/facts';
import type { DrawnHome } from '@gentle-burrow/core/housing';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useBurrow } from '@/theme/theme';
import { layoutOf } from './layout';
import { PartDrawing, type PartDrawingProps } from './PartDrawing';

/** No picture of a home is taller on a page, px. */
const MOST_TALL_PX = 260;

interface HomePictureProps {
  home: DrawnHome;
  /** Width on the screen, px. */
  width: number;
  /** What is drawn in the part where she lives. */
  hers: Omit<PartDrawingProps, 'part' | 'width' | 'view' | 'scaleBar'>;
  /** Water lines of her other tubes by their ids, where they are known. */
  lines?: Record<string, number | undefined>;
  mostTall?: number;
  /** Tapped: something is written of that part. */
  onPart?: ((part: HomePart) => void) | undefined;
}

/** All parts of a home in one picture, to one scale, with what joins them. */
export function HomePicture({
  home,
  width,
  hers,
  lines = {},
  mostTall = MOST_TALL_PX,
  onPart,
}: HomePictureProps) {
  const p = useBurrow();
  if (width <= 0) return null;
  const layout = layoutOf(home);
  // a large space beside a tube does not fill the screen
  const px = Math.min(width / layout.wide, mostTall / layout.tall);
  return (
    <View style={{ width, height: layout.tall * px }}>
      <View style={styles.joints}>
        <Svg
          width={layout.wide * px}
          height={layout.tall * px}
          viewBox={`0 0 ${layout.wide} ${layout.tall}`}
          aria-hidden
        >
          {layout.joints.map(({ from, to, key }) => {
            const bend = Math.max(6, Math.abs(to.x - from.x) / 2);
            const d = `M${from.x} ${from.y}C${from.x + bend} ${from.y} ${to.x - bend} ${to.y} ${to.x} ${to.y}`;
            return (
              <Path
                key={key}
                d={d}
                stroke={p.glass}
                strokeWidth={3.2}
                fill="none"
                strokeLinecap="round"
                opacity={0.8}
              />
            );
          })}
        </Svg>
      </View>
      {layout.placed.map((one) => {
        const gates = home.parts.find((p) => p.part.id === one.part.id)?.gates ?? {};
        const isHers = one.part.id === home.home;
        return (
          <Pressable
            key={one.part.id}
            tabIndex={-1}
            disabled={onPart === undefined}
            onPress={() => onPart?.(one.part)}
            style={[
              styles.part,
              { left: one.x * px, top: one.y * px, width: one.wide * px, height: one.tall * px },
              one.turned ? styles.turned : null,
            ]}
          >
            <PartDrawing
              {...(isHers ? hers : { empty: true, lineMm: lines[one.part.id] })}
              part={one.part}
              gates={gates}
              width={one.wide * px}
            />
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  joints: { position: 'absolute', left: 0, top: 0 },
  part: { position: 'absolute' },
  turned: { transform: [{ scaleX: -1 }] },
});
