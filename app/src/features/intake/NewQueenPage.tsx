import { zodResolver } from '@hookform/resolvers/zod';
import { onlineManager } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { usePlaces, useShelf } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { clearDraft, DRAFT_DISCARDED, keepDraft, readDraft } from '@/ui/drafts';
import { useKeepKey } from '@/ui/keys';
import { Discard, Returned } from '@/ui/Returned';
import { Screen } from '@/ui/Screen';
import { Caution } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';
import {
  doubtsOf,
  emptyForm,
  MOST_SISTERS,
  nextLabel,
  queenFormSchema,
  STEP_FIELDS,
  type QueenForm,
} from './queen-form';
import { labelsFrom, labelsText, takeIn } from './sisters';
import { ReceiveStory } from '@/features/travel/ReceiveStory';
import { LikeTheLast } from './LikeTheLast';
import { StepHealth } from './StepHealth';
import { StepOrigin } from './StepOrigin';
import { StepPlace } from './StepPlace';
import { StepSpecies } from './StepSpecies';
import { StepTube } from './StepTube';
import { useOnce } from '@/ui/useOnce';
import { go, goBack, goInstead, goInsteadOfAll } from '@/ui/way';

const DRAFT = 'new-queen';
const QUESTIONS = [
  'How did she come to you?',
  'Is she healthy?',
  'What is she?',
  'Which tube, and how full?',
  'Where does she stand?',
];
/** The address of the intake, and of a step of it: each step can be gone back from. */
const INTAKE = '/queens/new';
/** Ends the address when something begun earlier is come back to. */
const BEGUN = '&begun=1';
const stepAddress = (step: number): string => `${INTAKE}?step=${step + 1}`;
const LAST = QUESTIONS.length - 1;

interface Draft {
  step: number;
  form: Partial<QueenForm>;
}

/** What the keeper wrote, besides the letter and the place that are offered. */
const writtenIn = ({ label: _label, placeId: _placeId, ...rest }: Partial<QueenForm>): string =>
  JSON.stringify(rest);

interface NewQueenPageProps {
  /** Which step the address asks for; null on coming here. */
  step: number | null;
  /** What was begun earlier is come back to. */
  begun: boolean;
}

/** Takes a queen in, in the order in which the hands work: five short steps, each kept while it is typed. */
export function NewQueenPage(props: NewQueenPageProps) {
  const [turn, setTurn] = useState(0);
  return <Steps key={turn} {...props} onStartOver={() => setTurn((t) => t + 1)} />;
}

/** "Take her in", or how many and by which names. */
function takeWords({ sisters = 1, label = '' }: Partial<QueenForm>, taken: readonly string[]): string {
  return sisters > 1 && sisters <= MOST_SISTERS
    ? `Take in ${labelsText(labelsFrom(label, sisters, taken))}`
    : 'Take her in';
}

