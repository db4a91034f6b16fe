import { View } from 'react-native';
import { useSpecies, type ShownQueen } from '@/data/queries';
import { Deeds } from '@/features/log/Deeds';
import { Words } from '@/ui/Words';
import { FounderPanel } from './FounderPanel';

/** What kind of founder is she? The belief, and what has been seen since. */
export function HerFounder({ shown }: { shown: ShownQueen }) {
  const { view } = shown;
  const species = useSpecies();
  if (!view.founder) return null;
  const named = view.species.map((s) => ({
    ...s,
    name: species.find((p) => p.id === s.profileId)?.name ?? s.profileId,
  }));
  return (
    <>
      {named.length > 1 ? (
        <View>
          {named.map((s) => (
            <Words key={s.profileId} kind="small">
              {`${s.name}: ${Math.round(s.share * 100)} % as named${s.namedBy ? ` by ${s.namedBy}` : ''}; ${Math.round(s.now * 100)} % after what her log shows.`}
            </Words>
          ))}
        </View>
      ) : null}
      <FounderPanel belief={view.founder} />
      <Deeds shown={shown} deeds={['sign', 'identify']} />
    </>
  );
}
