import { figureOf, OWN_FIGURE_IDS, type KindCard, type SpeciesProfile } from '@gentle-burrow/core/species';
import { StyleSheet, View } from 'react-native';
import { useOwnKinds, useOwnKindsKnown, useShelf, useSpecies } from '@/data/queries';
import { KindCautions } from '@/features/founder/KindCautions';
import { KindSilhouette } from '@/features/founder/KindSilhouette';
import { useProfileOf } from '@/features/founder/profiles';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Screen, useIsWide } from '@/ui/Screen';
import { Caution, Sheet } from '@/ui/Sheet';
import { Loading } from '@/ui/states';
import { go } from '@/ui/way';
import { Way } from '@/ui/Way';
import { Words } from '@/ui/Words';
import { FIGURE_TITLES, isUnknown } from '@/words/figures';
import { FOUNDER_WORDS } from '@/words/kind';
import { Figures } from './Figures';
import { Differences, OwnDeeds } from './OwnDeeds';
import { NoSuchKind } from './NoSuchKind';
import { QueensSay } from './QueensSay';

/** What is known of this kind? Every figure with who says so, what the keeper's queens say, and what nobody knows. */
export function KindPage({ id }: { id: string }) {
  const kinds = useSpecies();
  const kind = kinds.find((k) => k.id === id);
  const own = useOwnKinds().find((k) => k.id === id);
  const profile = useProfileOf()(id);
  const isWide = useIsWide();
  const known = useOwnKindsKnown();
  if (!kind)
    return kinds.length > 0 && known ? (
      <NoSuchKind />
    ) : (
      <Screen question="What is known of this kind?" back="/kinds">
        <Loading what="the kind" />
      </Screen>
    );
  return (
    <Screen question={`What is known of ${kind.name}?`} back="/kinds" wide head={<Head kind={kind} />}>
      {kind.differs ? (
        <Caution>
          <Words kind="small">{`${kind.differs.says} ${kind.differs.tells}`}</Words>
        </Caution>
      ) : null}
      <KindCautions profileId={id} />
      {own ? <OwnDeeds own={own} /> : <Copy kind={kind} />}
      {own ? <Differences own={own} profile={profile} /> : null}
      <QueensSay kind={kind} />
      <Kept kind={kind} />
      <NotKnown profile={profile} />
      <Fold title="Every figure, and who says so" begin={isWide}>
        <Figures profile={profile} />
      </Fold>
    </Screen>
  );
}

/** Her queen in her size, and her other names. */
function Head({ kind }: { kind: KindCard }) {
  const others = kind.otherNames.filter((n) => n !== kind.name);
  return (
    <View style={styles.head}>
      <KindSilhouette kind={kind} width={120} />
      <View style={styles.fill}>
        <Words kind="bold">{FOUNDER_WORDS[kind.founder.value]}</Words>
        <Words kind="small" soft>
          {[
            kind.rank === 'genus' ? 'any of this genus' : null,
            others.length > 0 ? `also called ${others.join(', ')}` : null,
            kind.regions.join(', '),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Words>
      </View>
    </View>
  );
}

function Copy({ kind }: { kind: KindCard }) {
  return (
    <Sheet tight>
      <Words kind="small" soft>
        You know something better? Copy it and change what you know. The catalogue stays as it is, and no
        update writes over yours.
      </Words>
      <Button
        mode="outlined"
        icon="pencil-outline"
        style={styles.left}
        onPress={() => go(`/kinds/${kind.id}/own`)}
      >
        Copy and change
      </Button>
    </Sheet>
  );
}

/** The keeper's queens that are held to be of this kind. */
function Kept({ kind }: { kind: KindCard }) {
  const rows = (useShelf().data ?? []).filter((r) => r.profileId === kind.id);
  if (rows.length === 0) return null;
  return (
    <Fold title={rows.length === 1 ? 'One queen of yours' : `${rows.length} queens of yours`}>
      {rows.map((r) => (
        <Way
          key={r.queen.id}
          to={`/queens/${r.queen.id}`}
          icon="test-tube"
          title={r.queen.label}
          says={[r.placeName, r.queen.batch].filter(Boolean).join(' · ')}
        />
      ))}
    </Fold>
  );
}

/** What nobody says, and what is only said of such ants at large. */
function NotKnown({ profile }: { profile: SpeciesProfile }) {
  const titles = (of: (id: (typeof OWN_FIGURE_IDS)[number]) => boolean) =>
    OWN_FIGURE_IDS.filter(of).map((id) => FIGURE_TITLES[id].toLowerCase());
  const unknown = titles((id) => isUnknown(figureOf(profile, id).value));
  const coarse = titles(
    (id) =>
      profile.rank !== 'type' &&
      figureOf(profile, id).level === 'type' &&
      !isUnknown(figureOf(profile, id).value),
  );
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        What is not known
      </Words>
      <Words>
        {unknown.length > 0 ? `Nobody says: ${unknown.join(', ')}.` : 'Of every figure something is said.'}
      </Words>
      {coarse.length > 0 ? (
        <Words soft>{`Only of such ants at large, and held loosely: ${coarse.join(', ')}.`}</Words>
      ) : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  fill: { flex: 1 },
  left: { alignSelf: 'flex-start' },
});
