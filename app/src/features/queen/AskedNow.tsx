import type { AskedDeed } from '@gentle-burrow/core/care';
import { View } from 'react-native';
import { usePutOff } from '@/data/put-off';
import type { ShownQueen } from '@/data/queries';
import { deedKey } from '@/features/log/deed';
import { TaskAnswers } from '@/features/log/TaskAnswers';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { phraseText, Said } from '@/ui/Said';

/** What is asked of her keeper now, the first to end first: a look that is only free has its button at the foot. */
function askedNow({ view, facts }: ShownQueen, isPutOff: (deed: string) => boolean): AskedDeed[] {
  const now = Date.now();
  const presses = view.counsel?.pressure === 'now' || view.counsel?.pressure === 'soon';
  return (view.counsel?.due ?? [])
    .filter((d) => Date.parse(d.notBefore) <= now && (d.task !== 'look' || presses))
    .filter((d) => !isPutOff(deedKey(facts.queen.id, d.task)))
    .sort((a, b) => Date.parse(a.notAfter) - Date.parse(b.notAfter));
}

/** Each deed that is asked for now, with its likely answers. */
export function AskedNow({ shown }: { shown: ShownQueen }) {
  const due = askedNow(shown, usePutOff());
  const units = usePreferences();
  const { id, label } = shown.facts.queen;
  // what the headline says already is not said twice
  const head = phraseText(shown.view.counsel?.next ?? [], units);
  return (
    <>
      {due.map((d) => (
        <View key={d.task} style={{ gap: SPACE.xs }}>
          {head.includes(phraseText(d.says, units)) ? null : <Said phrase={d.says} />}
          <TaskAnswers queenId={id} label={label} due={d} />
        </View>
      ))}
    </>
  );
}
