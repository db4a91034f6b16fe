import type { Instant } from '@gentle-burrow/core/quantity';
import type { QueenView, ShelfRow } from '@gentle-burrow/core/view';
import { useCallback, useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { takeBack, writeEntries } from '@/data/entries';
import { useQueen, useShelf, useSpecies, type ShownQueen } from '@/data/queries';
import { TaskAnswers } from '@/features/log/TaskAnswers';
import { CountPad } from '@/features/look/CountPad';
import {
  EMPTY_LOOK,
  faultsOf,
  lookBody,
  nothingElse,
  uncounted,
  withUnread,
  type LookDraft,
} from '@/features/look/look-draft';
import { useStages } from '@/features/look/use-stages';
import { LookDrawing } from '@/features/look/LookDrawing';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText } from '@/ui/dates';
import { useDraft } from '@/ui/drafts';
import { Fault } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Failed, Loading } from '@/ui/states';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import {
  begin,
  changes,
  checksFor,
  current,
  feedsOf,
  isTold,
  lookedSince,
  NO_FOOD,
  NO_ROUND,
  noChange,
  standing,
  whoIsDue,
  type FoodDone,
  type Outcome,
  type Round,
} from './round';
import { RoundList } from '@/features/paper/RoundList';
import { usePaper } from '@/ui/paper';
import { RoundFood } from './RoundFood';
import { useOnce } from '@/ui/useOnce';
import { go } from '@/ui/way';
import { NAMES } from '@/words/names';

/** Tube by tube: what to check and why, one tap for "no change", and at the end what it changed. */
export function RoundPage() {
  const shelf = useShelf();
  const { value: round, change, clear } = useDraft<Round>('round', NO_ROUND);
  const id = current(round);
  const settle = useCallback(
    (queen: string, outcome: Outcome) => change({ done: { ...round.done, [queen]: outcome } }),
    [change, round.done],
  );
  if (round.queue.length > 0 && id) {
    return (
      <Card
        key={id}
        id={id}
        row={shelf.data?.find((r) => r.queen.id === id)}
        at={Object.keys(round.done).length + 1}
        of={round.queue.length}
        since={round.at}
        onDone={(outcome) => settle(id, outcome)}
        onUndo={() =>
          change({ done: Object.fromEntries(Object.entries(round.done).filter(([k]) => k !== id)) })
        }
        onEnd={() => change({ queue: Object.keys(round.done) })}
      />
    );
  }
  if (round.queue.length > 0 && !isTold(round, new Date()))
    return <Summary round={round} rows={shelf.data ?? []} onClose={clear} />;
  return (
    <Screen question="Shall we go round?" back="/">
      {shelf.loading ? <Loading what="the shelf" /> : null}
      {shelf.error ? <Failed error={shelf.error} onRetry={shelf.retry} /> : null}
      {shelf.data ? (
        <Start rows={shelf.data} onBegin={(rows) => change(begin(rows, new Date().toISOString()))} />
      ) : null}
    </Screen>
  );
}

function Start({ rows, onBegin }: { rows: readonly ShelfRow[]; onBegin(rows: ShelfRow[]): void }) {
  const { due, resting } = whoIsDue(rows);
  const [paper, print] = usePaper();
  const units = usePreferences();
  const species = useSpecies();
  const speciesOf = (row: ShelfRow) => species.find((s) => s.id === row.profileId)?.name ?? 'Unknown';
  const n = (list: readonly ShelfRow[]) => (list.length === 1 ? 'One tube' : `${list.length} tubes`);
  return (
    <>
      <Words kind="answer">
        {due.length > 0
          ? `${n(due)} may be looked at${resting.length > 0 ? `; ${resting.length} rest and are left out` : ''}.`
          : 'All rest. The kindest round is none.'}
      </Words>
      <Words>
        Red light, a steady hand, one short look at each. You may stop at any tube and go on later, also
        without a connection.
      </Words>
      <View style={styles.row}>
        <Button mode="contained" disabled={due.length === 0} onPress={() => onBegin(due)}>
          Begin
        </Button>
        {resting.length > 0 ? (
          <Button mode="text" onPress={() => onBegin([...due, ...resting])}>
            With those at rest too
          </Button>
        ) : null}
        <Button mode="text" icon="food-apple-outline" onPress={() => go('/feed')}>
          {NAMES.feedSeveral}
        </Button>
        {paper}
        {due.length > 0 ? (
          <Button
            mode="text"
            icon="printer-outline"
            onPress={() => print(<RoundList rows={due} speciesOf={speciesOf} units={units} />)}
          >
            Print the list
          </Button>
        ) : null}
      </View>
    </>
  );
}

