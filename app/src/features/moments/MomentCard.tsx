import { MILESTONES } from '@gentle-burrow/core/species';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePhotoSource } from '@/data/photos';
import { useSpecies, type ShownQueen } from '@/data/queries';
import { photosOf } from '@/features/photos/photos-of';
import { Picture } from '@/features/photos/Picture';
import { PartDrawing } from '@/features/home/PartDrawing';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { saveBlob } from '@/ui/download';
import { Fault } from '@/ui/fields';
import { Pop } from '@/ui/Pop';
import { SaveBar } from '@/ui/SaveBar';
import { Tick } from '@/ui/Tick';
import { useOnce } from '@/ui/useOnce';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { cardPng } from './card-image';

interface MomentCardProps {
  shown: ShownQueen;
  title: string;
  detail: string;
  day: string;
  onClose(): void;
}

/** A card of a great moment to keep or to share: her drawing, a photo if that is chosen, and no site. */
export function MomentCard({ shown, title, detail, day, onClose }: MomentCardProps) {
  const p = useBurrow();
  const [width, onLayout] = useWidth();
  const [withPhoto, setWithPhoto] = useState(false);
  const [fault, setFault] = useState<string>();
  const drawing = useRef<View>(null);
  const { view, facts } = shown;
  const profile = useSpecies().find((s) => s.id === view.profileId);
  const { ledger, part, housing } = view;
  const last = photosOf(shown).at(-1);
  const { label } = facts.queen;
  const species = profile?.name ?? 'Unknown';
  const source = usePhotoSource(last?.id ?? '', 'whole');
  const make = useOnce(async (what: 'save' | 'share') => {
    setFault(undefined);
    try {
      const svg = (drawing.current as unknown as HTMLElement | null)?.querySelector('svg');
      if (!svg) throw new Error('Her drawing is not there yet.');
      const text = { title, detail, name: label, species, day };
      const blob = await cardPng(text, svg, withPhoto && last ? source : null, p);
      const name = `${label} ${title}.png`.replace(/[^\p{L}\p{N}. -]/gu, '');
      if (what === 'save') saveBlob(blob, name);
      else await navigator.share({ files: [new File([blob], name, { type: 'image/png' })], title });
    } catch (error) {
      // a share that was called off is no fault
      if ((error as Error).name !== 'AbortError')
        setFault(`The card was not made: ${(error as Error).message} Try again, or without the photo.`);
    }
  });
  const canShare = typeof navigator !== 'undefined' && typeof navigator.share === 'function';
  return (
    <Pop title="A card to keep" onClose={onClose}>
      <View style={[styles.card, { backgroundColor: p.ground, borderColor: p.rule, borderTopColor: p.moss }]}>
        <Words kind="question" level={3}>
          {title}
        </Words>
        <Words kind="latin" soft>{`${label}, ${species}`}</Words>
        <View ref={drawing} onLayout={onLayout}>
          <PartDrawing
            part={part}
            gates={housing.parts.find((now) => now.part.id === part.id)?.gates ?? {}}
            width={width}
            counts={Object.fromEntries(MILESTONES.map((m) => [m, ledger.counts[m]?.range]))}
            queenAtMm={ledger.queenSeen?.atMm ?? null}
            profile={profile}
            wetFront={ledger.wetFront?.value}
            lineMm={view.counsel?.water?.lineMm}
          />
        </View>
        {withPhoto && last ? <Picture id={last.id} size="whole" label="The photo on the card" /> : null}
        <Words>{detail}</Words>
        <Words kind="small" soft>
          {day}
        </Words>
      </View>
      {last ? (
        <Tick label="With her last photo" on={withPhoto} onPress={() => setWithPhoto(!withPhoto)} />
      ) : null}
      <Words kind="small" soft>
        The card names no place and no site. Look at the photo before you share it.
      </Words>
      <Fault>{fault}</Fault>
      <SaveBar>
        <Button mode="contained" icon="download" onPress={() => make('save')}>
          Save as picture
        </Button>
        {canShare ? (
          <Button mode="outlined" icon="share-variant" onPress={() => make('share')}>
            Share
          </Button>
        ) : null}
      </SaveBar>
    </Pop>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderTopWidth: 4, padding: SPACE.l, gap: SPACE.m },
});
