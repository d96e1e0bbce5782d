import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { usePathname } from 'expo-router';
import type { Workbox } from 'workbox-window';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';

/**
 * Keeps the application on the device by its service worker. A new version waits and is offered, never under way:
 * parts loaded later would change under an open page.
 */
export function Update() {
  const p = usePalette();
  const path = usePathname();
  const [waiting, setWaiting] = useState<Workbox>();
  // Another tab took it: this page goes on with what it has until it is opened again.
  const taken = useRef(false);
  useEffect(() => {
    if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
    let gone = false;
    const register = async () => {
      const { Workbox } = await import('workbox-window');
      const worker = new Workbox('/sw.js');
      worker.addEventListener('waiting', () => {
        if (!gone) setWaiting(worker);
      });
      worker.addEventListener('controlling', () => {
        if (taken.current) window.location.reload();
      });
      await worker.register();
    };
    register().catch((error: unknown) => console.warn('This device can’t keep the application:', error));
    return () => {
      gone = true;
    };
  }, []);
  if (!waiting || path.includes('/go/')) return null;
  const take = () => {
    taken.current = true;
    waiting.messageSkipWaiting();
  };
  return (
    <View
      role="status"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 12,
        padding: 8,
        paddingHorizontal: 14,
        backgroundColor: p.raised,
        borderBottomWidth: 1,
        borderColor: p.line,
      }}
    >
      <T as="soft" style={{ flex: 1 }}>
        A newer Escale is ready.
      </T>
      <Button onPress={take}>Take it now</Button>
    </View>
  );
}
