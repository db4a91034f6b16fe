import type { BroughtBack, Preference } from '@gentle-burrow/contract';
import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { dayText } from '@/ui/dates';
import { Fault } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Caution } from '@/ui/Sheet';
import { Table } from '@/ui/Table';
import { Words } from '@/ui/Words';
import { contradictionText, freshOf, otherwiseOf, THINGS } from './backup-text';
import type { useBringBack } from './use-bring-back';

/** What it is called to take what a file holds. */
interface DeedWords {
  deed: string;
  done: string;
}
const BROUGHT_BACK: DeedWords = { deed: 'Bring it back', done: 'Brought back' };

interface BringingProps {
  bringing: ReturnType<typeof useBringBack>;
  words?: DeedWords;
  onLeave(): void;
}

/** A file while it is looked at, shown, and taken. */
export function Bringing({
  bringing: { state, prefer, take },
  words = BROUGHT_BACK,
  onLeave,
}: BringingProps) {
  return (
    <>
      <View role="status" aria-live="polite" style={styles.form}>
        {state.is === 'looking' || state.is === 'taking' ? (
          <>
            <ProgressBar indeterminate accessibilityLabel="Under way" />
            <Words>
              {state.is === 'looking'
                ? `Looking at what is in ${state.file.name} …`
                : `Taking what is in ${state.file.name} … Years of readings may take a minute.`}
            </Words>
          </>
        ) : null}
        {state.is === 'failed' ? (
          <Fault>
            {state.taking
              ? `${state.reason} What had been taken by then is here; bring the file back once more to go on.`
              : state.reason}
          </Fault>
        ) : null}
        {state.is === 'taken' ? <Taken taken={state.taken} prefer={state.prefer} done={words.done} /> : null}
      </View>
      {state.is === 'found' ? (
        <Found
          name={state.file.name}
          deed={words.deed}
          found={state.found}
          prefer={state.prefer}
          onPrefer={prefer}
          onLeave={onLeave}
          onTake={() => void take(state.file, state.prefer)}
        />
      ) : null}
    </>
  );
}

interface FoundProps {
  name: string;
  deed: string;
  found: BroughtBack;
  prefer: Preference;
  onPrefer(prefer: Preference): void;
  onLeave(): void;
  onTake(): void;
}

const PREFER: { value: Preference; label: string; hint: string }[] = [
  { value: 'here', label: 'As it is here', hint: 'nothing here changes' },
  { value: 'file', label: 'As in the file', hint: 'for places, names, settings and the like' },
];

function Found({ name, deed, found, prefer, onPrefer, onLeave, onTake }: FoundProps) {
  const fresh = freshOf(found);
  const changes = found.contradictions.some((c) => !c.lasting);
  const takes = fresh > 0 || (prefer === 'file' && changes);
  return (
    <View style={styles.form}>
      <Words kind="bold">
        {`${name}${found.madeAt ? `, made on ${dayText(found.madeAt)}` : ''}: ${
          fresh === 0 ? 'nothing in it is new.' : `${fresh.toLocaleString('en')} things are new.`
        }`}
      </Words>
      {found.warnings.map((says) => (
        <Caution key={says}>
          <Words>{says}</Words>
        </Caution>
      ))}
      <Table
        label="What is in the file"
        head={['In the file', 'New', 'The same', 'Differs']}
        rows={found.counts.map((c) => [
          THINGS[c.what],
          c.fresh.toLocaleString('en'),
          c.same.toLocaleString('en'),
          c.contradictory.toLocaleString('en'),
        ])}
      />
      {otherwiseOf(found) > 0 ? <Otherwise found={found} /> : null}
      {changes ? (
        <Choice label="Where they differ" options={PREFER} value={prefer} onChange={onPrefer} />
      ) : null}
      <Refused found={found} />
      {takes ? (
        <Words kind="small" soft>
          What is taken joins your log and is not taken back in one step. When in doubt, take a whole backup
          first.
        </Words>
      ) : null}
      <View style={styles.row}>
        <Button mode="outlined" onPress={onLeave}>
          Leave it
        </Button>
        {takes ? (
          <Button mode="contained" onPress={onTake}>
            {deed}
          </Button>
        ) : null}
      </View>
    </View>
  );
}

/** What is told otherwise here and in the file. */
function Otherwise({ found }: { found: BroughtBack }) {
  const named = found.contradictions;
  const more = otherwiseOf(found) - named.length;
  if (named.length === 0)
    return <Words>Some readings say something else than what is here: what is here stays.</Words>;
  return (
    <Fold title="What differs">
      <View role="list" style={styles.some}>
        {named.map((c, i) => (
          <View key={i} role="listitem">
            <Words kind="small">{`${contradictionText(c)}${c.lasting ? ' – what is here stays' : ''}`}</Words>
          </View>
        ))}
      </View>
      {more > 0 ? <Words kind="small" soft>{`and ${more.toLocaleString('en')} more.`}</Words> : null}
    </Fold>
  );
}

/** So many are told before the rest is folded away. */
const TOLD = 3;

function Refused({ found: { refused, refusedCount } }: { found: BroughtBack }) {
  if (refusedCount === 0) return null;
  const one = ({ where, reason }: BroughtBack['refused'][number]) => (
    <Fault key={where}>{`${where}: ${reason}`}</Fault>
  );
  return (
    <>
      <Words>
        {refusedCount === 1
          ? 'One thing in it cannot be taken:'
          : `${refusedCount.toLocaleString('en')} things in it cannot be taken:`}
      </Words>
      {refused.slice(0, TOLD).map(one)}
      {refusedCount > TOLD ? (
        <Fold title="More of them">
          {refused.slice(TOLD).map(one)}
          {refusedCount > refused.length ? (
            <Words soft>{`and ${(refusedCount - refused.length).toLocaleString('en')} more.`}</Words>
          ) : null}
        </Fold>
      ) : null}
    </>
  );
}

function Taken({ taken, prefer, done }: { taken: BroughtBack; prefer: Preference; done: string }) {
  const parts = taken.counts
    .filter((c) => c.fresh > 0)
    .map((c) => `${c.fresh.toLocaleString('en')} ${THINGS[c.what].toLowerCase()}`);
  const replaced =
    prefer === 'file' && taken.contradictions.some((c) => !c.lasting)
      ? ' What was told otherwise and may change is now as in the file.'
      : '';
  return (
    <>
      <Words kind="bold">
        {parts.length > 0
          ? `${done}: ${parts.join(', ')}.${replaced}`
          : `Nothing was new: all of it is here already.${replaced}`}
      </Words>
      {taken.counts.some((c) => c.what === 'probe' && c.fresh > 0) ? (
        <Words>Probes that send by themselves need new secrets: make them in Places.</Words>
      ) : null}
      <Refused found={taken} />
    </>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  some: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' },
  left: { alignSelf: 'flex-start' },
});
