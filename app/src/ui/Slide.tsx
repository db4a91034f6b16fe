import { View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Words } from './Words';

interface SlideProps {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  /** The value in words, with its unit. */
  text: string;
  onChange(value: number): void;
}

/** The browser's own slider: thumb, mouse and keys are the keeper's already. */
export function Slide({ label, value, min, max, step = 1, text, onChange }: SlideProps) {
  const p = useBurrow();
  return (
    <View style={{ gap: SPACE.xs }}>
      <label style={{ display: 'flex', flexDirection: 'column' }}>
        <span
          style={{ display: 'flex', justifyContent: 'space-between', flexWrap: 'wrap', columnGap: SPACE.s }}
        >
          <Words kind="smallBold" soft>
            {label}
          </Words>
          <Words kind="bold">{text}</Words>
        </span>
        <input
          type="range"
          value={value}
          min={min}
          max={max}
          step={step}
          aria-label={label}
          aria-valuetext={text}
          onChange={(e) => onChange(Number(e.target.value))}
          style={{ width: '100%', height: TARGET, margin: 0, accentColor: p.moss }}
        />
      </label>
    </View>
  );
}
