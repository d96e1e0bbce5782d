import { useCallback, useMemo, useState } from 'react';
import {
  onEdge,
  withStream,
  withWind,
  type AtStay,
  type Fastening,
  type Hour,
  type Lying,
} from '@escale/core/hold';

/** What was moved by hand; what is absent is as it is then. */
export interface Tried {
  depth?: number | undefined;
  wind?: number | undefined;
  stream?: number | undefined;
  out?: number;
  along?: number;
  /** Of where she is made fast over the water, metres; absent: her edge there. */
  above?: number | undefined;
}

/** Her ends, as shares of her length. */
export const ENDS = { stern: 0, bow: 1 } as const;
/** Where along her the line leads from, by the word for it. */
const FROM = { ...ENDS, side: 0.5 } as const;
/** At its ends the line leads over the stem or the stern. */
export const acrossAt = (along: number): 0 | 1 => (along <= ENDS.stern || along >= ENDS.bow ? 0 : 1);

/** An hour with what was moved by hand. */
function given(hour: Hour, { depth, wind, stream }: Tried): Hour {
  const blown = wind === undefined ? hour : withWind(hour, wind);
  const flowing = stream === undefined ? blown : withStream(blown, stream);
  return depth === undefined ? flowing : { ...flowing, depth };
}

export interface Trying {
  hour: Hour;
  /** The hour with what was moved by hand. */
  comes: Hour;
  tried: Tried;
  along: number;
  /** Height over the water of where she is made fast, metres. */
  above: number;
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
  const fast = useMemo(() => {
    const edge = onEdge(lying.hull, along, acrossAt(along));
    return tried.above === undefined ? edge : { ...edge, z: lying.exposed.waterline + tried.above };
  }, [lying, along, tried.above]);
  const above = fast.z - lying.exposed.waterline;
  const comes = useMemo(() => given(hour, tried), [hour, tried]);
  const move = useCallback((next: Tried) => setTried((before) => ({ ...before, ...next })), []);
  const back = useCallback(() => setTried({}), []);
  const choose = useCallback((instant: number) => {
    setWhen(instant);
    setTried({});
  }, []);
  return { hour, comes, tried, along, above, fast, move, back, choose };
}
