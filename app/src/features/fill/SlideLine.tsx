import type { TubeHome } from '@gentle-burrow/core/facts';
import type { KindCard } from '@gentle-burrow/core/species';
import { View } from 'react-native';
import { DragLine } from '@/features/tube/DragLine';
import { scaleOf, TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences } from '@/theme/preferences';
import { TARGET } from '@/theme/tokens';
import { lengthText } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';

/** The tube with its water line to be dragged. */
export function SlideLine({
  tube,
  profile,
  empty = false,
  onChange,
}: {
  tube: TubeHome;
  profile: KindCard | undefined;
  /** Nobody is in it yet. */
  empty?: boolean;
  onChange(mm: number): void;
}) {
  const { length } = usePreferences();
  const [width, onLayout] = useWidth();
  const scale = scaleOf(tube, width);
  return (
    <View onLayout={onLayout} style={{ height: scale.height + TARGET }}>
      <TubeDrawing tube={tube} width={width} lineMm={tube.waterLineMm} profile={profile} empty={empty} />
      {width > 0 ? (
        <DragLine
          label="Water line"
          mm={tube.waterLineMm}
          min={5}
          max={tube.lengthMm - tube.plugs.innerMm - tube.plugs.outerMm - 5}
          scale={scale}
          text={lengthText(tube.waterLineMm, length)}
          onChange={onChange}
        />
      ) : null}
    </View>
  );
}
