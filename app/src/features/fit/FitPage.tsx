import {
  chainBetween,
  SMALLEST_HEAD_MM,
  type ChainFound,
  type Port,
  type Wanted,
} from '@gentle-burrow/core/housing';
import { InputError } from '@gentle-burrow/core/quantity';
import { connectorsOf } from '@gentle-burrow/core/stock';
import { StyleSheet, View } from 'react-native';
import { useShelf, useSpecies } from '@/data/queries';
import { useStock, useStockTold } from '@/data/stock';
import { tubeSizes } from '@/features/fill/tube-sizes';
import { usePreferences, type Preferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { useDraft } from '@/ui/drafts';
import { NumberField } from '@/ui/fields';
import { Screen } from '@/ui/Screen';
import { Caution } from '@/ui/Sheet';
import { Told } from '@/ui/Told';
import { fineText, fineFromMm, lengthName, toMm } from '@/ui/units';
import { useEver } from '@/ui/useEver';
import { Waiting } from '@/ui/Waiting';
import { Way } from '@/ui/Way';
import { Words } from '@/ui/Words';
import { capital } from '@gentle-burrow/core/words';
import { NAMES } from '@/words/names';
import { ChainDrawing } from './ChainDrawing';

interface End {
  /** One of the sizes offered, or null: described. */
  size: string | null;
  boreMm: number | null;
  outsideMm: number | null;
}
interface Draft {
  a: End;
  b: End;
  headMm: number | null;
}

const TUBE: End = { size: '16x150', boreMm: 14, outsideMm: 16 };
const EMPTY: Draft = { a: TUBE, b: TUBE, headMm: null };
const OWN = { value: 'own', label: 'Another end', hint: 'a nest, a box, a pipe: measured' } as const;

const portOf = ({ boreMm, outsideMm }: End): Port => ({
  ...(boreMm === null ? {} : { boreMm }),
  ...(outsideMm === null ? {} : { outsideMm }),
});

const QUESTION = 'Do they fit?';

/** Tubes of the stock are offered first: none is before they are known. */
export function FitPage() {
  const told = useEver(useStockTold());
  return told ? <Fitting /> : <Waiting question={QUESTION} back="/bench" what="the stock" wide />;
}

/** Do two ends fit, by themselves or by what lies in the stock; and what to buy if they do not. */
function Fitting() {
  const { length } = usePreferences();
  const stock = useStock();
  const { value: draft, change } = useDraft<Draft>('fit', EMPTY);
  const head = useSmallestHead();
  const headMm = draft.headMm ?? head;
  const connectors = connectorsOf(stock.levels);
  const [a, b] = [portOf(draft.a), portOf(draft.b)];
  const found = attempt(() => chainBetween(a, b, connectors, { headMm }));
  return (
    <Screen question={QUESTION} back="/bench" side={<Answer found={found} a={a} b={b} />}>
      <EndFields label="First end" end={draft.a} onChange={(end) => change({ a: end })} />
      <EndFields label="Second end" end={draft.b} onChange={(end) => change({ b: end })} />
      <NumberField
        label="Head of the smallest worker"
        unit={length}
        value={fineFromMm(headMm, length)}
        onChange={(v) => change({ headMm: v === null ? null : toMm(v, length) })}
      />
      <Words kind="small" soft>
        {`Hers unless you measured it: 0.18 of the length of the smallest worker of your kinds. A gap up to ${fineText(0.4, length)} slides; thread counts as ${fineText(0.3, length)} thick. All three are our own priors.`}
      </Words>
      <Caution>
        <Words kind="small">
          Glass breaks into the hand: gloves, eye protection, a cloth round it, and no force. Better another
          piece than a push. Soft pipe goes on more easily when it was warmed in warm water, away from the
          ants.
        </Words>
      </Caution>
      <Way
        to="/stock"
        icon="archive-outline"
        title={NAMES.stock}
        says={`${connectors.length} kinds of connectors in it.`}
      />
    </Screen>
  );
}

/** What joins the two, drawn and step by step; or what would. */
function Answer({ found, a, b }: { found: ChainFound | string; a: Port; b: Port }) {
  const { length } = usePreferences();
  if (typeof found === 'string') return <Words kind="bold">{found}</Words>;
  if (!found.chain)
    return (
      <>
        <Words kind="answer">Nothing in your stock joins them and lets air in.</Words>
        <Words>{`A piece that does: at the first end ${wantWords(found.buy.a, length)}; at the second ${wantWords(found.buy.b, length)}. A joint is never airtight: a small gap, or a mesh finer than her smallest worker’s head.`}</Words>
      </>
    );
  return (
    <>
      <Words kind="answer">{answerWords(found)}</Words>
      <ChainDrawing a={a} b={b} chain={found.chain} />
      <Joints found={found} length={length} />
      <Words kind="heading" level={2}>
        In this order
      </Words>
      <View role="list">
        {found.steps.map((step, i) => (
          <View key={i} role="listitem">
            <Words>{`${i + 1}. ${step}`}</Words>
          </View>
        ))}
      </View>
    </>
  );
}

function EndFields({ label, end, onChange }: { label: string; end: End; onChange(end: End): void }) {
  const { length } = usePreferences();
  const sizes = tubeSizes(useStock().levels, length);
  const choose = (value: string) => {
    const size = sizes.find((t) => t.value === value);
    onChange(
      size
        ? { size: value, boreMm: size.boreMm, outsideMm: size.outsideMm }
        : { size: null, boreMm: end.boreMm, outsideMm: null },
    );
  };
  const mm = (name: string, key: 'boreMm' | 'outsideMm') => (
    <NumberField
      label={name}
      unit={length}
      value={end[key] === null ? null : fineFromMm(end[key], length)}
      onChange={(v) => onChange({ ...end, [key]: v === null ? null : toMm(v, length) })}
    />
  );
  return (
    <View role="group" aria-label={label} style={styles.end}>
      <Choice
        label={`${label}: a tube, in ${lengthName(length)}`}
        options={[...sizes, OWN]}
        value={end.size ?? 'own'}
        onChange={choose}
      />
      {end.size === null ? (
        <View style={styles.row}>
          {mm('Bore inside', 'boreMm')}
          {mm('Outside', 'outsideMm')}
        </View>
      ) : null}
    </View>
  );
}

/** The smallest worker that the keeper's kinds can have. */
function useSmallestHead(): number {
  const [species, rows] = [useSpecies(), useShelf().data ?? []];
  const kept = species.filter((s) => rows.some((r) => r.profileId === s.id && !r.lost));
  return kept.length > 0 ? Math.min(...kept.map((s) => s.workerHeadMm.value.low)) : SMALLEST_HEAD_MM;
}

type Found = Extract<ChainFound, { steps: string[] }>;

function answerWords({ chain }: Found): string {
  const turns = chain.joints.reduce((sum, j) => sum + j.turns, 0);
  const names = chain.pieces.map((p) => p.connector.name);
  const by = names.length > 0 ? `by ${names.join(', then ')}` : 'as they are';
  return `They fit ${by}${turns > 0 ? `, with ${turns} ${turns === 1 ? 'turn' : 'turns'} of thread` : ''}.`;
}

function Joints({ found: { chain }, length }: { found: Found; length: Preferences['length'] }) {
  const name = (i: number) =>
    i < 0 ? 'the first end' : (chain.pieces[i]?.connector.name ?? 'the second end');
  return (
    <View role="list">
      {chain.joints.map((j, i) => {
        const [inner, outer] = j.inner === 'left' ? [i - 1, i] : [i, i - 1];
        const how =
          j.kind === 'slides'
            ? `slides in, gap ${fineText(j.gapMm, length)}`
            : `gap ${fineText(j.gapMm, length)}: ${j.turns} ${j.turns === 1 ? 'turn' : 'turns'} of thread`;
        const air = 'joint' in chain.air && chain.air.joint === i ? '; air comes in here' : '';
        return (
          <View key={`${inner}.${outer}`} role="listitem">
            <Told kind="small" soft>{`${capital(name(inner))} in ${name(outer)}: ${how}${air}.`}</Told>
          </View>
        );
      })}
      {'piece' in chain.air ? (
        <Words kind="small" soft>{`Air comes in by the mesh of ${name(chain.air.piece)}.`}</Words>
      ) : null}
    </View>
  );
}

const wantWords = (wanted: readonly Wanted[], length: Preferences['length']): string =>
  wanted
    .map((w) =>
      'boreMm' in w
        ? `a bore of ${span(w.boreMm, length)} over it`
        : `an outside of ${span(w.outsideMm, length)} in it`,
    )
    .join(', or ');

const span = ([low, high]: readonly [number, number], length: Preferences['length']): string =>
  `${fineText(low, length)} to ${fineText(high, length)}`;

/** A length that is none is a sentence, not a crash. */
function attempt(find: () => ChainFound): ChainFound | string {
  try {
    return find();
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
}

const styles = StyleSheet.create({
  end: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
