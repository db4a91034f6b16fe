import { Screen } from './Screen';
import { Loading } from './states';

interface WaitingProps {
  question: string;
  back?: string;
  /** What is fetched. */
  what: string;
}

/** A page of which nothing is drawn yet: what stands in it would move away from under the finger when the rest comes. */
export function Waiting({ question, back, what }: WaitingProps) {
  return (
    <Screen question={question} back={back}>
      <Loading what={what} />
    </Screen>
  );
}
