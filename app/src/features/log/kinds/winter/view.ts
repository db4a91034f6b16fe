import { dayText } from '@/ui/dates';
import { joined, type KindView } from '../../kind-view';

export const winter: KindView<'winter'> = {
  title: 'Winter',
  icon: 'snowflake',
  words: ({ plan, text }, names) =>
    joined(
      plan
        ? `planned from ${dayText(plan.from)} to ${dayText(plan.until)}, ${names.place?.(plan.placeId) ?? 'in the cold'}`
        : 'no longer planned',
      text,
    ),
};
