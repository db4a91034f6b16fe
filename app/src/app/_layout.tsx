import MaterialCommunityIcons from '@expo/vector-icons/MaterialCommunityIcons';
import { QueryClientProvider } from '@tanstack/react-query';
import { persistQueryClient } from '@tanstack/react-query-persist-client';
import { useEffect, useMemo, type ComponentProps } from 'react';
import { useColorScheme, View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { EXAMPLE } from '@/data/example';
import { askInstead, watchNetwork } from '@/data/network';
import { openOutbox } from '@/data/outbox';
import { askForShelf, refetchAfterSending } from '@/data/queries';
import { persistOptions, queryClient } from '@/data/query-client';
import { registerServiceWorker } from '@/data/service-worker';
import { fetchFaces, useIcons } from '@/theme/faces';
import { usePreferences } from '@/theme/preferences';
import { themeOf } from '@/theme/theme';
import { Frame } from '@/ui/Frame';
import { PAGES } from '@/ui/pages';

interface IconProps {
  name: string;
  color?: string;
  size: number;
}

/** Its place is kept until its face has come. It is drawn from a font: its letter must not be read out. */
function Icon({ name, color, size }: IconProps) {
  const ready = useIcons();
  return (
    <View aria-hidden style={{ minWidth: size, minHeight: size }}>
      {ready ? <MaterialCommunityIcons name={name as never} color={color} size={size} /> : null}
    </View>
  );
}

const PAPER_SETTINGS: ComponentProps<typeof PaperProvider>['settings'] = {
  icon: (props) => <Icon {...(props as IconProps)} />,
};

if (EXAMPLE) askInstead(PAGES.example().then((Server) => new Server(new Date())));
registerServiceWorker();
watchNetwork();
refetchAfterSending(queryClient);
askForShelf(queryClient);
fetchFaces();
void openOutbox();
// what was last seen is read back beside the first questions to the server, not before them; the newer answer stands
void persistQueryClient({ queryClient, ...persistOptions })[1];

/** What the device draws around the application has the colour of its ground, at night and in red light too. */
function colourFrame(ground: string): void {
  document.querySelector('meta[name="theme-color"]')?.setAttribute('content', ground);
}

export default function RootLayout() {
  const { appearance } = usePreferences();
  const deviceDark = useColorScheme() === 'dark';
  const name = appearance === 'auto' ? (deviceDark ? 'night' : 'paper') : appearance;
  const theme = useMemo(() => themeOf(name), [name]);
  useEffect(() => colourFrame(theme.burrow.ground), [theme]);
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
