import { MOULD_SIZES, TROUBLES } from '@gentle-burrow/core/vocabulary';
import { View } from 'react-native';
import { Choice, optionsOf } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { Tick } from '@/ui/Tick';
import { capital } from '@gentle-burrow/core/words';
import { MOULD_SIZE_WORDS, TROUBLE_WORDS } from '@/words/log';
import type { LookDraft } from './look-draft';

const SIZES = optionsOf(MOULD_SIZES, MOULD_SIZE_WORDS);

interface TroublesProps {
  draft: Pick<LookDraft, 'mould' | 'mouldSize' | 'troubles'>;
  onChange(part: Partial<LookDraft>): void;
}

/** How much mould there is, and what else is wrong with her home; or that nothing is. */
export function Troubles({ draft, onChange }: TroublesProps) {
  const { mould, mouldSize } = draft;
  const troubles = draft.troubles ?? null;
  return (
    <>
      {mould && mould !== 'none' ? (
        <Choice
          label="How much mould"
          options={SIZES}
          value={mouldSize ?? null}
          onChange={(size) => onChange({ mouldSize: size })}
          onClear={() => onChange({ mouldSize: null })}
        />
      ) : null}
      <Fold title="Anything else wrong with her home?">
        <View role="group" aria-label="What else is wrong">
          <Tick
            label="Nothing is wrong"
            on={troubles?.length === 0}
            onPress={() => onChange({ troubles: troubles?.length === 0 ? null : [] })}
          />
          {TROUBLES.map((t) => {
            const on = troubles?.includes(t) ?? false;
            const without = (troubles ?? []).filter((other) => other !== t);
            return (
              <Tick
                key={t}
                label={capital(TROUBLE_WORDS[t])}
                on={on}
                onPress={() =>
                  onChange({ troubles: on ? (without.length > 0 ? without : null) : [...without, t] })
                }
              />
            );
          })}
        </View>
      </Fold>
    </>
  );
}
