import {
  figureOf,
  provenanceText,
  STAGE_OF_DAYS,
  type KindFigure,
  type OwnFigureId,
  type SpeciesProfile,
} from '@gentle-burrow/core/species';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Words } from '@/ui/Words';
import { FIGURE_GROUPS, FIGURE_TITLES, figureText } from '@/words/figures';
import { LEVEL_WORDS } from '@/words/kind';

/** Every figure of a profile, with who says so and from which level it is. */
export function Figures({ profile }: { profile: SpeciesProfile }) {
  return (
    <View style={styles.groups}>
      {FIGURE_GROUPS.map((g) => (
        <View key={g.title} style={styles.group}>
          <Words kind="heading" level={2}>
            {g.title}
          </Words>
          {g.of.includes('layingDays') ? <HowFar profile={profile} /> : null}
          {g.of.map((id) => (
            <FigureRow key={id} profile={profile} id={id} />
          ))}
        </View>
      ))}
    </View>
  );
}

/** How far queens lie from the days that are told, and from one another. */
function HowFar({ profile: { slowLaying, queenLogSpread } }: { profile: SpeciesProfile }) {
  const { share, times } = slowLaying.value;
  const rows = [
    [`Waits far longer to lay: ${Math.round(100 * share)} % of queens, ${times} times as long`, slowLaying],
    [
      `One queen's brood: all of it ×÷ ${Math.exp(queenLogSpread.value).toFixed(2)} from another's`,
      queenLogSpread,
    ],
  ] as const;
  return rows.map(([text, figure]) => <Row key={text} text={text} figure={figure} />);
}

function FigureRow({ profile, id }: { profile: SpeciesProfile; id: OwnFigureId }) {
  const units = usePreferences();
  const figure = figureOf(profile, id);
  const text = `${FIGURE_TITLES[id]}: ${figureText(id, figure.value as never, units)}`;
  const stage = STAGE_OF_DAYS[id];
  const spread = stage ? `, ×÷ ${Math.exp(profile.stages[stage].logSpread).toFixed(2)} between queens` : '';
  return <Row text={`${text}${spread}`} figure={figure} />;
}

/** A figure with who says so, and from which level it is. */
function Row({ text, figure: { source, level } }: { text: string; figure: KindFigure<unknown> }) {
  return (
    <View>
      <Words kind="smallBold">{text}</Words>
      <Words kind="small" soft>
        {`${LEVEL_WORDS[level]}${provenanceText(source)}`}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  // two beside one another where there is room
  groups: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.xl, rowGap: SPACE.l },
  group: { flexGrow: 1, flexBasis: 300, gap: SPACE.s },
});
