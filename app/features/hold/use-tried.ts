import { useCallback, useMemo, useState } from 'react';
import { onEdge, type AtStay, type Fastening, type Hour, type Lying } from '@escale/core/hold';
import { acrossAt, FROM, given, type Tried } from './sliders';

export interface Trying {
  hour: Hour;
  /** The hour with what was moved by hand. */
  comes: Hour;
  tried: Tried;
  along: number;
  fast: Fastening;
  move: (next: Tried) => void;
  back: () => void;
  /** Another hour, as it is then. */
  choose: (at: number) => void;
}

/** One hour of a stay to try out, the worst first. */
export function useTried(at: AtStay, lying: Lying, worst: number | undefined): Trying {
  const [when, setWhen] = useState<number>();
  const [tried, setTried] = useState<Tried>({});
  const first = worst ?? at.hours[0].at;
  const hour = at.hours.find((each) => each.at === (when ?? first)) ?? at.hours[0];
  const along = tried.along ?? FROM[at.stay.halt.fast ?? 'bow'];
  const fast = useMemo(() => onEdge(lying.hull, along, acrossAt(along)), [lying, along]);
  const comes = useMemo(() => given(hour, tried), [hour, tried]);
  const move = useCallback((next: Tried) => setTried((before) => ({ ...before, ...next })), []);
  const back = useCallback(() => setTried({}), []);
  const choose = useCallback((instant: number) => {
    setWhen(instant);
    setTried({});
  }, []);
  return { hour, comes, tried, along, fast, move, back, choose };
}
