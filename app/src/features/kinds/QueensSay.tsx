import type { KindCard } from '@gentle-burrow/core/species';
import { StyleSheet } from 'react-native';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Table } from '@/ui/Table';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { FIGURE_TITLES } from '@/words/figures';
import { useQueensSay, type StageSaid } from './queens-say';

/** "12.3 ×÷ 1.2": a median, and how far queens lie from it. */
const daysText = (n: number, spread: number): string =>
  `${Math.round(10 * n) / 10} ×÷ ${Math.round(100 * spread) / 100}`;
/** "3", or "3, and 2 of her genus". */
const countText = ({ n, ofGenus }: StageSaid): string =>
  ofGenus > 0 ? `${n}, and ${ofGenus} of its genus` : `${n}`;

/** What the keeper's own queens say of a kind, stage by stage, with how many say so; and the way to a profile of it. */
export function QueensSay({ kind }: { kind: KindCard }) {
  const said = useQueensSay(kind.id);
  if (!said) return null;
  const own = Object.keys(said.figures).length > 0;
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        What your queens say
      </Words>
      {said.stages.length === 0 ? (
        <Words soft>
          Nothing yet: no queen of yours of this kind or its genus has finished a stage that was seen to begin
          and to end.
        </Words>
      ) : (
        <Table
          label="What your queens say, days at 25 °C"
          head={['Days at 25 °C', 'by the profile', 'with your queens', 'how many']}
          rows={said.stages.map((s) => [
            FIGURE_TITLES[`${s.stage}Days`],
            daysText(s.byProfile, s.spread.profile),
            daysText(s.byQueens, s.spread.queens),
            countText(s),
          ])}
        />
      )}
      {said.stages.length > 0 ? (
        <Words kind="small" soft>
          Medians between queens; ×÷ is how far one queen lies from them. What they showed makes it narrower.
        </Words>
      ) : null}
      {own ? (
        <Button
          mode="outlined"
          icon="account-check-outline"
          style={styles.left}
          onPress={() => go(`/kinds/${kind.id}/own?from=queens`)}
        >
          Make a profile of what they say
        </Button>
      ) : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
