import { stockItemSchema, type StockItem, type StockMove } from '@gentle-burrow/core/facts';
import type { StockLevel } from '@gentle-burrow/core/stock';
import { STOCK_KINDS } from '@gentle-burrow/core/vocabulary';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { v7 } from 'uuid';
import { put } from '@/data/outbox';
import { useStock, useStockTold, type ShownStock } from '@/data/stock';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { dayText } from '@/ui/dates';
import { NumberField, TextField } from '@/ui/fields';
import { Screen } from '@/ui/Screen';
import { Caution, Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { fromMm, toMm } from '@/ui/units';
import { useEver } from '@/ui/useEver';
import { Waiting } from '@/ui/Waiting';
import { Words } from '@/ui/Words';
import { UsedParts } from './UsedParts';
import { ConnectorFields, NEW_CONNECTOR } from './ConnectorFields';

const STOCK_WORDS: Record<StockItem['kind'], string> = {
  'finished-tube': 'Finished tubes',
  'empty-tube': 'Empty tubes',
  plug: 'Dry plugs',
  connector: 'Connectors',
  barrier: 'Barrier',
  food: 'Food',
  other: 'Other',
};

const change = (itemId: string, delta: number, why: StockMove['why']): StockMove => ({
  id: v7(),
  itemId,
  at: new Date().toISOString(),
  delta,
  why,
  queenId: null,
});

const QUESTION = 'What is ready?';

/** What is ready? Counts that go down as they are used, and what to make before the flights. */
export function StockPage() {
  const stock = useStock();
  const [adding, setAdding] = useState(false);
  const told = useEver(useStockTold());
  if (!told) return <Waiting question={QUESTION} back="/bench" what="the stock" />;
  return (
    <Screen question={QUESTION} back="/bench">
      <BeforeFlights stock={stock} />
      {stock.known && stock.levels.length === 0 ? (
        <Words soft>
          Nothing is counted yet. Begin with finished tubes: they are ready before the flights, for queens fly
          while you are at work.
        </Words>
      ) : null}
      {STOCK_KINDS.map((kind) => {
        const some = stock.levels.filter((l) => l.item.kind === kind);
        return some.length === 0 ? null : (
          <Sheet tight key={kind}>
            <Words kind="heading" level={2}>
              {STOCK_WORDS[kind]}
            </Words>
            {some.map((l) => (
              <Level key={l.item.id} level={l} />
            ))}
            {kind === 'barrier' ? (
              <Caution>
                <Words kind="small">
                  Talc dust is not to be breathed; alcohol burns, so no flame until it has dried, and no ant
                  near it; dispersions may give off fumes: air the room, wear gloves, never heat them.
                </Words>
              </Caution>
            ) : null}
          </Sheet>
        );
      })}
      <UsedParts used={stock.used} />
      {adding ? (
        <NewItem onDone={() => setAdding(false)} />
      ) : (
        <Button mode="outlined" icon="plus" style={styles.left} onPress={() => setAdding(true)}>
          Count something new
        </Button>
      )}
    </Screen>
  );
}

function BeforeFlights({ stock }: { stock: ShownStock }) {
  const { plan } = stock;
  if (!plan)
    return stock.known ? (
      <Words soft>No queen has been caught yet, so nothing can be said of the next flights.</Words>
    ) : null;
  return (
    <View>
      <Words kind="answer">
        {plan.make > 0
          ? `Make ${plan.make} ${plan.make === 1 ? 'tube' : 'tubes'} before ${dayText(plan.by)}.`
          : `Enough tubes stand ready for the flights from ${dayText(plan.by)} on.`}
      </Words>
      <Words kind="small" soft>
        {`Last season you caught ${plan.caught}, the first on ${dayText(plan.firstCatch)}. ${plan.need} should be ready: a third more, two weeks before that day (our own prior).`}
      </Words>
    </View>
  );
}

/** "1 used", "6 made", "counted, 2 fewer than thought". */
export function moveText({ why, delta }: Pick<StockMove, 'why' | 'delta'>): string {
  const n = Math.abs(delta);
  if (why !== 'counted') return `${n} ${why}`;
  return `counted, ${n} ${delta < 0 ? 'fewer' : 'more'} than thought`;
}

function Level({ level }: { level: StockLevel }) {
  const p = useBurrow();
  const { item, count, low, lastMove } = level;
  const move = async (delta: number, why: StockMove['why']) => {
    await put({ what: 'stock-move', move: change(item.id, delta, why) });
    offerUndo(`${item.name}: ${count + delta} now.`, () =>
      put({ what: 'stock-move', move: change(item.id, -delta, 'counted') }),
    );
  };
  const [counting, setCounting] = useState(false);
  const [counted, setCounted] = useState<number | null>(null);
  const keepCount = async () => {
    if (counted !== null && counted !== count) await move(Math.round(counted) - count, 'counted');
    setCounting(false);
  };
  return (
    <View style={styles.level}>
      <View style={styles.line}>
        <View style={styles.fill}>
          <Words>{item.name}</Words>
          <Words kind="small" soft={!low} color={low ? p.amber : undefined}>
            {[
              low ? (count <= 0 ? 'none left' : 'running low') : null,
              count < 0 ? 'more was used than counted: count again' : null,
              lastMove && `${moveText(lastMove)} on ${dayText(lastMove.at)}`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
        <IconButton
          icon="minus"
          mode="outlined"
          accessibilityLabel={`One ${item.name} used`}
          onPress={() => void move(-1, 'used')}
        />
        <Words kind="heading" style={styles.count}>
          {String(count)}
        </Words>
        <IconButton
          icon="plus"
          mode="outlined"
          accessibilityLabel={`One more ${item.name}`}
          onPress={() =>
            void move(1, item.kind === 'finished-tube' || item.kind === 'plug' ? 'made' : 'bought')
          }
        />
        <IconButton
          icon="counter"
          accessibilityLabel={`Count ${item.name}`}
          onPress={() => {
            setCounted(count);
            setCounting(!counting);
          }}
        />
      </View>
      {counting ? (
        <View style={styles.line}>
          <NumberField label={`${item.name}, counted`} value={counted} onChange={setCounted} />
          <Button
            mode="contained"
            disabled={counted === null || counted < 0}
            onPress={() => void keepCount()}
          >
            Keep the count
          </Button>
        </View>
      ) : null}
    </View>
  );
}

function NewItem({ onDone }: { onDone(): void }) {
  const { length } = usePreferences();
  const [id] = useState(() => v7());
  const [item, setItem] = useState<StockItem>({ id, kind: 'finished-tube', name: '', tube: null, lowAt: 2 });
  const [count, setCount] = useState<number | null>(0);
  const checked = stockItemSchema.safeParse(item);
  const tubes = item.kind === 'finished-tube' || item.kind === 'empty-tube';
  const save = async () => {
    if (!checked.success) return;
    await put(
      { what: 'stock-item', item: checked.data },
      ...(count ? [{ what: 'stock-move', move: change(id, Math.round(count), 'counted') } as const] : []),
    );
    onDone();
  };
  const size = item.tube ?? { outsideMm: 16, boreMm: 14, lengthMm: 150, end: 'round' as const };
  const mm = (label: string, key: 'outsideMm' | 'boreMm' | 'lengthMm') => (
    <NumberField
      label={label}
      key={key}
      unit={length}
      value={Number.isFinite(size[key]) ? fromMm(size[key], length) : null}
      onChange={(v) => setItem({ ...item, tube: { ...size, [key]: v === null ? NaN : toMm(v, length) } })}
      fault={checked.error?.issues.find((i) => i.path[0] === 'tube' && i.path[1] === key)?.message}
    />
  );
  return (
    <Sheet>
      <Choice
        label="What is it"
        options={STOCK_KINDS.map((value) => ({ value, label: STOCK_WORDS[value] }))}
        value={item.kind}
        onChange={(kind) =>
          setItem({
            ...item,
            kind,
            tube: kind.endsWith('tube') ? item.tube : null,
            connector: kind === 'connector' ? (item.connector ?? NEW_CONNECTOR) : null,
          })
        }
      />
      <TextField label="What you call it" value={item.name} onChange={(name) => setItem({ ...item, name })} />
      {tubes ? (
        <View style={styles.line}>
          {mm('Outside', 'outsideMm')}
          {mm('Bore inside', 'boreMm')}
          {mm('Length', 'lengthMm')}
        </View>
      ) : null}
      {item.kind === 'connector' ? (
        <ConnectorFields
          connector={item.connector ?? NEW_CONNECTOR}
          onChange={(connector) => setItem({ ...item, connector })}
        />
      ) : null}
      <View style={styles.line}>
        <NumberField label="How many now" value={count} onChange={setCount} />
        <NumberField
          label="Low at"
          value={Number.isFinite(item.lowAt) ? item.lowAt : null}
          onChange={(v) => setItem({ ...item, lowAt: v ?? NaN })}
        />
      </View>
      <View style={styles.line}>
        <Button mode="outlined" onPress={onDone}>
          Leave it
        </Button>
        <Button
          mode="contained"
          disabled={!checked.success || (count !== null && count < 0)}
          onPress={() => void save()}
        >
          Keep it in the stock
        </Button>
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  level: { gap: SPACE.xs },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs, flexWrap: 'wrap' },
  fill: { flex: 1, minWidth: 130 },
  count: { minWidth: 34, textAlign: 'center' },
});
