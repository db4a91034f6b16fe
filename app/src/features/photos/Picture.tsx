import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePhotoSource } from '@/data/photos';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Words } from '@/ui/Words';

interface PictureProps {
  id: string;
  size: 'whole' | 'thumb';
  label: string;
  /** px; the whole width is taken when not given. */
  height?: number;
}

/** A photo from wherever it is now; says so when it is not here. */
export function Picture({ id, size, label, height }: PictureProps) {
  const p = useBurrow();
  const source = usePhotoSource(id, size);
  const [missing, setMissing] = useState<string | null>(null);
  if (source === null) return <View style={{ height: height ?? 160 }} />;
  if (missing === source)
    return (
      <View style={[styles.missing, { borderColor: p.rule, height: height ?? 160 }]}>
        <Words kind="small" soft>
          Not here yet
        </Words>
      </View>
    );
  return (
    <img
      src={source}
      alt={label}
      loading="lazy"
      onError={() => setMissing(source)}
      style={{
        height: height ?? 'auto',
        width: height ? 'auto' : '100%',
        maxWidth: '100%',
        borderRadius: 4,
        border: `1px solid ${p.rule}`,
        display: 'block',
        // at night nothing may be brighter than the theme
        filter: p.dark ? 'brightness(0.6)' : 'none',
      }}
    />
  );
}

const styles = StyleSheet.create({
  missing: {
    minWidth: 96,
    borderWidth: 1,
    borderStyle: 'dashed',
    borderRadius: 4,
    padding: SPACE.s,
    justifyContent: 'center',
  },
});
