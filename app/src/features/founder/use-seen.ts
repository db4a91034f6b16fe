import { northMonth } from '@gentle-burrow/core/season';
import {
  hemisphereOf,
  NOTHING_SEEN,
  regionOfZone,
  REGIONS,
  TRAITS,
  type Region,
  type Seen,
} from '@gentle-burrow/core/species';
import { useState } from 'react';
import { useSettings } from '@/data/queries';
import { setPreferences, usePreferences } from '@/theme/preferences';
import { zoneNow } from '@/ui/dates';
import { useDraft } from '@/ui/drafts';

/** The part of the world that was chosen, and the likeliest while none is. */
export function useRegion(): { chosen: Region | null; region: Region } {
  const { region: preferred } = usePreferences();
  const chosen = REGIONS.find((r) => r === preferred) ?? null;
  return { chosen, region: chosen ?? regionOfZone(zoneNow()) };
}

/**
 * What is seen of a queen, for the key. Month and part of the world are known already where they were said before: by the day she
 * was caught, or here at another time; they are not asked for again.
 * @param flewAt when she was caught after her flight; null when that is not known
 */
export function useSeen(flewAt: string | null) {
  const { hemisphere } = useSettings();
  const { chosen, region } = useRegion();
  const { value: kept, change: keep } = useDraft<{ month: number | null }>('key-month', { month: null });
  const [told, setTold] = useState<Partial<Seen>>({});
  const given = {
    region: chosen,
    northMonth: flewAt === null ? kept.month : northMonth(flewAt, hemisphereOf(region, hemisphere)),
  };
  const tell = (change: Partial<Seen>) => {
    setTold({ ...told, ...change });
    if (change.region) setPreferences({ region: change.region });
    if (change.northMonth !== undefined && flewAt === null) keep({ month: change.northMonth });
  };
  const seen: Seen = { ...NOTHING_SEEN, ...given, ...told };
  /** Something was said here: the list is what the key leaves of it. */
  const keyed = TRAITS.some((t) => told[t] != null);
  return { seen, tell, keyed };
}
