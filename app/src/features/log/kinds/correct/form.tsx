import { NAMES } from '@/words/names';
import type { FieldsProps, KindForm, Saying } from '../../kind-form';
import { correctionFault, herFacts, OUTSIDE_LOG, same, type HerFacts } from './facts';
import { FactFields } from './FactFields';

type Facts = Pick<HerFacts, (typeof OUTSIDE_LOG)[number]>;
interface Draft {
  was: Facts;
  is: Facts;
}

function Fields({ shown, draft, change }: FieldsProps<Draft>) {
  const before = { ...herFacts(shown), ...draft.was };
  return (
    <FactFields
      shown={[shown]}
      fields={OUTSIDE_LOG}
      before={[before]}
      is={draft.is}
      fault={correctionFault(shown, draft.is, before, new Date())}
      set={(part) => change({ is: { ...draft.is, ...part } })}
    />
  );
}

/** A correction that is in her log already is put right itself; a new one is written by `CorrectHer`. */
export const correct: KindForm<'correct', Draft> = {
  deed: NAMES.correct,
  keep: 'Save correction',
  kept: ({ label }, shown) => `${label?.is ?? shown.facts.queen.label} corrected.`,
  begin: (shown, body) => {
    const now = herFacts(shown);
    const side = (which: 'was' | 'is'): Facts => ({
      label: body?.label?.[which] ?? now.label,
      batch: body?.batch?.[which] ?? now.batch,
      placeId: body?.placeId?.[which] ?? now.placeId,
      tube: body?.tube?.[which] ?? now.tube,
      body: body?.body?.[which] ?? now.body,
    });
    return { was: side('was'), is: side('is') };
  },
  finish({ was, is }, shown, at) {
    if (correctionFault(shown, is, { ...herFacts(shown), ...was }, new Date(at)) !== null) return null;
    const trimmed = { ...is, label: is.label.trim(), batch: is.batch.trim() };
    const changed = Object.fromEntries(
      OUTSIDE_LOG.filter((key) => !same(was[key], trimmed[key])).map((key) => [
        key,
        { was: was[key], is: trimmed[key] },
      ]),
    ) as Saying<'correct'>;
    return Object.keys(changed).length > 0 ? changed : null;
  },
  Fields,
};
