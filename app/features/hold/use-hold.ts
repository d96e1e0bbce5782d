import { useMemo } from 'react';
import {
  anchorsAboard,
  atStay,
  bestOf,
  lyingOn,
  overStay,
  staysOf,
  type AtStay,
  type Lying,
  type OnHold,
  type Over,
  type Stay,
} from '@escale/core/hold';
import { onHold } from '@escale/core/trip/on-hold';
import { useTrip } from '../trip/use-trip';

/** What of the trip is held, and where. */
export interface Holding {
  on: OnHold;
  stays: Stay[];
  lying?: Lying;
}

export function useHolding(): Holding {
  const { input, assessment, trip, shed } = useTrip();
  const { schedule } = assessment;
  const on = useMemo(() => onHold(input), [input]);
  const lying = useMemo(() => lyingOn(on), [on]);
  const stays = useMemo(
    () => (schedule ? staysOf(trip.halts, shed.places, schedule) : []),
    [trip.halts, shed.places, schedule],
  );
  return { on, stays, ...(lying ? { lying } : {}) };
}

/** A stay, with every anchor aboard over its hours. */
export interface Held {
  at: AtStay;
  overs: Over[];
  best?: Over;
}

export function useHeld({ on, lying }: Holding, stay: Stay): Held {
  return useMemo(() => {
    const at = atStay(on, stay, lying);
    const overs = anchorsAboard(on).map((item) => overStay(at, item));
    const best = bestOf(overs, stay.halt.anchor);
    return { at, overs, ...(best ? { best } : {}) };
  }, [on, lying, stay]);
}
