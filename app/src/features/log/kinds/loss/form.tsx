import {
  CERTAINTIES,
  LOSS_CAUSES,
  LOSS_WAYS,
  type Certainty,
  type LossCause,
  type LossWay,
} from '@gentle-burrow/core/vocabulary';
import type { ShownQueen } from '@/data/queries';
import { View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf } from '@/ui/Choice';
import { Caution } from '@/ui/Sheet';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { CAUSE_WORDS, CERTAINTY_WORDS, LOSS_WORDS } from '@/words/log';
import type { FieldsProps, KindForm } from '../../kind-form';
import { mayHaveWorkers } from '../../parts';

interface Draft {
  how: LossWay | null;
  cause: LossCause;
  certainty: Certainty | null;
  goesOn: boolean;
}

const FATES = optionsOf(LOSS_WAYS, LOSS_WORDS);
const CAUSES = optionsOf(LOSS_CAUSES, CAUSE_WORDS);
const HOW_SURE = optionsOf(CERTAINTIES, CERTAINTY_WORDS);

const mayGoOn = (shown: ShownQueen, { how }: Draft): boolean =>
  mayHaveWorkers(shown) && (how === 'died' || how === 'escaped');
const hasCause = ({ how, cause }: Draft): boolean => how === 'died' && cause !== 'unknown';

function Fields({ shown, draft, change }: FieldsProps<Draft>) {
  return (
    <View style={{ gap: SPACE.m }}>
      <Words>{`What became of ${shown.facts.queen.label}? Not knowing why is a normal answer.`}</Words>
      <Choice label="What happened" options={FATES} value={draft.how} onChange={(how) => change({ how })} />
      {draft.how === 'died' ? (
        <Choice label="Cause" options={CAUSES} value={draft.cause} onChange={(cause) => change({ cause })} />
      ) : null}
      {hasCause(draft) ? (
        <Choice
          label="How sure of the cause"
          options={HOW_SURE}
          value={draft.certainty}
          onChange={(certainty) => change({ certainty })}
          onClear={() => change({ certainty: null })}
        />
      ) : null}
      {mayGoOn(shown, draft) ? (
        <Tick
          label="Her workers and brood live on here"
          on={draft.goesOn}
          onPress={() => change({ goesOn: !draft.goesOn })}
        />
      ) : null}
      <Caution>
        <Words kind="small">
          Captive ants are never released, not even native ones: it can spread disease. Surplus workers live
          out their lives. Throw the tube away or sterilise it before it is used again.
        </Words>
      </Caution>
    </View>
  );
}

export const loss: KindForm<'loss', Draft> = {
  deed: 'Loss',
  keep: 'Keep this loss',
  kept: () => 'Loss kept.',
  textLabel: 'What was seen',
  begin: (_, body) => ({
    how: body?.how ?? null,
    cause: body?.cause ?? 'unknown',
    certainty: body?.certainty ?? null,
    goesOn: body ? body.colonyGoesOn === true : true,
  }),
  finish(draft, shown) {
    const { how, cause, certainty, goesOn } = draft;
    if (how === null) return null;
    return {
      how,
      cause: how === 'died' ? cause : 'unknown',
      ...(hasCause(draft) && certainty ? { certainty } : {}),
      ...(mayGoOn(shown, draft) && goesOn ? { colonyGoesOn: true } : {}),
    };
  },
  Fields,
};
