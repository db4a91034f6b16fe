import { founderBelief, type FounderEvidence } from '@gentle-burrow/core/founding';
import { provenanceText, speciesWeights } from '@gentle-burrow/core/species';
import { useFormContext } from 'react-hook-form';
import { useSpecies } from '@/data/queries';
import { KindCautions } from '@/features/founder/KindCautions';
import { FounderPanel } from '@/features/founder/FounderPanel';
import { ShapeChoice } from '@/features/founder/ShapeChoice';
import { SpeciesPick } from '@/features/founder/SpeciesPick';
import { Loading } from '@/ui/states';
import { Caution, Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import type { QueenForm } from './queen-form';
import { NAMES } from '@/words/names';
import { caughtAlone } from '@gentle-burrow/core/vocabulary';

/** Step 3: what she may be, her shape, and what kind of founder follows from that. */
export function StepSpecies() {
  const species = useSpecies();
  const { watch, setValue, formState } = useFormContext<QueenForm>();
  const [profileId, sure, namedBy, called, others, shape, wings, day, found] = watch([
    'profileId',
    'sure',
    'namedBy',
    'called',
    'others',
    'shape',
    'wings',
    'day',
    'found',
  ]);
  if (species.length === 0) return <Loading what="the species" />;
  const chosen = species.find((s) => s.id === profileId);
  const sharesFine = others.every((o) => o.share > 0) && others.reduce((sum, o) => sum + o.share, 0) < 1;
  const evidence: FounderEvidence[] = [];
  if (chosen && sharesFine) {
    for (const { profileId: id, weight } of speciesWeights({ profileId, sure, others })) {
      const profile = species.find((s) => s.id === id);
      if (profile)
        evidence.push({
          kind: 'species',
          founder: profile.founder.value,
          weight,
          source: provenanceText(profile.founder.source),
        });
    }
  }
  if (wings !== 'unknown') evidence.push({ kind: 'wings', value: wings, source: 'seen by you' });
  if (shape) evidence.push({ kind: 'shape', value: shape, source: 'seen by you' });
  const belief = founderBelief(evidence);
  const errors = formState.errors;
  const caughtAt = /^\d{4}-\d{2}-\d{2}$/.test(day) ? `${day}T12:00:00.000Z` : new Date().toISOString();
  return (
    <>
      <SpeciesPick
        species={species}
        value={{ profileId, sure, namedBy, called, others }}
        caughtAt={caughtAt}
        flew={found !== undefined && caughtAlone(found)}
        onChange={(change) => {
          for (const [key, v] of Object.entries(change))
            setValue(key as keyof QueenForm, v as never, {
              shouldValidate: formState.isSubmitted || key in errors,
            });
        }}
        faults={{
          profileId: errors.profileId?.message,
          namedBy: errors.namedBy?.message,
          others: errors.others?.message ?? errors.others?.root?.message,
        }}
      />
      <Sheet tight>
        <Words kind="heading" level={2}>
          Her shape
        </Words>
        <Words kind="small" soft>
          Tap the silhouette that is most like her, or leave it open.
        </Words>
        <ShapeChoice value={shape} onChange={(v) => setValue('shape', v)} />
      </Sheet>
      {chosen || shape ? (
        <Sheet tight>
          <Words kind="heading" level={2}>
            {NAMES.founder}
          </Words>
          <FounderPanel belief={belief} />
        </Sheet>
      ) : null}
      {belief.course === 'feed-throughout' ? (
        <Caution>
          <Words kind="small">
            She must eat while raising her first brood: give her a small foraging space from the start, and
            small offers every two to four days.
          </Words>
        </Caution>
      ) : null}
      <KindCautions profileId={profileId} />
    </>
  );
}
