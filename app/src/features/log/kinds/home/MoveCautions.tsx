import { narrowerThan } from '@gentle-burrow/core/care';
import type { KindCard } from '@gentle-burrow/core/species';
import { useSpecies } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { Caution } from '@/ui/Sheet';
import { inUnits } from '@/ui/units';
import { Words } from '@/ui/Words';
import type { HomeDraft, What } from './draft';

interface MoveCautionsProps {
  what: What;
  draft: HomeDraft;
  profileId: string;
}

/** What can go wrong at just this step, for the keeper and for the ants. */
export function MoveCautions({ what, draft, profileId }: MoveCautionsProps) {
  const units = usePreferences();
  const kind = useSpecies().find((s) => s.id === profileId);
  const says = cautionOf(what, draft, kind);
  return says ? (
    <Caution>
      <Words kind="small">{inUnits(says, units)}</Words>
    </Caution>
  ) : null;
}

/** Whether her home is opened where she or her workers are, and hands are near. */
export const opensHer = (what: What, { how, opened }: HomeDraft): boolean =>
  what === 'divided' ||
  (what === 'moved-in' && (how === 'by-hand' || how === 'tipped-out')) ||
  (what === 'watered' && opened === 'yes');

function cautionOf(what: What, { by, cover, how }: HomeDraft, kind?: KindCard): string | null {
  switch (what) {
    case 'set-up':
    case 'joined':
      return by === 'beside'
        ? 'What only stands beside is out of her reach: join the two when you want her to use it.'
        : `Never airtight: leave a small gap, narrower than ${kind ? narrowerThan(kind) : 'the smallest worker’s head'}. Push glass into glass gently, with gloves and a cloth: it breaks into the hand.`;
    case 'covered':
      return cover === 'lit'
        ? 'Indirect daylight only. No lamp and no sun: they cook ants, and the air behind the plug pushes water into her cell.'
        : null;
    case 'gate':
    case 'parted':
      return 'Not while one of them stands in the way: crushed legs and antennae do not grow again.';
    case 'divided':
      return 'Wiggle the outer plug first, and they draw back before you open. Stings and spray: eyes and skin covered.';
    case 'watered':
      return 'Boiled and cooled, or rested water. Not daily, for too wet brings mould; blunt syringes only, away from children.';
    case 'cleaned':
      return 'Only with nobody inside: hot water and soap, then dry it well. Alcohol burns: no flame, fresh air, and nobody back before it has dried.';
    case 'taken-away':
      return 'Look once more that nobody is left in it. Ants that stayed behind are never released. Where there was mould, throw it away or sterilise it.';
    case 'moved-in':
      return how === 'by-hand' || how === 'tipped-out'
        ? 'Kinds that spray or sting: eyes and skin covered, fresh air. Count that as many came in as went out; brood sticks to brushes and gets lost.'
        : null;
  }
}
