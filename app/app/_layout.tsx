import { Slot } from 'expo-router';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { SWRConfig } from 'swr';
import { useSettings } from '../data/settings';
import { Frame } from '../features/shell/frame';
import { UndoProvider } from '../features/mishap/undo';
import { Themed } from '../ui/theme';
import '../features/shell/said-instead';
import { startWorker } from '../data/worker';

startWorker();

/** Where all else failed: nothing takes the words for help away. */
export { Broken as ErrorBoundary } from '../features/mishap/broken';

export default function Layout() {
  const { theme } = useSettings();
  return (
    <SWRConfig value={{ revalidateOnFocus: true, dedupingInterval: 500 }}>
      <SafeAreaProvider>
        <Themed theme={theme} outermost>
          <UndoProvider>
            <Frame>
              <Slot />
            </Frame>
          </UndoProvider>
        </Themed>
      </SafeAreaProvider>
    </SWRConfig>
  );
}
