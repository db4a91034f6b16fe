import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const TransferPage = lazyPage(PAGES.transfer);

export default function TransferRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TransferPage key={id} id={id} />;
}
