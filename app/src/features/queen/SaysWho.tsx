import type { SpeciesProfile } from '@gentle-burrow/core/species';
import { Figures } from '@/features/kinds/Figures';
import { Fold } from '@/ui/Fold';
import { Way } from '@/ui/Way';

/** Every figure that is used for her, and where it comes from. */
export function SaysWho({ profile }: { profile: SpeciesProfile }) {
  return (
    <Fold title="Says who? The figures used for her">
      <Figures profile={profile} />
      <Way
        to={`/kinds/${profile.id}`}
        icon="magnify"
        title={profile.name}
        says="All that is known of her kind, what your queens say, and figures of your own."
      />
    </Fold>
  );
}
