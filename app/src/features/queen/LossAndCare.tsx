import {
  FEED_SPOTS,
  LOSS_CAUSES,
  type BodyOf,
  type EntryBody,
  type FeedSpot,
  type FeedWay,
} from '@gentle-burrow/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { amendEntry, writeEntry, type ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { useDraft } from '@/ui/drafts';
import { TextField } from '@/ui/fields';
import { Caution, Sheet } from '@/ui/Sheet';
import { Tick } from '@/ui/Tick';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { MoveTube } from '@/features/place/MoveTube';
import { CAUSE_WORDS, CERTAINTY_WORDS, SPOT_WORDS } from '@/words/log';
import { LookedOver } from './LookedOver';

const capital = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;

type Open = 'feed' | 'note' | 'move' | 'health' | 'loss' | null;

const FOODS = [
  { value: 'sugar', label: 'Sugar' },
  { value: 'protein', label: 'Protein' },
  { value: 'both', label: 'Both' },
  { value: 'seeds', label: 'Seeds' },
] as const;
const SPOTS = FEED_SPOTS.map((value) => ({ value, label: capital(SPOT_WORDS[value]) }));
const DISHES = [
  { value: 'swab', label: 'Cotton bud' },
  { value: 'foil', label: 'Foil or paper' },
  { value: 'dish', label: 'Dish' },
  { value: 'feeder', label: 'Feeder' },
  { value: 'drop', label: 'Free drop' },
] as const;
const OUTCOMES = [
  { value: 'offered', label: 'Offered' },
  { value: 'taken', label: 'Eaten' },
  { value: 'left', label: 'Left' },
  { value: 'removed', label: 'Taken out' },
] as const;
const FATES = [
  { value: 'died', label: 'She died' },
  { value: 'escaped', label: 'She escaped' },
  { value: 'given-away', label: 'I gave her away' },
  { value: 'merged', label: 'Joined to another colony' },
  { value: 'infertile', label: 'Given up as infertile' },
] as const;
const CERTAINTIES = (['certain', 'likely', 'guess'] as const).map((value) => ({
  value,
  label: CERTAINTY_WORDS[value],
}));
const CAUSES = LOSS_CAUSES.map((value) => ({ value, label: CAUSE_WORDS[value] }));

interface Draft {
  food: BodyOf<'feed'>['food'] | null;
  outcome: BodyOf<'feed'>['outcome'];
  spot: FeedSpot | null;
  way: FeedWay | null;
  rushed: boolean;
  note: string;
  how: BodyOf<'loss'>['how'] | null;
  cause: BodyOf<'loss'>['cause'];
  certainty: NonNullable<BodyOf<'loss'>['certainty']> | null;
  goesOn: boolean;
  lossText: string;
}
const EMPTY: Draft = {
  food: null,
  outcome: 'offered',
  spot: null,
  way: null,
  rushed: false,
  note: '',
  how: null,
  cause: 'unknown',
  certainty: null,
  goesOn: true,
  lossText: '',
};

