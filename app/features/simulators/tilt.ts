import { useCallback, useEffect, useState } from 'react';

/** A phone tilted by so many degrees stands for the whole way. */
const WHOLE = 30;
/** A device that can tell its tilt does so within this time, ms. */
const PATIENCE = 1500;

export type Tilt = 'off' | 'asked' | 'on' | 'refused' | 'none';

type Asks = { requestPermission?: () => Promise<'granted' | 'denied'> };

/** Steering by the tilt of the phone, where it has one and its person lets it be read; `move` hears −1 to 1, to the right above 0. */
export function useTilt(move: (hand: number) => void): { tilt: Tilt; ask: () => void; stop: () => void } {
  const [tilt, setTilt] = useState<Tilt>('off');
  const ask = useCallback(() => {
    const asks = (window as { DeviceOrientationEvent?: Asks }).DeviceOrientationEvent;
    if (!asks) return setTilt('none');
    if (!asks.requestPermission) return setTilt('asked');
    asks.requestPermission().then(
      (answer) => setTilt(answer === 'granted' ? 'asked' : 'refused'),
      () => setTilt('refused'),
    );
    return undefined;
  }, []);
  useEffect(() => {
    if (tilt !== 'asked' && tilt !== 'on') return undefined;
    const hear = ({ beta, gamma }: DeviceOrientationEvent) => {
      const upright = window.innerHeight >= window.innerWidth;
      const angle = upright ? gamma : beta;
      if (angle === null) return;
      setTilt('on');
      move(Math.max(-1, Math.min(1, angle / WHOLE)));
    };
    window.addEventListener('deviceorientation', hear);
    const late = setTimeout(() => setTilt((now) => (now === 'asked' ? 'none' : now)), PATIENCE);
    return () => {
      window.removeEventListener('deviceorientation', hear);
      clearTimeout(late);
    };
  }, [tilt, move]);
  return { tilt, ask, stop: useCallback(() => setTilt('off'), []) };
}
