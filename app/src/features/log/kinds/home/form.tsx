import type { StockMove, TubeMeasures } from '@gentle-burrow/core/facts';
import { changeFault, standing, type Housing } from '@gentle-burrow/core/housing';
import { homeSchema, type HomeChange, type Tally } from '@gentle-burrow/core/log';
import {
  BROOD_THERE,
  COVERS,
  MOVED_HOW,
  TAKEN_TO,
  WORKERS_THERE,
  type BroodThere,
  type Cover,
  type Joint,
  type MovedHow,
  type TakenTo,
  type TubePurpose,
  type WorkersThere,
} from '@gentle-burrow/core/vocabulary';
import { View } from 'react-native';
import { v7 } from 'uuid';
import type { ShownQueen } from '@/data/queries';
import { partName } from '@/features/home/part-name';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice, optionsOf } from '@/ui/Choice';
import { Fault } from '@/ui/fields';
import { go } from '@/ui/way';
import {
  BROOD_THERE_WORDS,
  COVER_WORDS,
  MOVED_HOW_WORDS,
  TAKEN_TO_WORDS,
  WORKERS_THERE_WORDS,
} from '@/words/home';
import { capital } from '@/words/capital';
import type { FieldsProps, KindForm } from '../../kind-form';
import { mayHaveWorkers } from '../../parts';
import { FreshTube, LineRead } from './FreshTube';
import { MoveCautions } from './MoveCautions';

export type What = HomeChange['what'];

export interface HomeDraft {
  /** An entry that is put right: what it says is not held against what it did. */
  amends: boolean;
  what: What | null;
  /** The fresh tube that is set up. */
  tube: TubeMeasures & { id: string };
  itemId: string | null;
  purpose: TubePurpose;
  by: Joint | null;
  gapMm: number | null;
  /** Another tube than the likeliest. */
  partId: string | null;
  queen: 'yes' | 'no' | null;
  brood: BroodThere | null;
  workers: WorkersThere | null;
  how: MovedHow;
  waterLineMm: number | null;
  /** Counted on a page of its own; kept as it is when the rest is put right. */
  tally: Tally | null;
  cover: Cover | null;
  to: TakenTo | null;
}

const WHAT_WORDS: Record<What, string> = {
  'moved-in': 'Who is in which tube',
  covered: 'Covered or lit',
  joined: 'Joined',
  'taken-away': 'Tube taken away',
  'set-up': 'Fresh tube set up',
};
const WHATS = Object.keys(WHAT_WORDS) as What[];
const BROOD = optionsOf(BROOD_THERE, BROOD_THERE_WORDS);
const WORKERS = optionsOf(WORKERS_THERE, WORKERS_THERE_WORDS);
const HOWS = optionsOf(MOVED_HOW, MOVED_HOW_WORDS);
const COVER_OPTIONS = optionsOf(COVERS, COVER_WORDS);
const FATES = optionsOf(TAKEN_TO, TAKEN_TO_WORDS);
const YES_NO = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
] as const;

const isAlone = (home: Housing): boolean => standing(home).length === 1;

/** What a home allows: with one tube only another can be set up. */
const whatsOf = (home: Housing, { amends, what }: HomeDraft): What[] =>
  amends && what ? [what] : isAlone(home) ? ['set-up'] : WHATS;

const whatOf = (home: Housing, draft: HomeDraft): What =>
  draft.what ?? (isAlone(home) ? 'set-up' : 'moved-in');

/** The tube that is likeliest meant: of a move the fresh one is entered and joined, the old one lit and taken away. */
function partIdOf(home: Housing, draft: HomeDraft): string {
  if (draft.partId !== null) return draft.partId;
  const others = standing(home).filter((p) => p.tube.id !== home.home);
  const other = others.at(-1)?.tube.id ?? home.home;
  const { move } = home;
  switch (whatOf(home, draft)) {
    case 'moved-in':
    case 'joined':
      return move?.to ?? other;
    case 'covered':
      return move?.from ?? home.home;
    default:
      return other;
  }
}

