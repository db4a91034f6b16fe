import { nounOf, partOf, type Housing } from '@gentle-burrow/core/housing';
import {
  BROOD_THERE,
  COVERS,
  GATES,
  MOISTURES,
  MOVED_HOW,
  TAKEN_TO,
  WORKERS_THERE,
} from '@gentle-burrow/core/vocabulary';
import { View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { KindCautions } from '@/features/founder/KindCautions';
import { gateName } from '@/features/home/gate-name';
import { partName } from '@/features/home/part-name';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice, optionsOf } from '@/ui/Choice';
import { Fault, NumberField } from '@/ui/fields';
import { go } from '@/ui/way';
import { capital } from '@gentle-burrow/core/words';
import {
  BROOD_THERE_WORDS,
  COVER_WORDS,
  GATE_WORDS,
  MOISTURE_WORDS,
  MOVED_HOW_WORDS,
  TAKEN_TO_WORDS,
  WORKERS_THERE_WORDS,
} from '@/words/home';
import type { FieldsProps } from '../../kind-form';
import { mayHaveWorkers } from '../../parts';
import {
  checked,
  gatesOf,
  mayHaveBrood,
  openedOf,
  partIdOf,
  partsFor,
  whatOf,
  whatsOf,
  type HomeDraft,
  type What,
} from './draft';
import { Joint } from './Joint';
import { MoveCautions, opensHer } from './MoveCautions';
import { SetUp } from './SetUp';
import { Wall } from './Wall';
import { LineRead } from './LineRead';

const WHAT_WORDS: Record<What, string> = {
  watered: 'Watered',
  'moved-in': 'Who is in which part',
  gate: 'A door opened or shut',
  covered: 'Covered or lit',
  joined: 'Joined',
  parted: 'Parted',
  'taken-away': 'Taken away',
  cleaned: 'A part was cleaned',
  divided: 'Divided by a wall',
  'set-up': 'Something set up',
};
const BROOD = optionsOf(BROOD_THERE, BROOD_THERE_WORDS);
const WORKERS = optionsOf(WORKERS_THERE, WORKERS_THERE_WORDS);
const HOWS = optionsOf(MOVED_HOW, MOVED_HOW_WORDS);
const COVER_OPTIONS = optionsOf(COVERS, COVER_WORDS);
const FATES = optionsOf(TAKEN_TO, TAKEN_TO_WORDS);
const STATES = optionsOf(GATES, GATE_WORDS);
const MOIST = optionsOf(MOISTURES, MOISTURE_WORDS);
const YES_NO = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
] as const;

/** One change at her home: what was done or seen, at which part, and what belongs to just that. */
export function Fields({ shown, draft, change }: FieldsProps<HomeDraft>) {
  const home = shown.view.housing;
  const whats = whatsOf(home, draft);
  const what = whatOf(home, draft);
  const { fault } = checked(draft, shown);
  // "nothing is said yet" is no fault of who has only begun
  const begun = what !== 'moved-in' || draft.queen !== null || draft.brood !== null || draft.workers !== null;
  return (
    <View style={{ gap: SPACE.m }}>
      {whats.length > 1 ? (
        <Choice
          label="What was done or seen"
          options={whats.map((value) => ({ value, label: WHAT_WORDS[value] }))}
          value={what}
          onChange={(next) => change({ what: next, gate: null })}
        />
      ) : null}
      {what === 'set-up' ? (
        <SetUp shown={shown} draft={draft} change={change} />
      ) : (
        <AtPart shown={shown} draft={draft} what={what} change={change} />
      )}
      <Fault>{begun && fault ? fault : undefined}</Fault>
      {opensHer(what, draft) ? <KindCautions profileId={shown.view.profileId} opening /> : null}
      <MoveCautions what={what} draft={draft} profileId={shown.view.profileId} />
    </View>
  );
}

interface AtPartProps extends FieldsProps<HomeDraft> {
  what: What;
}

