import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const Shelf = lazyPage(PAGES.shelf);

export default function ShelfRoute() {
  const { find } = useLocalSearchParams<{ find?: string }>();
  return <Shelf find={find !== undefined} />;
}
