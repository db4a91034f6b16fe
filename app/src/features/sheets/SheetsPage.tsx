import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { download } from '@/ui/download';
import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { ReadIn } from './ReadIn';

const OUT = [
  { path: 'log.csv', says: 'The log' },
  { path: 'captures.csv', says: 'The captures' },
  { path: 'stock.csv', says: 'The stock' },
] as const;

/** Tables out, and in. */
export function SheetsPage() {
  return (
    <Screen question="What stands in your tables?" back="/records">
      <Sheet>
        <Words kind="heading" level={2}>
          Take a table with you
        </Words>
        <Words>
          CSV, which every spreadsheet opens. Where queens were found is left out. Log and stock can be read
          in again here.
        </Words>
        <View style={styles.row}>
          {OUT.map(({ path, says }) => (
            <Button
              key={path}
              mode="outlined"
              icon="table-arrow-down"
              onPress={() => download(`/api/${path}`)}
            >
              {says}
            </Button>
          ))}
        </View>
      </Sheet>
      <ReadIn />
    </Screen>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
