import { whyLater, type Due, type Later, type Visit } from '@gentle-burrow/core/agenda';
import type { KeeperSettings } from '@gentle-burrow/core/facts';
import { format } from 'date-fns/format';
import { useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { useSettings, useShelf } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET, WIDE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText, nearText, zoneNow } from '@/ui/dates';
import { Fold } from '@/ui/Fold';
import { Go } from '@/ui/Go';
import { Said } from '@/ui/Said';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { tubesText } from '@/features/shelf/arrange';
import { CalendarAddress } from './CalendarAddress';
import { MyDays } from './MyDays';
import { planOf, toPrepare, type ShelfPlan } from './plan';
import { NAMES } from '@/words/names';

const noon = (day: string) => `${day}T12:00:00.000Z`;

/** How many visits are told at once; the later ones are folded. */
const FIRST = 1;
/** So many deeds of a visit are told on a phone before the rest is folded: a page is no longer than two and a half screens. */
const UNFOLDED = 4;

/** As few visits as possible, each with what to have ready; then all that rests, and the keeper's own days. */
export function Plan() {
  const shelf = useShelf();
  const settings = useSettings();
  const rows = shelf.data;
  const plan = useMemo(() => (rows ? planOf(rows, settings, new Date()) : null), [rows, settings]);
  if (!rows || rows.length === 0 || !plan) return null;
  const names = new Map(rows.map((r) => [r.queen.id, r.queen.label]));
  const first = plan.visits[0];
  const later = plan.visits.slice(FIRST);
  return (
    <>
      {plan.timers.length > 0 ? (
        <Sheet tight>
          <Words kind="heading" level={2}>
            Within hours
          </Words>
          {plan.timers.map((d) => (
            <Line
              key={d.id}
              due={d}
              label={names.get(d.queenId) ?? ''}
              until={format(new Date(d.notAfter), 'HH:mm')}
            />
          ))}
        </Sheet>
      ) : null}
      <Sheet tight>
        <Words kind="heading" level={2}>
          {NAMES.visits}
        </Words>
        <Words>
          {first
            ? `${visitsText(plan.visits.length)} in the next three months; the next ${nearText(noon(first.day))}.`
            : 'Nothing wants you in the next three months.'}
        </Words>
      </Sheet>
      {plan.visits.slice(0, FIRST).map((v) => (
        <VisitSheet key={v.day} visit={v} settings={settings} names={names} />
      ))}
      {plan.unmet.length > 0 ? <Unmet due={plan.unmet as Due[]} names={names} /> : null}
      {later.length > 0 ? (
        <Fold title={`Later: ${visitsText(later.length).toLowerCase()}`}>
          {later.map((v) => (
            <VisitSheet key={v.day} visit={v} settings={settings} names={names} />
          ))}
        </Fold>
      ) : null}
      <Resting rows={plan.resting} />
      <Fold title="My days">
        <MyDays settings={settings} />
      </Fold>
      <Fold title="In my own calendar">
        <CalendarAddress />
      </Fold>
    </>
  );
}

const visitsText = (n: number): string => (n === 1 ? 'One visit' : `${n} visits`);

interface VisitSheetProps {
  visit: Visit;
  settings: KeeperSettings;
  names: ReadonlyMap<string, string>;
}

/** Why a deed stands on a later day than its best. */
const LATER: Record<Later, string> = {
  'your-days': 'on a day you have time',
  'same-tube': 'so that her tube is opened only once',
  together: 'together with other tubes',
};

function VisitSheet({ visit, settings, names }: VisitSheetProps) {
  const due = visit.windows as Due[];
  const at = noon(visit.day);
  const prepare = toPrepare(due);
  const tubes = new Set(due.map((d) => d.homeId)).size;
  const wide = useWindowDimensions().width >= WIDE;
  const [all, setAll] = useState(false);
  const shown = all || wide ? due : due.slice(0, UNFOLDED);
  return (
    <Sheet tight>
      <View style={styles.head}>
        <Words kind="heading" level={2}>
          {`${format(new Date(at), 'EEEE')}, ${dayText(at)}`}
        </Words>
        <Words kind="small" soft>
          {tubes === 1 ? 'one tube' : `${tubes} tubes`}
        </Words>
      </View>
      <Words kind="small" soft>{`Have ready: ${prepare.join(', ')}.`}</Words>
      {shown.map((d) => (
        <Line
          key={d.id}
          due={d}
          label={names.get(d.queenId) ?? ''}
          until={dayText(d.notAfter)}
          later={whyLater(visit, d, { ...settings, zone: zoneNow() })}
        />
      ))}
      {shown.length < due.length ? (
        <Button mode="text" style={styles.left} onPress={() => setAll(true)}>
          {`All ${due.length} of this visit`}
        </Button>
      ) : null}
    </Sheet>
  );
}

interface LineProps {
  due: Due;
  label: string;
  until: string;
  /** Why it is planned for a later day than its best. */
  later?: Later | null;
}

function Line({ due, label, until, later = null }: LineProps) {
  const p = useBurrow();
  return (
    <Go
      to={`/queens/${due.queenId}`}
      aria-label={`To ${label}`}
      style={[styles.line, { borderBottomColor: p.rule }]}
    >
      <View style={styles.label}>
        <Words kind="bold">{label}</Words>
      </View>
      <View style={styles.fill}>
        <Said phrase={due.says} />
        <Words kind="small" soft>
          {later ? `Planned for this day ${LATER[later]}; by ${until}` : `by ${until}`}
        </Words>
      </View>
    </Go>
  );
}

function Unmet({ due, names }: { due: Due[]; names: ReadonlyMap<string, string> }) {
  const p = useBurrow();
  return (
    <Sheet tight>
      <Words kind="heading" level={2} color={p.clay}>
        On none of your days
      </Words>
      <Words kind="small">Find another hour for these, or change your days below.</Words>
      {due.map((d) => (
        <Line key={d.id} due={d} label={names.get(d.queenId) ?? ''} until={dayText(d.notAfter)} />
      ))}
    </Sheet>
  );
}

function Resting({ rows }: { rows: ShelfPlan['resting'] }) {
  if (rows.length === 0) return null;
  return (
    <Fold title={`At rest: ${tubesText(rows.length)}`}>
      {rows.map(({ row, until }) => (
        <Words key={row.queen.id}>
          {`${row.queen.label}: ${until ? `until ${dayText(noon(until))}` : 'until further notice'}`}
        </Words>
      ))}
    </Fold>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline' },
  line: {
    flexDirection: 'row',
    gap: SPACE.m,
    minHeight: TARGET,
    alignItems: 'center',
    borderBottomWidth: 1,
    paddingVertical: SPACE.xs,
  },
  left: { alignSelf: 'flex-start' },
  label: { minWidth: 36 },
  fill: { flex: 1 },
});
