import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const WatchPage = lazyPage(PAGES.watch);

export default function WatchRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WatchPage key={id} id={id} />;
}
