import {
  figureOf,
  OWN_FIGURE_IDS,
  type OwnFigureId,
  type OwnFigures,
  type SpeciesProfile,
} from '@gentle-burrow/core/species';
import { isKind, ownFaults, type OwnFault } from '@gentle-burrow/core/species/catalogue';
import type { OwnKind } from '@gentle-burrow/core/species/own';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { put } from '@/data/outbox';
import { useOwnKinds, useOwnKindsKnown, useSpecies } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/drafts';
import { Fault, TextField } from '@/ui/fields';
import { Discard, Returned } from '@/ui/Returned';
import { Screen } from '@/ui/Screen';
import { Caution } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { useEver } from '@/ui/useEver';
import { useOnce } from '@/ui/useOnce';
import { Waiting } from '@/ui/Waiting';
import { goInstead } from '@/ui/way';
import { Words } from '@/ui/Words';
import { FIGURE_GROUPS, FIGURE_TITLES, figureText } from '@/words/figures';
import { FOUNDER_WORDS } from '@/words/kind';
import { FigureEditor } from './FigureEditor';
import { NoSuchKind } from './NoSuchKind';
import { useQueensSay } from './queens-say';

interface Draft {
  name: string;
  figures: OwnFigures;
}

const QUESTION = 'What do you know better?';

/** What do you know better? A copy of a kind with figures of one's own, or such a copy changed. */
export function OwnKindPage({ id, fromQueens = false }: { id: string; fromQueens?: boolean }) {
  const kinds = useSpecies();
  const own = useOwnKinds().find((k) => k.id === id);
  const said = useQueensSay(id);
  const known = useEver(useOwnKindsKnown());
  if (kinds.length === 0 || !known) return <NotYet />;
  if (!own && !isKind(id)) return <NoSuchKind />;
  if (fromQueens && !said) return <NotYet />;
  return <OwnForm key={id} id={id} own={own ?? null} said={fromQueens ? (said?.figures ?? null) : null} />;
}

const NotYet = () => <Waiting question={QUESTION} back="/kinds" what="the kind" />;

/** "Lasius niger, mine", or the next that is free. */
function freeName(copied: string, all: readonly OwnKind[]): string {
  const taken = new Set(all.map((k) => k.name));
  for (let n = 1; ; n++) {
    const name = `${copied}, mine${n === 1 ? '' : ` ${n}`}`;
    if (!taken.has(name)) return name;
  }
}

interface OwnFormProps {
  /** Of the kind that is copied, or of the own profile that is changed. */
  id: string;
  own: OwnKind | null;
  /** What the keeper's queens say, to begin from. */
  said: OwnFigures | null;
}

function OwnForm({ id, own, said }: OwnFormProps) {
  const all = useOwnKinds();
  const profileOf = useProfileOf();
  const profile = profileOf(id);
  const copied = profile.copiedOf ? profileOf(profile.copiedOf) : profile;
  const begin: Draft = own
    ? { name: own.name, figures: own.figures }
    : { name: freeName(copied.name, all), figures: {} };
  const { value, change, clear, discard, kept } = useDraft<Draft>(`own-kind.${id}${said ? '.queens' : ''}`, {
    ...begin,
    figures: { ...begin.figures, ...said },
  });
  const [tried, setTried] = useState(false);
  const kind: OwnKind = {
    id: own?.id ?? '00000000-0000-7000-8000-000000000000',
    name: value.name.trim(),
    copiedOf: own?.copiedOf ?? copied.id,
    copiedName: own?.copiedName ?? copied.name,
    figures: value.figures,
    changedAt: new Date().toISOString(),
  };
  const faults = ownFaults(kind, all);
  const save = useOnce(async () => {
    const written = { ...kind, id: own?.id ?? v7() };
    await put({ what: 'own-kind', kind: written });
    clear();
    const before = own ?? { ...written, retired: true as const };
    offerUndo(own ? `${written.name} changed.` : `${written.name} kept.`, () =>
      put({ what: 'own-kind', kind: before }),
    );
    goInstead(`/kinds/${written.id}`);
  });
  const setFigures = (figures: OwnFigures) => change({ figures });
  return (
    <Screen
      question={QUESTION}
      back={`/kinds/${id}`}
      foot={
        <Button
          mode="contained"
          onPress={() => {
            setTried(true);
            if (faults.length === 0) save();
          }}
        >
          {own ? 'Keep the change' : 'Keep this profile'}
        </Button>
      }
    >
      <Returned kept={kept} />
      <Words soft>
        {`A copy of ${copied.name}. What you leave as it is follows the catalogue; what you change is yours, and no update writes over it.`}
      </Words>
      <TextField
        label="Its name"
        value={value.name}
        onChange={(name) => change({ name })}
        fault={tried ? faults.find((f) => f.at === 'name')?.says : undefined}
      />
      <Fault>{tried ? faults.find((f) => f.at === 'figures')?.says : undefined}</Fault>
      {FIGURE_GROUPS.map((g) => (
        <View key={g.title} style={styles.group}>
          <Words kind="heading" level={2}>
            {g.title}
          </Words>
          {g.of.map((f) => (
            <OwnFigureRow
              key={f}
              id={f}
              copied={copied}
              figures={value.figures}
              faults={tried ? faults : []}
              onChange={setFigures}
            />
          ))}
        </View>
      ))}
      <Discard kept={kept} onDiscard={discard} />
    </Screen>
  );
}

