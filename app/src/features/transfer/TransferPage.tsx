import { missing, standing, tallyFault } from '@gentle-burrow/core/housing';
import type { BodyOf, Tally } from '@gentle-burrow/core/log';
import { TALLIED, type Tallied } from '@gentle-burrow/core/vocabulary';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { isUnknown } from '@/data/network';
import { amendEntry, writeEntry } from '@/data/entries';
import { useQueen, type ShownQueen } from '@/data/queries';
import { partName } from '@/features/home/part-name';
import { NoSuchQueen } from '@/features/queen/NoSuchQueen';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/drafts';
import { Fault, TextField } from '@/ui/fields';
import { KindCautions } from '@/features/founder/KindCautions';
import { Discard, Returned } from '@/ui/Returned';
import { Screen } from '@/ui/Screen';
import { Caution } from '@/ui/Sheet';
import { Failed, Loading } from '@/ui/states';
import { Tick } from '@/ui/Tick';
import { offerUndo } from '@/ui/undo';
import { useOnce } from '@/ui/useOnce';
import { goBack, goInstead } from '@/ui/way';
import { Words } from '@/ui/Words';
import { capital } from '@gentle-burrow/core/words';
import { TALLIED_WORDS } from '@/words/home';

interface Draft {
  out: Tally['out'];
  into: Tally['into'];
  /** Still in the old one, and not found any more. */
  stayed: Tally['out'];
  lost: Tally['out'];
  explained: string;
  /** Nobody is left in the old tube. */
  empty: boolean;
}

const NOTHING: Draft = { out: {}, into: {}, stayed: {}, lost: {}, explained: '', empty: false };

/** Brought over by hand: is everyone across? */
export function TransferPage({ id }: { id: string }) {
  const { data, loading, error, retry } = useQueen(id);
  if (isUnknown(error)) return <NoSuchQueen />;
  const back = `/queens/${id}`;
  if (!data)
    return (
      <Screen question="Is everyone across?" back={back}>
        {loading ? <Loading what="her tube" /> : null}
        {error ? <Failed error={error} onRetry={retry} /> : null}
      </Screen>
    );
  const { housing } = data.view;
  const to = housing.move?.to ?? standing(housing).find((p) => p.part.id !== housing.home)?.part.id;
  return to ? (
    <Counting shown={data} to={to} />
  ) : (
    <Screen question="Is everyone across?" back={back}>
      <Words>There is no other home to bring them into. Set one up first: “Her home” on her page.</Words>
      <Button mode="contained" style={styles.left} onPress={() => goInstead(back)}>
        To her page
      </Button>
    </Screen>
  );
}

function Counting({ shown, to }: { shown: ShownQueen; to: string }) {
  const { queen } = shown.facts;
  const { housing } = shown.view;
  const { value: draft, change, clear, discard, kept } = useDraft<Draft>(`transfer.${queen.id}`, NOTHING);
  const [tried, setTried] = useState(false);
  const { out, into, empty } = draft;
  // a draft of an earlier version knows neither
  const { stayed = {}, lost = {} } = draft as Partial<Draft>;
  const explained = draft.explained.trim();
  // stragglers come out of the old tube too, when she lives in the fresh one already
  const from = housing.move?.from ?? housing.home;
  const tally: Tally = {
    out,
    into,
    ...(some(stayed) ? { left: stayed } : {}),
    ...(some(lost) ? { lost } : {}),
    ...(explained ? { explained } : {}),
  };
  const fault = tallyFault(tally);
  const left = missing(tally);
  // who was missed and is told keeps a row
  const told = TALLIED.filter(
    (who) => left.some((l) => l.who === who) || (stayed[who] ?? 0) + (lost[who] ?? 0) > 0,
  );
  const step = (side: 'out' | 'into' | 'stayed' | 'lost', who: Tallied, by: number) => {
    const had = (draft as Partial<Draft>)[side] ?? {};
    change({ [side]: { ...had, [who]: Math.max(0, (had[who] ?? 0) + by) } });
  };
  const write = useOnce(async () => {
    const body = bodyOf(tally, to, empty);
    const written = await writeEntry(queen.id, body);
    clear();
    offerUndo(`${queen.label}: brought over.`, () => amendEntry(written, null));
    goBack(`/queens/${queen.id}`);
  });
  const keep = () => {
    setTried(true);
    if (!fault) write();
  };
  return (
    <Screen
      question="Is everyone across?"
      back={`/queens/${queen.id}`}
      foot={
        <Button mode="contained" icon="check" onPress={keep}>
          Keep this transfer
        </Button>
      }
    >
      <Returned kept={kept} />
      <View aria-live="polite">
        <Words kind="answer">
          {left.length > 0
            ? `Still missing: ${left.map(({ who, n }) => `${n} ${TALLIED_WORDS[who](n)}`).join(', ')}.`
            : fault
              ? 'Tap what you take out, then what you set in.'
              : 'In equals out.'}
        </Words>
      </View>
      <Words kind="small" soft>
        {`Out of ${partName(housing, from) ?? 'her tube'}, into ${partName(housing, to) ?? 'the other'}: workers one by one, brood into a cap, the queen last. What is counted stays when you leave this page.`}
      </Words>
      <View>
        {TALLIED.map((who) => (
          <CounterRow
            key={who}
            who={who}
            counters={[
              { says: 'out', n: out[who], onStep: (by) => step('out', who, by) },
              { says: 'in', n: into[who], onStep: (by) => step('into', who, by) },
            ]}
          />
        ))}
      </View>
      {told.length > 0 ? (
        <View>
          <Words kind="small" soft>
            Where are those who are missing? Count them as left in the old one, or as lost.
          </Words>
          {told.map((who) => (
            <CounterRow
              key={who}
              who={who}
              missing
              counters={[
                {
                  says: 'left',
                  where: 'left in the old one',
                  n: stayed[who],
                  onStep: (by) => step('stayed', who, by),
                },
                { says: 'lost', n: lost[who], onStep: (by) => step('lost', who, by) },
              ]}
            />
          ))}
        </View>
      ) : null}
      {left.length > 0 ? (
        <TextField
          label="What became of those missing, if you know"
          value={draft.explained}
          onChange={(next) => change({ explained: next })}
        />
      ) : null}
      <Tick label="Nobody is left in the old one" on={empty} onPress={() => change({ empty: !empty })} />
      <Fault>{tried ? (fault ?? undefined) : undefined}</Fault>
      <Discard kept={kept} onDiscard={discard} />
      <KindCautions profileId={shown.view.profileId} opening />
      <Caution>
        <Words kind="small">
          Kinds that spray or sting: eyes and skin covered, fresh air, and never tipped out. Brood sticks to
          brushes and gets lost. Ants that stayed behind are never released.
        </Words>
      </Caution>
    </Screen>
  );
}

