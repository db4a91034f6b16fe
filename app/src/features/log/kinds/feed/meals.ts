import { MEALS, type Meal } from '@gentle-burrow/core/vocabulary';
import { useSpecies } from '@/data/queries';
import { optionsOf } from '@/ui/Choice';
import { MEAL_WORDS } from '@/words/log';

const ALL = optionsOf<Meal>(MEALS, MEAL_WORDS);
const USUAL = ALL.filter((m) => m.value !== 'leaves');

/** What can be offered to queens of these kinds: leaves only where one of them lives on a fungus, or where it was said. */
export function useMeals(profileIds: readonly string[], said: Meal | null) {
  const fungus = useSpecies().some((s) => s.diet.value === 'fungus' && profileIds.includes(s.id));
  return fungus || said === 'leaves' ? ALL : USUAL;
}