/** The smaller things to write down: a feed, a note, a loss. */
export function LossAndCare({ shown }: { shown: ShownQueen }) {
  const { id, label } = shown.facts.queen;
  const [open, setOpen] = useState<Open>(null);
  const { value: draft, change, clear } = useDraft(`care.${id}`, EMPTY);
  const { workers } = shown.view.ledger.counts;
  const mayGoOn =
    workers !== null && workers.range.high !== 0 && (draft.how === 'died' || draft.how === 'escaped');
  const toggle = (which: Open) => setOpen(open === which ? null : which);
  const save = async (body: EntryBody, says: string) => {
    const entry = await writeEntry(id, body);
    clear();
    setOpen(null);
    offerUndo(says, () => amendEntry(id, entry.id, null));
  };
  const at = () => new Date().toISOString();
  return (
    <Sheet tight>
      <View style={styles.buttons}>
        <Button
          icon="food-apple-outline"
          mode={open === 'feed' ? 'contained-tonal' : 'outlined'}
          onPress={() => toggle('feed')}
        >
          Feed
        </Button>
        <Button
          icon="note-text-outline"
          mode={open === 'note' ? 'contained-tonal' : 'outlined'}
          onPress={() => toggle('note')}
        >
          Note
        </Button>
        <Button
          icon="transfer-right"
          mode={open === 'move' ? 'contained-tonal' : 'outlined'}
          onPress={() => toggle('move')}
        >
          Move
        </Button>
        <Button
          icon="vibrate"
          mode="outlined"
          onPress={() => void save({ kind: 'knock', at: at() }, 'Bump kept: it counts like a look.')}
        >
          Tube was bumped
        </Button>
        <Button
          icon="bandage"
          mode={open === 'health' ? 'contained-tonal' : 'outlined'}
          onPress={() => toggle('health')}
        >
          Looked over
        </Button>
        <Button
          icon="leaf-off"
          mode={open === 'loss' ? 'contained-tonal' : 'outlined'}
          onPress={() => toggle('loss')}
        >
          Loss
        </Button>
      </View>
      {open === 'feed' ? (
        <View style={styles.form}>
          <Choice
            label="What was offered"
            options={FOODS}
            value={draft.food}
            onChange={(food) => change({ food })}
          />
          <Choice
            label="What became of it"
            options={OUTCOMES}
            value={draft.outcome}
            onChange={(outcome) => change({ outcome })}
          />
          <Choice
            label="Where"
            options={SPOTS}
            value={draft.spot}
            onChange={(spot) => change({ spot })}
            onClear={() => change({ spot: null })}
          />
          <Choice
            label="How"
            options={DISHES}
            value={draft.way}
            onChange={(way) => change({ way })}
            onClear={() => change({ way: null })}
          />
          {workers !== null && workers.range.high !== 0 ? (
            <Tick
              label="Workers rushed at it on opening"
              on={draft.rushed}
              onPress={() => change({ rushed: !draft.rushed })}
            />
          ) : null}
          <Words kind="small" soft>
            A drop no larger than her head, on foil; protein out after a day. With brood no free liquid in the
            tube. What is offered is asked about until it is eaten or taken out.
          </Words>
          <Button
            mode="contained"
            disabled={draft.food === null}
            onPress={() =>
              draft.food &&
              void save(
                {
                  kind: 'feed',
                  at: at(),
                  food: draft.food,
                  outcome: draft.outcome,
                  ...(draft.spot ? { spot: draft.spot } : {}),
                  ...(draft.way ? { way: draft.way } : {}),
                  ...(draft.rushed ? { rushed: true } : {}),
                },
                'Feed kept.',
              )
            }
          >
            Keep this feed
          </Button>
        </View>
      ) : null}
      {open === 'note' ? (
        <View style={styles.form}>
          <TextField label="Note" multiline value={draft.note} onChange={(note) => change({ note })} />
          <Button
            mode="contained"
            disabled={draft.note.trim() === ''}
            onPress={() => void save({ kind: 'note', at: at(), text: draft.note.trim() }, 'Note kept.')}
          >
            Keep this note
          </Button>
        </View>
      ) : null}
      {open === 'move' ? <MoveTube shown={shown} onDone={() => setOpen(null)} /> : null}
      {open === 'health' ? <LookedOver shown={shown} onDone={() => setOpen(null)} /> : null}
      {open === 'loss' ? (
        <View style={styles.form}>
          <Words>{`What became of ${label}? Not knowing why is a normal answer.`}</Words>
          <Choice
            label="What happened"
            options={FATES}
            value={draft.how}
            onChange={(how) => change({ how })}
          />
          {draft.how === 'died' ? (
            <Choice
              label="Cause"
              options={CAUSES}
              value={draft.cause}
              onChange={(cause) => change({ cause })}
            />
          ) : null}
          {draft.how === 'died' && draft.cause !== 'unknown' ? (
            <Choice
              label="How sure of the cause"
              options={CERTAINTIES}
              value={draft.certainty}
              onChange={(certainty) => change({ certainty })}
              onClear={() => change({ certainty: null })}
            />
          ) : null}
          {mayGoOn ? (
            <Tick
              label="Her workers and brood live on here"
              on={draft.goesOn}
              onPress={() => change({ goesOn: !draft.goesOn })}
            />
          ) : null}
          <TextField
            label="What was seen"
            multiline
            value={draft.lossText}
            onChange={(lossText) => change({ lossText })}
          />
          <Caution>
            <Words kind="small">
              Captive ants are never released, not even native ones: it can spread disease. Surplus workers
              live out their lives. Throw the tube away or sterilise it before it is used again.
            </Words>
          </Caution>
          <Button
            mode="contained"
            disabled={draft.how === null}
            onPress={() =>
              draft.how &&
              void save(
                {
                  kind: 'loss',
                  at: at(),
                  how: draft.how,
                  cause: draft.how === 'died' ? draft.cause : 'unknown',
                  ...(draft.how === 'died' && draft.cause !== 'unknown' && draft.certainty
                    ? { certainty: draft.certainty }
                    : {}),
                  ...(mayGoOn && draft.goesOn ? { colonyGoesOn: true } : {}),
                  ...(draft.lossText.trim() ? { text: draft.lossText.trim() } : {}),
                },
                'Loss kept.',
              )
            }
          >
            Keep this loss
          </Button>
        </View>
      ) : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  form: { gap: SPACE.m },
});
