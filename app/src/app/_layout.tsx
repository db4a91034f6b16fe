import { AtkinsonHyperlegible_400Regular } from '@expo-google-fonts/atkinson-hyperlegible/400Regular';
import { AtkinsonHyperlegible_700Bold } from '@expo-google-fonts/atkinson-hyperlegible/700Bold';
import { Vollkorn_400Regular_Italic } from '@expo-google-fonts/vollkorn/400Regular_Italic';
import { Vollkorn_500Medium } from '@expo-google-fonts/vollkorn/500Medium';
import { Vollkorn_700Bold } from '@expo-google-fonts/vollkorn/700Bold';
import MaterialCommunityIcons from '@expo/vector-icons/MaterialCommunityIcons';
import { QueryClientProvider } from '@tanstack/react-query';
import { persistQueryClient } from '@tanstack/react-query-persist-client';
import { useFonts } from 'expo-font';
import { useMemo } from 'react';
import { useColorScheme, View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { EXAMPLE } from '@/data/example';
import { askInstead, watchNetwork } from '@/data/network';
import { openOutbox } from '@/data/outbox';
import { askForShelf, refetchAfterSending } from '@/data/queries';
import { persistOptions, queryClient } from '@/data/query-client';
import { registerServiceWorker } from '@/data/service-worker';
import { usePreferences } from '@/theme/preferences';
import { themeOf } from '@/theme/theme';
import { Frame } from '@/ui/Frame';
import { PAGES } from '@/ui/pages';

// an icon is drawn from a font: its letter must not be read out
const PAPER_SETTINGS = {
  icon: ({ name, color, size }: { name: string; color?: string; size: number }) => (
    <View aria-hidden>
      <MaterialCommunityIcons name={name as never} color={color} size={size} />
    </View>
  ),
};

if (EXAMPLE) askInstead(PAGES.example().then((Server) => new Server(new Date())));
registerServiceWorker();
watchNetwork();
refetchAfterSending(queryClient);
askForShelf(queryClient);
void openOutbox();
// what was last seen is read back beside the first questions to the server, not before them; the newer answer stands
void persistQueryClient({ queryClient, ...persistOptions })[1];

export default function RootLayout() {
  const { appearance } = usePreferences();
  const deviceDark = useColorScheme() === 'dark';
  const name = appearance === 'auto' ? (deviceDark ? 'night' : 'paper') : appearance;
  const theme = useMemo(() => themeOf(name), [name]);
  // text is drawn at once in a fallback and takes its own face when that has come
  useFonts({
    AtkinsonHyperlegible_400Regular,
    AtkinsonHyperlegible_700Bold,
    Vollkorn_400Regular_Italic,
    Vollkorn_500Medium,
    Vollkorn_700Bold,
    ...MaterialCommunityIcons.font,
  });
  return (
    <SafeAreaProvider>
      <QueryClientProvider client={queryClient}>
        <PaperProvider theme={theme} settings={PAPER_SETTINGS}>
          <Frame />
        </PaperProvider>
      </QueryClientProvider>
    </SafeAreaProvider>
  );
}
