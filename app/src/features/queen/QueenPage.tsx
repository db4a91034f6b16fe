import { learnedProfile } from '@gentle-burrow/core/founding';
import { effectiveEntries, isWithdrawn } from '@gentle-burrow/core/log';
import { addDays, daysText } from '@gentle-burrow/core/quantity';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { amendEntry, useQueen, useSettings, useSpecies, writeEntry, type ShownQueen } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { useKeys } from '@/ui/keys';
import { Said } from '@/ui/Said';
import { Screen } from '@/ui/Screen';
import { Fold } from '@/ui/Fold';
import { Caution, Sheet } from '@/ui/Sheet';
import { Failed, Loading } from '@/ui/states';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { Deeds } from '@/features/log/Deeds';
import { kindIcon } from '@/features/log/kind-views';
import { REST_TERMS } from '@/features/log/kinds/rest/form';
import { HerFounder } from '@/features/founder/HerFounder';
import { PhotoStrip } from '@/features/photos/PhotoStrip';
import { WhatIfPanel, workersText } from '@/features/what-if/WhatIfPanel';
import { bandText, dayText } from '@/ui/dates';
import { PeacePanel } from './PeacePanel';
import { Contradictions } from './Contradictions';
import { HerTube } from './HerTube';
import { Log } from './Log';
import { StageChart } from './StageChart';
import { Verdicts } from './Verdicts';
import { SaysWho } from './SaysWho';

/** How is she doing? */
export function QueenPage({ id }: { id: string }) {
  const { data, loading, error, retry } = useQueen(id);
  const keys = useMemo(() => ({ l: () => router.navigate(`/queens/${id}/look` as never) }), [id]);
  useKeys(keys);
  return (
    <Screen
      question={data ? `How is ${data.facts.queen.label} doing?` : 'How is she doing?'}
      back="/"
      foot={data && !isGone(data) && !isWithdrawn(data.facts.entries) ? <LookActions shown={data} /> : null}
    >
      {loading ? <Loading what="her log" /> : null}
      {error ? <Failed error={error} onRetry={retry} /> : null}
      {data ? isWithdrawn(data.facts.entries) ? <Withdrawn shown={data} /> : <Queen shown={data} /> : null}
    </Screen>
  );
}

/** Taken in by mistake: nothing is said of her, but her log is there, and she can be brought back. */
function Withdrawn({ shown }: { shown: ShownQueen }) {
  const { queen, entries } = shown.facts;
  const back = async () => {
    for (const { original, entry, amendment } of effectiveEntries(entries))
      if (original.kind === 'intake' && entry === null && amendment)
        await amendEntry(queen.id, amendment.id, null);
  };
  return (
    <>
      <Words kind="answer">{`${queen.label} was taken in by mistake and is withdrawn.`}</Words>
      <Words>She stands on no shelf and in no comparison; the export tells that she was withdrawn.</Words>
      <Button mode="contained" icon="undo" style={styles.watch} onPress={() => void back()}>
        Bring her back
      </Button>
    </>
  );
}

function Queen({ shown }: { shown: ShownQueen }) {
  const p = useBurrow();
  const { facts, view, waiting } = shown;
  const profile = useSpecies().find((s) => s.id === view.profileId);
  const { learn } = useSettings();
  const taught = profile && learn ? learnedProfile(profile, shown.learned[profile.id] ?? {}) : profile;
  const advice = view.counsel;
  const color = advice ? { now: p.clay, soon: p.amber, free: p.ink, rest: p.ink }[advice.pressure] : p.clay;
  return (
    <>
      <View style={styles.names}>
        <Words kind="latin" soft>
          {profile?.name ?? 'Unknown'}
        </Words>
        <Words kind="small" soft>
          {[facts.place.name, facts.queen.batch].filter(Boolean).join(' · ')}
        </Words>
      </View>
      <View aria-live="polite" style={styles.next}>
        {advice ? (
          <Said kind="answer" phrase={advice.next} color={color} />
        ) : (
          <Words kind="answer" color={color}>
            {view.trouble?.message ?? 'Nothing can be said yet.'}
          </Words>
        )}
        {waiting ? (
          <Words kind="small" soft>
            Worked out on this device; not sent to the server yet.
          </Words>
        ) : null}
      </View>
      <Contradictions shown={shown} />
      <HerTube shown={shown} profile={profile} />
      {view.outlook && !view.ledger.loss ? (
        <Button
          mode="text"
          icon="creation-outline"
          style={styles.watch}
          onPress={() => router.navigate(`/queens/${facts.queen.id}/watch` as never)}
        >
          What is she probably doing?
        </Button>
      ) : null}
      {profile?.cautions.map((c) => (
        <Caution key={c}>
          <Words kind="small">{c}</Words>
        </Caution>
      ))}
      {view.outlook && !view.ledger.loss ? (
        <Sheet>
          <Words kind="heading" level={2}>
            When?
          </Words>
          <StageChart view={view} facts={facts} />
          <Later shown={shown} />
        </Sheet>
      ) : null}
      {view.outlook && !view.ledger.loss ? (
        <Fold title="What if?">
          <WhatIfPanel shown={shown} />
        </Fold>
      ) : null}
      <PhotoStrip shown={shown} />
      {advice && advice.verdicts.length > 0 ? (
        <Sheet>
          <Words kind="heading" level={2}>
            What next, and why
          </Words>
          {view.ledger.loss ? null : (
            <PeacePanel peace={advice.peace} outlook={view.outlook} water={advice.water} />
          )}
          <Verdicts verdicts={advice.verdicts} entries={facts.entries} queenId={facts.queen.id} />
        </Sheet>
      ) : null}
      {view.ledger.loss ? null : <HerFounder shown={shown} />}
      {isGone(shown) ? null : (
        <Sheet tight>
          <Deeds shown={shown} kinds={CARE} />
        </Sheet>
      )}
      <Sheet>
        <Words kind="heading" level={2}>
          Her log
        </Words>
        <Log shown={shown} />
      </Sheet>
      {taught ? <SaysWho profile={taught} /> : null}
    </>
  );
}

