import type { ReadingsTaken } from '@gentle-burrow/contract';
import { DATE_ORDERS, lengthOf, SEPARATORS, type Mapping } from '@gentle-burrow/core/climate';
import type { Probe } from '@gentle-burrow/core/facts';
import { isZone } from '@gentle-burrow/core/quantity';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { dayText, zoneNow } from '@/ui/dates';
import { Fault, TextField } from '@/ui/fields';
import { FileButton } from '@/ui/FileButton';
import { Fold } from '@/ui/Fold';
import { Table } from '@/ui/Table';
import { Words } from '@/ui/Words';
import { DECIMALS, ENCODING_WORDS, ORDER_WORDS, SEPARATOR_WORDS } from '@/words/tables';
import type { Written } from '../../workers/import.worker';
import { ENCODINGS } from '@/ui/text-file';
import { useImport, type ReadFile } from './use-import';

/** What is offered to be chosen. */
export const READS = '.csv,.txt,.tsv,text/csv,text/plain';

/**
 * A logger's file: chosen, its columns seen and put right, its rows read, and what can be used of it kept.
 * @param waits the logger is not on the server yet: nothing of it can be kept there
 * @param begin the file that is read, when it was chosen already
 */
export function ImportReadings({ probe, waits, begin }: { probe: Probe; waits: boolean; begin?: File }) {
  const file = useImport(probe.id);
  useEffect(() => {
    if (begin) file.choose(begin);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, on coming here with it
  }, []);
  const { state } = file;
  return (
    <View style={styles.form}>
      {state.is === 'waiting' || state.is === 'failed' || state.is === 'kept' ? (
        <FileButton
          label={`A file of ${probe.name}`}
          accept={READS}
          style={styles.left}
          onChoose={(chosen) => file.choose(chosen)}
        >
          Read in a file
        </FileButton>
      ) : null}
      <View role="status" aria-live="polite" style={styles.form}>
        {state.is === 'looking' ? <Words soft>Looking at its first rows …</Words> : null}
        {state.is === 'reading' ? (
          <Going share={state.share} says={`${rowsText(state.rows)} read.`} onStop={file.stop} />
        ) : null}
        {state.is === 'sending' ? (
          <Going
            share={state.sent / Math.max(1, state.of)}
            says={`${state.sent.toLocaleString('en')} of ${state.of.toLocaleString('en')} readings are kept.`}
            onStop={file.stop}
          />
        ) : null}
        {state.is === 'kept' ? (
          <Words>
            {`${state.stopped ? 'Stopped. ' : ''}${takenText(state.taken)}${
              state.refusedCount > 0 ? ` ${rowsText(state.refusedCount)} could not be used.` : ''
            }${state.stopped ? ' Read the file in again to go on: what is there is not taken twice.' : ''}`}
          </Words>
        ) : null}
        {state.is === 'failed' ? (
          <Fault>{`${state.reason}${state.taken ? ` ${takenText(state.taken)} Read the file in again to go on: what is there is not taken twice.` : ''}`}</Fault>
        ) : null}
      </View>
      {state.is === 'head' ? (
        <Head
          rows={state.rows}
          mapping={state.mapping}
          written={state.written}
          onWritten={(written) => file.choose(state.file, written)}
          onMap={file.map}
          onRead={(mapping) => file.read(state.file, state.written, mapping)}
          onLeave={file.again}
        />
      ) : null}
      {state.is === 'read' ? (
        <Read read={state} waits={waits} onKeep={() => void file.keep(state)} onLeave={file.again} />
      ) : null}
    </View>
  );
}

function Going({ share, says, onStop }: { share: number; says: string; onStop(): void }) {
  return (
    <View style={styles.form}>
      <ProgressBar progress={share} accessibilityLabel="Share of the file" />
      <View style={styles.row}>
        <Words>{says}</Words>
        <Button mode="text" onPress={onStop}>
          Stop
        </Button>
      </View>
    </View>
  );
}