interface CardProps {
  id: string;
  row: ShelfRow | undefined;
  at: number;
  of: number;
  /** When the round began. */
  since: Instant | null;
  onDone(outcome: Outcome): void;
  onUndo(): void;
  onEnd(): void;
}

function Card({ id, row, at, of, since, onDone, onUndo, onEnd }: CardProps) {
  const { data, loading, settled, error, retry } = useQueen(id);
  const looked = data !== null && lookedSince(data.facts.entries, since);
  useEffect(() => {
    if (looked) onDone('looked');
    // eslint-disable-next-line react-hooks/exhaustive-deps -- told once, when it is found out
  }, [looked]);
  if (data)
    return (
      <TubeCard
        shown={data}
        settled={settled}
        row={row}
        at={at}
        of={of}
        onDone={onDone}
        onUndo={onUndo}
        onEnd={onEnd}
      />
    );
  return (
    <Screen question={row ? row.queen.label : 'One moment'} back="/">
      {loading ? <Loading what="her tube" /> : null}
      {error ? <Failed error={error} onRetry={retry} /> : null}
      <Button mode="outlined" onPress={() => onDone('skipped')}>
        Leave her out
      </Button>
    </Screen>
  );
}

/** What is asked of her now besides what the card itself writes: a look and food. */
const otherDeeds = ({ counsel }: QueenView) =>
  (counsel?.due ?? []).filter(
    ({ task, notBefore }) =>
      !['look', 'feed', 'take-out'].includes(task) && Date.parse(notBefore) <= Date.now(),
  );

