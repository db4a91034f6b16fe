import { figureOf, provenanceText, type OwnFigureId, type SpeciesProfile } from '@gentle-burrow/core/species';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Words } from '@/ui/Words';
import { FIGURE_GROUPS, FIGURE_TITLES, figureText } from '@/words/figures';
import { LEVEL_WORDS } from '@/words/kind';

const STAGE_OF = { layingDays: 'laying', eggDays: 'egg', larvaDays: 'larva', pupaDays: 'pupa' } as const;

interface FiguresProps {
  profile: SpeciesProfile;
  /** What else stands at a figure. */
  aside?(id: OwnFigureId): ReactNode;
}

/** Every figure of a profile, with who says so and from which level it is. */
export function Figures({ profile, aside }: FiguresProps) {
  return (
    <View style={styles.groups}>
      {FIGURE_GROUPS.map((g) => (
        <View key={g.title} style={styles.group}>
          <Words kind="heading" level={2}>
            {g.title}
          </Words>
          {g.of.includes('layingDays') ? <HowFar profile={profile} /> : null}
          {g.of.map((id) => (
            <View key={id} style={styles.row}>
              <View style={styles.fill}>
                <FigureRow profile={profile} id={id} />
              </View>
              {aside?.(id)}
            </View>
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
  return rows.map(([text, { source, level }]) => (
    <View key={text}>
      <Words kind="smallBold">{text}</Words>
      <Words kind="small" soft>
        {`${LEVEL_WORDS[level]}${provenanceText(source)}`}
      </Words>
    </View>
  ));
}

function FigureRow({ profile, id }: { profile: SpeciesProfile; id: OwnFigureId }) {
  const units = usePreferences();
  const { value, source, level } = figureOf(profile, id);
  const spread =
    id in STAGE_OF
      ? `, ×÷ ${Math.exp(profile.stages[STAGE_OF[id as keyof typeof STAGE_OF]].logSpread).toFixed(2)} between queens`
      : '';
  return (
    <>
      <Words kind="smallBold">{`${FIGURE_TITLES[id]}: ${figureText(id, value as never, units)}${spread}`}</Words>
      <Words kind="small" soft>
        {`${LEVEL_WORDS[level]}${provenanceText(source)}`}
      </Words>
    </>
  );
}

const styles = StyleSheet.create({
  // two beside one another where there is room
  groups: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.xl, rowGap: SPACE.l },
  group: { flexGrow: 1, flexBasis: 300, gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  fill: { flex: 1 },
});