interface HeadProps {
  rows: string[][];
  mapping: Mapping | null;
  written: Written;
  onWritten(written: Written): void;
  onMap(mapping: Mapping): void;
  onRead(mapping: Mapping): void;
  onLeave(): void;
}

const UNKNOWN: Mapping = {
  headRows: 1,
  time: 0,
  clock: null,
  order: 'year-month-day',
  zone: 'UTC',
  temp: 1,
  tempUnit: 'C',
  rh: null,
  rhUnit: 'percent',
  decimal: '.',
};
const SHOWN_ROWS = 3;
const NONE = 'none';

/** What stands in which column, as guessed; the keeper sees the first rows and puts it right. */
function Head({ rows, mapping: guessed, written, onWritten, onMap, onRead, onLeave }: HeadProps) {
  const mapping = guessed ?? { ...UNKNOWN, zone: zoneNow() };
  const width = Math.max(1, ...rows.map((r) => r.length));
  const names = Array.from({ length: width }, (_, c) => {
    const name = mapping.headRows > 0 ? (rows[mapping.headRows - 1]?.[c] ?? '').trim() : '';
    return name === '' ? `Column ${c + 1}` : `${c + 1}: ${name}`;
  });
  const columns = names.map((label, c) => ({ value: String(c), label }));
  const change = (part: Partial<Mapping>) => onMap({ ...mapping, ...part });
  const column = (label: string, value: number | null, set: (c: number | null) => void, needed = false) => (
    <Choice
      label={label}
      options={needed ? columns : [...columns, { value: NONE, label: 'None' }]}
      value={value === null ? NONE : String(value)}
      onChange={(v) => set(v === NONE ? null : Number(v))}
    />
  );
  const zoneFault =
    isZone(mapping.zone) || /^[+-]\d{2}:\d{2}$/.test(mapping.zone)
      ? undefined
      : 'This is no time zone. Write one like Europe/Berlin; or +01:00 for a logger whose clock is never changed.';
  const sample = rows.slice(mapping.headRows, mapping.headRows + SHOWN_ROWS);
  return (
    <View style={styles.form}>
      <Words kind="bold">
        {guessed
          ? 'Is this what stands in the columns?'
          : 'What stands in which column? No dates were found.'}
      </Words>
      <Table
        label="First rows of the file"
        head={names}
        rows={sample.map((r) => names.map((_, c) => r[c] ?? ''))}
      />
      <Words>{mappingText(mapping, names)}</Words>
      <TextField
        label="Time zone of the logger"
        value={mapping.zone}
        onChange={(zone) => change({ zone: zone.trim() })}
        fault={zoneFault}
        hint="Times that carry an offset of their own keep it."
      />
      <Fold title="Put the columns right" begin={!guessed}>
        {column('Date, or date and time', mapping.time, (time) => change({ time: time ?? 0 }), true)}
        {column('Time, when it stands apart', mapping.clock, (clock) => change({ clock }))}
        <Choice
          label="How dates are written"
          options={DATE_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }))}
          value={mapping.order}
          onChange={(order) => change({ order })}
        />
        {column('Temperature', mapping.temp, (temp) => change({ temp }))}
        <Choice
          label="Unit of the temperature"
          options={[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' },
          ]}
          value={mapping.tempUnit}
          onChange={(tempUnit) => change({ tempUnit })}
        />
        {column('Humidity', mapping.rh, (rh) => change({ rh }))}
        {mapping.rh === null ? null : (
          <Choice
            label="Unit of the humidity"
            options={[
              { value: 'percent', label: '%' },
              { value: 'share', label: '0 to 1' },
            ]}
            value={mapping.rhUnit}
            onChange={(rhUnit) => change({ rhUnit })}
          />
        )}
        <Choice
          label="Between the cells"
          options={SEPARATORS.map((value) => ({ value, label: SEPARATOR_WORDS[value] }))}
          value={written.separator}
          onChange={(separator) => onWritten({ ...written, separator })}
        />
        <Choice
          label="Letters"
          options={ENCODINGS.map((value) => ({ value, label: ENCODING_WORDS[value] }))}
          value={written.encoding}
          onChange={(encoding) => onWritten({ ...written, encoding })}
        />
        <Choice
          label="Decimals"
          options={DECIMALS}
          value={mapping.decimal}
          onChange={(decimal) => change({ decimal })}
        />
      </Fold>
      <View style={styles.row}>
        <Button mode="outlined" onPress={onLeave}>
          Leave it
        </Button>
        <Button
          mode="contained"
          disabled={zoneFault !== undefined || (mapping.temp === null && mapping.rh === null)}
          onPress={() => onRead(mapping)}
        >
          Read the rows
        </Button>
      </View>
    </View>
  );
}

