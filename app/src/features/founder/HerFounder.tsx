import { type BodyOf } from '@gentle-burrow/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { amendEntry, useSpecies, writeEntry, type ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { FounderPanel } from './FounderPanel';
import { NameHer } from './NameHer';
import { ShapeChoice } from './ShapeChoice';

type Sign = Omit<BodyOf<'sign'>, 'kind' | 'at'>;

const YES_NO = [
  { value: 'yes', label: 'Paces and searches' },
  { value: 'no', label: 'Sits quietly' },
] as const;
const PROTEIN = [
  { value: 'accepted', label: 'Taken' },
  { value: 'refused', label: 'Refused' },
] as const;
const BROOD = [
  { value: 'yes', label: 'Grew' },
  { value: 'no', label: 'Failed' },
] as const;

/** What kind of founder is she? The belief, and what has been seen since. */
export function HerFounder({ shown }: { shown: ShownQueen }) {
  const { facts, view } = shown;
  const { id } = facts.queen;
  const species = useSpecies();
  const [open, setOpen] = useState<'sign' | 'name' | null>(null);
  const [sign, setSign] = useState<Sign>({});
  if (!view.founder) return null;
  const nothing = Object.values(sign).every((v) => v === undefined);
  const save = async () => {
    const entry = await writeEntry(id, { kind: 'sign', at: new Date().toISOString(), ...sign });
    setSign({});
    setOpen(null);
    offerUndo('Sign kept.', () => amendEntry(id, entry.id, null));
  };
  const named = view.species.map((s) => ({
    ...s,
    name: species.find((p) => p.id === s.profileId)?.name ?? s.profileId,
  }));
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        What kind of founder is she?
      </Words>
      {named.length > 1 ? (
        <View>
          {named.map((s) => (
            <Words key={s.profileId} kind="small">
              {`${s.name}: ${Math.round(s.share * 100)} % as named${s.namedBy ? ` by ${s.namedBy}` : ''}; ${Math.round(s.now * 100)} % after what her log shows.`}
            </Words>
          ))}
        </View>
      ) : null}
      <FounderPanel belief={view.founder} />
      <View style={styles.buttons}>
        <Button
          mode={open === 'sign' ? 'contained-tonal' : 'outlined'}
          icon="eye-check-outline"
          onPress={() => setOpen(open === 'sign' ? null : 'sign')}
        >
          Log a sign
        </Button>
        <Button
          mode={open === 'name' ? 'contained-tonal' : 'outlined'}
          icon="tag-outline"
          onPress={() => setOpen(open === 'name' ? null : 'name')}
        >
          Name her anew
        </Button>
      </View>
      {open === 'sign' ? (
        <View style={styles.form}>
          <ShapeChoice
            value={sign.shape ?? null}
            onChange={(shape) => setSign({ ...sign, shape: shape ?? undefined })}
          />
          <Choice
            label="A week after settling she"
            options={YES_NO}
            value={sign.restless === undefined ? null : sign.restless ? 'yes' : 'no'}
            onChange={(v) => setSign({ ...sign, restless: v === 'yes' })}
            onClear={() => setSign({ ...sign, restless: undefined })}
          />
          <Choice
            label="A tiny piece of protein was"
            options={PROTEIN}
            value={sign.protein ?? null}
            onChange={(protein) => setSign({ ...sign, protein })}
            onClear={() => setSign({ ...sign, protein: undefined })}
          />
          <Choice
            label="Without any food her larvae"
            options={BROOD}
            value={sign.broodUnfed === undefined ? null : sign.broodUnfed ? 'yes' : 'no'}
            onChange={(v) => setSign({ ...sign, broodUnfed: v === 'yes' })}
            onClear={() => setSign({ ...sign, broodUnfed: undefined })}
          />
          <Button mode="contained" disabled={nothing} onPress={() => void save()}>
            Keep what was seen
          </Button>
        </View>
      ) : null}
      {open === 'name' ? <NameHer shown={shown} onDone={() => setOpen(null)} /> : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  form: { gap: SPACE.m },
});
