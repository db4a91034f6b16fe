import { useSpecies } from '@/data/queries';
import { Caution } from '@/ui/Sheet';
import { Told } from '@/ui/Told';

/** What of her kind can hurt the keeper or the ants, at a step where her home is open. */
export function KindCautions({ profileId }: { profileId: string }) {
  const cautions = useSpecies().find((s) => s.id === profileId)?.cautions ?? [];
  return cautions.map((c) => (
    <Caution key={c}>
      <Told kind="small">{c}</Told>
    </Caution>
  ));
}
