import { DATE_ORDERS } from '@gentle-burrow/core/climate';
import type { Place } from '@gentle-burrow/core/facts';
import { isZone } from '@gentle-burrow/core/quantity';
import type { Fact } from '@gentle-burrow/core/records';
import { FIELDS, unmeasuredPlace, type SheetKind, type SheetMapping } from '@gentle-burrow/core/sheets';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePlaces } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { Bringing } from '@/features/backup/Bringing';
import { useBringBack } from '@/features/backup/use-bring-back';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Fault, TextField } from '@/ui/fields';
import { FileButton } from '@/ui/FileButton';
import { Fold } from '@/ui/Fold';
import { Sheet } from '@/ui/Sheet';
import { Table } from '@/ui/Table';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { capital } from '@gentle-burrow/core/words';
import { DECIMALS, ORDER_WORDS } from '@/words/tables';
import { useRead, useSheet, type OpenSheet } from './use-sheet';

const KINDS: { value: SheetKind; label: string; hint: string }[] = [
  { value: 'log', label: 'A log', hint: 'looks, food and notes, a row each' },
  { value: 'captures', label: 'Captures', hint: 'a row a queen' },
  { value: 'stock', label: 'Stock', hint: 'a row a thing, counted' },
];

const WRITTEN_DOWN = { deed: 'Write it down here', done: 'Written down' };

/** A table that was kept elsewhere: its columns are seen and put right, and nothing is taken before it is shown. */
export function ReadIn() {
  const [kind, setKind] = useState<SheetKind>('log');
  const sheet = useSheet();
  const bringing = useBringBack();
  const { state } = sheet;
  const again = () => {
    sheet.leave();
    bringing.leave();
  };
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        Read a table in
      </Words>
      {state.is === 'open' ? null : (
        <Choice label="What stands in it" options={KINDS} value={kind} onChange={(v) => setKind(v)} />
      )}
      {state.is === 'open' ? null : (
        <FileButton
          label="A table"
          accept=".csv,.tsv,.txt,text/csv"
          style={styles.left}
          onChoose={(file) => {
            bringing.leave();
            void sheet.open(kind, file);
          }}
        >
          Choose a table (CSV)
        </FileButton>
      )}
      {state.is === 'failed' ? <Fault>{state.reason}</Fault> : null}
      {state.is === 'open' && (bringing.state.is === 'waiting' || bringing.state.is === 'failed') ? (
        <Opened
          sheet={state}
          onMap={sheet.map}
          onLeave={again}
          onGoOn={(facts) =>
            void bringing.choose(
              new File(
                facts.map((f) => `${JSON.stringify(f)}\n`),
                state.name,
              ),
            )
          }
        />
      ) : null}
      <Bringing bringing={bringing} words={WRITTEN_DOWN} onLeave={again} />
      {bringing.state.is === 'taken' && state.is === 'open' ? (
        <Button mode="outlined" style={styles.left} onPress={again}>
          Read another one in
        </Button>
      ) : null}
    </Sheet>
  );
}

/** Places of which nobody has said anything more. */
const UNTOLD = [
  { place: unmeasuredPlace('Room'), label: 'In a room', hint: 'about room warm, not measured' },
  { place: unmeasuredPlace('Place not known'), label: 'Not known', hint: 'dates will be wide' },
];

/** How many are put where, before anything is written. */
function Placed({ facts, places }: { facts: readonly Fact[]; places: readonly Place[] }) {
  const made = facts.flatMap((f) => (f.fact === 'place' ? [f.value] : []));
  const lines = [...places, ...made].flatMap((p) => {
    const n = facts.filter((f) => f.fact === 'queen' && f.value.placeId === p.id).length;
    if (n === 0) return [];
    return [
      `${n} ${n === 1 ? 'queen' : 'queens'} in ${p.name}${made.includes(p) ? ' (a new place, warmth not measured)' : ''}`,
    ];
  });
  return lines.length > 0 ? <Words>{`${lines.join('; ')}.`}</Words> : null;
}

const SHOWN_ROWS = 3;
const SHOWN_COLUMNS = 6;
const NONE = 'none';

interface OpenedProps {
  sheet: OpenSheet;
  onMap(mapping: SheetMapping): void;
  onLeave(): void;
  onGoOn(facts: readonly Fact[]): void;
}