/** Whether any were counted. */
const some = (counts: Tally['out']): boolean => Object.values(counts).some((n) => (n ?? 0) > 0);

interface Counted {
  /** Below the number. */
  says: string;
  /** The same in full, where it needs more words. */
  where?: string;
  n: number | undefined;
  onStep(by: number): void;
}

/** What is counted of one kind of ants, two counters a row. */
function CounterRow({
  who,
  missing = false,
  counters,
}: {
  who: Tallied;
  missing?: boolean;
  counters: readonly Counted[];
}) {
  const many = TALLIED_WORDS[who](2);
  return (
    <View style={styles.row} role="group" aria-label={missing ? `Missing ${many}` : many}>
      <Words kind="bold" style={styles.name}>
        {capital(many)}
      </Words>
      {counters.map((c) => (
        <Counter key={c.says} {...c} label={`${many} ${c.where ?? c.says}`} />
      ))}
    </View>
  );
}

/** A large target to count up, a small one to take back. */
function Counter({ label, says, n = 0, onStep }: Counted & { label: string }) {
  const p = useBurrow();
  return (
    <View style={styles.counter}>
      <IconButton
        icon="minus"
        size={18}
        disabled={n === 0}
        accessibilityLabel={`One fewer: ${label}`}
        style={styles.less}
        onPress={() => onStep(-1)}
      />
      <Pressable
        role="button"
        aria-label={`One more: ${label}, ${n} so far`}
        onPress={() => onStep(1)}
        style={[styles.more, { borderColor: p.moss, backgroundColor: p.sheet }]}
      >
        <Words kind="heading">{String(n)}</Words>
        <Words kind="small" soft>
          {says}
        </Words>
      </Pressable>
    </View>
  );
}

const BROOD = ['eggs', 'larvae', 'pupae'] as const;

/** What the tally says of who lives where: all of them only when nobody was left behind. */
function bodyOf(tally: Tally, to: string, empty: boolean): BodyOf<'home'> {
  const came = (who: Tallied) => (tally.into[who] ?? 0) > 0;
  return {
    kind: 'home',
    at: new Date().toISOString(),
    change: {
      what: 'moved-in',
      partId: to,
      // a queen that went out and did not come in is not there, whoever else is
      ...(came('queens') || (empty && !tally.out.queens) ? { queen: true } : {}),
      ...(empty ? { brood: 'all' as const } : BROOD.some(came) ? { brood: 'some' as const } : {}),
      ...(empty ? { workers: 'all' as const } : came('workers') ? { workers: 'most' as const } : {}),
      how: 'by-hand',
      tally,
    },
  };
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: SPACE.s,
    paddingVertical: SPACE.xs,
  },
  name: { flexGrow: 1, flexBasis: 70 },
  counter: { flexDirection: 'row', alignItems: 'center' },
  less: { margin: 0, width: TARGET, height: TARGET },
  more: {
    minWidth: 72,
    minHeight: 56,
    borderWidth: 1,
    borderRadius: 8,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
