import { Slot } from 'expo-router';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { SWRConfig } from 'swr';
import { useSettings } from '../data/settings';
import { Frame } from '../features/shell/frame';
import { UndoProvider } from '../features/shell/undo';
import { Themed } from '../ui/theme';
import '../features/shell/said-instead';
import { startWorker } from '../workers/start';

startWorker();

/** Where all else failed: nothing takes the words for help away. */
export { Broken as ErrorBoundary } from '../features/shell/broken';

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
