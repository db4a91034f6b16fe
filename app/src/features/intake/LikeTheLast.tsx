import type { Place } from '@gentle-burrow/core/facts';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { useQueen, useShelf, useSpecies } from '@/data/queries';
import { useStock } from '@/data/stock';
import { FOUND_WORDS } from '@/words/log';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayInput } from '@/ui/dates';
import { clearDraft } from '@/ui/drafts';
import { useEver } from '@/ui/useEver';
import { useOnce } from '@/ui/useOnce';
import { tradeName } from '@/ui/units';
import { goInsteadOfAll } from '@/ui/way';
import { Words } from '@/ui/Words';
import { doubtsOf, formOf, queenFormSchema, type QueenForm } from './queen-form';
import { labelsFrom, labelsText, takeIn } from './sisters';
import { SistersField } from './SistersField';

/**
 * Another one like the last: her sister of the same evening, whatever device the last was taken in on. The whole way is
 * three taps: take in a queen, another like the last, take her in. Day, letter and batch are those of the form below; what
 * is hers alone (findings, shape, brood) is not taken over.
 */
export function LikeTheLast({ places }: { places: readonly Place[] }) {
  const rows = useShelf().data ?? [];
  const last = rows.reduce<ShelfRow | null>(
    (a, r) => (a === null || r.queen.createdAt > a.queen.createdAt ? r : a),
    null,
  );
  const taken = rows.map((r) => r.queen.label);
  return last ? <LikeHer key={last.queen.id} id={last.queen.id} places={places} taken={taken} /> : null;
}

interface LikeHerProps {
  id: string;
  places: readonly Place[];
  taken: readonly string[];
}

function LikeHer({ id, places, taken }: LikeHerProps) {
  const { length } = usePreferences();
  const p = useBurrow();
  const species = useSpecies();
  const stock = useStock();
  const facts = useQueen(id).data?.facts;
  const { control } = useFormContext<QueenForm>();
  const [day, label, batch, sisters] = useWatch({ control, name: ['day', 'label', 'batch', 'sisters'] });
  const [open, setOpen] = useState(false);
  const save = useOnce(async (sister: QueenForm) => {
    const then = await takeIn(sister, places, taken);
    clearDraft('new-queen');
    goInsteadOfAll('/queens/new', then);
  });
  // once the server has told what is left; that it is asked again takes no finger off the button
  const told = useEver(stock.settled);
  const last = facts ? formOf(facts) : null;
  if (!last) return null;
  // the tube that she was given, while there are more of them: known once the stock is
  const item = stock.levels.find((l) => l.lastMove?.queenId === id);
  const typed = { day, label, sisters, batch: batch || last.batch, itemId: item?.item.id ?? '' };
  const made = queenFormSchema.safeParse({ ...sisterOf(last, places), ...typed });
  if (!made.success) return null;
  const sister = made.data;
  const place = places.find((x) => x.id === sister.placeId);
  const names = labelsText(labelsFrom(sister.label, sister.sisters, taken));
  if (!open) {
    return (
      <Button mode="outlined" icon="content-copy" style={styles.left} onPress={() => setOpen(true)}>
        Another one like the last
      </Button>
    );
  }
  return (
    <View style={[styles.box, { borderColor: p.moss, backgroundColor: p.mossWash }]}>
      <Words kind="heading" level={2}>{`${names}, like the last`}</Words>
      <Words kind="latin">{species.find((s) => s.id === sister.profileId)?.name ?? 'Unknown'}</Words>
      <Words>
        {[
          FOUND_WORDS[sister.found],
          day === dayInput(new Date()) ? 'today' : day,
          sister.where,
          sister.batch && `batch ${sister.batch}`,
          `tube ${tradeName(sister.outsideMm, sister.lengthMm, length)}`,
          item && `from the stock, ${item.count} left`,
          place?.name ?? sister.placeName,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <SistersField label="How many like her?" />
      {doubtsOf({ ...sister, label: names }, taken).map((d) => (
        <Words key={d} kind="bold">
          {d}
        </Words>
      ))}
      <Words kind="small" soft>
        Look her over too: findings, brood and shape are her own, and are logged on her page.
      </Words>
      <View style={styles.row}>
        <Button mode="contained" disabled={!told} onPress={() => save(sister)}>
          {`Take ${names} in`}
        </Button>
        <Button mode="text" onPress={() => setOpen(false)}>
          Not like her
        </Button>
      </View>
    </View>
  );
}

/** The form of a sister, but for what is typed of her. */
export function sisterOf(last: QueenForm, places: readonly Place[]): QueenForm {
  return {
    ...last,
    earliest: '',
    looked: 'not',
    findings: [],
    quarantine: false,
    welcomeDrop: false,
    shape: null,
    queens: 1,
    broodWithHer: { eggs: null, larvae: null, pupae: null, workers: null },
    placeId: (places.some((x) => x.id === last.placeId) ? last.placeId : '') as QueenForm['placeId'],
  };
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  box: { borderWidth: 1, borderRadius: 4, padding: SPACE.m, gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
