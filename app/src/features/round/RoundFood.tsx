import type { QueenView } from '@gentle-burrow/core/view';
import { View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { useMeals } from '@/features/log/kinds/feed/meals';
import { Choice } from '@/ui/Choice';
import { dayText } from '@/ui/dates';
import { Words } from '@/ui/Words';
import { MEAL_WORDS } from '@/words/log';
import { standing, type FoodDone } from './round';

const BECAME = [
  { value: 'taken', label: 'Eaten up' },
  { value: 'removed', label: 'Taken out' },
] as const;

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
      {standing(view).map(({ food, at }) => (
        <Choice
          key={food}
          label={`The ${MEAL_WORDS[food]} of ${dayText(at)}`}
          options={BECAME}
          value={(done.became[food] as 'taken' | 'removed' | undefined) ?? null}
          onChange={(outcome) => change({ became: { ...done.became, [food]: outcome } })}
          onClear={() =>
            change({ became: Object.fromEntries(Object.entries(done.became).filter(([f]) => f !== food)) })
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
