import { useWindowDimensions } from 'react-native';
import { ShelfPane } from '@/features/shelf/ShelfPane';
import { Welcome } from '@/features/shelf/Welcome';
import { WIDE } from '@/theme/tokens';
import { Crash } from '@/ui/Crash';

export default function Index() {
  // on a wide screen the shelf stands in its own pane already
  return <Crash>{useWindowDimensions().width >= WIDE ? <Welcome /> : <ShelfPane />}</Crash>;
}
