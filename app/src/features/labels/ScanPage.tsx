import { queenOfAddress } from '@gentle-burrow/core/labels';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { goInstead } from '@/ui/way';

/** Which queen is it? Hold her label before the camera, or take a picture of it. */
// reading codes is the largest part of all, and seldom needed
const reader = () => import('./read-code');

export function ScanPage() {
  const p = useBurrow();
  const video = useRef<HTMLVideoElement>(null);
  const file = useRef<HTMLInputElement>(null);
  const [on, setOn] = useState(false);
  const [says, setSays] = useState<string | null>(null);

  const open = (text: string): boolean => {
    const id = queenOfAddress(text);
    if (!id) {
      setSays('That code is not one of these labels. Print one under Labels, and try that.');
      return false;
    }
    goInstead(`/queens/${id}/look`);
    return true;
  };

  useEffect(() => {
    if (!on || !video.current) return;
    let ended = false;
    let stop: (() => void) | null = null;
    reader()
      .then(({ readCamera }) => readCamera(video.current as HTMLVideoElement, open))
      .then((stopIt) => {
        if (ended) stopIt();
        else stop = stopIt;
      })
      .catch((error: unknown) => {
        setOn(false);
        setSays(cameraWords(error));
      });
    return () => {
      ended = true;
      stop?.();
    };
  }, [on]);

  const read = async (picture: File | undefined) => {
    if (!picture) return;
    setSays('Reading the picture …');
    const { readPicture } = await reader();
    const text = await readPicture(picture);
    if (text === null)
      setSays(
        'No code was found in that picture. Take it closer, in good light, with the whole code and its white rim.',
      );
    else open(text);
  };

  return (
    <Screen question="Which queen is it?" back="/bench">
      <Words>
        Hold her label before the camera: the code opens her look. The picture stays on this device.
      </Words>
      {on ? (
        <video
          ref={video}
          muted
          playsInline
          aria-label="What the camera sees"
          style={{ width: '100%', maxHeight: 420, background: p.ink, borderRadius: 4, objectFit: 'cover' }}
        />
      ) : null}
      <View style={styles.row}>
        <Button
          mode="contained"
          icon={on ? 'camera-off-outline' : 'camera-outline'}
          onPress={() => {
            setSays(null);
            setOn(!on);
          }}
        >
          {on ? 'Camera off' : 'Use the camera'}
        </Button>
        <Button mode="outlined" icon="image-outline" onPress={() => file.current?.click()}>
          Choose a picture
        </Button>
        <input
          ref={file}
          type="file"
          accept="image/*"
          aria-label="A picture of the label"
          tabIndex={-1}
          style={{ display: 'none' }}
          onChange={(e) => {
            void read(e.target.files?.[0]);
            e.target.value = '';
          }}
        />
      </View>
      {says ? (
        <View role="status">
          <Words color={says.startsWith('Reading') ? p.ink : p.clay}>{says}</Words>
        </View>
      ) : null}
    </Screen>
  );
}

function cameraWords(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'NotAllowedError')
    return 'The browser does not let this page use the camera. Allow it in the address bar, or choose a picture instead.';
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return 'There is no camera here. Choose a picture instead.';
  if (typeof navigator !== 'undefined' && !navigator.mediaDevices)
    return 'A browser gives the camera only to pages from this machine or by https. Choose a picture instead.';
  return 'The camera cannot be used now: another program may hold it. Choose a picture instead.';
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
