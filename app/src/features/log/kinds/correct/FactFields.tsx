import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePlaces, useSpecies, type ShownQueen } from '@/data/queries';
import { SpeciesPick } from '@/features/founder/SpeciesPick';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { dayInput, dayText } from '@/ui/dates';
import { DateField, TextField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { inTheirs } from '../../kind-view';
import { BodyNumbers } from '../../BodyNumbers';
import { TubeNumbers } from '../../TubeNumbers';
import { same, type CorrectionFault, type Corrections, type HerFacts } from './facts';

interface FactFieldsProps {
  shown: readonly ShownQueen[];
  /** Which of her facts can be put right here. */
  fields: readonly (keyof HerFacts)[];
  /** As each of them is held now, in the same order. */
  before: readonly HerFacts[];
  is: Corrections;
  fault: CorrectionFault | null;
  set(part: Corrections): void;
}

const SHOWN = 4;

/** What is held of one or several queens, each to be put right beside what stood there before. */
export function FactFields({ shown, fields, before, is, fault, set }: FactFieldsProps) {
  const units = usePreferences();
  const places = usePlaces();
  const species = useSpecies();
  const first = before[0] as HerFacts;
  const lengths = inTheirs({ units });
  const texts: { [K in keyof HerFacts]: (value: HerFacts[K]) => string } = {
    label: (label) => label,
    batch: (batch) => batch || 'no batch',
    day: (day) => dayText(`${day}T12:00:00Z`),
    where: (where) => where || 'not known',
    placeId: (id) => places.find((p) => p.id === id)?.name ?? 'another place',
    species: ({ profileId }) => species.find((s) => s.id === profileId)?.name ?? 'unknown',
    tube: (tube) => (tube ? lengths.tube(tube.outsideMm, tube.lengthMm) : 'no tube'),
    body: () => 'as it was set up',
  };
  const has = (key: keyof HerFacts) => fields.includes(key);
  const differ = (key: keyof HerFacts) => before.some((b) => !same(b[key], first[key]));
  const value = <K extends keyof HerFacts>(key: K): HerFacts[K] | undefined =>
    is[key] ?? (differ(key) ? undefined : first[key]);
  /** What stood there, once something else stands there or they differ. */
  const stood = <K extends keyof HerFacts>(key: K): string | undefined => {
    const all = [...new Set(before.map((b) => texts[key](b[key])))];
    const told = all.slice(0, SHOWN).join(', ') + (all.length > SHOWN ? ' …' : '');
    if (is[key] !== undefined && !before.every((b) => same(b[key], is[key]))) return `Before: ${told}`;
    return all.length > 1 ? `Now: ${told}. Leave it empty to keep them.` : undefined;
  };
  const faultOf = (key: keyof HerFacts) => (fault?.key === key ? fault.says : undefined);
  const text = (key: 'label' | 'batch' | 'where', label: string) =>
    has(key) ? (
      <TextField
        label={label}
        value={value(key) ?? ''}
        onChange={(typed) => set({ [key]: typed === '' && differ(key) ? undefined : typed })}
        fault={faultOf(key)}
        hint={stood(key)}
      />
    ) : null;
  const said = <K extends keyof HerFacts>(key: K): ReactNode => {
    const words = stood(key);
    return words ? (
      <Words kind="small" soft>
        {words}
      </Words>
    ) : null;
  };
  const picked = value('species') ?? first.species;
  const tube = is.tube ?? first.tube;
  const body = is.body ?? first.body;
  return (
    <View style={styles.form}>
      {text('label', 'Letter or name on the tube')}
      {text('batch', 'Batch')}
      {has('day') ? (
        <View>
          <DateField
            label="Day she was taken in"
            value={value('day') ?? ''}
            max={dayInput(new Date())}
            onChange={(day) => set({ day })}
            fault={faultOf('day')}
          />
          {said('day')}
        </View>
      ) : null}
      {text('where', 'Where she was found')}
      {has('placeId') ? (
        <View style={styles.field}>
          <Choice
            label="Where she was first put"
            options={places.map((p) => ({
              value: p.id,
              label: p.name,
              hint: tempText(p.tempC, units.temperature),
            }))}
            value={value('placeId') ?? null}
            onChange={(placeId) => set({ placeId })}
          />
          {said('placeId')}
        </View>
      ) : null}
      {has('species') ? (
        <Fold title={`Species: ${value('species') ? texts.species(picked) : 'several'}`}>
          <SpeciesPick
            species={species}
            value={picked}
            caughtAt={`${first.day}T12:00:00Z`}
            onChange={(part) => set({ species: { ...picked, ...part } })}
            faults={{ others: faultOf('species') }}
          />
          {said('species')}
        </Fold>
      ) : null}
      {has('tube') && tube && before.every((b) => b.tube) ? (
        <Fold title={`First tube: ${texts.tube(tube)}`}>
          <TubeNumbers tube={tube} onChange={(next) => set({ tube: next })} />
          {said('tube')}
        </Fold>
      ) : null}
      {has('body') && body ? (
        <Fold title="First home, as it was set up">
          <BodyNumbers
            part={{ ...body, id: shown[0]?.facts.home.id ?? '' }}
            heads={species.find((s) => s.id === shown[0]?.view.profileId)}
            onChange={({ id: _, ...next }) => set({ body: next })}
          />
        </Fold>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ form: { gap: SPACE.m }, field: { gap: SPACE.xs } });
