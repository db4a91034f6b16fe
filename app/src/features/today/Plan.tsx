import { whyLater, type Due, type Later, type Visit, type Window } from '@gentle-burrow/core/agenda';
import type { KeeperSettings } from '@gentle-burrow/core/facts';
import { counted } from '@gentle-burrow/core/words';
import { format } from 'date-fns/format';
import { useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { putOff, usePutOff } from '@/data/put-off';
import { useSettings, useShelf } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET, WIDE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText, momentText, nearText, zoneNow } from '@/ui/dates';
import { Fold } from '@/ui/Fold';
import { Go } from '@/ui/Go';
import { Said } from '@/ui/Said';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { tubesText } from '@/features/shelf/arrange';
import { deedKey } from '@/features/log/deed';
import { TaskAnswers } from '@/features/log/TaskAnswers';
import { CalendarAddress } from './CalendarAddress';
import { MyDays } from './MyDays';
import { planOf, toPrepare, type ShelfPlan } from './plan';
import { NAMES } from '@/words/names';

/** Until when it is to be done. */
const byText = (at: string): string => (nearText(at) === 'today' ? 'today' : `by ${dayText(at)}`);

/** A deed whose time has come: it can be answered. */
const open = ({ notBefore }: Due): boolean => new Date(notBefore) <= new Date();

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
  const isPutOff = usePutOff();
  if (!rows || rows.length === 0 || !plan) return null;
  const names = new Map(rows.map((r) => [r.queen.id, r.queen.label]));
  const waits = (d: Due) => isPutOff(deedKey(d.queenId, d.task));
  const wanted = (list: readonly Window[]) => (list as Due[]).filter((d) => !waits(d));
  const visits = plan.visits
    .map((v) => ({ ...v, windows: wanted(v.windows) }))
    .filter((v) => v.windows.length > 0);
  const [timers, unmet] = [wanted(plan.timers), wanted(plan.unmet)];
  const put = [...plan.timers, ...plan.unmet, ...plan.visits.flatMap((v) => v.windows)] as Due[];
  const first = visits[0];
  const later = visits.slice(FIRST);
  return (
    <>
      {timers.length > 0 ? (
        <Sheet tight>
          <Words kind="heading" level={2}>
            Within hours
          </Words>
          {timers.map((d) => (
            <Line
              key={d.id}
              due={d}
              label={names.get(d.queenId) ?? ''}
              until={`by ${momentText(d.notAfter)}`}
              answered={open(d)}
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
            ? `${visitsText(visits.length)} in the next three months; the next ${nearText(noon(first.day))}.`
            : 'Nothing wants you in the next three months.'}
        </Words>
      </Sheet>
      {visits.slice(0, FIRST).map((v) => (
        <VisitSheet key={v.day} visit={v} settings={settings} names={names} />
      ))}
      {unmet.length > 0 ? <Unmet due={unmet} names={names} /> : null}
      {later.length > 0 ? (
        <Fold title={`Later: ${visitsText(later.length).toLowerCase()}`}>
          {later.map((v) => (
            <VisitSheet key={v.day} visit={v} settings={settings} names={names} />
          ))}
        </Fold>
      ) : null}
      <PutOff due={put.filter(waits)} names={names} />
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
          until={byText(d.notAfter)}
          later={whyLater(visit, d, { ...settings, zone: zoneNow() })}
          answered={open(d)}
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
  /** It may be done now, so the likely answers stand under it. */
  answered?: boolean;
}

function Line({ due, label, until, later = null, answered = false }: LineProps) {
  const p = useBurrow();
  return (
    <View style={[styles.deed, { borderBottomColor: p.rule }]}>
      <Go to={`/queens/${due.queenId}`} aria-label={`To ${label}`} style={styles.line}>
        <View style={styles.label}>
          <Words kind="bold">{label}</Words>
        </View>
        <View style={styles.fill}>
          <Said phrase={due.says} />
          <Words kind="small" soft>
            {later ? `Planned for this day ${LATER[later]}; ${until}` : until}
          </Words>
        </View>
      </Go>
      {answered ? <TaskAnswers queenId={due.queenId} label={label} due={due} /> : null}
    </View>
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
        <Line
          key={d.id}
          due={d}
          label={names.get(d.queenId) ?? ''}
          until={byText(d.notAfter)}
          answered={open(d)}
        />
      ))}
    </Sheet>
  );
}

/** What the keeper wants to be asked about later. */
function PutOff({ due, names }: { due: readonly Due[]; names: ReadonlyMap<string, string> }) {
  if (due.length === 0) return null;
  return (
    <Fold title={`Put off: ${counted(due.length, 'deed')}`}>
      {due.map((d) => (
        <View key={d.id} style={styles.line}>
          <View style={styles.fill}>
            <Words kind="bold">{names.get(d.queenId) ?? ''}</Words>
            <Said phrase={d.says} />
          </View>
          <Button compact mode="text" onPress={() => putOff(deedKey(d.queenId, d.task), null)}>
            Ask me now
          </Button>
        </View>
      ))}
    </Fold>
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
  deed: { borderBottomWidth: 1, paddingVertical: SPACE.xs, gap: SPACE.xs },
  line: { flexDirection: 'row', gap: SPACE.m, minHeight: TARGET, alignItems: 'center' },
  left: { alignSelf: 'flex-start' },
  label: { minWidth: 36 },
  fill: { flex: 1 },
});
