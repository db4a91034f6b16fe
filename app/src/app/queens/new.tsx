import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const NewQueenPage = lazyPage(PAGES.intake);

export default function NewQueenRoute() {
  const { step, begun } = useLocalSearchParams<{ step?: string; begun?: string }>();
  return <NewQueenPage step={step === undefined ? null : Number(step) - 1} begun={begun !== undefined} />;
}
