import type { Instant } from '@gentle-burrow/core/quantity';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { v7 } from 'uuid';
import { forgetPhoto, keepPhoto } from '@/data/photos';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText } from '@/ui/dates';
import { Fault } from '@/ui/fields';
import { Words } from '@/ui/Words';
import { Picture } from './Picture';

/** As the server takes them. */
const MOST_BYTES = 16 * 1024 * 1024;
const MOST = 6;
/** Large enough to compare two, px. */
const BESIDE = 150;

interface PhotoPickerProps {
  photos: string[];
  /** The last one of an earlier look: it stands beside the new ones. */
  last?: { id: string; at: Instant } | undefined;
  onChange(photos: string[]): void;
}

/** Pictures of this look: taken now or chosen. They wait in the browser and go to the server with the look. */
export function PhotoPicker({ photos, last, onChange }: PhotoPickerProps) {
  const camera = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  const [fault, setFault] = useState<string>();
  const add = async (chosen: FileList | null) => {
    setFault(undefined);
    const ids: string[] = [];
    for (const file of chosen ?? []) {
      if (photos.length + ids.length >= MOST) {
        setFault(`Six photos of one look are the most. The rest were left out.`);
        break;
      }
      if (file.size > MOST_BYTES) {
        setFault(`“${file.name}” is larger than 16 MB. Make it smaller first.`);
        continue;
      }
      const id = v7();
      await keepPhoto(id, file);
      ids.push(id);
    }
    if (ids.length > 0) onChange([...photos, ...ids]);
  };
  const remove = async (id: string) => {
    onChange(photos.filter((p) => p !== id));
    await forgetPhoto(id);
  };
  const input = (ref: typeof camera, label: string, capture: boolean) => (
    <input
      ref={ref}
      type="file"
      accept="image/*"
      aria-label={label}
      tabIndex={-1}
      {...(capture ? { capture: 'environment' as const } : { multiple: true })}
      style={{ display: 'none' }}
      onChange={(e) => {
        void add(e.target.files).then(() => {
          if (ref.current) ref.current.value = '';
        });
      }}
    />
  );
  return (
    <View style={styles.all}>
      <View style={styles.buttons}>
        <Button mode="outlined" icon="camera-outline" onPress={() => camera.current?.click()}>
          Take a photo
        </Button>
        <Button mode="outlined" icon="image-outline" onPress={() => files.current?.click()}>
          Choose photos
        </Button>
      </View>
      {input(camera, 'Take a photo', true)}
      {input(files, 'Choose photos', false)}
      <Fault>{fault}</Fault>
      {photos.length > 0 ? (
        <View style={styles.strip}>
          {last ? (
            <View style={styles.last}>
              <Picture
                id={last.id}
                size="thumb"
                label={`Her last photo, ${dayText(last.at)}`}
                height={BESIDE}
              />
              <Words kind="small" soft>
                {`Last, ${dayText(last.at)}`}
              </Words>
            </View>
          ) : null}
          {photos.map((id, i) => (
            <View key={id}>
              <Picture
                id={id}
                size="thumb"
                label={`Photo ${i + 1} of this look`}
                height={last ? BESIDE : 96}
              />
              <IconButton
                icon="close"
                size={18}
                mode="contained"
                style={styles.remove}
                accessibilityLabel={`Leave out photo ${i + 1}`}
                onPress={() => void remove(id)}
              />
            </View>
          ))}
        </View>
      ) : null}
      <Words kind="small" soft>
        Photos stay with your own server. The place and camera that they carry are taken out.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: SPACE.s },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  strip: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  last: { gap: 2 },
  remove: { position: 'absolute', top: -8, right: -8 },
});
