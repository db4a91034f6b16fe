import { HYGIENE, SUBSTRATE, WATER_SOURCES } from '@gentle-burrow/core/tube';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { Caution } from '@/ui/Sheet';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { useDraft } from '@/ui/drafts';

/** Hygiene, ticked off as the hands go; kept on this device until it is cleared. */
export function Hygiene() {
  const { value, change } = useDraft<{ done: string[] }>('bench.hygiene', { done: [] });
  const toggle = (id: string) =>
    change({ done: value.done.includes(id) ? value.done.filter((d) => d !== id) : [...value.done, id] });
  return (
    <View style={styles.list}>
      {HYGIENE.map((item) => (
        <View key={item.id}>
          <Tick label={item.says} on={value.done.includes(item.id)} onPress={() => toggle(item.id)} />
          <View style={styles.why}>
            <Words kind="small" soft>
              {`Because ${item.why}.`}
            </Words>
            {item.caution ? (
              <Caution>
                <Words kind="small">{item.caution}</Words>
              </Caution>
            ) : null}
          </View>
        </View>
      ))}
    </View>
  );
}

/** Which water: chlorine leaves by boiling or resting, chloramine does not. */
export function WaterSources() {
  const [id, setId] = useState<(typeof WATER_SOURCES)[number]['id'] | null>(null);
  const [works, setWorks] = useState<'chlorine' | 'chloramine' | 'unknown'>('unknown');
  const source = WATER_SOURCES.find((s) => s.id === id);
  return (
    <View style={styles.list}>
      <Choice
        label="Which water"
        options={WATER_SOURCES.map((s) => ({ value: s.id, label: s.name }))}
        value={id}
        onChange={(v) => setId(v)}
      />
      <Choice
        label="What the waterworks adds"
        options={[
          { value: 'chlorine', label: 'Chlorine' },
          { value: 'chloramine', label: 'Chloramine' },
          { value: 'unknown', label: 'I do not know' },
        ]}
        value={works}
        onChange={(v) => setWorks(v)}
      />
      {source ? (
        <View aria-live="polite">
          <Words kind="bold">{verdictOf(source, works)}</Words>
          <Words kind="small">{`${source.says} Free chlorine: ${source.chlorine}. Chloramine: ${source.chloramine}.`}</Words>
        </View>
      ) : null}
      {source?.caution ? (
        <Caution>
          <Words kind="small">{source.caution}</Words>
        </Caution>
      ) : null}
      <Words kind="small" soft>
        Boiling or resting drives out free chlorine, not chloramine; the waterworks tells which it adds
        (common practice, no source).
      </Words>
    </View>
  );
}

export function verdictOf(
  source: (typeof WATER_SOURCES)[number],
  works: 'chlorine' | 'chloramine' | 'unknown',
): string {
  if (source.verdict !== 'good unless chloramine is used') return `${source.name}: ${source.verdict}.`;
  if (works === 'chlorine') return `${source.name}: good.`;
  if (works === 'chloramine') return `${source.name}: chloramine stays in it. Take bottled water.`;
  return `${source.name}: good unless chloramine is used. Ask the waterworks, or take bottled water.`;
}

export function Substrate() {
  return (
    <View style={styles.list}>
      <Words kind="small">{SUBSTRATE.yes}</Words>
      <Words kind="small">{SUBSTRATE.no}</Words>
      <Caution>
        <Words kind="small">{SUBSTRATE.caution}</Words>
      </Caution>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  why: { paddingLeft: SPACE.xxl, gap: SPACE.xs },
});
