import { configureFonts, useTheme, type MD3Theme } from 'react-native-paper';
// by its own path: the package's index would bring every component along
import { MD3DarkTheme, MD3LightTheme } from 'react-native-paper/lib/module/styles/themes';
import { FONTS, PALETTES, type Palette, type PaletteName } from './tokens';

type BurrowTheme = MD3Theme & { burrow: Palette };

/** Paper's theme made from a palette. */
export function themeOf(name: PaletteName): BurrowTheme {
  const p = PALETTES[name];
  const base = p.dark ? MD3DarkTheme : MD3LightTheme;
  return {
    ...base,
    roundness: 3,
    fonts: configureFonts({ config: { fontFamily: FONTS.sans } }),
    colors: {
      ...base.colors,
      primary: p.moss,
      onPrimary: p.onMoss,
      primaryContainer: p.mossWash,
      onPrimaryContainer: p.ink,
      secondary: p.moss,
      onSecondary: p.onMoss,
      secondaryContainer: p.mossWash,
      onSecondaryContainer: p.ink,
      background: p.ground,
      onBackground: p.ink,
      surface: p.sheet,
      onSurface: p.ink,
      surfaceVariant: p.sheet,
      onSurfaceVariant: p.inkSoft,
      outline: p.inkSoft,
      outlineVariant: p.rule,
      error: p.clay,
      errorContainer: p.clayWash,
      onErrorContainer: p.ink,
      inverseSurface: p.ink,
      inverseOnSurface: p.ground,
      inversePrimary: p.dark ? p.mossWash : p.mossWash,
      elevation: {
        level0: 'transparent',
        level1: p.sheet,
        level2: p.sheet,
        level3: p.sheet,
        level4: p.sheet,
        level5: p.sheet,
      },
    },
    burrow: p,
  };
}

export const useBurrow = (): Palette => useTheme<BurrowTheme>().burrow;
