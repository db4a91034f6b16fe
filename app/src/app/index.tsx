import { TodayPage } from '@/features/today/TodayPage';
import { Crash } from '@/ui/Crash';

export default function Index() {
  return (
    <Crash>
      <TodayPage />
    </Crash>
  );
}
