import { useLocalSearchParams } from 'expo-router';
import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

const LookPage = lazyPage(PAGES.look);

export default function LookRoute() {
  const { id, amend } = useLocalSearchParams<{ id: string; amend?: string }>();
  return <LookPage key={`${id}.${amend ?? ''}`} id={id} amend={amend} />;
}
