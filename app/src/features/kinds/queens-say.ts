import { learnedProfile, taughtOf } from '@gentle-burrow/core/founding';
import { stageDays, STAGES, type OwnFigures, type Stage } from '@gentle-burrow/core/species';
import { useMemo } from 'react';
import { useLearned } from '@/data/queries';
import { useProfileOf } from '@/features/founder/profiles';

/** What the keeper's queens say of one stage of a kind. */
export interface StageSaid {
  stage: Stage;
  /** Queens of the kind who finished it, and of other kinds of its genus. */
  n: number;
  ofGenus: number;
  /** Days at 25 °C: by the profile, and after what the queens showed. */
  byProfile: number;
  byQueens: number;
  /** How far queens lie from it, as a factor. */
  spread: { profile: number; queens: number };
}

/** Median days that the keeper's queens make of a kind, as figures that a profile can take over; null while it is not known. */
export function useQueensSay(id: string): { stages: StageSaid[]; figures: OwnFigures } | null {
  const learned = useLearned();
  const profileOf = useProfileOf();
  return useMemo(() => {
    if (!learned) return null;
    const profile = profileOf(id);
    const taught = taughtOf(profile, learned, profileOf);
    const after = learnedProfile(profile, taught);
    const stages = STAGES.flatMap((stage): StageSaid[] => {
      const n = taught.own[stage]?.n ?? 0;
      const ofGenus = taught.kin[stage]?.n ?? 0;
      if (n + ofGenus === 0) return [];
      return [
        {
          ...{ stage, n, ofGenus },
          byProfile: stageDays(profile, stage),
          byQueens: stageDays(after, stage),
          spread: {
            profile: Math.exp(profile.stages[stage].logSpread),
            queens: Math.exp(after.stages[stage].logSpread),
          },
        },
      ];
    });
    const figures = Object.fromEntries(
      stages
        .filter((s) => s.n > 0)
        .map((s) => [
          `${s.stage}Days`,
          { value: Math.round(10 * s.byQueens) / 10, says: `my own queens (n=${s.n})`, queens: s.n },
        ]),
    ) as OwnFigures;
    return { stages, figures };
  }, [id, learned, profileOf]);
}
