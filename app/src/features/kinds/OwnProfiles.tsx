import type { KindCard } from '@gentle-burrow/core/species';
import { ownFaults } from '@gentle-burrow/core/species/catalogue';
import { ownDocument, readOwnDocument, type OwnKind } from '@gentle-burrow/core/species/own';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { put } from '@/data/outbox';
import { useOwnKinds } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Fault } from '@/ui/fields';
import { FileButton } from '@/ui/FileButton';
import { Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { KindLine } from './KindLine';
import { takeAlong } from './take-along';

/** Profiles of the keeper's own: to look at, to take along, and to read in from a file. */
export function OwnProfiles({ kinds }: { kinds: readonly KindCard[] }) {
  const own = useOwnKinds();
  const cards = kinds.filter((k) => k.copiedOf !== null);
  const here = cards.filter((k) => !k.retired);
  const away = cards.filter((k) => k.retired);
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        Your own profiles
      </Words>
      <Words kind="small" soft>
        {here.length === 0
          ? 'None yet. Choose a kind above and change what you know better: the catalogue stays as it is.'
          : 'What they say is reckoned with; what they leave out follows the catalogue. No update writes over them.'}
      </Words>
      <View>
        {here.map((kind) => (
          <KindLine key={kind.id} kind={kind} />
        ))}
      </View>
      {away.length > 0 ? (
        <View>
          <Words kind="smallBold" soft>
            Put away
          </Words>
          {away.map((kind) => (
            <KindLine key={kind.id} kind={kind} />
          ))}
        </View>
      ) : null}
      <View style={styles.row}>
        {own.length > 0 ? (
          <Button
            mode="outlined"
            icon="download"
            onPress={() => takeAlong('profiles.json', ownDocument(own))}
          >
            Take them with you
          </Button>
        ) : null}
        <ReadIn own={own} />
      </View>
    </Sheet>
  );
}

interface Read {
  fresh: OwnKind[];
  /** Those that are here already, as they are in the file. */
  known: number;
  faults: string[];
}

/** Reads profiles from a file, says what can be used of it, and keeps nothing before that is confirmed. */
function ReadIn({ own }: { own: readonly OwnKind[] }) {
  const [read, setRead] = useState<Read | null>(null);
  const choose = async (file: File) => setRead(sorted(await file.text(), own));
  const keep = async () => {
    const { fresh } = read as Read;
    await put(...fresh.map((kind) => ({ what: 'own-kind' as const, kind })));
    setRead(null);
    offerUndo(`${fresh.length === 1 ? 'A profile' : `${fresh.length} profiles`} read in.`, () =>
      put(...fresh.map((kind) => ({ what: 'own-kind' as const, kind: { ...kind, retired: true as const } }))),
    );
  };
  return (
    <>
      <FileButton
        label="A file of profiles"
        accept=".json,application/json"
        onChoose={(file) => void choose(file)}
      >
        Read in from a file
      </FileButton>
      {read ? (
        <View style={styles.read} role="status" aria-live="polite">
          {read.fresh.map((k) => (
            <Words key={k.id}>{`“${k.name}”, a copy of ${k.copiedName}: ${figuresText(k)}.`}</Words>
          ))}
          {read.known > 0 ? (
            <Words soft>{`${read.known} of them you have already, as they are in the file.`}</Words>
          ) : null}
          {read.faults.map((f) => (
            <Fault key={f}>{f}</Fault>
          ))}
          <View style={styles.row}>
            <Button mode="outlined" onPress={() => setRead(null)}>
              Leave it
            </Button>
            {read.fresh.length > 0 ? (
              <Button mode="contained" onPress={() => void keep()}>
                {read.fresh.length === 1 ? 'Keep this profile' : `Keep ${read.fresh.length} profiles`}
              </Button>
            ) : null}
          </View>
        </View>
      ) : null}
    </>
  );
}

const figuresText = ({ figures }: OwnKind): string => {
  const n = Object.keys(figures).length;
  return n === 1 ? 'one figure of its own' : `${n} figures of its own`;
};

/** What a file holds: the new ones; and what cannot be used, in words. One that is here and differs is taken as another. */
function sorted(text: string, own: readonly OwnKind[]): Read {
  const { kinds, faults } = readOwnDocument(text);
  const read: Read = { fresh: [], known: 0, faults: [...faults] };
  for (const kind of kinds) {
    const here = own.find((o) => o.id === kind.id);
    if (here && same(here, kind)) {
      read.known++;
      continue;
    }
    // what the keeper has is never written over
    const mine = here ? { ...kind, id: v7(), name: `${kind.name} (from a file)` } : kind;
    const [fault] = ownFaults(mine, [...own, ...read.fresh]);
    if (fault) read.faults.push(`“${kind.name}”: ${fault.says}`);
    else read.fresh.push(mine);
  }
  return read;
}

const same = (a: OwnKind, b: OwnKind): boolean => JSON.stringify(plain(a)) === JSON.stringify(plain(b));
const plain = (k: OwnKind) => ownDocument([k]).kinds[0];

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  read: { gap: SPACE.s, flexBasis: '100%' },
});
