import { effectiveEntries, type BodyOf } from '@gentle-burrow/core/log';
import { partAt } from '@gentle-burrow/core/housing';
import { MILESTONES, type Milestone } from '@gentle-burrow/core/species';
import { reckonedLineMm } from '@gentle-burrow/core/tube';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { isUnknown } from '@/data/network';
import { put } from '@/data/outbox';
import { amendEntry, writeEntry } from '@/data/entries';
import { useQueen, useSpecies, type ShownQueen } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { nearText } from '@/ui/dates';
import { useDraft } from '@/ui/drafts';
import { Fault, TextField } from '@/ui/fields';
import { Discard, Returned } from '@/ui/Returned';
import { Screen } from '@/ui/Screen';
import { Caution, Sheet } from '@/ui/Sheet';
import { Failed, Loading } from '@/ui/states';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { When } from '@/features/log/When';
import { momentOf } from '@/features/log/when';
import { photosOf } from '@/features/photos/photos-of';
import { NoSuchQueen } from '@/features/queen/NoSuchQueen';
import { CountPad } from './CountPad';
import {
  draftOf,
  EMPTY_LOOK,
  faultsOf,
  lookBody,
  nothingElse,
  uncounted,
  withUnread,
  type LookDraft,
} from './look-draft';
import { LookDrawing } from './LookDrawing';
import { MoreSeen } from './MoreSeen';
import { Troubles } from './Troubles';
import { useStages } from './use-stages';
import { useOnce } from '@/ui/useOnce';
import { goBack } from '@/ui/way';

/** What do you see? */
export function LookPage({ id, amend }: { id: string; amend?: string | undefined }) {
  const { data, loading, error, retry } = useQueen(id);
  const back = `/queens/${id}`;
  if (data) {
    const amended = amend ? findLook(data, amend) : null;
    if (!amend || amended) return <LookForm key={amend ?? 'new'} shown={data} amended={amended} />;
  }
  if (isUnknown(error)) return <NoSuchQueen />;
  return (
    <Screen question="What do you see?" back={back}>
      {loading ? <Loading what="her tube" /> : null}
      {error ? <Failed error={error} onRetry={retry} /> : null}
      {data ? <Words>This look is not in her log. Go back and choose one that is.</Words> : null}
    </Screen>
  );
}

function findLook(shown: ShownQueen, id: string) {
  const found = effectiveEntries(shown.facts.entries).find((e) => e.original.id === id);
  const entry = found?.entry;
  return entry?.kind === 'look' ? { ...entry, over: found?.amendment?.id ?? null } : null;
}

const FRONTS = [
  { value: 'dry', label: 'Dry' },
  { value: 'right', label: 'Right', hint: 'stops short' },
  { value: 'at-face', label: 'At the face' },
  { value: 'soaked', label: 'Soaked' },
  { value: 'leaking', label: 'Leaking' },
] as const;
const MOULDS = [
  { value: 'none', label: 'None' },
  { value: 'far-plug', label: 'Far plug' },
  { value: 'near-brood', label: 'Near brood' },
] as const;
const BODY_MOULDS = MOULDS.map((m) => (m.value === 'far-plug' ? { ...m, label: 'Away from brood' } : m));
const SEEN = [
  { value: 'seen', label: 'I saw her' },
  { value: 'not-seen', label: 'Not seen' },
] as const;
interface LookFormProps {
  shown: ShownQueen;
  amended: (BodyOf<'look'> & { id: string; over: string | null }) | null;
}

