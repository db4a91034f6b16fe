import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const OwnKindPage = lazyPage(PAGES.ownKind);

export default function OwnKindRoute() {
  const { id, from } = useLocalSearchParams<{ id: string; from?: string }>();
  return <OwnKindPage key={id} id={id} fromQueens={from === 'queens'} />;
}
