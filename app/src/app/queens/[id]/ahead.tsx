import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const QueenPage = lazyPage(PAGES.queen);

export default function QueenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <QueenPage key={id} id={id} view="ahead" />;
}
