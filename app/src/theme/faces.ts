import { AtkinsonHyperlegible_400Regular } from '@expo-google-fonts/atkinson-hyperlegible/400Regular';
import { AtkinsonHyperlegible_700Bold } from '@expo-google-fonts/atkinson-hyperlegible/700Bold';
import { Vollkorn_400Regular_Italic } from '@expo-google-fonts/vollkorn/400Regular_Italic';
import { Vollkorn_500Medium } from '@expo-google-fonts/vollkorn/500Medium';
import { Vollkorn_700Bold } from '@expo-google-fonts/vollkorn/700Bold';
import MaterialCommunityIcons from '@expo/vector-icons/MaterialCommunityIcons';
import { loadAsync, unloadAsync, type FontSource } from 'expo-font';
import { useSyncExternalStore } from 'react';

const FACES: Record<string, FontSource> = {
  AtkinsonHyperlegible_400Regular,
  AtkinsonHyperlegible_700Bold,
  Vollkorn_400Regular_Italic,
  Vollkorn_500Medium,
  Vollkorn_700Bold,
  ...MaterialCommunityIcons.font,
};
const ICONS = Object.keys(MaterialCommunityIcons.font);
/** What could not be fetched is fetched again after so long. */
const AGAIN_MS = 10_000;

const come = new Set<string>();
const told = new Set<() => void>();

async function fetchFace(name: string): Promise<void> {
  try {
    await loadAsync(name, FACES[name]);
  } catch {
    // a browser never asks again for a face that has failed: it is named anew
    await unloadAsync(name).catch(() => {});
    setTimeout(() => void fetchFace(name), AGAIN_MS);
    return;
  }
  come.add(name);
  for (const tell of told) tell();
}

/** Text is drawn at once in a fallback and takes its own face when that has come. */
export function fetchFaces(): void {
  for (const name of Object.keys(FACES)) void fetchFace(name);
}

const subscribe = (tell: () => void) => {
  told.add(tell);
  return () => told.delete(tell);
};
const iconsCame = () => ICONS.every((name) => come.has(name));

/** Whether icons can be drawn: without their face they are letters of no meaning. */
export const useIcons = (): boolean => useSyncExternalStore(subscribe, iconsCame, iconsCame);
