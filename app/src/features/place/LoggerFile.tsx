import type { Place, Probe } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lyingAt, useClimate, useProbeWaits } from '@/data/climate';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { FileButton } from '@/ui/FileButton';
import { Words } from '@/ui/Words';
import { ImportReadings, READS } from './ImportReadings';
import { layLogger } from './lay-logger';

/** What is chosen: a file, and by whom it was written. */
interface Chosen {
  probe: Probe;
  file: File;
}

/**
 * A logger's file, as it comes: of the logger that lies here, of one of several, or of one that is made from the name of the file.
 */
export function LoggerFile({ place }: { place: Place }) {
  const { probes } = useClimate();
  const loggers = lyingAt(probes, place.id).flatMap(({ probe }) => (probe.kind === 'logger' ? [probe] : []));
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [file, setFile] = useState<File | null>(null);
  if (chosen) return <Reading key={chosen.file.name} {...chosen} />;
  const choose = (given: File) => {
    const [only] = loggers;
    if (only && loggers.length === 1) setChosen({ probe: only, file: given });
    else if (only) setFile(given);
    // a file is read now and then: nobody is asked why its logger is silent
    else
      void layLogger(place, { name: nameIn(given), silentAfterH: null }).then((probe) =>
        setChosen({ probe, file: given }),
      );
  };
  return (
    <View style={styles.form}>
      <FileButton label="A logger’s file" accept={READS} style={styles.left} onChoose={choose}>
        Read a logger’s file
      </FileButton>
      {file ? (
        <Choice
          label={`Which logger wrote ${file.name}?`}
          options={loggers.map((l) => ({ value: l.id, label: l.name }))}
          value={null}
          onChange={(id) => {
            const probe = loggers.find((l) => l.id === id);
            if (probe) setChosen({ probe, file });
          }}
        />
      ) : null}
    </View>
  );
}

function Reading({ probe, file }: Chosen) {
  const waits = useProbeWaits(probe.id);
  return (
    <View style={styles.form}>
      <Words kind="bold">{probe.name}</Words>
      <ImportReadings probe={probe} waits={waits} begin={file} />
    </View>
  );
}

/** What a logger is called by its file. */
const nameIn = ({ name }: File): string => name.replace(/\.[a-z0-9]{1,4}$/i, '').slice(0, 80) || 'Logger';

const styles = StyleSheet.create({ form: { gap: SPACE.m }, left: { alignSelf: 'flex-start' } });