/** What is read from where, in one sentence. */
function mappingText(m: Mapping, names: readonly string[]): string {
  const of = (c: number) => `“${names[c] ?? c + 1}”`;
  const parts = [
    `Dates from ${of(m.time)}${m.clock === null ? '' : ` and ${of(m.clock)}`} as ${ORDER_WORDS[m.order].toLowerCase()}`,
    m.temp === null ? '' : `temperature from ${of(m.temp)} in °${m.tempUnit}`,
    m.rh === null
      ? 'no humidity'
      : `humidity from ${of(m.rh)} in ${m.rhUnit === 'percent' ? '%' : 'shares of 1'}`,
    `decimals with a ${m.decimal === ',' ? 'comma' : 'point'}`,
  ];
  return `${parts.filter(Boolean).join('; ')}.`;
}

/** What can be used of the file, before anything of it is kept. */
interface ReadProps {
  read: ReadFile;
  waits: boolean;
  onKeep(): void;
  onLeave(): void;
}

function Read({ read, waits, onKeep, onLeave }: ReadProps) {
  const n = lengthOf(read.columns);
  let [first, last] = [Infinity, -Infinity];
  for (const ms of read.columns.ms) {
    first = Math.min(first, ms);
    last = Math.max(last, ms);
  }
  const day = (ms: number) => dayText(new Date(ms).toISOString());
  return (
    <View style={styles.form}>
      <Words kind="bold">
        {n === 0
          ? 'No row of this file can be used.'
          : `${n.toLocaleString('en')} readings, from ${day(first)} to ${day(last)}.`}
      </Words>
      {read.refusedCount > 0 ? (
        <>
          <Words>{`${rowsText(read.refusedCount)} cannot be used and will be left out:`}</Words>
          {read.refused.slice(0, 3).map((r) => (
            <Fault key={r.line}>{`Line ${r.line}: ${r.reason}`}</Fault>
          ))}
          {read.refusedCount > 3 ? (
            <Fold title="More of them">
              {read.refused.slice(3).map((r) => (
                <Fault key={r.line}>{`Line ${r.line}: ${r.reason}`}</Fault>
              ))}
              {read.refusedCount > read.refused.length ? (
                <Words soft>{`and ${rowsText(read.refusedCount - read.refused.length)} more.`}</Words>
              ) : null}
            </Fold>
          ) : null}
        </>
      ) : null}
      <View style={styles.row}>
        <Button mode="outlined" onPress={onLeave}>
          Leave it
        </Button>
        {n > 0 ? (
          <Button mode="contained" disabled={waits} onPress={onKeep}>
            {`Keep ${n.toLocaleString('en')} readings`}
          </Button>
        ) : null}
      </View>
    </View>
  );
}

const rowsText = (n: number): string => (n === 1 ? 'One row' : `${n.toLocaleString('en')} rows`);

function takenText({ added, known, contradictory }: Omit<ReadingsTaken, 'there'>): string {
  const parts = [
    added === 1 ? 'One reading is new.' : `${added.toLocaleString('en')} readings are new.`,
    known > 0 ? `${known.toLocaleString('en')} were there already.` : '',
    contradictory > 0
      ? `${contradictory.toLocaleString('en')} say something else than what was there: that stays.`
      : '',
  ];
  return parts.filter(Boolean).join(' ');
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' },
  left: { alignSelf: 'flex-start' },
});
