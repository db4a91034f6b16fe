import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const GlossaryPage = lazyPage(PAGES.glossary);

export default function GlossaryRoute() {
  const { word } = useLocalSearchParams<{ word?: string }>();
  return <GlossaryPage word={word ?? null} />;
}
