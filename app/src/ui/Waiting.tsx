import { Screen } from './Screen';
import { Loading } from './states';

interface WaitingProps {
  question: string;
  back?: string;
  /** What is fetched. */
  what: string;
  /** As the page itself will be, so that its question stays where it is. */
  wide?: boolean;
}

/** A page of which nothing is drawn yet: what stands in it would move away from under the finger when the rest comes. */
export function Waiting({ question, back, what, wide }: WaitingProps) {
  return (
    <Screen question={question} back={back} wide={wide ?? false}>
      <Loading what={what} />
    </Screen>
  );
}