function LookForm({ shown, amended }: LookFormProps) {
  const { facts, view } = shown;
  const { queen } = facts;
  const start = useMemo(() => (amended ? draftOf(amended) : EMPTY_LOOK), [amended]);
  const {
    value: draft,
    change,
    clear,
    discard,
    kept,
  } = useDraft<LookDraft>(`look.${queen.id}.${amended?.id ?? 'new'}`, start);
  const [tried, setTried] = useState(false);
  const [asked, setAsked] = useState(false);
  const profile = useSpecies().find((s) => s.id === view.profileId);
  const units = usePreferences();
  const now = new Date();
  const intakeAt = view.ledger.intake?.at ?? queen.createdAt;
  const dayIsWrong = faultsOf(draft, now, intakeAt, view.part, units.length).day !== undefined;
  const momentShown = dayIsWrong
    ? now.toISOString()
    : momentOf(draft.day, now, intakeAt, amended?.at, draft.time);
  // the part that she lived in on the day that is being written down
  const part = partAt(facts, momentShown);
  const faults = faultsOf(draft, now, intakeAt, part, units.length);
  const shownFaults = tried ? faults : {};
  const setCount = (m: Milestone, count: LookDraft['counts'][Milestone], text?: string) =>
    change({ counts: { ...draft.counts, [m]: count }, unread: withUnread(draft.unread, m, text) });

  // and its line on that day, not today's
  const water = part.id === view.part.id ? view.counsel?.water : null;
  const reckonedMm =
    part.kind !== 'tube'
      ? null
      : water
        ? Math.min(part.waterLineMm, reckonedLineMm(part, water, now.toISOString(), momentShown))
        : part.waterLineMm;

  const write = useOnce(async (said: LookDraft) => {
    const body = lookBody(said, momentOf(draft.day, now, intakeAt, amended?.at, draft.time));
    const before = amended?.photos ?? [];
    for (const photo of said.photos)
      if (!before.includes(photo)) await put({ what: 'photo', id: photo, queenId: queen.id, at: body.at });
    const written = amended
      ? await amendEntry({ queenId: queen.id, id: amended.id }, body, amended.over)
      : await writeEntry(queen.id, body);
    clear();
    offerUndo(amended ? 'Look: put right.' : `Look at ${queen.label} kept.`, () => amendEntry(written, null));
    goBack(`/queens/${queen.id}`);
  });
  const save = () => {
    setTried(true);
    const wrong = MILESTONES.find((m) => faults.counts?.[m]);
    // what cannot be read is shown where it stands
    if (wrong) choose(wrong, true);
    if (Object.keys(faults).length > 0) return;
    if (!amended && uncounted(draft).length > 0) setAsked(true);
    else write(draft);
  };

  const seen = useCallback(() => change({ queen: 'seen' }), [change]);
  const { stage, choose, pad } = useStages({ onSeen: seen, onKeep: save });

  const last = view.ledger.lastLook;
  const copyLast = () =>
    change({
      queen: 'seen',
      counts: {
        eggs: view.ledger.counts.eggs?.range ?? null,
        larvae: view.ledger.counts.larvae?.range ?? null,
        pupae: view.ledger.counts.pupae?.range ?? null,
        workers: view.ledger.counts.workers?.range ?? null,
      },
    });
  const lookVerdict = view.counsel?.verdicts.find((v) => v.id === 'look');

  return (
    <Screen
      question={amended ? 'What was it really?' : 'What do you see?'}
      back={`/queens/${queen.id}`}
      side={
        <>
          <Words soft>
            {amended
              ? `${queen.label}: you are putting right a look. What it said before stays in her log.`
              : `${queen.label}. Short and planned: queen, brood, ${part.kind === 'tube' ? 'water, plug' : 'how moist it is'}, mould. Then shut the drawer.`}
          </Words>
          {!amended && lookVerdict?.answer === 'not yet' && draft.day === null ? (
            <Caution>
              <Words kind="small">
                By your method she should still be left alone. If you have looked already, write it down all
                the same: the log stays honest.
              </Words>
            </Caution>
          ) : null}
          <LookDrawing
            part={part}
            gates={view.housing.parts.find((p) => p.part.id === part.id)?.gates ?? {}}
            profile={profile}
            draft={draft}
            reckonedMm={reckonedMm}
            stage={stage}
            onStage={choose}
            onChange={change}
          />
          <CountPad
            key={pad.key}
            typing={pad.typing}
            onNext={pad.onNext}
            stage={stage}
            count={draft.counts[stage]}
            fieldKeys={pad.fieldKeys}
            unread={draft.unread[stage]}
            fault={shownFaults.counts?.[stage]}
            onChange={(c, text) => setCount(stage, c, text)}
          />
          {uncounted(draft).length > 0 && !(asked && Object.keys(faults).length === 0) ? (
            <Button mode="text" style={styles.left} onPress={() => change(nothingElse(draft))}>
              {NOTHING_ELSE}
            </Button>
          ) : null}
        </>
      }
      foot={
        <View>
          <Fault>
            {shownFaults.all ??
              shownFaults.day ??
              shownFaults.water ??
              (shownFaults.counts ? Object.values(shownFaults.counts)[0] : undefined)}
          </Fault>
          {asked && Object.keys(faults).length === 0 && uncounted(draft).length > 0 ? (
            <Asked
              open={uncounted(draft)}
              onNone={() => write(nothingElse(draft))}
              onNotLooked={() => write(draft)}
            />
          ) : (
            <Button mode="contained" icon="check" onPress={save}>
              {amended ? 'Keep the correction' : 'Keep this look'}
            </Button>
          )}
        </View>
      }
    >
      <Returned kept={kept} />
      <When
        label="Day of the look"
        value={draft}
        limits={{ from: intakeAt }}
        amends={amended !== null}
        fault={faults.day}
        onChange={change}
      />
      {last && !amended ? (
        <Button mode="outlined" icon="content-copy" onPress={copyLast}>
          {`Same brood as ${nearText(last.at)}`}
        </Button>
      ) : null}
      <Sheet tight>
        <Choice
          label="The queen"
          options={SEEN}
          value={draft.queen}
          onChange={(v) => change({ queen: v })}
          onClear={() => change({ queen: null })}
        />
        {part.kind === 'tube' ? (
          <Choice
            label="How far the inner plug is wet"
            options={FRONTS}
            value={draft.wetFront}
            onChange={(wetFront) => change({ wetFront })}
            onClear={() => change({ wetFront: null })}
          />
        ) : null}
        <Choice
          label="Mould"
          options={part.kind === 'tube' ? MOULDS : BODY_MOULDS}
          value={draft.mould}
          onChange={(mould) => change({ mould })}
          onClear={() => change({ mould: null })}
        />
        <Troubles draft={draft} onChange={change} />
        <MoreSeen
          draft={draft}
          faults={faults.counts}
          queens={view.ledger.intake?.queens ?? 1}
          lastPhoto={photosOf(shown)
            .filter((f) => !draft.photos.includes(f.id) && f.at <= momentShown)
            .at(-1)}
          onChange={change}
        />
        <TextField label="Note" multiline value={draft.text} onChange={(text) => change({ text })} />
      </Sheet>
      <Discard kept={kept} onDiscard={discard} />
    </Screen>
  );
}

