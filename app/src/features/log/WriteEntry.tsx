import type { BodyOf, EntryBody } from '@gentle-burrow/core/log';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { amendEntry, writeEntry, type ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { useDraft } from '@/ui/drafts';
import { TextField } from '@/ui/fields';
import { offerUndo } from '@/ui/undo';
import type { FormKind, KindForm } from './kind-form';
import { KIND_FORMS } from './kind-forms';
import { kindTitle } from './kind-views';
import { When } from './When';
import { dayFault, momentOf, NOW, whenOf, type WhenDraft } from './when';

interface WriteEntryProps<K extends FormKind> {
  shown: ShownQueen;
  kind: K;
  /** An entry that is put right; a new one is written otherwise. */
  amends?: { id: string; body: BodyOf<K> };
  onDone(): void;
}

interface Written {
  when: WhenDraft;
  fields: object;
  text: string;
}

/** One entry of any kind that has a form: what it says, when it was, the keeper's own words. What is half written stays. */
export function WriteEntry<K extends FormKind>({ shown, kind, amends, onDone }: WriteEntryProps<K>) {
  const { queen } = shown.facts;
  const form = KIND_FORMS[kind] as unknown as KindForm<K>;
  const [start] = useState((): Written => ({
    when: amends ? whenOf(amends.body.at) : NOW,
    fields: form.begin(shown, amends?.body ?? null),
    text: amends?.body.text ?? '',
  }));
  const { value, change, clear } = useDraft<Written>(`${kind}.${queen.id}.${amends?.id ?? 'new'}`, start);
  const { when, fields } = value;
  const text = value.text.trim();
  const now = new Date();
  const intakeAt = shown.view.ledger.intake?.at ?? queen.createdAt;
  const fault = dayFault(when.day, now, intakeAt) ?? undefined;
  const at = fault ? null : momentOf(when.day, now, intakeAt, amends?.body.at);
  const said = at === null || (form.needsText && text === '') ? null : form.finish(fields, shown, at);
  const save = async () => {
    if (said === null || at === null) return;
    const body = { kind, at, ...said, ...(text ? { text } : {}) } as unknown as BodyOf<K> & EntryBody;
    const written = amends ? await amendEntry(queen.id, amends.id, body) : await writeEntry(queen.id, body);
    clear();
    onDone();
    offerUndo(amends ? `${kindTitle(kind)}: put right.` : form.kept(body, shown), () =>
      amendEntry(queen.id, written.id, null),
    );
  };
  return (
    <View style={styles.form}>
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
        intakeAt={intakeAt}
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
      <View style={styles.buttons}>
        <Button mode="contained" disabled={said === null} onPress={() => void save()}>
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
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m, paddingBottom: SPACE.m },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
