import { useLocalSearchParams, usePathname } from 'expo-router';
import { NewQueenPage } from '@/features/intake/NewQueenPage';
import { QueenPage } from '@/features/queen/QueenPage';
import { VIEW_NAMES, VIEWS } from '@/features/queen/views';

/** A colony's page, in the view that the address asks for. */
export function Colony({ id }: { id: string }) {
  const path = usePathname();
  const view = VIEW_NAMES.find((name) => VIEWS[name].path !== '' && path.endsWith(VIEWS[name].path));
  return <QueenPage key={view} id={id} view={view ?? 'now'} />;
}

/** The intake, at the step that the address asks for. */
export function Intake() {
  const { step, begun } = useLocalSearchParams<{ step?: string; begun?: string }>();
  return (
    <NewQueenPage
      key={step}
      step={step === undefined ? null : Number(step) - 1}
      begun={begun !== undefined}
    />
  );
}
