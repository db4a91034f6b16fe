import type { EntryBody } from '@gentle-burrow/core/log';
import { capital } from '@gentle-burrow/core/words';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { writeActs } from '@/data/entries';
import type { ShownQueen } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';
import { When } from '@/features/log/When';
import { dayFault, momentOf, NOW, type WhenDraft } from '@/features/log/when';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/drafts';
import { TextField } from '@/ui/fields';
import { Discard, Returned } from '@/ui/Returned';
import { SaveBar } from '@/ui/SaveBar';
import { offerUndo } from '@/ui/undo';
import { useOnce } from '@/ui/useOnce';
import { Words } from '@/ui/Words';
import { KIND_NOUNS } from '@/words/kinds';
import { queensText } from '@/words/many';
import { manyForm, type ManyKind } from './many-kinds';
import { namesText } from './names-text';

interface Written {
  when: WhenDraft;
  fields: object;
  text: string;
}

interface WriteManyProps {
  shown: readonly ShownQueen[];
  kind: ManyKind;
  onDone(): void;
}

const intakeAt = ({ facts, view }: ShownQueen) => view.ledger.intake?.at ?? facts.queen.createdAt;

const NOT_THERE = 'This cannot be done at that home. Log it there by itself.';

/** The same entry of several queens: filled in once, written into each log, undone together. Who cannot have it is named. */
export function WriteMany({ shown, kind, onDone }: WriteManyProps) {
  const form = manyForm(kind);
  const profileOf = useProfileOf();
  // filled in for one who can have it: the form of one who cannot asks nothing
  const lead =
    shown.find((one) => (form.skips?.(form.begin(one, null), one, profileOf) ?? null) === null) ??
    first(shown);
  const [start] = useState((): Written => ({ when: NOW, fields: form.begin(lead, null), text: '' }));
  const { value, change, clear, discard, kept } = useDraft<Written>(`many.${kind}`, start);
  const fields = { ...start.fields, ...value.fields };
  const text = value.text.trim();
  const now = new Date();
  const { day, time } = value.when;
  const limits = { from: shown.map(intakeAt).sort().at(-1) ?? null };
  const fault = dayFault(day, now, limits, time) ?? undefined;
  const each = shown.map((one) => {
    const theirs = one === lead || !form.forOther ? fields : form.forOther(fields, lead, one);
    const skip = theirs === null ? NOT_THERE : (form.skips?.(theirs, one, profileOf) ?? null);
    const at = momentOf(day, now, intakeAt(one), undefined, time);
    const said = theirs && skip === null && !fault ? form.finish(theirs, one, at) : null;
    return { one, theirs, skip, at, said };
  });
  const ready = fault || (form.needsText && text === '') ? [] : each.filter((e) => e.said !== null);
  const save = useOnce(async () => {
    if (ready.length === 0) return;
    const made = form.makes?.(fields) ?? null;
    const undo = await writeActs(
      ready.map(({ one, at, said }) => ({
        queenId: one.facts.queen.id,
        body: { kind, at, ...said, ...(text ? { text } : {}) } as EntryBody,
      })),
      [
        ...(made ? [{ what: 'place' as const, place: made }] : []),
        ...ready.flatMap(({ one, theirs }) =>
          (form.uses?.(theirs as object, one) ?? []).map((move) => ({ what: 'stock-move' as const, move })),
        ),
      ],
    );
    clear();
    onDone();
    const names = namesText(ready.map(({ one }) => one.facts.queen.label));
    offerUndo(`${capital(KIND_NOUNS[kind])} saved for ${names}.`, undo);
  });
  const skipped = each.flatMap(({ one, skip }) => (skip ? [`${one.facts.queen.label}: ${skip}`] : []));
  return (
    <View style={styles.form}>
      <Returned kept={kept} />
      {form.Fields ? (
        <form.Fields
          shown={lead}
          all={shown}
          draft={fields}
          change={(part) => change({ fields: { ...fields, ...part } })}
        />
      ) : null}
      {skipped.length > 0 ? (
        <View role="status">
          <Words kind="smallBold">{`Left out: ${queensText(skipped.length)}`}</Words>
          {skipped.map((s) => (
            <Words key={s} kind="small" soft>
              {s}
            </Words>
          ))}
        </View>
      ) : null}
      <When
        label="Day"
        value={value.when}
        limits={limits}
        amends={false}
        fault={fault}
        onChange={(when) => change({ when })}
      />
      <TextField
        label={form.textLabel ?? 'Note'}
        multiline
        value={value.text}
        onChange={(next) => change({ text: next })}
      />
      <SaveBar>
        <Button mode="contained" disabled={ready.length === 0} onPress={save}>
          {`Save for ${queensText(ready.length || shown.length)}`}
        </Button>
        <Discard kept={kept} onDiscard={discard} />
      </SaveBar>
    </View>
  );
}

const first = (shown: readonly ShownQueen[]): ShownQueen => shown[0] as ShownQueen;

const styles = StyleSheet.create({
  form: { gap: SPACE.m, paddingBottom: SPACE.m },
});
