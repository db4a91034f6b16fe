import type { QueenView } from '@gentle-burrow/core/view';
import { View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { useMeals } from '@/features/log/kinds/feed/meals';
import { Choice } from '@/ui/Choice';
import { dayText } from '@/ui/dates';
import { Words } from '@/ui/Words';
import { ANSWERED } from '@/words/answers';
import { MEAL_WORDS } from '@/words/log';
import { standing, type FoodDone } from './round';

type Became = 'taken' | 'removed' | 'left';
const BECAME: readonly { value: Became; label: string }[] = [
  { value: 'taken', label: ANSWERED.eaten },
  { value: 'removed', label: ANSWERED['taken-out'] },
  { value: 'left', label: ANSWERED.left },
];

interface RoundFoodProps {
  view: QueenView;
  done: FoodDone;
  change(part: Partial<FoodDone>): void;
}

/** Leftovers out, and a feed, while the tube is in the hand. */
export function RoundFood({ view, done, change }: RoundFoodProps) {
  const meals = useMeals([view.profileId], done.offered);
  const answer = view.counsel?.verdicts.find((v) => v.id === 'food')?.answer;
  return (
    <View style={{ gap: SPACE.m }}>
      {standing(view).map(({ entryId, food, at }) => (
        <Choice
          key={entryId}
          label={`The ${MEAL_WORDS[food]} of ${dayText(at)}`}
          options={BECAME}
          value={(done.became[entryId] as Became | undefined) ?? null}
          onChange={(outcome) => change({ became: { ...done.became, [entryId]: outcome } })}
          onClear={() =>
            change({ became: Object.fromEntries(Object.entries(done.became).filter(([o]) => o !== entryId)) })
          }
        />
      ))}
      <Choice
        label="Fed now"
        options={meals}
        value={done.offered}
        onChange={(offered) => change({ offered })}
        onClear={() => change({ offered: null })}
      />
      {answer ? <Words kind="small" soft>{`Does she need food? ${answer}.`}</Words> : null}
    </View>
  );
}
