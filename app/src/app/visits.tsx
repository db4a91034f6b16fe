import { Redirect } from 'expo-router';

/** An address of earlier versions. */
export default function Moved() {
  return <Redirect href={'/' as never} />;
}
