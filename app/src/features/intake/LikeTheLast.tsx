import type { Place } from '@gentle-burrow/core/facts';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { put } from '@/data/outbox';
import { useSpecies, useStock } from '@/data/queries';
import { FOUND_WORDS } from '@/words/log';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayInput } from '@/ui/dates';
import { clearDraft, keepDraft, readDraft } from '@/ui/drafts';
import { Words } from '@/ui/Words';
import { newQueenOf, nextLabel, queenFormSchema, type QueenForm } from './queen-form';

/** Where the form of the last queen that was taken in is kept. */
export const LAST_ONE = 'last-queen';

/**
 * Another one like the last: her sister of the same evening. The whole way is three taps: take in a queen, another like
 * the last, take her in. What is hers alone (findings, shape, brood) is not taken over.
 */
export function LikeTheLast({ places, labels }: { places: readonly Place[]; labels: string | undefined }) {
  const p = useBurrow();
  const species = useSpecies();
  const stock = useStock();
  const [last] = useState(() => readDraft<QueenForm>(LAST_ONE));
  const [open, setOpen] = useState(false);
  const taken = (labels ?? '').split('\n').filter(Boolean);
  const made = queenFormSchema.safeParse(last && sisterOf(last, taken, places));
  if (!made.success) return null;
  const sister = made.data;
  const place = places.find((x) => x.id === sister.placeId);
  const item = stock.levels.find((l) => l.item.id === sister.itemId);
  const save = async () => {
    const { body } = newQueenOf(sister, places);
    await put({ what: 'queen', body });
    keepDraft(LAST_ONE, sister);
    clearDraft('new-queen');
    router.replace(`/queens/${body.queen.id}` as never);
  };
  if (!open) {
    return (
      <Button mode="outlined" icon="content-copy" style={styles.left} onPress={() => setOpen(true)}>
        Another one like the last
      </Button>
    );
  }
  return (
    <View style={[styles.box, { borderColor: p.moss, backgroundColor: p.mossWash }]}>
      <Words kind="heading" level={2}>{`${sister.label}, like the last`}</Words>
      <Words kind="latin">{species.find((s) => s.id === sister.profileId)?.name ?? 'Unknown'}</Words>
      <Words>
        {[
          FOUND_WORDS[sister.found],
          'today',
          sister.where,
          sister.batch && `batch ${sister.batch}`,
          `tube ${sister.outsideMm} × ${sister.lengthMm} mm`,
          item && `from the stock, ${item.count} left`,
          place?.name ?? sister.placeName,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <Words kind="small" soft>
        Look her over too: findings, brood and shape are her own, and are logged on her page.
      </Words>
      <View style={styles.row}>
        <Button mode="contained" onPress={() => void save()}>
          {`Take ${sister.label} in`}
        </Button>
        <Button mode="text" onPress={() => setOpen(false)}>
          Not like her
        </Button>
      </View>
    </View>
  );
}

/** The form of a sister caught today. */
export function sisterOf(last: QueenForm, taken: readonly string[], places: readonly Place[]): QueenForm {
  const place = places.find((p) => p.id === last.placeId || p.name === last.placeName);
  return {
    ...last,
    day: dayInput(new Date()),
    earliest: '',
    label: nextLabel(taken),
    findings: null,
    quarantine: false,
    welcomeDrop: false,
    shape: null,
    queens: 1,
    broodWithHer: { eggs: null, larvae: null, pupae: null, workers: null },
    placeId: (place?.id ?? '') as QueenForm['placeId'],
    placeName: place ? '' : last.placeName,
  };
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  box: { borderWidth: 1, borderRadius: 4, padding: SPACE.m, gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
