import { northMonth } from '@gentle-burrow/core/season';
import {
  flyingIn,
  hemisphereOf,
  kindSearch,
  narrowed,
  REGIONS,
  type KindCard,
} from '@gentle-burrow/core/species';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useSettings, useShelf } from '@/data/queries';
import { setPreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { monthName } from '@/ui/dates';
import { TextField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { roving, tabStop } from '@/ui/roving';
import { Words } from '@/ui/Words';
import { aboutKind, KindWords } from './KindWords';
import { KindKey } from './KindKey';
import { useRegion, useSeen } from './use-seen';

/** So many of a group are shown at once, and so many that were searched for; more on asking. */
const SHOWN = 6;
const SHOWN_FOUND = 12;

const REGION_OPTIONS = REGIONS.map((value) => ({ value, label: value }));

interface KindPickerProps {
  /** What is chosen, for those who listen. */
  label: string;
  kinds: readonly KindCard[];
  value: string | null;
  /** Kinds that cannot be chosen again. */
  except?: ReadonlySet<string>;
  /** When she was caught: what flies then is offered first. */
  caughtAt: string;
  /** She was caught after her flight: the key knows its month. */
  flew?: boolean;
  /** @param called the other name by which it was found */
  onChoose(id: string, called?: string): void;
}

/** Finds a kind: by any of its names, among those kept already, by what flies now, or by what is known of her at all. */
export function KindPicker({
  label,
  kinds,
  value,
  except,
  caughtAt,
  flew = false,
  onChoose,
}: KindPickerProps) {
  const [typed, setTyped] = useState('');
  const [all, setAll] = useState(false);
  const { seen, tell, keyed: told } = useSeen(flew ? caughtAt : null);
  const { region } = useRegion();
  const { hemisphere } = useSettings();
  const rows = useShelf().data;
  const search = useMemo(() => kindSearch(kinds), [kinds]);
  const kept = useMemo(() => new Set((rows ?? []).map((r) => r.profileId)), [rows]);
  const may = (k: KindCard) => !except?.has(k.id) && (!k.retired || k.id === value);
  const types = kinds.filter((k) => k.rank === 'type' && may(k));
  const searching = typed.trim() !== '';
  const keyed = !searching && told;
  const left = useMemo(() => (keyed ? narrowed(kinds, seen).left : []), [keyed, kinds, seen]);
  const found = searching ? search(typed, 60).filter((f) => may(f.kind)) : [];
  const genus = searching && found.length === 0 ? genusNamed(kinds.filter(may), typed) : null;
  const chosen = kinds.find((k) => k.id === value);
  const profiles = kinds.filter((k) => k.copiedOf !== null && may(k));
  const own = kinds.filter((k) => k.rank !== 'type' && k.copiedOf === null && kept.has(k.id) && may(k));
  const flying = flyingIn(kinds, northMonth(caughtAt, hemisphereOf(region, hemisphere)), region).filter(
    (k) => may(k) && !kept.has(k.id) && k.copiedOf === null,
  );
  const most = all ? Infinity : searching ? SHOWN_FOUND : SHOWN;
  // groups too small to say anything are left out
  const groups: Group[] = (
    searching
      ? [
          { title: 'Found', of: found },
          { title: 'Her genus is in the list', of: genus ? [{ ...named(genus), called: typed.trim() }] : [] },
        ]
      : keyed
        ? [
            {
              title: 'She may be one of these',
              of: left.map((l) => named(l.kind)).filter((f) => may(f.kind)),
            },
          ]
        : [
            { title: 'Your own profiles', of: profiles.map(named) },
            { title: 'You keep these', of: own.map(named) },
            { title: `May fly in ${monthName(caughtAt)}, ${region}`, of: flying.map(named) },
          ]
  ).filter((g) => g.of.length > 0);
  const hidden = groups.reduce((sum, g) => sum + Math.max(0, g.of.length - most), 0);
  const last: Group = { title: 'Not in the list, or not known', of: types.map(named) };
  const cut = [...groups, last].map((g) => ({ ...g, of: g.of.slice(0, most) }));
  // what is chosen stays in sight, whatever else is shown
  const inSight = !chosen || searching || cut.some((g) => g.of.some((f) => f.kind.id === chosen.id));
  const shown = inSight ? cut : [{ title: 'Chosen', of: [named(chosen)] }, ...cut];
  const order = shown.flatMap((g) => g.of.map((f) => f.kind.id));
  const at = value === null ? -1 : order.indexOf(value);
  return (
    <View role="group" aria-label={label} style={styles.picker}>
      <TextField
        label="Search by Latin, former or everyday name"
        value={typed}
        onChange={(text) => {
          setTyped(text);
          setAll(false);
        }}
        finds
        onEnter={() => {
          const only = genus
            ? { kind: genus, called: typed.trim() }
            : found.length === 1
              ? found[0]
              : undefined;
          if (only) onChoose(only.kind.id, 'called' in only ? only.called : (only.by ?? undefined));
        }}
      />
      <View role="status" aria-live="polite">
        {searching ? (
          <Words kind="small" soft>
            {genus
              ? `No “${typed.trim()}” is in the list. Take her genus: it is held more loosely, and what you call her stays with her.`
              : found.length === 0
                ? `Nothing is named like “${typed.trim()}”. Try its genus alone, or take what is nearest below: her log corrects it.`
                : `${found.length} found. No species of hers? Take her genus: it is held more loosely.`}
          </Words>
        ) : null}
      </View>
      {searching ? null : (
        <Fold title="Not sure? Narrow it down by what you see">
          <KindKey kinds={kinds} seen={seen} onChange={tell} />
        </Fold>
      )}
      <View role="radiogroup" aria-label={label} {...roving('radio')}>
        {shown.map((g) => (
          <View key={g.title} style={styles.group}>
            <Words kind="smallBold">{g.title}</Words>
            <View style={styles.rows}>
              {g.of.map((f) => (
                <KindRow
                  key={f.kind.id}
                  {...f}
                  on={f.kind.id === value}
                  tabIndex={tabStop(order.indexOf(f.kind.id), at)}
                  onPress={() => onChoose(f.kind.id, f.called ?? f.by ?? undefined)}
                />
              ))}
            </View>
          </View>
        ))}
      </View>
      {hidden > 0 ? (
        <Button mode="text" icon="chevron-down" style={styles.left} onPress={() => setAll(true)}>
          {`Show ${hidden} more`}
        </Button>
      ) : null}
      {searching || keyed ? null : (
        <>
          <Choice
            label="Where she was found"
            options={REGION_OPTIONS}
            value={region}
            onChange={(r) => setPreferences({ region: r })}
          />
          <Words kind="small" soft>
            Months of flight as keepers report them; they differ from place to place, and many kinds are not
            among them.
          </Words>
        </>
      )}
    </View>
  );
}

interface Found {
  kind: KindCard;
  /** Another name by which it was found. */
  by: string | null;
  /** What she is called, where only her genus is in the list. */
  called?: string;
}
interface Group {
  title: string;
  of: readonly Found[];
}
/** The genus of a species that is not in the list, as it was typed. */
const genusNamed = (kinds: readonly KindCard[], typed: string): KindCard | null => {
  const [first = ''] = typed.trim().toLowerCase().split(/\s+/);
  return (
    kinds.find((k) => k.rank === 'genus' && k.copiedOf === null && k.name.toLowerCase() === first) ?? null
  );
};
const named = (kind: KindCard): Found => ({ kind, by: null });

function KindRow({
  kind,
  by,
  on,
  tabIndex,
  onPress,
}: Found & { on: boolean; tabIndex: 0 | -1; onPress(): void }) {
  const p = useBurrow();
  const about = aboutKind(kind, by);
  return (
    <Pressable
      role="radio"
      tabIndex={tabIndex}
      aria-checked={on}
      aria-label={`${kind.name}, ${about}`}
      onPress={onPress}
      style={[styles.row, { borderBottomColor: p.rule }]}
    >
      <View aria-hidden>
        <Icon source={on ? 'radiobox-marked' : 'radiobox-blank'} size={24} color={on ? p.moss : p.inkSoft} />
      </View>
      <KindWords kind={kind} about={about} />
    </Pressable>
  );
}

const styles = StyleSheet.create({
  picker: { gap: SPACE.s },
  group: { paddingTop: SPACE.s },
  // two beside one another where there is room
  rows: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.l },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    flexGrow: 1,
    flexBasis: 280,
    minHeight: TARGET + 10,
    borderBottomWidth: 1,
    gap: SPACE.s,
  },
  left: { alignSelf: 'flex-start' },
});
