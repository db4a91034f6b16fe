import { learnedProfile } from '@gentle-burrow/core/founding';
import { useProfile, useSettings, type ShownQueen } from '@/data/queries';
import { HerFounder } from '@/features/founder/HerFounder';
import { Fold } from '@/ui/Fold';
import { PeacePanel } from './PeacePanel';
import { SaysWho } from './SaysWho';
import { Verdicts } from './Verdicts';
import { NAMES } from '@/words/names';

/** Why she is advised so: every question with its reasons, what kind of founder she is, and who says so. */
export function Why({ shown }: { shown: ShownQueen }) {
  const { facts, view } = shown;
  const profile = useProfile(view.profileId);
  const { learn } = useSettings();
  const taught = profile && learn ? learnedProfile(profile, shown.learned[profile.id] ?? {}) : profile;
  const advice = view.counsel;
  return (
    <>
      {advice && advice.verdicts.length > 0 ? (
        <>
          {view.ledger.loss ? null : (
            <PeacePanel peace={advice.peace} outlook={view.outlook} water={advice.water} />
          )}
          <Verdicts verdicts={advice.verdicts} entries={facts.entries} queenId={facts.queen.id} />
        </>
      ) : null}
      {view.ledger.loss || !view.founder ? null : (
        <Fold title={NAMES.founder}>
          <HerFounder shown={shown} />
        </Fold>
      )}
      {taught ? <SaysWho profile={taught} /> : null}
    </>
  );
}
