import { effectiveEntries, isWithdrawn } from '@gentle-burrow/core/log';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { isUnknown } from '@/data/network';
import { amendEntry } from '@/data/entries';
import { useQueen, useSpecies, type ShownQueen } from '@/data/queries';
import { KindCautions } from '@/features/founder/KindCautions';
import { Deeds } from '@/features/log/Deeds';
import { deedsOf, isGone, type Deed } from '@/features/log/deed';
import { GreatMoment } from '@/features/moments/GreatMoment';
import { PhotoStrip } from '@/features/photos/PhotoStrip';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useKeys } from '@/ui/keys';
import { phraseText } from '@/ui/Said';
import { Screen, useIsWide } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Failed, Loading } from '@/ui/states';
import { Told } from '@/ui/Told';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { Ahead } from './Ahead';
import { AskedNow } from './AskedNow';
import { Contradictions } from './Contradictions';
import { HerHome } from './HerHome';
import { Log } from './Log';
import { LookActions } from './LookActions';
import { NoSuchQueen } from './NoSuchQueen';
import { VIEWS, type ViewName } from './views';
import { ViewTabs } from './ViewTabs';
import { Why } from './Why';

interface QueenPageProps {
  id: string;
  view: ViewName;
}

/** One colony, one question a view: how she is now, what comes, why she is advised so, what was written. */
export function QueenPage({ id, view }: QueenPageProps) {
  const { data, loading, error, retry } = useQueen(id);
  const keys = useMemo(() => ({ l: () => go(`/queens/${id}/look`) }), [id]);
  useKeys(keys);
  const wide = useIsWide();
  if (isUnknown(error)) return <NoSuchQueen />;
  const withdrawn = data !== null && isWithdrawn(data.facts.entries);
  if (data === null || withdrawn)
    return (
      <Screen
        question={data ? VIEWS.now.question(data.facts.queen.label) : 'How is she doing?'}
        back="/shelf"
      >
        {loading ? <Loading what="her log" /> : null}
        {error ? <Failed error={error} onRetry={retry} /> : null}
        {withdrawn ? <Withdrawn shown={data} /> : null}
      </Screen>
    );
  const { queen } = data.facts;
  return (
    <Screen
      question={VIEWS[view].question(queen.label)}
      back="/shelf"
      head={
        <>
          <Names shown={data} />
          <ViewTabs id={id} at={view} />
        </>
      }
      // on a phone the drawing stands on the first view alone, so that the others begin with their answer
      side={view === 'now' || wide ? <AtAGlance shown={data} /> : undefined}
      foot={isGone(data.view) ? null : <LookActions id={id} label={queen.label} />}
    >
      {view === 'now' ? <Now shown={data} /> : null}
      {view === 'ahead' ? <Ahead shown={data} /> : null}
      {view === 'why' ? <Why shown={data} /> : null}
      {view === 'log' ? <Log shown={data} /> : null}
    </Screen>
  );
}

/** Taken in by mistake: nothing is said of her, but her log is there, and she can be brought back. */
function Withdrawn({ shown }: { shown: ShownQueen }) {
  const { queen, entries } = shown.facts;
  const back = async () => {
    for (const { original, entry, amendment } of effectiveEntries(entries))
      if (original.kind === 'intake' && entry === null && amendment)
        await amendEntry({ queenId: queen.id, id: amendment.id }, null);
  };
  return (
    <>
      <Words kind="answer">{`${queen.label} was taken in by mistake and is taken back.`}</Words>
      <Words>She stands on no shelf and in no comparison; the export tells that she was taken back.</Words>
      <Button mode="contained" icon="undo" style={styles.left} onPress={() => void back()}>
        Bring her back
      </Button>
    </>
  );
}

function Names({ shown }: { shown: ShownQueen }) {
  const { facts, view } = shown;
  const profile = useSpecies().find((s) => s.id === view.profileId);
  return (
    <View style={styles.names}>
      <Words kind="latin" soft>
        {profile?.name ?? 'Unknown'}
      </Words>
      {view.ledger.species?.called ? (
        <Words kind="small" soft>{`called ${view.ledger.species.called}`}</Words>
      ) : null}
      <Words kind="small" soft>
        {[facts.place.name, facts.queen.batch].filter(Boolean).join(' · ')}
      </Words>
    </View>
  );
}

/** What to do next, and her home as it is now. */
function AtAGlance({ shown }: { shown: ShownQueen }) {
  const p = useBurrow();
  const units = usePreferences();
  const { view, waiting } = shown;
  const profile = useSpecies().find((s) => s.id === view.profileId);
  const advice = view.counsel;
  const color = advice ? { now: p.clay, soon: p.amber, free: p.ink, rest: p.ink }[advice.pressure] : p.clay;
  return (
    <>
      <View aria-live="polite" style={styles.next}>
        {advice ? (
          <Told kind="answer" color={color}>
            {phraseText(advice.next, units)}
          </Told>
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
      <AskedNow shown={shown} />
      <HerHome shown={shown} profile={profile} />
    </>
  );
}

/** A look taken and a look not taken stand at the foot of every view. */
const inView = (deeds: readonly Deed[]): Deed[] => deeds.filter((d) => d !== 'look' && d !== 'rest');

/** What cannot be right, all that can be written of her, her photos, and what is known of her kind. */
function Now({ shown }: { shown: ShownQueen }) {
  const { view } = shown;
  return (
    <>
      <Contradictions shown={shown} />
      <GreatMoment shown={shown} />
      <Sheet tight>
        <Words kind="heading" level={2}>
          Write down
        </Words>
        <Deeds shown={shown} deeds={inView(deedsOf(view, new Date()))} />
      </Sheet>
      <KindCautions profileId={view.profileId} />
      <PhotoStrip shown={shown} />
    </>
  );
}

const styles = StyleSheet.create({
  names: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'baseline', columnGap: SPACE.m },
  next: { gap: SPACE.xs },
  left: { alignSelf: 'flex-start' },
});
