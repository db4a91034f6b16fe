import { speciesBeliefSchema } from '@gentle-burrow/core/log';
import { caughtAlone } from '@gentle-burrow/core/vocabulary';
import { useSpecies } from '@/data/queries';
import { beliefOf, pickedOf, SpeciesPick, type PickedSpecies } from '@/features/founder/SpeciesPick';
import type { FieldsProps, KindForm } from '../../kind-form';

function Fields({ draft, change, shown }: FieldsProps<PickedSpecies>) {
  const { intake } = shown.view.ledger;
  const fault = speciesBeliefSchema.safeParse(beliefOf(draft)).error?.issues[0];
  return (
    <SpeciesPick
      species={useSpecies()}
      value={draft}
      caughtAt={intake?.at ?? shown.facts.queen.createdAt}
      flew={intake !== null && caughtAlone(intake.found)}
      onChange={change}
      faults={{ others: fault?.path[0] === 'others' ? fault.message : undefined }}
    />
  );
}

/** Names her anew; what she was called before stays in her log. */
export const identify: KindForm<'identify', PickedSpecies> = {
  deed: 'Change species',
  keep: 'Keep this name',
  kept: () => 'Her new name is kept.',
  begin: ({ view }, body) => pickedOf(body?.species ?? view.ledger.species),
  finish: (draft) => {
    const checked = speciesBeliefSchema.safeParse(beliefOf(draft));
    return checked.success ? { species: checked.data } : null;
  },
  Fields,
};