function AtPart({ shown, draft, what, change }: AtPartProps) {
  const home = shown.view.housing;
  const options = partsFor(home, what).map((p) => ({
    value: p.id,
    label: capital(partName(home, p.id) ?? nounOf(p)),
    ...(p.id === home.home ? { hint: 'she lives in it' } : {}),
  }));
  const partId = partIdOf(home, draft);
  const isTube = partOf(home, partId)?.part.kind === 'tube';
  return (
    <>
      {options.length > 1 ? (
        <Choice
          label="Which part"
          options={options}
          value={partId}
          onChange={(id) => change({ partId: id, gate: null })}
        />
      ) : null}
      {what === 'watered' ? (
        <>
          <Choice
            label="How wet it was before"
            options={MOIST}
            value={draft.was}
            onChange={(was) => change({ was })}
            onClear={() => change({ was: null })}
          />
          <Choice
            label="Was it opened for that?"
            options={YES_NO}
            value={openedOf(home, partId, draft)}
            onChange={(opened) => change({ opened })}
          />
          <NumberField
            label="Water given, if measured"
            unit="ml"
            value={draft.ml}
            onChange={(ml) => change({ ml })}
          />
        </>
      ) : null}
      {what === 'gate' ? <Door home={home} partId={partId} draft={draft} change={change} /> : null}
      {what === 'divided' ? <Wall home={home} partId={partId} draft={draft} change={change} /> : null}
      {what === 'moved-in' ? (
        <WhoIsIn shown={shown} draft={draft} change={change} readsLine={isTube} />
      ) : null}
      {what === 'covered' ? (
        <Choice
          label="How it stands now"
          options={COVER_OPTIONS}
          value={draft.cover}
          onChange={(cover) => change({ cover })}
        />
      ) : null}
      {what === 'taken-away' ? (
        <Choice
          label="What became of it"
          options={FATES}
          value={draft.to}
          onChange={(to) => change({ to })}
        />
      ) : null}
      {what === 'joined' ? (
        <Joint home={home} except={partId} draft={draft} profileId={shown.view.profileId} change={change} />
      ) : null}
    </>
  );
}

interface DoorProps {
  home: Housing;
  partId: string;
  draft: HomeDraft;
  change(part: Partial<HomeDraft>): void;
}

function Door({ home, partId, draft, change }: DoorProps) {
  const now = partOf(home, partId);
  if (!now) return null;
  const gates = gatesOf(home, now.part).map((value) => ({
    value,
    label: capital(gateName(value)),
    hint: GATE_WORDS[now.gates[value]?.value ?? 'open'],
  }));
  return (
    <>
      {gates.length > 1 ? (
        <Choice label="Which door" options={gates} value={draft.gate} onChange={(gate) => change({ gate })} />
      ) : null}
      <Choice
        label="How it is now"
        options={STATES}
        value={draft.state}
        onChange={(state) => change({ state })}
      />
    </>
  );
}

interface WhoIsInProps extends FieldsProps<HomeDraft> {
  /** A tube: its water line may be read too. */
  readsLine: boolean;
}

function WhoIsIn({ shown, draft, change, readsLine }: WhoIsInProps) {
  return (
    <>
      <Choice
        label="Is the queen in it?"
        options={YES_NO}
        value={draft.queen}
        onChange={(queen) => change({ queen })}
        onClear={() => change({ queen: null })}
      />
      {mayHaveBrood(shown) ? (
        <Choice
          label="Brood in it"
          options={BROOD}
          value={draft.brood}
          onChange={(brood) => change({ brood })}
          onClear={() => change({ brood: null })}
        />
      ) : null}
      {mayHaveWorkers(shown) ? (
        <Choice
          label="Workers in it"
          options={WORKERS}
          value={draft.workers}
          onChange={(workers) => change({ workers })}
          onClear={() => change({ workers: null })}
        />
      ) : null}
      <Choice label="How they came" options={HOWS} value={draft.how} onChange={(how) => change({ how })} />
      {draft.how === 'by-hand' && !draft.amends ? <CountThem id={shown.facts.queen.id} /> : null}
      {readsLine ? (
        <LineRead mm={draft.waterLineMm} onChange={(waterLineMm) => change({ waterLineMm })} />
      ) : null}
    </>
  );
}

const CountThem = ({ id }: { id: ShownQueen['facts']['queen']['id'] }) => (
  <Button
    mode="outlined"
    icon="counter"
    style={{ alignSelf: 'flex-start' }}
    onPress={() => go(`/queens/${id}/transfer`)}
  >
    Count them over
  </Button>
);
