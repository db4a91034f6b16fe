import { useRef } from 'react';
import { StyleSheet, View, type PointerEvent } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { TARGET } from '@/theme/tokens';
import { Words } from '@/ui/Words';

interface DragLineProps {
  label: string;
  /** Where it stands, mm; the handle hangs below the drawing there. */
  mm: number;
  min: number;
  max: number;
  /** Of the drawing that it lies over. */
  scale: { from: number; pxPerMm: number; height: number };
  /** The value in the keeper's unit. */
  text: string;
  onChange(mm: number): void;
}

/** A line across the drawing with a handle for the thumb under it. Also moves by arrow keys, 1 mm at a time. */
export function DragLine({ label, mm, min, max, scale, text, onChange }: DragLineProps) {
  const p = useBurrow();
  const start = useRef<{ x: number; mm: number } | null>(null);
  const x = (mm - scale.from) * scale.pxPerMm;
  const move = (to: number) => onChange(Math.max(min, Math.min(max, Math.round(to))));
  const handlers = {
    onPointerDown: (e: PointerEvent) => {
      start.current = { x: e.nativeEvent.clientX, mm };
      (e.currentTarget as unknown as Element).setPointerCapture(e.nativeEvent.pointerId);
    },
    onPointerMove: (e: PointerEvent) => {
      if (start.current) move(start.current.mm + (e.nativeEvent.clientX - start.current.x) / scale.pxPerMm);
    },
    onPointerUp: () => (start.current = null),
    onPointerCancel: () => (start.current = null),
  };
  const onKeyDown = (e: { key: string; preventDefault(): void }) => {
    const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -10, PageUp: 10 }[
      e.key
    ];
    if (step === undefined) return;
    e.preventDefault();
    move(mm + step);
  };
  return (
    <View
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={Math.round(min)}
      aria-valuemax={Math.round(max)}
      aria-valuenow={Math.round(mm)}
      aria-valuetext={text}
      {...handlers}
      {...({ onKeyDown } as object)}
      style={[styles.line, { left: x - TARGET / 2, height: scale.height + TARGET }, NO_SCROLL]}
    >
      <View style={[styles.hair, { backgroundColor: p.moss, height: scale.height + 6 }]} />
      <View style={[styles.knob, { backgroundColor: p.moss }]}>
        <Words kind="smallBold" color={p.onMoss}>
          ↔
        </Words>
      </View>
    </View>
  );
}

/** The page must not scroll while a thumb drags. */
const NO_SCROLL = { touchAction: 'none', cursor: 'ew-resize' } as object;

const styles = StyleSheet.create({
  line: { position: 'absolute', top: 0, width: TARGET, alignItems: 'center' },
  hair: { width: 2 },
  knob: { width: 40, height: 32, borderRadius: 16, alignItems: 'center', justifyContent: 'center' },
});
