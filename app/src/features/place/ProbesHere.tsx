import type { ProbeNow } from '@gentle-burrow/contract';
import type { Place, Probe } from '@gentle-burrow/core/facts';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CLIMATE_KEY, lyingAt, useClimate, useProbeWaits } from '@/data/climate';
import { fetchAnew } from '@/data/fetch-anew';
import { call } from '@/data/network';
import { put } from '@/data/outbox';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { agoText } from '@/ui/dates';
import { Fault, NumberField, TextField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Caution, Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import { CheckProbe } from './CheckProbe';
import { ImportReadings } from './ImportReadings';
import { layLogger } from './lay-logger';
import { airText, readingText } from './reading-text';

/** A logger that says nothing for so long is asked about, when nothing else was said, hours. */
const SILENT_AFTER_H = 3;

/** What measures here: each with what it shows, its file, and how it sends by itself. */
export function ProbesHere({ place, places }: { place: Place; places: readonly Place[] }) {
  const { probes } = useClimate();
  const here = lyingAt(probes, place.id);
  const [fresh, setFresh] = useState(false);
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        What measures here
      </Words>
      {here.map((p) => (
        <OneProbe key={p.probe.id} now={p} places={places} />
      ))}
      {fresh ? (
        <NewProbe place={place} onDone={() => setFresh(false)} />
      ) : (
        <Button mode="outlined" icon="plus" style={styles.left} onPress={() => setFresh(true)}>
          A logger lies here
        </Button>
      )}
    </Sheet>
  );
}

function NewProbe({ place, onDone }: { place: Place; onDone(): void }) {
  const [name, setName] = useState('');
  const [hours, setHours] = useState<number | null>(SILENT_AFTER_H);
  const ok = name.trim() !== '' && hours !== null && hours >= 0.1 && hours <= 1440;
  const keep = async () => {
    await layLogger(place, { name: name.trim(), silentAfterH: hours });
    onDone();
  };
  return (
    <View style={styles.form}>
      <TextField label="Name of the logger" value={name} onChange={setName} hint="As it is written on it." />
      <NumberField
        label="Ask about it when it says nothing for"
        unit="hours"
        value={hours}
        onChange={setHours}
        fault={hours === null || hours < 0.1 || hours > 1440 ? 'Give hours, from 0.1 to 1440.' : undefined}
      />
      <Caution>
        <Words kind="small">
          Cables and sockets stay away from water: let a cable hang in a loop below the socket, so that drops
          fall off.
        </Words>
      </Caution>
      <View style={styles.row}>
        <Button mode="outlined" onPress={onDone}>
          Leave it
        </Button>
        <Button mode="contained" disabled={!ok} onPress={() => void keep()}>
          Keep this logger
        </Button>
      </View>
    </View>
  );
}

function OneProbe({
  now: { probe, latest, tokenMadeAt },
  places,
}: {
  now: ProbeNow;
  places: readonly Place[];
}) {
  const { temperature } = usePreferences();
  const waits = useProbeWaits(probe.id);
  return (
    <View style={styles.probe}>
      <View>
        <Words kind="bold">{probe.name}</Words>
        <Words kind="small" soft>
          {latest
            ? `${readingText(latest, temperature)}, ${agoText(latest.at)}`
            : 'It has shown nothing yet.'}
        </Words>
        {latest && latest.tempC !== null && latest.rh !== null ? (
          <Words kind="small" soft>
            {airText(latest.tempC, latest.rh, temperature)}
          </Words>
        ) : null}
      </View>
      <Fold title={`More about ${probe.name}`}>
        {waits ? (
          <Words>
            It has not been sent to the server yet: its readings can be kept and a secret be made once it has.
          </Words>
        ) : null}
        {probe.kind === 'logger' ? (
          <>
            <ImportReadings probe={probe} waits={waits} />
            <SendsItself probe={probe} since={tokenMadeAt} waits={waits} />
          </>
        ) : null}
        <CheckProbe probe={probe} />
        <Button
          mode="text"
          icon="download"
          style={styles.left}
          disabled={waits}
          onPress={() => window.location.assign(`/api/probes/${probe.id}/readings.csv`)}
        >
          All its readings as CSV
        </Button>
        <Moved probe={probe} places={places} />
      </Fold>
    </View>
  );
}

/** Lies somewhere else from now on; what it showed stays with where it was. */
function Moved({ probe, places }: { probe: Probe; places: readonly Place[] }) {
  const AWAY = 'away';
  const move = async (to: string) => {
    const stays = [...probe.stays, { from: new Date().toISOString(), placeId: to === AWAY ? null : to }];
    await put({ what: 'probe', probe: { ...probe, stays } });
    offerUndo(to === AWAY ? `${probe.name} is put away.` : `${probe.name} lies elsewhere now.`, () =>
      put({ what: 'probe', probe }),
    );
  };
  return (
    <Choice
      label="It lies at"
      options={[...places.map((p) => ({ value: p.id, label: p.name })), { value: AWAY, label: 'Put away' }]}
      value={probe.stays[probe.stays.length - 1]?.placeId ?? AWAY}
      onChange={(to) => void move(to)}
    />
  );
}

/** The address and the secret with which a probe sends; the secret is shown this once. */
function SendsItself({
  probe,
  since,
  waits,
}: {
  probe: Probe;
  since: string | null;
  /** It is not on the server yet. */
  waits: boolean;
}) {
  const client = useQueryClient();
  const [token, setToken] = useState<string | null>(null);
  const [fault, setFault] = useState<string | undefined>(undefined);
  const address = `${window.location.origin}/api/probes/${probe.id}/push`;
  const make = async () => {
    try {
      const made = await call<{ token: string }>(`/probes/${probe.id}/token`, { method: 'POST', body: {} });
      setToken(made.token);
      setFault(undefined);
      await fetchAnew(client, CLIMATE_KEY);
    } catch (error) {
      setFault((error as Error).message);
    }
  };
  return (
    <View style={styles.form}>
      <Button
        mode="outlined"
        icon="access-point"
        style={styles.left}
        disabled={waits}
        onPress={() => void make()}
      >
        {since ? 'A new secret for sending' : 'Let it send by itself'}
      </Button>
      <Fault>{fault}</Fault>
      {token ? (
        <View style={styles.form} role="status">
          <Words>
            Send to this address, with this secret. It is shown only now; with a new one, this one no longer
            holds.
          </Words>
          <TextField label="Address" value={address} onChange={() => {}} />
          <TextField label="Secret" value={token} onChange={() => {}} />
          <Words kind="small" soft>
            {`As plain text, a reading a line: ${new Date().toISOString().slice(0, 16)}Z 24.3 55. The header “Authorization: Bearer” carries the secret.`}
          </Words>
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  form: { gap: SPACE.m },
  probe: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