/** Whether a count has found brood with her; where none is known nobody asks where it is. */
const mayHaveBrood = ({ view }: ShownQueen): boolean =>
  (['eggs', 'larvae', 'pupae'] as const).some((m) => {
    const count = view.ledger.counts[m];
    return count !== null && count.range.high !== 0;
  });

function changeOf(draft: HomeDraft, shown: ShownQueen): unknown {
  const home = shown.view.housing;
  const what = whatOf(home, draft);
  if (what === 'set-up') {
    const { purpose, by, gapMm } = draft;
    const joint = by && by !== 'beside' && gapMm !== null ? { gapMm } : {};
    return { what, part: { kind: 'tube', ...draft.tube }, purpose, by, ...joint };
  }
  const partId = partIdOf(home, draft);
  switch (what) {
    case 'joined':
      return {
        what,
        partId,
        by: draft.by,
        ...(draft.by !== 'beside' && draft.gapMm !== null ? { gapMm: draft.gapMm } : {}),
      };
    case 'covered':
      return { what, partId, cover: draft.cover };
    case 'taken-away':
      return { what, partId, to: draft.to };
    case 'moved-in': {
      const { queen, how, waterLineMm, tally } = draft;
      // what she has none of has come along
      const brood = draft.brood ?? (queen === 'yes' && !mayHaveBrood(shown) ? 'all' : null);
      const workers = draft.workers ?? (queen === 'yes' && !mayHaveWorkers(shown) ? 'all' : null);
      return {
        what,
        partId,
        ...(queen === null ? {} : { queen: queen === 'yes' }),
        ...(brood === null ? {} : { brood }),
        ...(workers === null ? {} : { workers }),
        how,
        ...(tally ? { tally } : {}),
        ...(waterLineMm === null ? {} : { waterLineMm }),
      };
    }
  }
}

/** The change as it would be written, or what of it cannot be; both null while something is not chosen yet. */
function checked(draft: HomeDraft, shown: ShownQueen): { change: HomeChange | null; fault: string | null } {
  const read = homeSchema.shape.change.safeParse(changeOf(draft, shown));
  if (!read.success) return { change: null, fault: null };
  const fault = draft.amends ? null : changeFault(shown.view.housing, read.data);
  return fault ? { change: null, fault } : { change: read.data, fault: null };
}

function Fields({ shown, draft, change }: FieldsProps<HomeDraft>) {
  const home = shown.view.housing;
  const whats = whatsOf(home, draft);
  const what = whatOf(home, draft);
  const partId = partIdOf(home, draft);
  const parts = standing(home);
  const tubes = parts.map((p) => ({
    value: p.tube.id,
    label: capital(partName(home, p.tube.id) ?? 'tube'),
    ...(p.tube.id === home.home ? { hint: 'she lives in it' } : {}),
  }));
  const { fault } = checked(draft, shown);
  // "nothing is said yet" is no fault of who has only begun
  const begun = what !== 'moved-in' || draft.queen !== null || draft.brood !== null || draft.workers !== null;
  return (
    <View style={{ gap: SPACE.m }}>
      {whats.length > 1 ? (
        <Choice
          label="What was done or seen"
          options={whats.map((value) => ({ value, label: WHAT_WORDS[value] }))}
          value={what}
          onChange={(next) => change({ what: next, partId: null })}
        />
      ) : null}
      {what === 'set-up' ? <FreshTube shown={shown} draft={draft} change={change} /> : null}
      {what !== 'set-up' && tubes.length > 1 ? (
        <Choice label="Which tube" options={tubes} value={partId} onChange={(id) => change({ partId: id })} />
      ) : null}
      {what === 'moved-in' ? (
        <>
          <Choice
            label="Is the queen in it?"
            options={YES_NO}
            value={draft.queen}
            onChange={(queen) => change({ queen })}
            onClear={() => change({ queen: null })}
          />
          {mayHaveBrood(shown) ? (
            <Choice
              label="Brood in it"
              options={BROOD}
              value={draft.brood}
              onChange={(brood) => change({ brood })}
              onClear={() => change({ brood: null })}
            />
          ) : null}
          {mayHaveWorkers(shown) ? (
            <Choice
              label="Workers in it"
              options={WORKERS}
              value={draft.workers}
              onChange={(workers) => change({ workers })}
              onClear={() => change({ workers: null })}
            />
          ) : null}
          <Choice
            label="How they came"
            options={HOWS}
            value={draft.how}
            onChange={(how) => change({ how })}
          />
          {draft.how === 'by-hand' && !draft.amends ? (
            <Button
              mode="outlined"
              icon="counter"
              style={{ alignSelf: 'flex-start' }}
              onPress={() => go(`/queens/${shown.facts.queen.id}/transfer`)}
            >
              Count them over
            </Button>
          ) : null}
          <LineRead mm={draft.waterLineMm} onChange={(waterLineMm) => change({ waterLineMm })} />
        </>
      ) : null}
      {what === 'covered' ? (
        <Choice
          label="How it stands now"
          options={COVER_OPTIONS}
          value={draft.cover}
          onChange={(cover) => change({ cover })}
        />
      ) : null}
      {what === 'taken-away' ? (
        <Choice
          label="What became of it"
          options={FATES}
          value={draft.to}
          onChange={(to) => change({ to })}
        />
      ) : null}
      {what === 'joined' ? <FreshTube.Joint draft={draft} change={change} /> : null}
      <Fault>{begun && fault ? fault : undefined}</Fault>
      <MoveCautions what={what} draft={draft} />
    </View>
  );
}