/** What is written of her care, the likeliest first. */
const CARE = ['feed', 'note', 'move', 'knock', 'health', 'loss', 'correct'] as const;

/** Dead or away; a colony that lives on without her is not. */
const isGone = ({ view }: ShownQueen): boolean => view.ledger.loss !== null && !view.ledger.loss.orphans;

/** Beyond the first batch, and whose queens this was learned from. */
function Later({ shown }: { shown: ShownQueen }) {
  const { outlook, ledger, learnedFrom } = shown.view;
  if (!outlook?.later) return null;
  const { secondBatch, byWinter } = outlook.later;
  const eggs = ledger.batches[1]?.eggs;
  return (
    <View>
      <Words kind="small">
        {`Second batch: ${eggs ? 'laid' : `eggs ${bandText(secondBatch.eggs)}`}, workers ${bandText(secondBatch.workers)}.`}
      </Words>
      {byWinter ? (
        <Words kind="small">{`By winter, ${dayText(byWinter.on)}: ${workersText(byWinter.workers)}.`}</Words>
      ) : null}
      <Words kind="small" soft>
        She lays again when the first brood pupates (common practice); days and batch sizes beyond the first
        are our own, held loosely.
      </Words>
      <Words kind="small" soft>
        {learnedFrom > 0
          ? `Moved by what your other queens of her kind showed (n=${learnedFrom}). Under “What if?” it can be left out.`
          : 'By the profile alone: no other queen of her kind has finished a stage here.'}
      </Words>
    </View>
  );
}

/** A look taken, and a look not taken: one is as easy as the other, and neither is written by a stray tap. */
function LookActions({ shown }: { shown: ShownQueen }) {
  const { id } = shown.facts.queen;
  const [asking, setAsking] = useState(false);
  const rest = async (days: number) => {
    const at = new Date().toISOString();
    const entry = await writeEntry(id, { kind: 'rest', at, until: addDays(at, days) });
    setAsking(false);
    offerUndo(`Left alone for ${daysText(days)}.`, () => amendEntry(id, entry.id, null));
  };
  if (asking)
    return (
      <View role="group" aria-label="Leave alone for how long?" style={styles.actions}>
        {REST_TERMS.map((days) => (
          <Button
            key={days}
            compact
            mode="outlined"
            style={styles.action}
            accessibilityLabel={`Leave alone for ${daysText(days)}`}
            onPress={() => void rest(days)}
          >
            {daysText(days)}
          </Button>
        ))}
        <IconButton icon="close" accessibilityLabel="Do not leave alone" onPress={() => setAsking(false)} />
      </View>
    );
  return (
    <View style={styles.actions}>
      <Button
        mode="contained"
        icon={kindIcon('look')}
        style={styles.action}
        onPress={() => router.navigate(`/queens/${id}/look` as never)}
      >
        Log a look
      </Button>
      <Button mode="outlined" icon={kindIcon('rest')} style={styles.action} onPress={() => setAsking(true)}>
        Leave alone
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  names: { gap: SPACE.xs, marginTop: -SPACE.m },
  next: { gap: SPACE.xs },
  watch: { alignSelf: 'flex-start', marginTop: -SPACE.s },
  actions: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  action: { flex: 1 },
});
