import type { EntryBody } from '@gentle-burrow/core/log';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { takeBack, writeEntries } from '@/data/entries';
import { useShelf, useSpecies } from '@/data/queries';
import { FeedFields, feedOf, NO_FEED, type FeedDraft } from '@/features/log/kinds/feed/form';
import { When } from '@/features/log/When';
import { dayFault, momentOf, NOW, type WhenDraft } from '@/features/log/when';
import { EmptyShelf } from '@/features/shelf/EmptyShelf';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/drafts';
import { TextField } from '@/ui/fields';
import { useKeepKey } from '@/ui/keys';
import { Discard, Returned } from '@/ui/Returned';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Failed, Loading } from '@/ui/states';
import { Tick } from '@/ui/Tick';
import { offerUndo } from '@/ui/undo';
import { goBack } from '@/ui/way';
import { useOnce } from '@/ui/useOnce';
import { Words } from '@/ui/Words';
import { feedable, fedText, latestIntake } from './several';

interface Draft {
  chosen: string[];
  feed: FeedDraft;
  when: WhenDraft;
  text: string;
}

const EMPTY: Draft = { chosen: [], feed: NO_FEED, when: NOW, text: '' };

/** Whom do you feed? One meal written of several queens at once. */
export function FeedPage() {
  const shelf = useShelf();
  const { value: draft, change, clear, discard, kept } = useDraft<Draft>('feed-several', EMPTY);
  const now = new Date();
  const rows = useMemo(() => (shelf.data ? feedable(shelf.data, new Date()) : null), [shelf.data]);
  const chosen = (rows ?? []).map(({ row }) => row).filter((r) => draft.chosen.includes(r.queen.id));
  const limits = { from: latestIntake(chosen) };
  const fault = dayFault(draft.when.day, now, limits, draft.when.time) ?? undefined;
  const said = feedOf(draft.feed);
  const ready = chosen.length > 0 && said !== null && fault === undefined;
  const toggle = (id: string) =>
    change({
      chosen: draft.chosen.includes(id) ? draft.chosen.filter((c) => c !== id) : [...draft.chosen, id],
    });
  const keep = useOnce(async () => {
    if (!ready || said === null) return;
    const text = draft.text.trim();
    const written = await writeEntries(
      chosen.map((row) => {
        const at = momentOf(draft.when.day, now, latestIntake([row]), undefined, draft.when.time);
        const body: EntryBody = { kind: 'feed', at, ...said, ...(text ? { text } : {}) };
        return { queenId: row.queen.id, body };
      }),
    );
    clear();
    offerUndo(fedText(chosen), () => takeBack(written));
    goBack('/');
  });
  useKeepKey(keep);
  return (
    <Screen
      question="Whom do you feed?"
      back="/"
      side={
        <>
          <Returned kept={kept} />
          {shelf.loading ? <Loading what="the shelf" /> : null}
          {shelf.error ? <Failed error={shelf.error} onRetry={shelf.retry} /> : null}
          {rows && rows.length === 0 ? <EmptyShelf /> : null}
          {rows && rows.length > 0 ? <Whom rows={rows} chosen={draft.chosen} onToggle={toggle} /> : null}
        </>
      }
      foot={
        <Button mode="contained" icon="check" disabled={!ready} onPress={keep}>
          {chosen.length < 2 ? 'Keep this feed' : `Keep ${chosen.length} feeds`}
        </Button>
      }
    >
      {rows && rows.length > 0 ? (
        <Sheet tight>
          <FeedFields
            draft={draft.feed}
            change={(part) => change({ feed: { ...draft.feed, ...part } })}
            workers={false}
            kinds={chosen.map((row) => row.profileId)}
          />
          <When
            label="Day"
            value={draft.when}
            limits={limits}
            amends={false}
            fault={fault}
            onChange={(when) => change({ when })}
          />
          <TextField label="Note" multiline value={draft.text} onChange={(text) => change({ text })} />
          <Discard kept={kept} onDiscard={discard} />
        </Sheet>
      ) : null}
    </Screen>
  );
}

interface WhomProps {
  rows: { row: ShelfRow; due: boolean }[];
  chosen: readonly string[];
  onToggle(id: string): void;
}

function Whom({ rows, chosen, onToggle }: WhomProps) {
  const species = useSpecies();
  const nameOf = (r: ShelfRow) => species.find((s) => s.id === r.profileId)?.name ?? 'Unknown';
  const due = rows.filter((r) => r.due).length;
  return (
    <>
      <Words kind="answer">
        {due === 0 ? 'No feed is due.' : due === 1 ? 'One feed is due.' : `${due} feeds are due.`}
      </Words>
      <View role="group" aria-label="Queens" style={styles.list}>
        {rows.map(({ row }) => (
          <Tick
            key={row.queen.id}
            label={`${row.queen.label}, ${nameOf(row)}`}
            says={row.feeding ? `Feed? ${row.feeding}` : undefined}
            on={chosen.includes(row.queen.id)}
            onPress={() => onToggle(row.queen.id)}
          />
        ))}
      </View>
    </>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
