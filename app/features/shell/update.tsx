import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { usePathname } from 'expo-router';
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
  const [waiting, setWaiting] = useState<ServiceWorker>();
  useEffect(() => {
    if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
    let asked = false;
    navigator.serviceWorker
      .register('/sw.js')
      .then((registration) => {
        const offer = () =>
          registration.waiting && navigator.serviceWorker.controller && setWaiting(registration.waiting);
        offer();
        registration.addEventListener('updatefound', () =>
          registration.installing?.addEventListener('statechange', offer),
        );
      })
      .catch((error: unknown) => console.warn('This device can’t keep the application:', error));
    const taken = () => asked && window.location.reload();
    navigator.serviceWorker.addEventListener('controllerchange', taken);
    const mark = () => {
      asked = true;
    };
    window.addEventListener('escale-update', mark);
    return () => {
      navigator.serviceWorker.removeEventListener('controllerchange', taken);
      window.removeEventListener('escale-update', mark);
    };
  }, []);
  if (!waiting || path.includes('/go/')) return null;
  const take = () => {
    window.dispatchEvent(new Event('escale-update'));
    waiting.postMessage({ type: 'SKIP_WAITING' });
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
