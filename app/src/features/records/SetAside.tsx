import type { SetAsideList } from '@gentle-burrow/contract';
import { useQuery } from '@tanstack/react-query';
import { View } from 'react-native';
import { call } from '@/data/network';
import { SPACE } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Fold } from '@/ui/Fold';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';

/** So many are told before the rest is folded away. */
const SHOWN = 3;

/** What the server could not use at a start: where it lies, and why. Nothing of it was deleted. */
export function SetAside() {
  const { data } = useQuery({ queryKey: ['set-aside'], queryFn: () => call<SetAsideList>('/set-aside') });
  // what an earlier visit kept, or what stands in for a server, may say nothing of it
  const all = (data as Partial<SetAsideList> | undefined)?.setAside ?? [];
  if (all.length === 0) return null;
  const line = (one: (typeof all)[number]) => (
    <View key={one.where + one.at} role="listitem">
      <Words>{one.says}</Words>
      <Words kind="small" soft>{`${dayText(one.at)}, in ${one.where} of the data directory`}</Words>
    </View>
  );
  const rest = all.slice(SHOWN);
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        Set aside at a start
      </Words>
      <Words kind="small" soft>
        Something could not be read when the server started. All else is here; nothing was deleted. Keep these
        files until you know that you miss nothing.
      </Words>
      <View role="list" style={{ gap: SPACE.s }}>
        {all.slice(0, SHOWN).map(line)}
      </View>
      {rest.length > 0 ? (
        <Fold title={`${rest.length} more`}>
          <View role="list" style={{ gap: SPACE.s }}>
            {rest.map(line)}
          </View>
        </Fold>
      ) : null}
    </Sheet>
  );
}
