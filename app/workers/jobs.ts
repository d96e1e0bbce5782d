import { holesOf, hullOf, leak, spaceOf, type Leak, type Relief, type Weight } from '@escale/core/boat';

import type { DrawingResult } from '@escale/core/formats/drawing';
import type { Table } from '@escale/core/formats/table';
import type { Hours, ReadTrack } from '@escale/core/logbook/track';
import { CATALOGUE } from '@escale/core/kit';
import type { LatLon } from '@escale/core/earth';
import type { Boat, CloseCall, Schedule } from '@escale/core/model';
import { packsOn } from '@escale/core/rules';
import {
  sweepDays,
  sweepSteps,
  type AssessInput,
  type Departure,
  type Progress,
  type Span,
} from '@escale/core/trip';
import type { Answer, Column, Incident, Replay, Tried, Worst } from '@escale/core/whatif';
import { wayHomeSteps, type WayHome } from '@escale/core/trip/way-home';
import { windowSteps, type Week } from '@escale/core/trip/windows';

/** A piece of what a job gives, and how far it is. */
export interface Piece<P> extends Progress {
  part?: P;
}
/** Long work, a step at a time. Its input was validated before it was posted: no validator comes along. */
type Work<P> = Generator<Piece<P>, void>;

/** Packs and catalogue ship with the worker itself. */
export interface SweepJob {
  input: Pick<AssessInput, 'trip' | 'shed' | 'conditions' | 'now'>;
  from: number;
  until: number;
  step: number;
}

export interface DaysJob extends Pick<SweepJob, 'input' | 'step'> {
  /** The departures of each day that is held against the others. */
  spans: Span[];
}

export interface HomeJob extends Pick<SweepJob, 'input'> {
  here: LatLon;
  schedule: Schedule | undefined;
}

export interface LeaksJob {
  boat: Boat;
  /** Everything that weighs, once. */
  weight: Weight;
  /** kg/m³ */
  density: number;
  relief: Relief;
  /** Significant height of the waves, metres. */
  sea: number;
}

/** What is asked of a trip that goes wrong. */
export interface GlanceJob {
  /** Tells one input from the next: what an input rests on is kept by it. */
  key: number;
  input: Pick<AssessInput, 'trip' | 'shed' | 'conditions' | 'now' | 'plan' | 'channels'>;
  /** In weather a force stronger and two hours earlier. */
  worse: boolean;
  /** Takes the place of one that runs, and does nothing. */
  stop?: true;
}
export interface WhatIfJob extends GlanceJob {
  at: number;
  /** Absent: where the plan has them. */
  here?: LatLon;
  incident: Incident;
}

/** The sentences that an answer is told with come along with it: no page carries them from the start. */
interface Said {
  sayings?: Readonly<Record<string, string>>;
}

export interface ReplayJob extends GlanceJob {
  miss: CloseCall;
}

/** The jobs, by name: what is posted and what comes back piece by piece. */
export interface Jobs {
  /** The worst of each departure of a day: progress as it goes, the whole row at the end. */
  sweep: { input: SweepJob; part: Departure[] };
  /** Several days held against each other: a row of departures each, at the end. */
  days: { input: DaysJob; part: Departure[][] };
  /** Windows of leaving over many days: what came so far, again and again, and all of them at the end. */
  windows: { input: SweepJob; part: Week };
  /** When one must start for home from where one is. */
  home: { input: HomeJob; part: WayHome };
  /** One leak through each opening of a boat, in their order. */
  leaks: { input: LeaksJob; part: Leak };
  /** The worst gap of each incident at each point of the day, as it comes; at the end the three worst in full. */
  glance: { input: GlanceJob; part: { columns: Column[]; worst?: Worst[] } & Said };
  /** One incident at one moment; nothing where nobody knows where they are then. */
  whatif: { input: WhatIfJob; part: { answer?: Answer } & Said };
  /** What would shrink its worst gap, the most first. */
  changes: { input: WhatIfJob; part: { changes: Tried[] } & Said };
  /** A near miss, run back through the model. */
  replay: { input: ReplayJob; part: { replay?: Replay } & Said };
  /** A table out of a file’s text: what is torn in it must not keep the page. */
  table: { input: { text: string }; part: Table };
  /** Points, ways and areas out of a file’s text. */
  drawing: { input: { text: string }; part: DrawingResult };
  /** A recorded track out of a file’s text, for a trip on these days of a zone. */
  track: {
    input: { text: string; days: readonly [string, string]; zone: string; hours: Hours };
    part: ReadTrack;
  };
}
export type JobName = keyof Jobs;

const wholeOf = (input: SweepJob['input']): AssessInput => ({
  ...input,
  packs: packsOn(
    input.shed.waters.find((w) => w.id === input.trip.water),
    input.shed,
  ),
  catalogue: CATALOGUE,
});

/** Work that tells how far it is and gives its answer whole, at the end. */
function* toTheEnd<P>(steps: Generator<Progress, P>): Work<P> {
  let next = steps.next();
  let at: Progress = { done: 0, of: 0 };
  while (!next.done) {
    at = next.value;
    yield at;
    next = steps.next();
  }
  yield { ...at, part: next.value };
}

export type Working<N extends JobName> = (input: Jobs[N]['input']) => Work<Jobs[N]['part']>;

/** What is reckoned. What is read out of files stands in `reading`. */
export const JOBS: { [N in 'sweep' | 'days' | 'windows' | 'home' | 'leaks']: Working<N> } = {
  *sweep({ input, from, until, step }) {
    yield* toTheEnd(sweepSteps(wholeOf(input), from, until, step));
  },
  *days({ input, spans, step }) {
    yield* toTheEnd(sweepDays(wholeOf(input), spans, step));
  },
  *windows({ input, from, until, step }) {
    const steps = windowSteps(wholeOf(input), from, until, step);
    let next = steps.next();
    let at: Progress = { done: 0, of: 0 };
    while (!next.done) {
      const { week, ...progress } = next.value;
      at = progress;
      yield week ? { ...at, part: week } : at;
      next = steps.next();
    }
    yield { ...at, part: next.value };
  },
  *home({ input, here, schedule }) {
    yield* toTheEnd(wayHomeSteps(wholeOf(input), here, schedule));
  },
  *leaks({ boat, weight, density, relief, sea }) {
    const hull = hullOf(boat);
    if (!hull) return;
    const holes = holesOf(boat, hull);
    for (const [i, hole] of holes.entries()) {
      const part = leak({ hull, hole, space: spaceOf(boat, hull, hole), weight, density, relief, sea });
      yield { done: i + 1, of: holes.length, part };
    }
  },
};
