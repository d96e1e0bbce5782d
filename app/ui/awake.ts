import { useEffect, useState } from 'react';
import { activateKeepAwakeAsync, deactivateKeepAwake, isAvailableAsync } from 'expo-keep-awake';

/**
 * Keeps the screen on while a part is drawn. The browser lets go when the page is hidden: a page that comes back asks again.
 * @returns false where this device can’t, so that it can be said
 */
export function useAwake(tag: string): boolean {
  const [awake, setAwake] = useState(true);
  useEffect(() => {
    let here = true;
    let held = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      const can = await isAvailableAsync();
      if (!here) return;
      if (!can) return setAwake(false);
      await activateKeepAwakeAsync(tag);
      held = true;
      if (here) setAwake(true);
      else await deactivateKeepAwake(tag);
    };
    // A device that refuses (a low battery) is told of, as one that can’t.
    const asking = () => void ask().catch(() => here && setAwake(false));
    asking();
    document.addEventListener('visibilitychange', asking);
    return () => {
      here = false;
      document.removeEventListener('visibilitychange', asking);
      if (held) void deactivateKeepAwake(tag).catch(() => undefined); // It was let go by the browser before.
    };
  }, [tag]);
  return awake;
}
