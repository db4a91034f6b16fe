import { learnedProfile, taughtOf } from '@gentle-burrow/core/founding';
import { useSettings, type ShownQueen } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';
import { HerFounder } from '@/features/founder/HerFounder';
import { Fold } from '@/ui/Fold';
import { HerMethods } from './HerMethods';
import { PeacePanel } from './PeacePanel';
import { SaysWho } from './SaysWho';
import { Verdicts } from './Verdicts';
import { NAMES } from '@/words/names';

/** Why she is advised so: every question with its reasons, what kind of founder she is, and who says so. */
export function Why({ shown }: { shown: ShownQueen }) {
  const { facts, view } = shown;
  const profileOf = useProfileOf();
  const profile = profileOf(view.profileId);
  const { learn } = useSettings();
  const taught = learn ? learnedProfile(profile, taughtOf(profile, shown.learned, profileOf)) : profile;
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
      {view.ledger.loss ? null : (
        <Fold title="Methods for this colony">
          <HerMethods queen={facts.queen} />
        </Fold>
      )}
      <SaysWho profile={taught} />
    </>
  );
}
