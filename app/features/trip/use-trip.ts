import { createContext, useContext, useDeferredValue, useMemo, useState } from 'react';
import { isOpen } from '@escale/core/floatplan';
import type { Assessment, PlanView, Shed, Trip } from '@escale/core/model';
import { saysTo, type Reader, type Says } from '@escale/core/say';
import { changesAt, prepare, stripAxis, type AssessInput, type Prepared } from '@escale/core/trip';
import { useChannels, useConditions, useKind, useNow, usePlans, useThings, useTicks } from '../../data/hooks';
import { useReader } from '../../data/settings';
import type { Held } from '../../data/things';
import { CATALOGUE } from '@escale/core/kit';
import { packsOn } from '@escale/core/rules';
import { conditionsFor } from '@escale/core/water';

export const packListOf = (trip: string) => `pack:${trip}`;

/** Everything that screens of one trip share: the trip, what it leans on, and what core says of it. */
export interface TripView {
  held: Held<'trip'>;
  trip: Trip;
  shed: Shed;
  input: AssessInput;
  prepared: Prepared;
  assessment: Assessment;
  reader: Reader;
  /** Fills a screen's own templates for that reader. */
  says: Says;
  /** The newest plan of this trip, open or ended. */
  plan?: PlanView;
  ticks: ReadonlyMap<string, number>;
  /** The day strip's axis; it stands still while the departure is dragged. */
  axis?: { from: number; until: number };
}

/** Nothing that core says of a trip changes faster. */
const MINUTE = 60_000;

export function useTripView(id: string): TripView | 'loading' | 'gone' {
  const { ready, shed, error } = useThings();
  const held = useKind('trip').find((h) => h.id === id);
  const trip = held?.doc;
  const conditions = useConditions(trip?.id, trip?.leave.date);
  const plans = usePlans({ trip: id });
  const channels = useChannels();
  const ticks = useTicks(packListOf(id));
  const now = useNow(MINUTE);
  const [asOf, setAsOf] = useState(now);
  const plan = useMemo(
    () =>
      plans
        ?.filter((p) => p.trip === id)
        .sort(
          (a, b) => Number(isOpen(b.state)) - Number(isOpen(a.state)) || b.times.leave - a.times.leave,
        )[0],
    [plans, id],
  );
  const water = shed.waters.find((w) => w.id === trip?.water);
  const reader = useReader(water?.zone ?? 'UTC');
  const says = useMemo(() => saysTo(reader), [reader]);

  const input = useMemo<AssessInput | undefined>(
    () =>
      trip && {
        trip,
        shed,
        conditions: conditionsFor(trip, conditions ?? {}),
        packs: packsOn(water, shed),
        catalogue: CATALOGUE,
        now: asOf,
        ticks,
        ...(plan ? { plan } : {}),
        ...(channels ? { channels } : {}),
      },
    [trip, shed, conditions, water, asOf, ticks, plan, channels],
  );
  const prepared = useMemo(() => input && prepare(input), [input]);
  // The first time, one task reckons what never changes with the hour and the next one the day: neither holds a tap up for long.
  const begun = useDeferredValue(prepared !== undefined, false);
  const assessment = useMemo(() => (begun ? prepared?.whole() : undefined), [begun, prepared]);
  const axis = useMemo(() => input && assessment && stripAxis(input, assessment), [input, assessment]);

  // Core is told the time again when going on would change what it says: an idle page reckons nothing.
  const until = input && assessment ? changesAt(input, assessment.leave, assessment.ready) : Infinity;
  if (now >= until || now < asOf) setAsOf(now);

  const view = useMemo<TripView | undefined>(() => {
    if (!held || !trip || !input || !prepared || !assessment) return undefined;
    const more = { ...(plan ? { plan } : {}), ...(axis ? { axis } : {}) };
    return { held, trip, shed, input, prepared, assessment, reader, says, ticks, ...more };
  }, [held, trip, shed, input, prepared, assessment, reader, says, ticks, plan, axis]);
  return view ?? ((ready || error) && !input ? 'gone' : 'loading');
}

export const TripContext = createContext<TripView | undefined>(undefined);

/** The trip at hand. Only below a trip's own layout. */
export function useTrip(): TripView {
  const view = useContext(TripContext);
  if (!view) throw new Error('no trip at hand: this part stands outside a trip’s pages');
  return view;
}