/** Its first rows, what stands in which column, and what its rows come to. */
function Opened({ sheet, onMap, onLeave, onGoOn }: OpenedProps) {
  const { kind, rows, mapping } = sheet;
  const places = usePlaces();
  const { temperature } = usePreferences();
  const [placeId, setPlaceId] = useState<string | null>(null);
  // nobody is put anywhere in silence: what is not said is asked
  // a room that an earlier table brought is among the places already
  const untold = UNTOLD.filter(({ place: u }) => !places.some((p) => p.name === u.name));
  const choices = [...places, ...untold.map((u) => u.place)];
  const place: Place | null = choices.find((p) => p.id === placeId) ?? null;
  const read = useRead(sheet, places, place);
  const width = Math.max(1, ...rows.slice(0, SHOWN_ROWS + 1).map((r) => r.length));
  const names = Array.from({ length: width }, (_, c) => {
    const name = mapping.headRows > 0 ? (rows[mapping.headRows - 1]?.[c] ?? '').trim() : '';
    return name === '' ? `Column ${c + 1}` : `${c + 1}: ${name}`;
  });
  const used = FIELDS[kind].filter((f) => mapping.columns[f.id] !== null);
  // the first column is the widest
  used.sort((a, b) => Number(b.id === 'date') - Number(a.id === 'date'));
  const cellOf = (row: readonly string[], id: string) => row[mapping.columns[id] ?? -1] ?? '';
  const first = rows.slice(mapping.headRows, mapping.headRows + SHOWN_ROWS);
  // as many as there is room for, of those that hold something; nobody reads an id
  const shown = used
    .filter((f) => f.id !== 'entry' && first.some((r) => cellOf(r, f.id) !== ''))
    .slice(0, SHOWN_COLUMNS);
  const rest = used.filter((f) => !shown.includes(f));
  const zoneFault = isZone(mapping.zone) ? undefined : 'This is no time zone. Write one like Europe/Berlin.';
  return (
    <View style={styles.form}>
      <Words kind="bold">{`${sheet.name}: is this what stands in it?`}</Words>
      {used.length > 0 ? (
        <>
          <Table
            label="First rows of the table"
            head={shown.map((f) => capital(f.head))}
            rows={first.map((r) => shown.map((f) => cellOf(r, f.id)))}
          />
          {rest.length > 0 ? (
            <Words kind="small" soft>{`Read too: ${rest.map((f) => f.head).join(', ')}.`}</Words>
          ) : null}
        </>
      ) : (
        <Words>None of its columns is known here. Say below what stands where.</Words>
      )}
      {kind === 'stock' ? null : (
        <Words>{`Dates are read as ${ORDER_WORDS[mapping.order].toLowerCase()}, by the clock of ${mapping.zone.replace(/_/g, ' ')}.`}</Words>
      )}
      <Fold
        title="Put the columns right"
        begin={FIELDS[kind].some((f) => f.needed && mapping.columns[f.id] === null)}
      >
        {FIELDS[kind].map((f) => (
          <Choice
            key={f.id}
            label={capital(f.head)}
            options={[
              ...names.map((label, c) => ({ value: String(c), label })),
              { value: NONE, label: 'None' },
            ]}
            value={mapping.columns[f.id] === null ? NONE : String(mapping.columns[f.id])}
            onChange={(v) =>
              onMap({ ...mapping, columns: { ...mapping.columns, [f.id]: v === NONE ? null : Number(v) } })
            }
          />
        ))}
        <Choice
          label="Rows above the first"
          options={[0, 1, 2, 3].map((n) => ({ value: String(n), label: String(n) }))}
          value={String(mapping.headRows)}
          onChange={(v) => onMap({ ...mapping, headRows: Number(v) })}
        />
        {kind === 'stock' ? null : (
          <>
            <Choice
              label="How dates are written"
              options={DATE_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }))}
              value={mapping.order}
              onChange={(order) => onMap({ ...mapping, order })}
            />
            <TextField
              label="Time zone"
              value={mapping.zone}
              onChange={(zone) => onMap({ ...mapping, zone: zone.trim() })}
              fault={zoneFault}
            />
          </>
        )}
        <Choice
          label="Decimals"
          options={DECIMALS}
          value={mapping.decimal}
          onChange={(decimal) => onMap({ ...mapping, decimal })}
        />
      </Fold>
      {kind === 'captures' ? (
        <Words>
          Each gets a usual tube, with its water as on the day she was taken in. Put her home right on her
          page where it is another.
        </Words>
      ) : null}
      {kind === 'captures' ? (
        <>
          <Choice
            label={
              mapping.columns.place == null
                ? 'Where are they kept?'
                : 'Where are those kept whose row names no place?'
            }
            options={[
              ...places.map((p) => ({ value: p.id, label: p.name, hint: tempText(p.tempC, temperature) })),
              ...untold.map(({ place: u, label, hint }) => ({ value: u.id, label, hint })),
            ]}
            value={placeId}
            onChange={setPlaceId}
          />
          {typeof read === 'string' ? null : <Placed facts={read.facts} places={places} />}
        </>
      ) : null}
      {typeof read === 'string' ? (
        <Fault>{zoneFault ?? read}</Fault>
      ) : (
        <>
          <Words kind="bold">{rowsText(read.taken, read.known)}</Words>
          {read.refused.length > 0 ? (
            <>
              <Words>{`${counted(read.refused.length)} cannot be read and will be left out:`}</Words>
              {read.refused.slice(0, SHOWN_ROWS).map((r) => (
                <Fault key={r.line}>{`Row ${r.line}: ${r.reason}`}</Fault>
              ))}
              {read.refused.length > SHOWN_ROWS ? (
                <Fold title="More of them">
                  {read.refused.slice(SHOWN_ROWS, 200).map((r) => (
                    <Fault key={r.line}>{`Row ${r.line}: ${r.reason}`}</Fault>
                  ))}
                </Fold>
              ) : null}
            </>
          ) : null}
        </>
      )}
      <View style={styles.row}>
        <Button mode="outlined" onPress={onLeave}>
          Leave it
        </Button>
        {typeof read !== 'string' && read.facts.length > 0 ? (
          <Button mode="contained" onPress={() => onGoOn(read.facts)}>
            See what is new
          </Button>
        ) : null}
      </View>
    </View>
  );
}

const counted = (n: number): string => (n === 1 ? 'One row' : `${n.toLocaleString('en')} rows`);
const rowsText = (taken: number, known: number): string =>
  `${taken === 0 ? 'No row tells something new.' : `${counted(taken)} can be read.`}${
    known > 0 ? ` ${counted(known)} ${known === 1 ? 'is' : 'are'} here already.` : ''
  }`;

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' },
  left: { alignSelf: 'flex-start' },
});
