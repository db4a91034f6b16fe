import { countText, type Instant } from '@gentle-burrow/core/quantity';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { PhotoPicker } from '@/features/photos/PhotoPicker';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Words } from '@/ui/Words';
import { CountPad } from './CountPad';
import { EXTRAS, withUnread, type Extra, type LookDraft, type LookFaults } from './look-draft';

const EXTRA_WORDS: Record<Extra, string> = {
  callows: 'callows',
  majors: 'majors',
  repletes: 'repletes',
  alates: 'winged young',
  deadWorkers: 'dead workers',
};
const PUPAE = [
  { value: 'naked', label: 'Naked' },
  { value: 'cocoons', label: 'In cocoons' },
  { value: 'both', label: 'Both' },
] as const;

interface MoreSeenProps {
  draft: LookDraft;
  faults: LookFaults['counts'];
  /** How many queens were taken in. */
  queens: number;
  /** The last photo of an earlier look. */
  lastPhoto: { id: string; at: Instant } | undefined;
  onChange(part: Partial<LookDraft>): void;
}

/** What is not seen at most looks: photos, callows, majors, winged young, the dead. */
export function MoreSeen({ draft, faults, queens, lastPhoto, onChange }: MoreSeenProps) {
  const [counted, setCounted] = useState<Extra>(
    EXTRAS.find((x) => draft.unread[x] !== undefined) ?? 'callows',
  );
  const noted = EXTRAS.flatMap((x) =>
    draft.extras[x] ? [`${EXTRA_WORDS[x]} ${countText(draft.extras[x])}`] : [],
  );
  return (
    <Fold title="Photos, castes, the dead">
      <PhotoPicker photos={draft.photos} last={lastPhoto} onChange={(photos) => onChange({ photos })} />
      <Choice
        label="Count"
        options={EXTRAS.map((value) => ({ value, label: EXTRA_WORDS[value] }))}
        value={counted}
        onChange={(v) => setCounted(v)}
      />
      <CountPad
        key={counted}
        stage={EXTRA_WORDS[counted]}
        count={draft.extras[counted] ?? null}
        fault={faults?.[counted]}
        unread={draft.unread[counted]}
        onChange={(c, text) =>
          onChange({
            extras: { ...draft.extras, [counted]: c },
            unread: withUnread(draft.unread, counted, text),
          })
        }
      />
      <Words kind="small" soft>
        {`Callows, majors and repletes are among the workers. Dead ones: newly found since the look before.${
          noted.length > 0 ? ` Noted: ${noted.join(', ')}.` : ''
        }`}
      </Words>
      <Choice
        label="Her pupae are"
        options={PUPAE}
        value={draft.pupaeIn}
        onChange={(pupaeIn) => onChange({ pupaeIn })}
        onClear={() => onChange({ pupaeIn: null })}
      />
      {queens > 1 ? (
        <View style={styles.queens}>
          <NumberField
            label={`Queens seen, of ${queens}`}
            value={draft.queensSeen}
            onChange={(v) => onChange({ queensSeen: v === null ? null : Math.max(0, Math.round(v)) })}
          />
        </View>
      ) : null}
    </Fold>
  );
}

const styles = StyleSheet.create({ queens: { flexDirection: 'row', gap: SPACE.s, maxWidth: 220 } });