const NO_DRAFT: Omit<HomeDraft, 'tube'> = {
  amends: false,
  what: null,
  itemId: null,
  purpose: 'move',
  by: null,
  gapMm: 1,
  partId: null,
  queen: null,
  brood: null,
  workers: null,
  how: 'by-themselves',
  waterLineMm: null,
  tally: null,
  cover: null,
  to: null,
};

/** Another tube like hers is what is mostly at hand. */
function likeHers({ facts }: ShownQueen): HomeDraft['tube'] {
  const { outsideMm, boreMm, lengthMm, end, waterLineMm, plugs } = facts.tube;
  return { id: v7(), outsideMm, boreMm, lengthMm, end, waterLineMm, plugs };
}

function draftOf(change: HomeChange, empty: HomeDraft): HomeDraft {
  const draft: HomeDraft = { ...empty, amends: true, what: change.what };
  if (change.what === 'set-up') {
    const { kind: _, ...tube } = change.part;
    return { ...draft, tube, purpose: change.purpose, by: change.by, gapMm: change.gapMm ?? null };
  }
  draft.partId = change.partId;
  switch (change.what) {
    case 'joined':
      return { ...draft, by: change.by, gapMm: change.gapMm ?? null };
    case 'covered':
      return { ...draft, cover: change.cover };
    case 'taken-away':
      return { ...draft, to: change.to };
    case 'moved-in':
      return {
        ...draft,
        queen: change.queen === undefined ? null : change.queen ? 'yes' : 'no',
        brood: change.brood ?? null,
        workers: change.workers ?? null,
        how: change.how,
        waterLineMm: change.waterLineMm ?? null,
        tally: change.tally ?? null,
      };
  }
}

/** A tube more, who is in which, a tube less: her home changes, and her water with it. */
export const home: KindForm<'home', HomeDraft> = {
  deed: 'Her home',
  keep: 'Keep this',
  kept: ({ change }, shown) => {
    const { label } = shown.facts.queen;
    switch (change.what) {
      case 'set-up':
        return `A fresh tube stands with ${label}.`;
      case 'taken-away':
        return 'The tube is taken away.';
      default:
        return `${label}: home kept.`;
    }
  },
  begin(shown, body) {
    const empty: HomeDraft = { ...NO_DRAFT, tube: likeHers(shown) };
    return body ? draftOf(body.change, empty) : empty;
  },
  finish(draft, shown) {
    const { change } = checked(draft, shown);
    return change ? { change } : null;
  },
  uses(draft, shown): StockMove[] {
    const { itemId } = draft;
    if (whatOf(shown.view.housing, draft) !== 'set-up' || !itemId) return [];
    return [
      {
        id: v7(),
        itemId,
        at: new Date().toISOString(),
        delta: -1,
        why: 'used',
        queenId: shown.facts.queen.id,
      },
    ];
  },
  Fields,
};
