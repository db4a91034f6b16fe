import { effectiveEntries, type BodyOf, type EntryBody } from '@gentle-burrow/core/log';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { put } from '@/data/outbox';
import { amendEntry, otherOf, writeEntry, putBack } from '@/data/entries';
import { type ShownQueen } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/drafts';
import { TextField } from '@/ui/fields';
import { Discard, Returned } from '@/ui/Returned';
import { SaveBar } from '@/ui/SaveBar';
import { offerUndo } from '@/ui/undo';
import { useOnce } from '@/ui/useOnce';
import type { FormKind, KindForm } from './kind-form';
import { KIND_FORMS } from './kind-forms';
import { kindTitle } from './kind-views';
import { When } from './When';
import { dayFault, momentOf, NOW, whenOf, type DayLimits, type WhenDraft } from './when';

interface WriteEntryProps<K extends FormKind> {
  shown: ShownQueen;
  kind: K;
  /** An entry that is put right; a new one is written otherwise. */
  amends?: { id: string; body: BodyOf<K>; over: string | null };
  /** The part of her home that it is about, where that is known already. */
  partId?: string;
  onDone(): void;
}

interface Written {
  when: WhenDraft;
  fields: object;
  text: string;
}

/** One entry of any kind that has a form: what it says, when it was, the keeper's own words. What is half written stays. */
/** What most kinds ask of others. */
const useNothing = (): boolean => false;

export function WriteEntry<K extends FormKind>({ shown, kind, amends, partId, onDone }: WriteEntryProps<K>) {
  const { queen } = shown.facts;
  const form = KIND_FORMS[kind] as unknown as KindForm<K>;
  const [start] = useState((): Written => ({
    when: amends ? whenOf(amends.body.at) : NOW,
    fields: form.begin(shown, amends?.body ?? null, partId),
    text: amends?.body.text ?? '',
  }));
  const { value, change, clear, discard, kept } = useDraft<Written>(
    [kind, queen.id, amends?.id ?? 'new', ...(partId ? [partId] : [])].join('.'),
    start,
  );
  const { when } = value;
  // what was kept by an older form may lack what this one asks
  const fields = { ...start.fields, ...value.fields };
  const text = value.text.trim();
  const now = new Date();
  const limits = limitsOf(shown, kind);
  const fault = dayFault(when.day, now, limits, when.time) ?? undefined;
  const at = fault ? null : momentOf(when.day, now, limits.from, amends?.body.at, when.time);
  const profileOf = useProfileOf();
  const stopped =
    (form.useStopped ?? useNothing)(fields, shown) ||
    (form.skips?.(fields, shown, profileOf) ?? null) !== null;
  const said =
    stopped || at === null || (form.needsText && text === '') ? null : form.finish(fields, shown, at);
  const save = useOnce(async () => {
    if (said === null || at === null) return;
    const body = { kind, at, ...said, ...(text ? { text } : {}) } as unknown as BodyOf<K> & EntryBody;
    const made = form.makes?.(fields) ?? null;
    const used = amends ? [] : (form.uses?.(fields, shown) ?? []);
    // what is put right may name a new place too
    if (amends && made) await put({ what: 'place', place: made });
    const written = amends
      ? await amendEntry({ queenId: queen.id, id: amends.id, otherId: otherOf(body) }, body, amends.over)
      : await writeEntry(queen.id, body, [
          ...(made ? [{ what: 'place' as const, place: made }] : []),
          ...used.map((move) => ({ what: 'stock-move' as const, move })),
        ]);
    clear();
    onDone();
    offerUndo(amends ? `${kindTitle(kind)}: put right.` : form.kept(body, shown), async () => {
      await amendEntry(written, null);
      for (const move of used) await put({ what: 'stock-move', move: putBack(move) });
    });
  });
  return (
    <View style={styles.form}>
      <Returned kept={kept} />
      {form.Fields ? (
        <form.Fields
          shown={shown}
          draft={fields}
          change={(part) => change({ fields: { ...fields, ...part } })}
        />
      ) : null}
      <When
        label="Day"
        value={when}
        limits={limits}
        amends={amends !== undefined}
        fault={fault}
        onChange={(next) => change({ when: next })}
      />
      <TextField
        label={form.textLabel ?? 'Note'}
        multiline
        value={value.text}
        onChange={(next) => change({ text: next })}
      />
      <SaveBar>
        <Button mode="contained" disabled={said === null} onPress={save}>
          {amends ? 'Keep the correction' : form.keep}
        </Button>
        {amends ? (
          <Button
            mode="text"
            onPress={() => {
              clear();
              onDone();
            }}
          >
            Leave it as it was
          </Button>
        ) : null}
        <Discard kept={kept} onDiscard={discard} />
      </SaveBar>
    </View>
  );
}

/** Nothing is older than her intake; and that is no younger than anything else. */
function limitsOf({ facts, view }: ShownQueen, kind: FormKind): DayLimits {
  if (kind !== 'intake') return { from: view.ledger.intake?.at ?? facts.queen.createdAt };
  const first = effectiveEntries(facts.entries).find(
    ({ entry }) => entry !== null && entry.kind !== 'intake',
  );
  return { from: null, to: first?.entry?.at ?? null };
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m, paddingBottom: SPACE.m },
});
