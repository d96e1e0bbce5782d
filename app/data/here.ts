import { useCallback, useEffect, useState } from 'react';

/** Where this device says it is: degrees, metres, epoch ms. */
export interface Here {
  lat: number;
  lon: number;
  accuracy: number;
  at: number;
}

/** Older than this it is where one was, ms. */
const FRESH = 60_000,
  PATIENCE = 15_000;

/**
 * The device's own position, as far as it may be read: at once where that was allowed before, else when it is asked for.
 * `said` is what a person reads when it can't be had.
 * @param every ms: where it was allowed it is read again so often, and whenever one comes back to the page; what is older and
 * can't be read again is known no more
 */
export function useHere(every?: number): {
  here: Here | undefined;
  said: string | undefined;
  /** Asks now. @param then what is done once with what was read */
  ask: (then?: (here: Here) => void) => void;
} {
  const [here, setHere] = useState<Here>();
  const [said, setSaid] = useState<string>();
  const [follows, setFollows] = useState(false);
  const ask = useCallback(
    (then?: (here: Here) => void) => {
      if (!('geolocation' in navigator)) return setSaid('This device has no position to read.');
      setSaid('Reading the position …');
      navigator.geolocation.getCurrentPosition(
        ({ coords, timestamp }) => {
          const read = {
            lat: coords.latitude,
            lon: coords.longitude,
            accuracy: coords.accuracy,
            at: timestamp,
          };
          setHere(read);
          setFollows(true);
          then?.(read);
          setSaid(undefined);
        },
        (error) => {
          if (every !== undefined) setHere((old) => (old && Date.now() - old.at < every ? old : undefined));
          setSaid(
            error.code === error.PERMISSION_DENIED
              ? 'This device was not allowed to tell its position.'
              : 'The position could not be read.',
          );
        },
        { enableHighAccuracy: true, maximumAge: FRESH, timeout: PATIENCE },
      );
    },
    [every],
  );
  useEffect(() => {
    let there = true;
    navigator.permissions?.query({ name: 'geolocation' }).then(
      ({ state }) => {
        if (there && state === 'granted') ask();
      },
      () => undefined, // A browser that can't be asked is asked by the button.
    );
    return () => {
      there = false;
    };
  }, [ask]);
  useEffect(() => {
    if (every === undefined || !follows) return;
    const again = setInterval(ask, every);
    const back = () => document.visibilityState === 'visible' && ask();
    document.addEventListener('visibilitychange', back);
    return () => {
      clearInterval(again);
      document.removeEventListener('visibilitychange', back);
    };
  }, [ask, every, follows]);
  return { here, said, ask };
}
