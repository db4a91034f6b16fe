import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const KindPage = lazyPage(PAGES.kind);

export default function KindRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <KindPage key={id} id={id} />;
}
