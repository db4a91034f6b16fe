import type { PlaceChoice } from '@gentle-burrow/core/records';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { download } from '@/ui/download';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Way } from '@/ui/Way';
import { Words } from '@/ui/Words';
import { NAMES } from '@/words/names';
import { SetAside } from './SetAside';

const PLACES: { value: PlaceChoice; label: string; hint: string }[] = [
  { value: 'withheld', label: 'Left out', hint: 'nobody learns the site' },
  { value: 'rounded', label: 'Rounded', hint: 'to a tenth of a degree, no words' },
  { value: 'exact', label: 'Exact', hint: 'as you wrote them' },
];
/** What is written down? What it shows, how to take it along, and how it is kept. */
export function RecordsPage() {
  return (
    <Screen question="What is written down?">
      <View>
        <Way
          to="/cohort"
          icon="chart-line-variant"
          title={NAMES.comparison}
          says="Survival and the way to workers, by species, batch, place and method."
        />
        <Way
          to="/kinds"
          icon="magnify"
          title={NAMES.kinds}
          says="What is known of each kind and who says so; a short key; profiles of your own."
        />
        <Way
          to="/settings"
          icon="cog-outline"
          title={NAMES.settings}
          says="Your methods, units, time zone and appearance."
        />
        <Way
          to="/backup"
          icon="safe-square-outline"
          title={NAMES.backup}
          says="All of it in one file, every day by itself; and in again, here or on another machine."
        />
        <Way
          to="/sheets"
          icon="table"
          title={NAMES.sheets}
          says="Log, captures and stock as tables; and a log that you kept in one, read in."
        />
        <Way
          to="/glossary"
          icon="book-open-variant"
          title={NAMES.words}
          says="Every trade word that is used here, in plain English."
        />
      </View>
      <SetAside />
      <TakeAlong />
    </Screen>
  );
}

function TakeAlong() {
  const [places, setPlaces] = useState<PlaceChoice>('withheld');
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        Your log is yours
      </Words>
      <Choice
        label="Where queens were found"
        options={PLACES}
        value={places}
        onChange={(v) => setPlaces(v)}
      />
      <Words>Everything you wrote, one fact a line, in an open format (JSON Lines).</Words>
      <Button
        mode="outlined"
        icon="download"
        style={styles.left}
        onPress={() => download(`/api/export.jsonl?places=${places === 'exact' ? 'exact' : 'withheld'}`)}
      >
        Take the log with you
      </Button>
      <Words kind="small" soft>
        Notes and the names of batches go with the log as you wrote them.
      </Words>
      {places === 'rounded' ? (
        <Words kind="small" soft>
          The log knows no rounding: it leaves places out unless they are exact.
        </Words>
      ) : null}
      <Words>Your captures as occurrence records (Darwin Core, CSV), for whoever maps species.</Words>
      <Button
        mode="outlined"
        icon="table-arrow-down"
        style={styles.left}
        onPress={() => download(`/api/captures.csv?places=${places}`)}
      >
        Take the captures with you
      </Button>
    </Sheet>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
