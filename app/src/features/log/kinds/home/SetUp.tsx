import type { HomePart } from '@gentle-burrow/core/facts';
import { nounOf } from '@gentle-burrow/core/housing';
import { BODY_KINDS, PURPOSES, type PartKind } from '@gentle-burrow/core/vocabulary';
import { View } from 'react-native';
import { useSpecies, type ShownQueen } from '@/data/queries';
import { BodyDrawing } from '@/features/home/BodyDrawing';
import { Choice, optionsOf } from '@/ui/Choice';
import { Tick } from '@/ui/Tick';
import { useWidth } from '@/ui/useWidth';
import { capital } from '@gentle-burrow/core/words';
import { PURPOSE_WORDS } from '@/words/home';
import { BodyNumbers } from '../../BodyNumbers';
import { isAround, kindChosen, openTube, purposeOf, type HomeDraft } from './draft';
import { FreshTube } from './FreshTube';
import { Joint } from './Joint';
import { UsedChoice } from './UsedChoice';

const KINDS = (['tube', ...BODY_KINDS] as PartKind[]).map((value) => ({
  value,
  label: capital(nounOf({ kind: value })),
}));
/** How most keepers give the first space: the tube is opened and laid into it. */
const AROUND = {
  value: 'around',
  label: 'Box in which her open tube lies',
  hint: 'the tube stays her nest',
} as const;
const PURPOSE_OPTIONS = optionsOf(PURPOSES, PURPOSE_WORDS);

interface SetUpProps {
  shown: ShownQueen;
  draft: HomeDraft;
  change(part: Partial<HomeDraft>): void;
}

/** Something more at her home: what it is, its measures on a drawing, what for, and how it is joined. */
export function SetUp({ shown, draft, change }: SetUpProps) {
  const home = shown.view.housing;
  const around = isAround(home, draft);
  return (
    <>
      <Choice
        label="What is it?"
        options={openTube(home) || around ? [AROUND, ...KINDS] : KINDS}
        value={around ? AROUND.value : draft.kind}
        onChange={(kind) =>
          change(
            kind === AROUND.value
              ? { ...kindChosen(draft, 'outworld'), by: 'lies-in', purpose: 'room', toId: null }
              : { ...kindChosen(draft, kind), ...(around ? { by: null, purpose: null } : {}) },
          )
        }
      />
      {draft.kind === 'tube' ? (
        <FreshTube shown={shown} draft={draft} change={change} />
      ) : (
        <FreshBody shown={shown} draft={draft} change={change} />
      )}
      <Choice
        label="What for"
        options={PURPOSE_OPTIONS}
        value={purposeOf(draft)}
        onChange={(purpose) => change({ purpose })}
      />
      <Joint home={home} except={null} draft={draft} profileId={shown.view.profileId} change={change} />
      {draft.by !== null && draft.by !== 'beside' && draft.by !== 'lies-in' ? (
        <Tick
          label="The way into it is still shut"
          on={draft.shut}
          onPress={() => change({ shut: !draft.shut })}
        />
      ) : null}
    </>
  );
}

function FreshBody({ shown, draft, change }: SetUpProps) {
  const heads = useSpecies().find((s) => s.id === shown.view.profileId);
  const [width, onLayout] = useWidth();
  const { body } = draft;
  const chooseUsed = (part: HomePart) => {
    if (part.kind === 'tube') return;
    const { setUpAt: _, ...measures } = part;
    change({ body: { ...measures, id: body.id, was: part.id } });
  };
  const known = [body.widthMm, body.depthMm, body.heightMm, body.rooms].every(Number.isFinite);
  return (
    <>
      <UsedChoice kind={body.kind} value={body.was} onChange={chooseUsed} />
      <View onLayout={onLayout}>
        {known ? <BodyDrawing part={{ ...body, setUpAt: '' }} width={Math.min(width, 300)} empty /> : null}
      </View>
      <BodyNumbers part={body} heads={heads} onChange={(next) => change({ body: next })} />
    </>
  );
}
