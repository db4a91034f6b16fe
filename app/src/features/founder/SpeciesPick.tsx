import type { SpeciesBelief } from '@gentle-burrow/core/log';
import type { KindCard } from '@gentle-burrow/core/species';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Fault, NumberField, TextField } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { KindPicker } from './KindPicker';

const SURE = [
  { value: 'certain', label: 'Certain' },
  { value: 'likely', label: 'Likely' },
  { value: 'guess', label: 'A guess' },
] as const;

/** A belief about the species while it is being written. */
export interface PickedSpecies {
  profileId: string;
  sure: SpeciesBelief['sure'];
  namedBy: string;
  /** The name by which she was found, where it is another than that of the profile. */
  called?: string | undefined;
  others: NonNullable<SpeciesBelief['others']>;
}

/** As an entry keeps it. */
export const beliefOf = (s: PickedSpecies): SpeciesBelief => ({
  profileId: s.profileId,
  sure: s.sure,
  ...(s.called ? { called: s.called } : {}),
  ...(s.namedBy.trim() ? { namedBy: s.namedBy.trim() } : {}),
  ...(s.others.length > 0 ? { others: s.others } : {}),
});

/** A belief as it is put right; one that nobody holds yet is a guess. */
export const pickedOf = (known: SpeciesBelief | null | undefined): PickedSpecies => ({
  profileId: known?.profileId ?? '',
  sure: known?.sure ?? 'guess',
  namedBy: known?.namedBy ?? '',
  called: known?.called,
  others: known?.others ?? [],
});

interface SpeciesPickProps {
  species: readonly KindCard[];
  value: PickedSpecies;
  /** When she was caught. */
  caughtAt: string;
  /** She was caught after her flight. */
  flew?: boolean;
  onChange(change: Partial<PickedSpecies>): void;
  faults: { profileId?: string | undefined; namedBy?: string | undefined; others?: string | undefined };
}

/** One species or several with shares, and who says so. */
export function SpeciesPick({ species, value, caughtAt, flew = false, onChange, faults }: SpeciesPickProps) {
  const p = useBurrow();
  const [adding, setAdding] = useState(false);
  const chosen = species.find((s) => s.id === value.profileId);
  const nameOf = (id: string) => species.find((s) => s.id === id)?.name ?? id;
  const taken = new Set([value.profileId, ...value.others.map((o) => o.profileId)]);
  const rest = Math.round((1 - value.others.reduce((sum, o) => sum + o.share, 0)) * 100);
  const changeOther = (i: number, change: Partial<PickedSpecies['others'][number]>) =>
    onChange({ others: value.others.map((o, k) => (k === i ? { ...o, ...change } : o)) });
  return (
    <>
      <KindPicker
        label="Species"
        kinds={species}
        value={value.profileId || null}
        caughtAt={caughtAt}
        flew={flew}
        onChoose={(id, called) =>
          onChange({ profileId: id, called, others: value.others.filter((o) => o.profileId !== id) })
        }
      />
      <Fault>{faults.profileId}</Fault>
      {chosen?.differs ? (
        <Caution>
          <Words kind="small">{`${chosen.differs.says} ${chosen.differs.tells}`}</Words>
        </Caution>
      ) : null}
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
        <KindPicker
          label="She may also be"
          kinds={species}
          value={null}
          except={taken}
          caughtAt={caughtAt}
          flew={flew}
          onChoose={(profileId) => {
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
  fill: { flex: 1 },
  left: { alignSelf: 'flex-start' },
  other: { borderWidth: 1, borderRadius: 4, padding: SPACE.m, gap: SPACE.s },
  otherHead: { flexDirection: 'row', alignItems: 'center' },
  otherFields: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