function TubeCard({
  shown,
  settled,
  row,
  at,
  of,
  onDone,
  onUndo,
  onEnd,
}: Omit<CardProps, 'id' | 'since'> & { shown: ShownQueen; settled: boolean }) {
  const { facts, view } = shown;
  const { queen } = facts;
  const { part } = view;
  const { value: draft, change, clear } = useDraft<LookDraft>(`look.${queen.id}.new`, EMPTY_LOOK);
  const food = useDraft<FoodDone>(`round-food.${queen.id}`, NO_FOOD);
  const profile = useSpecies().find((s) => s.id === view.profileId);
  const units = usePreferences();
  const faults = faultsOf(draft, new Date(), view.ledger.intake?.at ?? queen.createdAt, part, units.length);
  const touched = faults.all === undefined;
  const keep = useOnce(async (outcome: Outcome) => {
    const now = new Date().toISOString();
    const body =
      outcome === 'no-change'
        ? noChange(view, now)
        : lookBody({ ...draft, queen: draft.queen ?? 'seen' }, now);
    const said = [body, ...feedsOf(food.value, standing(view), now)];
    const written = await writeEntries(said.map((b) => ({ queenId: queen.id, body: b })));
    clear();
    food.clear();
    onDone(outcome);
    offerUndo(`${queen.label}: ${outcome === 'no-change' ? 'no change' : 'look kept'}.`, async () => {
      await takeBack(written);
      onUndo();
    });
  });
  const seen = useCallback(() => change({ queen: 'seen' }), [change]);
  const { stage, choose, pad } = useStages({
    onSeen: seen,
    onKeep: () => {
      if (!touched && settled) keep('no-change');
      if (touched && !faults.counts && !faults.water) keep('looked');
    },
  });
  const checks = checksFor(row, view, units);
  return (
    <Screen
      question={`${queen.label}, ${at} of ${of}`}
      back="/"
      side={
        <>
          <Words kind="latin" soft>
            {profile?.name ?? 'Unknown'}
          </Words>
          <View role="list" aria-label="What to check">
            {(checks.length > 0 ? checks : ['Is she alive, and is all as it was?']).map((c) => (
              <View role="listitem" key={c}>
                <Words>{`· ${c}`}</Words>
              </View>
            ))}
          </View>
          {otherDeeds(view).map((d) => (
            <TaskAnswers key={d.task} queenId={queen.id} label={queen.label} due={d} later={false} />
          ))}
          <LookDrawing
            part={part}
            gates={view.housing.parts.find((p) => p.part.id === part.id)?.gates ?? {}}
            profile={profile}
            draft={draft}
            reckonedMm={view.counsel?.water?.lineMm ?? null}
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
            fault={faults.counts?.[stage]}
            fieldKeys={pad.fieldKeys}
            unread={draft.unread[stage]}
            onChange={(c, text) =>
              change({
                counts: { ...draft.counts, [stage]: c },
                unread: withUnread(draft.unread, stage, text),
              })
            }
          />
          {uncounted(draft).length > 0 ? (
            <Button mode="text" onPress={() => change(nothingElse(draft))}>
              Nothing else in there
            </Button>
          ) : null}
        </>
      }
      foot={
        <View style={styles.foot}>
          <Button mode="outlined" style={styles.fill} onPress={() => onDone('skipped')}>
            Leave her out
          </Button>
          {touched ? (
            <Button
              mode="contained"
              style={styles.fill}
              disabled={faults.counts !== undefined || faults.water !== undefined}
              onPress={() => keep('looked')}
            >
              Keep, next
            </Button>
          ) : (
            <Button
              mode="contained"
              style={styles.fill}
              disabled={!settled}
              onPress={() => keep('no-change')}
            >
              No change
            </Button>
          )}
        </View>
      }
    >
      <Fault>{faults.counts ? 'Put the counts right, then go on.' : undefined}</Fault>
      <Sheet tight>
        <RoundFood view={view} done={food.value} change={food.change} />
      </Sheet>
      <Fold title="More, or stop here">
        <View style={styles.row}>
          <Button mode="text" onPress={() => go(`/queens/${queen.id}/look`)}>
            Plug, mould, note
          </Button>
          <Button mode="text" onPress={onEnd}>
            End the round here
          </Button>
        </View>
      </Fold>
    </Screen>
  );
}

const OUTCOMES: Record<Outcome, string> = {
  'no-change': 'no change',
  looked: 'looked at',
  skipped: 'left out',
};

function Summary({ round, rows, onClose }: { round: Round; rows: readonly ShelfRow[]; onClose(): void }) {
  const list = changes(round, rows, dayText);
  const looked = list.filter((c) => c.outcome !== 'skipped').length;
  return (
    <Screen question="The round is over" back="/">
      <Words kind="answer">
        {looked === 1 ? 'One tube was looked at.' : `${looked} tubes were looked at.`} Now shut the drawer.
      </Words>
      <View role="list" aria-label="What it changed">
        {list.map((c) => (
          <View role="listitem" key={c.id} style={styles.change}>
            <Words kind="bold">{`${c.label}: ${OUTCOMES[c.outcome]}`}</Words>
            <Words kind="small">{c.says}</Words>
          </View>
        ))}
      </View>
      <Button
        mode="contained"
        style={styles.left}
        onPress={() => {
          onClose();
          go('/');
        }}
      >
        Close the round
      </Button>
    </Screen>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  foot: { flexDirection: 'row', gap: SPACE.s },
  fill: { flex: 1 },
  left: { alignSelf: 'flex-start' },
  change: { paddingVertical: SPACE.xs },
});