interface OwnFigureRowProps<K extends OwnFigureId> {
  id: K;
  copied: SpeciesProfile;
  figures: OwnFigures;
  faults: readonly OwnFault[];
  onChange(figures: OwnFigures): void;
}

/** A figure of the catalogue, and the keeper's own in its place when it was changed. */
function OwnFigureRow<K extends OwnFigureId>({
  id,
  copied,
  figures,
  faults,
  onChange,
}: OwnFigureRowProps<K>) {
  const units = usePreferences();
  const own = figures[id];
  const { value } = figureOf(copied, id);
  const text = `${FIGURE_TITLES[id]}: ${figureText(id, value, units)}`;
  const set = (figure: OwnFigures[K]) => onChange({ ...figures, [id]: figure });
  const drop = () =>
    onChange(Object.fromEntries(Object.entries(figures).filter(([f]) => f !== id)) as OwnFigures);
  // who was named last most likely says this too
  const saidBefore =
    OWN_FIGURE_IDS.map((f) => figures[f]?.says)
      .filter(Boolean)
      .at(-1) ?? '';
  if (!own)
    return (
      <View style={styles.row}>
        <Words kind="small" style={styles.fill}>
          {text}
        </Words>
        <Button
          mode="text"
          accessibilityLabel={`Change ${FIGURE_TITLES[id]}`}
          onPress={() => set({ value, says: saidBefore } as OwnFigures[K])}
        >
          Change
        </Button>
      </View>
    );
  return (
    <View style={styles.changed}>
      <View style={styles.row}>
        <Words
          kind="small"
          soft
          style={styles.fill}
        >{`The catalogue: ${figureText(id, value, units)}`}</Words>
        <Button mode="text" accessibilityLabel={`${FIGURE_TITLES[id]} as in the catalogue`} onPress={drop}>
          As in the catalogue
        </Button>
      </View>
      <FigureEditor
        id={id}
        value={own.value as never}
        // what is typed is no longer what the queens showed
        onChange={(v) => set({ value: v, says: own.says } as OwnFigures[K])}
      />
      <TextField
        label={`Who says so: ${FIGURE_TITLES[id]}`}
        value={own.says}
        onChange={(says) => set({ ...own, says } as OwnFigures[K])}
      />
      <Fault>{faults.find((f) => f.at === id)?.says}</Fault>
      {id === 'founder' && starves(copied, figures) ? (
        <Caution>
          <Words kind="small">
            {`The catalogue says: ${FOUNDER_WORDS[copied.founder.value]}. A queen that must eat and is not fed starves; one that need not eat loses little by a tiny offer that is taken out after a day. If you are not sure, leave it as it is.`}
          </Words>
        </Caution>
      ) : null}
    </View>
  );
}

/** Whether the keeper says that she needs no food where the catalogue does not. */
const starves = (copied: SpeciesProfile, { founder }: OwnFigures): boolean =>
  founder?.value === 'fully-claustral' && copied.founder.value !== 'fully-claustral';

const styles = StyleSheet.create({
  group: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  fill: { flex: 1 },
  changed: { gap: SPACE.s, paddingBottom: SPACE.m },
});
