import { useLocalSearchParams } from 'expo-router';
import { QueenPage } from '@/features/queen/QueenPage';

export default function QueenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <QueenPage key={id} id={id} />;
}
