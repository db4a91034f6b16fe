import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const Labels = lazyPage(PAGES.labels);

export default function LabelsRoute() {
  const { queens } = useLocalSearchParams<{ queens?: string }>();
  return <Labels only={queens?.split(',')} />;
}