const NOTHING_ELSE = 'Nothing else in there';

interface AskedProps {
  /** The stages of which nothing is noted. */
  open: readonly Milestone[];
  onNone(): void;
  onNotLooked(): void;
}

/** Some stages were counted: was there nothing of the others, or did nobody look for them? The two are different facts. */
function Asked({ open, onNone, onNotLooked }: AskedProps) {
  const here = useRef<View>(null);
  // the button that was pressed is gone: whoever goes by keys goes on from here
  useEffect(() => here.current?.focus(), []);
  return (
    <View ref={here} tabIndex={-1} style={styles.asked} role="alert">
      <Words kind="bold">{`Were there any ${listed(open)}?`}</Words>
      <View style={styles.answers}>
        <Button mode="contained" style={styles.fill} onPress={onNone}>
          {NOTHING_ELSE}
        </Button>
        <Button mode="outlined" style={styles.fill} onPress={onNotLooked}>
          Not looked for
        </Button>
      </View>
    </View>
  );
}

/** "larvae", "larvae or pupae", "larvae, pupae or workers". */
const listed = (words: readonly string[]): string =>
  new Intl.ListFormat('en-GB', { type: 'disjunction' }).format(words);

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  asked: { gap: SPACE.s },
  answers: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  fill: { flexGrow: 1 },
});
