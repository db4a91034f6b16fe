import type { BodyOf } from '@gentle-burrow/core/log';
import {
  FEED_OUTCOMES,
  FEED_SPOTS,
  FEED_WAYS,
  type FeedOutcome,
  type FeedSpot,
  type FeedWay,
  type Meal,
} from '@gentle-burrow/core/vocabulary';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { KindCautions } from '@/features/founder/KindCautions';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf } from '@/ui/Choice';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { OUTCOME_WORDS, SPOT_WORDS, WAY_WORDS } from '@/words/log';
import type { FieldsProps, KindForm, Saying } from '../../kind-form';
import { mayHaveWorkers } from '../../parts';
import { useMeals } from './meals';

export interface FeedDraft {
  food: Meal | null;
  outcome: FeedOutcome;
  spot: FeedSpot | null;
  way: FeedWay | null;
  rushed: boolean;
}

const OUTCOMES = optionsOf(FEED_OUTCOMES, OUTCOME_WORDS);
const SPOTS = optionsOf(FEED_SPOTS, SPOT_WORDS);
const WAYS = optionsOf(FEED_WAYS, WAY_WORDS);

interface FeedFieldsProps {
  draft: FeedDraft;
  change(part: Partial<FeedDraft>): void;
  /** There may be workers, who can rush at it. */
  workers: boolean;
  /** What those who are fed are held to be. */
  kinds: readonly string[];
  /** What is said beside it of one of them. */
  children?: ReactNode;
}

/** What was offered to one queen or to several, and how. */
export function FeedFields({ draft, change, workers, kinds, children }: FeedFieldsProps) {
  const meals = useMeals(kinds, draft.food);
  return (
    <View style={{ gap: SPACE.m }}>
      <Choice
        label="What was offered"
        options={meals}
        value={draft.food}
        onChange={(food) => change({ food })}
      />
      <Choice
        label="What became of it"
        options={OUTCOMES}
        value={draft.outcome}
        onChange={(outcome) => change({ outcome })}
      />
      <Choice
        label="Where"
        options={SPOTS}
        value={draft.spot}
        onChange={(spot) => change({ spot })}
        onClear={() => change({ spot: null })}
      />
      <Choice
        label="How"
        options={WAYS}
        value={draft.way}
        onChange={(way) => change({ way })}
        onClear={() => change({ way: null })}
      />
      {workers || draft.rushed ? (
        <Tick
          label="Workers rushed at it on opening"
          on={draft.rushed}
          onPress={() => change({ rushed: !draft.rushed })}
        />
      ) : null}
      {children}
      <Words kind="small" soft>
        A drop no larger than her head, on foil; protein out after a day. With brood no free liquid in the
        tube. What is offered is asked about until it is eaten or taken out.
      </Words>
    </View>
  );
}

function Fields({ shown, draft, change }: FieldsProps<FeedDraft>) {
  return (
    <FeedFields draft={draft} change={change} workers={mayHaveWorkers(shown)} kinds={[shown.view.profileId]}>
      {draft.spot === 'cell' ? <KindCautions profileId={shown.view.profileId} opening /> : null}
    </FeedFields>
  );
}

/** What a feed says; null while nobody has said what was offered. */
export function feedOf({ food, outcome, spot, way, rushed }: FeedDraft): Saying<'feed'> | null {
  if (food === null) return null;
  const said: Pick<BodyOf<'feed'>, 'spot' | 'way' | 'rushed'> = {};
  if (spot) said.spot = spot;
  if (way) said.way = way;
  if (rushed) said.rushed = true;
  return { food, outcome, ...said };
}

export const NO_FEED: FeedDraft = { food: null, outcome: 'offered', spot: null, way: null, rushed: false };

export const feed: KindForm<'feed', FeedDraft> = {
  deed: 'Feed',
  keep: 'Keep this feed',
  kept: () => 'Feed kept.',
  begin: (_, body) => ({
    food: body?.food ?? NO_FEED.food,
    outcome: body?.outcome ?? NO_FEED.outcome,
    spot: body?.spot ?? NO_FEED.spot,
    way: body?.way ?? NO_FEED.way,
    rushed: body?.rushed ?? NO_FEED.rushed,
  }),
  finish: feedOf,
  Fields,
};
