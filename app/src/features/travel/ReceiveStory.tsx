import { QUARANTINE_DAYS } from '@gentle-burrow/core/care';
import { daysText } from '@gentle-burrow/core/quantity';
import { queenSchema, type Place } from '@gentle-burrow/core/facts';
import type { Arrived } from '@gentle-burrow/core/records';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useShelf, useSpecies } from '@/data/queries';
import { nextLabel } from '@/features/intake/queen-form';
import { FreshPlace, freshPlace, NEW_PLACE, placeOf } from '@/features/place/FreshPlace';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { dayText } from '@/ui/dates';
import { Fault, TextField } from '@/ui/fields';
import { FileButton } from '@/ui/FileButton';
import { Pop } from '@/ui/Pop';
import { SaveBar } from '@/ui/SaveBar';
import { tempText } from '@/ui/units';
import { useOnce } from '@/ui/useOnce';
import { goInsteadOfAll } from '@/ui/way';
import { Words } from '@/ui/Words';
import { readStory, takeInStory } from './take-in-story';

/** A queen who comes with the file of her story is taken in with all of it. */
export function ReceiveStory({ places }: { places: readonly Place[] }) {
  const [arrived, setArrived] = useState<Arrived | null>(null);
  const [fault, setFault] = useState<string>();
  const choose = async (file: File) => {
    setFault(undefined);
    try {
      setArrived(await readStory(file));
    } catch (error) {
      setFault(`“${file.name}” was not taken: ${(error as Error).message}`);
    }
  };
  return (
    <View style={styles.all}>
      <FileButton
        label="File of her story"
        accept=".jsonl,application/jsonl,text/plain"
        style={styles.left}
        onChoose={(file) => void choose(file)}
      >
        She comes with her story
      </FileButton>
      <Fault>{fault}</Fault>
      {arrived ? <Story arrived={arrived} places={places} onClose={() => setArrived(null)} /> : null}
    </View>
  );
}

interface StoryProps {
  arrived: Arrived;
  places: readonly Place[];
  onClose(): void;
}

function Story({ arrived, places, onClose }: StoryProps) {
  const { temperature } = usePreferences();
  const rows = useShelf().data ?? [];
  const species = useSpecies();
  const taken = rows.map((r) => r.queen.label);
  const { facts, intake, entries } = arrived;
  const [label, setLabel] = useState(
    taken.includes(facts.queen.label) ? nextLabel(taken) : facts.queen.label,
  );
  const [placeId, setPlaceId] = useState<string | null>(null);
  const [fresh, setFresh] = useState(freshPlace);
  const isNew = placeId === NEW_PLACE.value;
  const to = isNew ? placeOf(fresh) : (places.find((p) => p.id === placeId) ?? null);
  const fault = queenSchema.shape.label.safeParse(label).error?.issues[0]?.message;
  const ready = fault === undefined && to !== null;
  const save = useOnce(async () => {
    if (!to || !ready) return;
    goInsteadOfAll('/queens/new', await takeInStory(arrived, label.trim(), to, isNew));
  });
  const name = species.find((s) => s.id === intake.species.profileId)?.name ?? 'Unknown';
  return (
    <Pop title="Take her in with her story" onClose={onClose}>
      <Words kind="latin">{name}</Words>
      <Words>
        {`Taken in on ${dayText(intake.at)} by her earlier keeper, who called her ${facts.queen.label}. ${
          entries.length === 1 ? '1 entry comes' : `${entries.length} entries come`
        } with her. She is logged as swapped.`}
      </Words>
      <TextField label="Letter or name on the tube" value={label} onChange={setLabel} fault={fault} />
      <Choice
        label="Where will you keep her?"
        options={[
          ...places.map((p) => ({ value: p.id, label: p.name, hint: tempText(p.tempC, temperature) })),
          NEW_PLACE,
        ]}
        value={placeId}
        onChange={setPlaceId}
      />
      {isNew ? <FreshPlace value={fresh} onChange={setFresh} /> : null}
      <Words kind="small" soft>
        {`Keep her apart from your other queens for ${daysText(QUARANTINE_DAYS)}, and look her over for mites.`}
      </Words>
      <SaveBar>
        <Button mode="contained" disabled={!ready} onPress={save}>
          Take her in
        </Button>
      </SaveBar>
    </Pop>
  );
}

const styles = StyleSheet.create({ all: { gap: SPACE.xs }, left: { alignSelf: 'flex-start' } });
