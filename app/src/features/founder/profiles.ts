import { profilesWith, type ProfileOf } from '@gentle-burrow/core/species/catalogue';
import { useMemo } from 'react';
import { useOwnKinds } from '@/data/queries';

/** Everything by which each kind is reckoned, the keeper's own among them; also without a connection. */
export function useProfileOf(): ProfileOf {
  const own = useOwnKinds();
  return useMemo(() => profilesWith(own), [own]);
}