function Steps({ step: asked, begun, onStartOver }: NewQueenPageProps & { onStartOver(): void }) {
  const [draft] = useState(() => readDraft<Draft>(DRAFT));
  const step = Math.min(LAST, Math.max(0, asked ?? 0));
  // what was begun before is gone on with where it was left
  useEffect(() => {
    if (asked === null) goInstead(`${stepAddress(draft?.step ?? 0)}${draft ? BEGUN : ''}`, INTAKE);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- on coming here alone
  }, []);
  const [pressed, setPressed] = useState(false);
  const setStep = (to: number) => {
    setPressed(false);
    if (to < step) goBack(stepAddress(to));
    else go(stepAddress(to));
  };
  const places = usePlaces();
  const shelf = useShelf();
  const form = useForm<QueenForm>({
    resolver: zodResolver(queenFormSchema),
    // an older draft may not say yet whether she was looked over
    defaultValues: { ...emptyForm(), ...draft?.form, findings: draft?.form.findings ?? [] },
    mode: 'onTouched',
  });
  const values = useWatch({ control: form.control }) as Partial<QueenForm>;
  const saved = useRef(false);
  const [untouched] = useState(() => writtenIn(values));
  useEffect(() => {
    // once she is taken in nothing of the form comes back, and one in which nothing was written is not kept
    if (!saved.current && (draft || writtenIn(values) !== untouched))
      keepDraft(DRAFT, { step, form: values } satisfies Draft);
  }, [step, values, draft, untouched]);

  // a name and a place are offered, not forced
  const { getValues, setValue } = form;
  const labels = shelf.data?.map((r) => r.queen.label).join('\n');
  const offered = useRef('');
  useEffect(() => {
    const label = getValues('label');
    // what the shelf looked like when it was last read may be old: the offer follows it until she is named
    if (saved.current || labels === undefined || (label !== '' && label !== offered.current)) return;
    offered.current = nextLabel(labels.split('\n'));
    setValue('label', offered.current);
  }, [labels, getValues, setValue]);
  const firstPlace = places[0]?.id;
  useEffect(() => {
    if (firstPlace && getValues('placeId') === '' && getValues('placeName') === '')
      setValue('placeId', firstPlace as never);
  }, [firstPlace, getValues, setValue]);

  const [askedBack, setAskedBack] = useState<string[]>([]);
  const doubts = doubtsOf(values, labels?.split('\n') ?? []);
  const next = async () => {
    // the letter is offered once the shelf is known; until then it is not asked for
    const asked = STEP_FIELDS[step]?.filter((f) => f !== 'label' || labels !== undefined);
    if (!(await form.trigger(asked))) return;
    // asked back once; going on after that is the answer
    const fresh = doubts.filter((d) => !askedBack.includes(d));
    if (step === 0 && fresh.length > 0) setAskedBack([...askedBack, ...fresh]);
    else setStep(step + 1);
  };
  const backToFault = (faults: object) => {
    setPressed(false);
    const at = STEP_FIELDS.findIndex((fields) => fields.some((f) => f in faults));
    if (at >= 0 && at !== step) goInstead(stepAddress(at));
  };
  const keep = async (checked: QueenForm) => {
    saved.current = true;
    const then = await takeIn(checked, places, labels?.split('\n') ?? []);
    clearDraft(DRAFT);
    goInsteadOfAll(INTAKE, then);
  };
  const saveNow = useOnce(() => form.handleSubmit(keep, backToFault)());
  // her letter is offered when the shelf is known: whoever is quicker waits for it, and is not sent back for it
  const unnamed = shelf.loading && onlineManager.isOnline() && values.label === '';
  const save = () => (unnamed ? setPressed(true) : saveNow());
  useEffect(() => {
    if (pressed && !unnamed && !saved.current) saveNow();
  }, [pressed, unnamed, saveNow]);
  const onward = () => (step < LAST ? void next() : save());
  useKeepKey(onward);
  const startOver = () => {
    // nothing of the old form is kept on the way out
    saved.current = true;
    clearDraft(DRAFT);
    onStartOver();
    if (step > 0) goInsteadOfAll(INTAKE, stepAddress(0));
    const gone: Draft = { step, form: getValues() };
    offerUndo(DRAFT_DISCARDED, async () => {
      keepDraft(DRAFT, gone);
      // whoever is elsewhere by now finds it there again
      if (window.location.pathname !== INTAKE) return;
      onStartOver();
      goInstead(`${stepAddress(step)}${BEGUN}`, INTAKE);
    });
  };

  return (
    <FormProvider {...form}>
      <Screen
        key={step}
        question={QUESTIONS[step] as string}
        back={step > 0 ? stepAddress(step - 1) : '/shelf'}
        foot={
          <View style={styles.foot}>
            {step > 0 ? (
              <Button mode="outlined" onPress={() => setStep(step - 1)} style={styles.button}>
                Back a step
              </Button>
            ) : null}
            <Button mode="contained" style={styles.button} loading={pressed} onPress={onward}>
              {step < LAST ? 'Next' : takeWords(values, labels?.split('\n') ?? [])}
            </Button>
          </View>
        }
      >
        <View style={styles.progress}>
          <Words
            kind="small"
            soft
          >{`Step ${step + 1} of ${QUESTIONS.length}. What you write is kept if you leave.`}</Words>
        </View>
        <Returned kept={begun && draft !== null} />
        {step === 0 ? <LikeTheLast places={places} /> : null}
        {step === 0 ? <ReceiveStory places={places} /> : null}
        {step === 0 ? <StepOrigin /> : null}
        {step === 0 && doubts.some((d) => askedBack.includes(d)) ? (
          <Caution>
            {doubts.map((d) => (
              <Words key={d}>{d}</Words>
            ))}
            <Words kind="small">Correct it above, or press Next once more to keep it.</Words>
          </Caution>
        ) : null}
        {step === 1 ? <StepHealth /> : null}
        {step === 2 ? <StepSpecies /> : null}
        {step === 3 ? <StepTube places={places} /> : null}
        {step === 4 ? <StepPlace places={places} /> : null}
        <Discard kept={draft !== null} onDiscard={startOver} />
      </Screen>
    </FormProvider>
  );
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', gap: SPACE.s },
  button: { flex: 1 },
  progress: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
});
