import { useMemo, useState } from 'react';
import type { LatLon } from '@escale/core/earth';
import { speak } from '@escale/core/say';
import type { Incident } from '@escale/core/whatif';
import { useJob } from '../../data/jobs';
import type { GlanceJob, Jobs, WhatIfJob } from '../../workers/jobs';
import { useTrip } from '../trip/use-trip';

/** Each input has a name, so that who reckons knows whether it has changed. */
const names = new WeakMap<object, number>();
let named = 0;
function nameOf(input: object): number {
  const known = names.get(input);
  if (known !== undefined) return known;
  named += 1;
  names.set(input, named);
  return named;
}

/** What is asked of the trip at hand. */
export function useAsked(worse: boolean): GlanceJob {
  const { input } = useTrip();
  return useMemo(() => {
    const { trip, shed, conditions, now, plan, channels } = input;
    const more = { ...(plan ? { plan } : {}), ...(channels ? { channels } : {}) };
    return { key: nameOf(input), input: { trip, shed, conditions, now, ...more }, worse };
  }, [input, worse]);
}

type Asking = 'glance' | 'whatif' | 'changes' | 'replay';

/** A job whose sentences come with its answer: they can be said before anything of it is drawn. */
export function useSaid<N extends Asking>(name: N, job: Jobs[N]['input'] | undefined, rest: number) {
  const running = useJob(name, job, rest);
  const { parts } = running;
  useMemo(() => {
    for (const { sayings } of parts) if (sayings) speak(sayings);
  }, [parts]);
  return running;
}

export interface Moment {
  at: number;
  here?: LatLon;
  incident: Incident;
}

/** A slider that is dragged asks once it rests, ms. */
const REST = 60,
  /** What takes longer waits until nothing was touched for so long, ms. */
  LATER = 400;

/** One moment, and what would change it. */
export function useMoment(asked: GlanceJob, { at, here, incident }: Moment) {
  const { lat, lon } = here ?? {};
  const { id, opening } = incident;
  const job = useMemo<WhatIfJob>(
    () => ({
      ...asked,
      at,
      ...(lat === undefined || lon === undefined ? {} : { here: { lat, lon } }),
      incident: { id, ...(opening === undefined ? {} : { opening }) },
    }),
    [asked, at, lat, lon, id, opening],
  );
  return { answer: useSaid('whatif', job, REST), changes: useSaid('changes', job, LATER) };
}

/** The whole day, as far as it was looked through: what was found before it was stopped stays, as long as the same is asked. */
export function useGlance(asked: GlanceJob | undefined) {
  const [halted, setHalted] = useState<{ asked: GlanceJob; parts: Jobs['glance']['part'][] }>();
  const stopped = halted !== undefined && halted.asked === asked;
  const job = useMemo<GlanceJob | undefined>(
    () => (asked && stopped ? { ...asked, stop: true } : asked),
    [asked, stopped],
  );
  const { parts, done, of, failed } = useSaid('glance', job, REST);
  const shown = stopped ? halted.parts : parts;
  const day = useMemo(() => {
    const columns = shown.flatMap((part) => part.columns).sort((a, b) => a.n - b.n);
    const worst = shown.at(-1)?.worst;
    return { columns, worst: worst ?? [], whole: worst !== undefined };
  }, [shown]);
  return {
    ...day,
    done,
    of,
    stopped,
    ...(failed ? { failed } : {}),
    stop: () => asked && setHalted({ asked, parts }),
    go: () => setHalted(undefined),
  };
}
