import { onlineManager } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { counted } from '@gentle-burrow/core/words';
import { canBeAllowedFor, useClockAhead } from '@/data/clock';
import { EXAMPLE, showExample } from '@/data/example';
import { drop, sendAgain, takeUp, useHeld, useLoose, useOutbox, type OutboxItem } from '@/data/outbox';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { outgoingWords } from '@/words/outgoing';
import { Button } from './Button';
import { offerUndo } from './undo';
import { go } from './way';
import { Words } from './Words';

const subscribe = (listener: () => void) => onlineManager.subscribe(listener);
const isOnline = () => onlineManager.isOnline();

/** Says when there is no connection and what waits for it; and when the server refused something. */
export function Banner() {
  const p = useBurrow();
  const online = useSyncExternalStore(subscribe, isOnline, isOnline);
  const items = useOutbox();
  const refused = items.filter((i) => i.refused !== undefined);
  const waiting = items.length - refused.length;
  const held = useHeld();
  const loose = useLoose();
  const where = loose ? 'waiting on this page' : 'kept here';
  const ahead = useClockAhead();
  const keptBack = online && held !== null && waiting > 0;
  if (online && !keptBack && refused.length === 0 && !EXAMPLE && ahead === 0) return null;
  return (
    <View role="status" style={[styles.banner, { backgroundColor: p.amberWash, borderBottomColor: p.amber }]}>
      {EXAMPLE ? (
        <View style={styles.row}>
          <Words kind="small" style={styles.fill}>
            A made-up shelf to try things on. Nothing written here is kept.
          </Words>
          <Button compact mode="text" onPress={() => showExample(false)}>
            To my own
          </Button>
        </View>
      ) : null}
      {online ? null : (
        <View style={styles.row}>
          <Icon source="lan-disconnect" size={18} color={p.amber} />
          <Words kind="small" style={styles.fill}>
            {waiting === 0
              ? 'The server cannot be reached. You can go on: what you write is kept here and sent later.'
              : `The server cannot be reached. ${waitingWords(waiting)} ${where} and will be sent later.`}
          </Words>
        </View>
      )}
      {keptBack ? (
        <View style={styles.row}>
          <Icon source="harddisk" size={18} color={p.amber} />
          <Words kind="small" style={styles.fill}>
            {`${held} ${waitingWords(waiting)} ${where} and will be sent again by itself.`}
          </Words>
        </View>
      ) : null}
      {ahead === 0 ? null : (
        <View style={styles.row}>
          <Icon source="clock-alert-outline" size={18} color={p.amber} />
          <Words kind="small" style={styles.fill}>
            {clockText(ahead)}
          </Words>
        </View>
      )}
      {loose && (!online || keptBack || refused.length > 0) ? (
        <Words kind="small">
          This browser could not store it: leave this page open until it is sent, or it is lost.
        </Words>
      ) : null}
      {refused.slice(0, SHOWN).map((i) => (
        <Refused key={i.id} item={i} />
      ))}
      {refused.length > SHOWN ? (
        <Words
          kind="small"
          soft
        >{`And ${refused.length - SHOWN} more, which are told when these are settled.`}</Words>
      ) : null}
    </View>
  );
}

/** That the two clocks differ, by how much, and what becomes of it. */
function clockText(aheadMs: number): string {
  const minutes = Math.round(Math.abs(aheadMs) / 60_000);
  const by =
    minutes < 120
      ? counted(minutes, 'minute')
      : minutes < 2 * 1440
        ? counted(Math.round(minutes / 60), 'hour')
        : counted(Math.round(minutes / 1440), 'day');
  const differ = `The clock of this device is ${by} ${aheadMs > 0 ? 'ahead of' : 'behind'} the server’s.`;
  return canBeAllowedFor(aheadMs)
    ? `${differ} Entries are saved with the server’s time. Set the clock that is wrong.`
    : `${differ} Dates on this page may be wrong. Set the clock that is wrong.`;
}

/** More at once would push the page off the screen. */
const SHOWN = 2;

const waitingWords = (n: number): string => (n === 1 ? '1 entry is' : `${n} entries are`);

/** What the server did not take: mended, sent again as it is, or dropped. What was written behind it has gone on. */
function Refused({ item }: { item: OutboxItem }) {
  const { out, refused } = item;
  const entry = out.what === 'entries' ? out.entries[0] : undefined;
  const what = outgoingWords(out);
  const discard = async () => {
    await drop(item.id);
    offerUndo(`Dropped: ${what}.`, () => takeUp(item));
  };
  return (
    <View>
      <Words kind="small">{`The server did not take ${what}: ${refused}`}</Words>
      <View style={styles.row}>
        {entry && entry.kind !== 'amendment' ? (
          <Button compact mode="text" onPress={() => go(`/queens/${entry.queenId}/log`)}>
            Mend it
          </Button>
        ) : null}
        <Button compact mode="text" onPress={() => void sendAgain(item.id)}>
          Send again
        </Button>
        <Button compact mode="text" onPress={() => void discard()}>
          Drop it
        </Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  banner: { paddingHorizontal: SPACE.l, paddingVertical: SPACE.s, borderBottomWidth: 1, gap: SPACE.xs },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  fill: { flex: 1 },
});
