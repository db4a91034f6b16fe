import { figureOf, OWN_FIGURE_IDS, provenanceText, type SpeciesProfile } from '@gentle-burrow/core/species';
import { ownDocument, type OwnKind } from '@gentle-burrow/core/species/own';
import { useQueryClient } from '@tanstack/react-query';
import { StyleSheet, View } from 'react-native';
import { put } from '@/data/outbox';
import { takeBack, writeEntries } from '@/data/entries';
import { knownQueens, useShelf } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { useOnce } from '@/ui/useOnce';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { FIGURE_TITLES, figureText } from '@/words/figures';
import { takeAlong } from './take-along';

/** What can be done with an own profile: changed, taken along, used, put away. */
export function OwnDeeds({ own }: { own: OwnKind }) {
  const { retired, ...rest } = own;
  const client = useQueryClient();
  const could = (useShelf().data ?? []).filter((r) => r.profileId === own.copiedOf && !r.lost);
  const use = useOnce(async () => {
    const known = await knownQueens(
      client,
      could.map((r) => r.queen.id),
    );
    const at = new Date().toISOString();
    const written = await writeEntries(
      known.flatMap(({ queen, view }) => {
        const belief = view.ledger.species;
        if (belief?.profileId !== own.copiedOf) return [];
        const species = { ...belief, profileId: own.id };
        return [{ queenId: queen.id, body: { kind: 'identify' as const, at, species } }];
      }),
    );
    if (written.length > 0)
      offerUndo(`${written.length === 1 ? 'One queen' : `${written.length} queens`} named by it.`, () =>
        takeBack(written),
      );
  });
  const turn = async () => {
    await put({ what: 'own-kind', kind: retired ? rest : { ...own, retired: true } });
    offerUndo(retired ? `${own.name} is offered again.` : `${own.name} put away.`, () =>
      put({ what: 'own-kind', kind: own }),
    );
  };
  return (
    <Sheet tight>
      <Words kind="small" soft>
        {retired
          ? 'Your own profile, put away: it is not offered any more, and still reckoned with where a queen has it.'
          : 'Your own profile. Choose it for a queen under “Change species”, or when you take one in.'}
      </Words>
      <View style={styles.row}>
        <Button mode="outlined" icon="pencil-outline" onPress={() => go(`/kinds/${own.id}/own`)}>
          Change it
        </Button>
        <Button mode="outlined" icon="download" onPress={() => takeAlong('profile.json', ownDocument([own]))}>
          Take it with you
        </Button>
        {could.length > 0 && !retired ? (
          <Button mode="outlined" icon="check-all" onPress={use}>
            {could.length === 1
              ? `Use it for ${could[0]?.queen.label}`
              : `Use it for your ${could.length} queens of ${own.copiedName}`}
          </Button>
        ) : null}
        <Button mode="text" icon={retired ? 'undo' : 'archive-outline'} onPress={() => void turn()}>
          {retired ? 'Offer it again' : 'Put it away'}
        </Button>
      </View>
    </Sheet>
  );
}

/** Where the keeper's own figures differ from the catalogue as it stands today. */
export function Differences({ own, profile }: { own: OwnKind; profile: SpeciesProfile }) {
  const units = usePreferences();
  const profileOf = useProfileOf();
  const copied = profileOf(profile.copiedOf ?? profile.id);
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        {`Where it differs from ${copied.name}`}
      </Words>
      {OWN_FIGURE_IDS.map((id) => {
        const mine = own.figures[id];
        if (!mine) return null;
        const theirs = figureOf(copied, id);
        const text = figureText(id, mine.value as never, units);
        const other = figureText(id, theirs.value as never, units);
        return (
          <View key={id}>
            <Words kind="smallBold">{`${FIGURE_TITLES[id]}: ${text}, says ${mine.says}`}</Words>
            <Words kind="small" soft>
              {text === other
                ? 'The catalogue says the same today.'
                : `The catalogue: ${other} (${provenanceText(theirs.source)})`}
            </Words>
          </View>
        );
      })}
    </Sheet>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
