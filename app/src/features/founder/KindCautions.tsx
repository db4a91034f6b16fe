import { OPENING } from '@gentle-burrow/core/species';
import { useSpecies } from '@/data/queries';
import { Caution } from '@/ui/Sheet';
import { Told } from '@/ui/Told';

interface KindCautionsProps {
  profileId: string;
  /** Her home is opened at this step: what her temper asks is told too. */
  opening?: boolean;
}

/** What of her kind can hurt the keeper or the ants. */
export function KindCautions({ profileId, opening = false }: KindCautionsProps) {
  const kind = useSpecies().find((s) => s.id === profileId);
  const asks = opening && kind ? OPENING[kind.temper.value] : null;
  return [...(kind?.cautions ?? []), ...(asks ? [asks] : [])].map((c) => (
    <Caution key={c}>
      <Told kind="small">{c}</Told>
    </Caution>
  ));
}
