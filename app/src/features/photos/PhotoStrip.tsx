import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import type { ShownQueen } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { photosOf } from './photos-of';
import { Picture } from './Picture';

const HEIGHT = 112;

/** Her photos over time, side by side; one opens large under the strip. */
export function PhotoStrip({ shown }: { shown: ShownQueen }) {
  const p = useBurrow();
  const [open, setOpen] = useState<string | null>(null);
  const photos = photosOf(shown);
  if (photos.length === 0) return null;
  const opened = photos.find((f) => f.id === open);
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        Photos
      </Words>
      <ScrollView horizontal contentContainerStyle={styles.strip}>
        {photos.map(({ id, at }) => (
          <Pressable
            key={id}
            role="button"
            aria-expanded={open === id}
            aria-label={`Photo of ${dayText(at)}`}
            onPress={() => setOpen(open === id ? null : id)}
            style={[styles.one, { borderBottomColor: open === id ? p.moss : 'transparent' }]}
          >
            <Picture id={id} size="thumb" label="" height={HEIGHT} />
            <Words kind="small" soft>
              {dayText(at)}
            </Words>
          </Pressable>
        ))}
      </ScrollView>
      {opened ? (
        <View>
          <Picture key={opened.id} id={opened.id} size="whole" label={`Photo of ${dayText(opened.at)}`} />
        </View>
      ) : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  strip: { gap: SPACE.s },
  one: { gap: 2, borderBottomWidth: 3, paddingBottom: 2 },
});
