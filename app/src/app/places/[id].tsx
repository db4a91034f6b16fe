import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const PlacePage = lazyPage(PAGES.place);

export default function PlaceRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PlacePage key={id} id={id} />;
}
