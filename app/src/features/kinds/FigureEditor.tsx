import {
  COLOURS,
  FIGURE_UNITS,
  type KindFigures,
  type OwnFigureId,
  type Span,
} from '@gentle-burrow/core/species';
import { FIGURE_VALUES } from '@gentle-burrow/core/species/own';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/fields';
import { Tick } from '@/ui/Tick';
import { fineFromMm, fromC, toC, toMm } from '@/ui/units';
import { Words } from '@/ui/Words';
import { capital } from '@gentle-burrow/core/words';
import { FIGURE_TITLES, figureText } from '@/words/figures';
import { COLOUR_WORDS, MONTHS } from '@/words/kind';

interface FigureEditorProps<K extends OwnFigureId> {
  id: K;
  value: KindFigures[K];
  onChange(value: KindFigures[K]): void;
}

/** One figure to be changed: by what it is, a span, a number, a word, months or colours. */
export function FigureEditor<K extends OwnFigureId>({ id, value, onChange }: FigureEditorProps<K>) {
  const units = usePreferences();
  const set = onChange as (value: unknown) => void;
  const title = FIGURE_TITLES[id];
  if (id === 'flightMonths')
    return (
      <Several
        label={`${title}, as it is in the north`}
        options={MONTHS.map((label, i) => ({ value: i + 1, label }))}
        value={value as readonly number[]}
        onChange={set}
      />
    );
  if (id === 'colours')
    return (
      <Several
        label={title}
        options={COLOURS.map((c) => ({ value: c, label: capital(COLOUR_WORDS[c]) }))}
        value={value as KindFigures['colours']}
        onChange={set}
      />
    );
  if (typeof value === 'boolean')
    return (
      <Choice
        label={title}
        options={[
          { value: 'yes', label: 'Yes' },
          { value: 'no', label: 'No' },
        ]}
        value={value ? 'yes' : 'no'}
        onChange={(v) => set(v === 'yes')}
      />
    );
  if (typeof value === 'string') {
    const { options } = FIGURE_VALUES[id] as unknown as { options: readonly string[] };
    return (
      <Choice
        label={title}
        options={options.map((v) => ({ value: v, label: capital(figureText(id, v as never, units)) }))}
        value={value}
        onChange={set}
      />
    );
  }
  const { unit, from, to } = unitOf(id, units);
  const field = (label: string, n: number, change: (n: number) => void) => (
    <NumberField
      key={label}
      label={label}
      unit={unit}
      value={Number.isFinite(n) ? from(n) : null}
      onChange={(v) => change(v === null ? NaN : to(v))}
    />
  );
  if (typeof value === 'number') return <View style={styles.row}>{field(title, value, set)}</View>;
  const span = value as Span;
  return (
    <View style={styles.row}>
      {field(`${title} from`, span.low, (low) => set({ ...span, low }))}
      {field(`${title} to`, span.high, (high) => set({ ...span, high }))}
    </View>
  );
}

interface SeveralProps<T> {
  label: string;
  options: readonly { value: T; label: string }[];
  value: readonly T[];
  onChange(value: readonly T[]): void;
}

/** Several of a list, in its order. */
function Several<T>({ label, options, value, onChange }: SeveralProps<T>) {
  const turned = (v: T) => options.map((o) => o.value).filter((o) => value.includes(o) !== (o === v));
  return (
    <View role="group" aria-label={label}>
      <Words kind="smallBold" soft>
        {label}
      </Words>
      <View style={styles.ticks}>
        {options.map((o) => (
          <Tick
            key={o.label}
            label={o.label}
            on={value.includes(o.value)}
            onPress={() => onChange(turned(o.value))}
          />
        ))}
      </View>
    </View>
  );
}

/** In what a figure is typed, and the ways there and back. */
function unitOf(id: OwnFigureId, { length, temperature }: ReturnType<typeof usePreferences>) {
  const unit = FIGURE_UNITS[id] ?? '';
  if (unit === 'mm')
    return {
      unit: length,
      from: (mm: number) => fineFromMm(mm, length),
      to: (v: number) => toMm(v, length),
    };
  if (unit === '°C')
    return {
      unit: `°${temperature}`,
      from: (c: number) => fromC(c, temperature),
      to: (v: number) => toC(v, temperature),
    };
  return { unit, from: (n: number) => n, to: (n: number) => n };
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  ticks: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.l },
});
