import {
  FOUNDER_TYPES,
  type FounderBelief,
  type FounderCourse,
  type FounderEvidence,
} from '@gentle-burrow/core/founding';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Told } from '@/ui/Told';
import { Words } from '@/ui/Words';

const TYPE_WORDS = {
  'fully-claustral': 'Fully claustral',
  'semi-claustral': 'Semi-claustral',
  'socially-parasitic': 'Social parasite',
  dependent: 'With workers of her own',
} as const;

const COURSE_WORDS: Record<FounderCourse, string> = {
  'water-only': 'Water only. She lives on her reserves until the first workers come.',
  'offer-and-watch':
    'The safe course is cheap: a small foraging space and a tiny protein offer. What she does with it tells more than a guess.',
  'feed-throughout':
    'Feed her all through: foraging room from the start, small sugar and protein every two to four days.',
  'no-plan':
    'She is probably a social parasite. She founds with host workers or their brood, never alone; no plain founding plan applies to her.',
};

const DEPENDENT_WORDS =
  'Queens of her kind leave with workers of their own and do not found alone. Without some of them no founding plan applies to her.';

/** What follows from what kind of founder she is held to be. */
const courseWords = ({
  course,
  probabilities: p,
}: Pick<FounderBelief, 'course' | 'probabilities'>): string =>
  course === 'no-plan' && p.dependent > p['socially-parasitic'] ? DEPENDENT_WORDS : COURSE_WORDS[course];

const ASK_WORDS: Record<FounderEvidence['kind'], string> = {
  species: 'a name for her species',
  shape: 'her shape beside the silhouettes',
  wings: 'whether she has wings',
  restless: 'whether she paces and searches a week after settling',
  protein: 'whether she takes or refuses a tiny piece of protein',
  'brood-unfed': 'whether her larvae grow to pupae without food',
};

function evidenceWords(e: FounderEvidence, nameOf: (founder: string) => string): string {
  switch (e.kind) {
    case 'species':
      return `her species is held to be ${nameOf(e.founder)} (${Math.round(e.weight * 100)} %)`;
    case 'shape':
      return {
        'large-gaster': 'heavy shape',
        between: 'neither heavy nor slim',
        'slim-large-head': 'slim with a large head',
      }[e.value];
    case 'wings':
      return e.value === 'winged' ? 'wings kept' : 'wings shed';
    case 'restless':
      return e.value ? 'paces and searches' : 'sits quietly';
    case 'protein':
      return `protein ${e.value}`;
    case 'brood-unfed':
      return e.value ? 'brood grew without food' : 'brood failed without food';
  }
}

const nameOf = (founder: string) =>
  founder === 'unknown'
    ? 'not known'
    : (TYPE_WORDS[founder as keyof typeof TYPE_WORDS] ?? founder).toLowerCase();

/** "speaks clearly for eating": how far a piece of evidence pushes, in words. */
function pushWords(factor: number): string {
  if (factor > 0.95 && factor < 1.05) return 'proves nothing either way';
  const times = factor > 1 ? factor : 1 / factor;
  const how = times >= 10 ? 'strongly' : times >= 3 ? 'clearly' : 'a little';
  return `speaks ${how} for ${factor > 1 ? 'eating' : 'fasting'}`;
}

/** What kind of founder she is held to be: three chances, the safest course, what would tell most, and the evidence. */
export function FounderPanel({ belief }: { belief: FounderBelief }) {
  const p = useBurrow();
  return (
    <View style={styles.panel}>
      {FOUNDER_TYPES.filter((t) => t !== 'dependent' || belief.probabilities[t] > 0).map((t) => {
        const share = belief.probabilities[t];
        return (
          <View
            key={t}
            style={styles.line}
            role="img"
            aria-label={`${TYPE_WORDS[t]} ${Math.round(share * 100)} percent`}
          >
            <View style={styles.name}>
              <Words kind="small">{TYPE_WORDS[t]}</Words>
            </View>
            <View style={[styles.track, { backgroundColor: p.rule }]}>
              <View
                style={[styles.fill, { backgroundColor: p.moss, width: `${Math.round(share * 100)}%` }]}
              />
            </View>
            <View style={styles.percent}>
              <Words kind="smallBold">{`${Math.round(share * 100)} %`}</Words>
            </View>
          </View>
        );
      })}
      <Told kind="bold" color={belief.course === 'no-plan' ? p.clay : p.ink}>
        {courseWords(belief)}
      </Told>
      {belief.tellsMost ? (
        <Words kind="small">{`Would tell most: ${ASK_WORDS[belief.tellsMost.kind]}.`}</Words>
      ) : (
        <Words kind="small" soft>
          Nothing that could still be seen would change this much.
        </Words>
      )}
      {belief.evidence.map(({ evidence, factor }, i) => (
        <Words kind="small" soft key={`${evidence.kind}-${i}`}>
          {`· ${evidenceWords(evidence, nameOf)}: ${pushWords(factor)} (${evidence.source}; weight is our own prior)`}
        </Words>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.xs },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  name: { width: 116 },
  track: { flex: 1, height: 8, borderRadius: 4, overflow: 'hidden' },
  fill: { height: 8 },
  percent: { width: 48, alignItems: 'flex-end' },
});
