import { useLocalSearchParams } from 'expo-router';
import { LookPage } from '@/features/look/LookPage';

export default function LookRoute() {
  const { id, amend } = useLocalSearchParams<{ id: string; amend?: string }>();
  return <LookPage key={`${id}.${amend ?? ''}`} id={id} amend={amend} />;
}
