import type { SpeciesBelief } from '@gentle-burrow/core/log';
import type { FounderType, SpeciesProfile } from '@gentle-burrow/core/species';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { IconButton, Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Fault, NumberField, TextField } from '@/ui/fields';
import { roving, tabStop } from '@/ui/roving';
import { Words } from '@/ui/Words';

const SURE = [
  { value: 'certain', label: 'Certain' },
  { value: 'likely', label: 'Likely' },
  { value: 'guess', label: 'A guess' },
] as const;

export const FOUNDER_WORDS: Record<FounderType, string> = {
  'fully-claustral': 'founds without food',
  'semi-claustral': 'must eat while founding',
  'socially-parasitic': 'needs a host colony',
  unknown: 'founding type not known',
};

/** A belief about the species while it is being written. */
export interface PickedSpecies {
  profileId: string;
  sure: SpeciesBelief['sure'];
  namedBy: string;
  others: NonNullable<SpeciesBelief['others']>;
}

/** As an entry keeps it. */
export const beliefOf = (s: PickedSpecies): SpeciesBelief => ({
  profileId: s.profileId,
  sure: s.sure,
  ...(s.namedBy.trim() ? { namedBy: s.namedBy.trim() } : {}),
  ...(s.others.length > 0 ? { others: s.others } : {}),
});

interface SpeciesPickProps {
  species: readonly SpeciesProfile[];
  value: PickedSpecies;
  onChange(change: Partial<PickedSpecies>): void;
  faults: { profileId?: string | undefined; namedBy?: string | undefined; others?: string | undefined };
}

/** One species or several with shares, and who says so. */
export function SpeciesPick({ species, value, onChange, faults }: SpeciesPickProps) {
  const p = useBurrow();
  const [adding, setAdding] = useState(false);
  const ordered = [...species].sort(
    (a, b) => Number(a.id.startsWith('unknown')) - Number(b.id.startsWith('unknown')),
  );
  const at = ordered.findIndex((s) => s.id === value.profileId);
  const nameOf = (id: string) => species.find((s) => s.id === id)?.name ?? id;
  const taken = new Set([value.profileId, ...value.others.map((o) => o.profileId)]);
  const rest = Math.round((1 - value.others.reduce((sum, o) => sum + o.share, 0)) * 100);
  const changeOther = (i: number, change: Partial<PickedSpecies['others'][number]>) =>
    onChange({ others: value.others.map((o, k) => (k === i ? { ...o, ...change } : o)) });
  return (
    <>
      <View role="radiogroup" aria-label="Species" {...roving('radio')}>
        {ordered.map((s, i) => (
          <Pressable
            key={s.id}
            role="radio"
            tabIndex={tabStop(i, at)}
            aria-checked={value.profileId === s.id}
            aria-label={`${s.name}, ${s.plainName}`}
            onPress={() =>
              onChange({ profileId: s.id, others: value.others.filter((o) => o.profileId !== s.id) })
            }
            style={[styles.species, { borderBottomColor: p.rule }]}
          >
            <View aria-hidden>
              <Icon
                source={value.profileId === s.id ? 'radiobox-marked' : 'radiobox-blank'}
                size={24}
                color={value.profileId === s.id ? p.moss : p.inkSoft}
              />
            </View>
            <View style={styles.fill}>
              <Words kind="latin">{s.name}</Words>
              <Words kind="small" soft>
                {`${s.plainName} · ${FOUNDER_WORDS[s.founder.value]}`}
              </Words>
            </View>
          </Pressable>
        ))}
        <Fault>{faults.profileId}</Fault>
      </View>
      <Choice
        label="How sure is the name"
        options={SURE}
        value={value.sure}
        onChange={(sure) => onChange({ sure })}
      />
      <TextField
        label="Who named her"
        value={value.namedBy}
        onChange={(namedBy) => onChange({ namedBy })}
        fault={faults.namedBy}
      />
      {value.others.map((o, i) => (
        <View key={o.profileId} style={[styles.other, { borderColor: p.rule }]}>
          <View style={styles.otherHead}>
            <View style={styles.fill}>
              <Words kind="small" soft>
                or she may be
              </Words>
              <Words kind="latin">{nameOf(o.profileId)}</Words>
            </View>
            <IconButton
              icon="close"
              accessibilityLabel={`Not ${nameOf(o.profileId)}`}
              onPress={() => onChange({ others: value.others.filter((_, k) => k !== i) })}
            />
          </View>
          <View style={styles.otherFields}>
            <NumberField
              label={`Share of ${nameOf(o.profileId)}`}
              unit="%"
              value={Number.isFinite(o.share) ? Math.round(o.share * 100) : null}
              onChange={(v) => changeOther(i, { share: v === null ? NaN : v / 100 })}
            />
            <View style={styles.fill}>
              <TextField
                label={`Who says ${nameOf(o.profileId)}`}
                value={o.namedBy ?? ''}
                onChange={(text) => changeOther(i, { namedBy: text || undefined })}
              />
            </View>
          </View>
        </View>
      ))}
      <Fault>{faults.others}</Fault>
      {value.others.length > 0 && value.profileId && !faults.others && Number.isFinite(rest) ? (
        <Words kind="small">{`That leaves ${rest} % for ${nameOf(value.profileId)}. The outlook mixes them by these shares, and her log moves them.`}</Words>
      ) : null}
      {adding ? (
        <Choice
          label="She may also be"
          options={ordered.filter((s) => !taken.has(s.id)).map((s) => ({ value: s.id, label: s.name }))}
          value={null}
          onChange={(profileId) => {
            onChange({ others: [...value.others, { profileId, share: 0.3 }] });
            setAdding(false);
          }}
        />
      ) : value.profileId && value.others.length < 4 ? (
        <Button mode="text" icon="plus" style={styles.left} onPress={() => setAdding(true)}>
          She may be another species
        </Button>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({
  species: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: TARGET + 10,
    borderBottomWidth: 1,
    gap: SPACE.s,
  },
  fill: { flex: 1 },
  left: { alignSelf: 'flex-start' },
  other: { borderWidth: 1, borderRadius: 4, padding: SPACE.m, gap: SPACE.s },
  otherHead: { flexDirection: 'row', alignItems: 'center' },
  otherFields: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
