import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { go } from '@/ui/way';
import { NAMES } from '@/words/names';

export default function NotFound() {
  return (
    <Screen question="There is no such page." back="/">
      <Words>The address may be mistyped, or from an older version.</Words>
      <Button mode="contained" onPress={() => go('/shelf')}>
        {NAMES.toShelf}
      </Button>
    </Screen>
  );
}
