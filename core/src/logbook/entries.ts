import { wallTime } from '../earth';
import { slug } from '../kit';
import type { Debrief, Phrase, ProcedureRow, Run, Shed, Trip } from '../model';
import { sentencesOf } from '../procedure';
import { HOUR, MS } from '../units';
import { guessed } from '../verdict';

// The logbook: what trips left behind, as rows, sums and pictures. Pure arithmetic over debriefs; nothing is filled in.

/** One trip, as far as it was told. Lengths m, times s, instants epoch ms. */
export interface Entry {
  /** Of the debrief, or of a trip that is done and has none. */
  id: string;
  trip: string;
  on: string;
  title?: string;
  boat?: string;
  boatId?: string;
  who: string[];
  water?: string;
  /** Of its water: on which clock its hours are read. */
  zone?: string;
  left?: number;
  home?: number;
  out?: number;
  metres?: number;
  moving?: number;
  /** m/s over the ground while moving. */
  speed?: number;
  wind?: number;
  waves?: number;
  cold?: number;
  off?: number;
  fuel?: number;
  dark?: boolean;
  company?: boolean;
  forgotten: string[];
  kept: number;
  caught: number;
  miss: boolean;
  /** Nobody told how it was. */
  untold?: true;
}

type Books = Pick<Shed, 'debriefs' | 'boats' | 'people' | 'waters'> & { trips: readonly Trip[] };

const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));

/** All trips that are done or told of, the newest first. Two thousand take a few milliseconds. */
export function entriesOf({ debriefs, boats, people, waters, trips }: Books): Entry[] {
  const [boat, person, water, trip] = [byId(boats), byId(people), byId(waters), byId(trips)];
  const told = new Set(debriefs.map((d) => d.trip));
  const names = (ids: readonly string[]) => ids.flatMap((id) => person.get(id)?.name ?? []);
  const put = <V>(name: string, value: V | undefined) => (value === undefined ? {} : { [name]: value });
  const ofTrip = (id: string) => {
    const found = trip.get(id);
    const at = found?.water === undefined ? undefined : water.get(found.water);
    return { ...put('title', found?.title), ...put('water', at?.name), ...put('zone', at?.zone) };
  };
  const rows = debriefs.map((d): Entry => {
    const { met = {} } = d;
    const [left, home] = [d.left, d.home].map((at) => (at === undefined ? undefined : Date.parse(at)));
    const out =
      left !== undefined && home !== undefined && home > left ? (home - left) / MS.second : undefined;
    const moved = met.metres !== undefined && met.moving !== undefined && met.moving > 0;
    const caught = Object.values(d.caught ?? {});
    return {
      id: d.id,
      trip: d.trip,
      on: d.on,
      ...ofTrip(d.trip),
      ...put('boat', d.boat === undefined ? undefined : boat.get(d.boat)?.name),
      ...put('boatId', d.boat),
      who: names(d.who ?? []),
      ...put('left', left),
      ...put('home', home),
      ...put('out', out),
      ...put('metres', met.metres),
      ...put('moving', met.moving),
      ...put('speed', moved ? (met.metres ?? 0) / (met.moving ?? 1) : undefined),
      ...put('wind', met.wind),
      ...put('waves', met.waves),
      ...put('cold', met.waterTemperature),
      ...put('off', met.off),
      ...put('fuel', d.fuel),
      ...put('dark', met.dark),
      ...put('company', met.company),
      forgotten: d.forgotten,
      kept: caught.filter((one) => one.kept).length,
      caught: caught.length,
      miss: d.miss !== undefined,
    };
  });
  const untold = trips
    .filter(({ id, status }) => status === 'done' && !told.has(id))
    .map((one): Entry => ({
      id: one.id,
      trip: one.id,
      on: one.leave.date,
      ...ofTrip(one.id),
      ...put('boat', one.boat === undefined ? undefined : boat.get(one.boat)?.name),
      ...put('boatId', one.boat),
      who: names(one.crew.map((member) => member.person)),
      forgotten: [],
      kept: 0,
      caught: 0,
      miss: false,
      untold: true,
    }));
  return [...rows, ...untold].sort((a, b) => b.on.localeCompare(a.on) || (a.id < b.id ? 1 : -1));
}

/** Sums over trips; what some of them do not tell is not in it, and how many that are. */
export interface Sums {
  trips: number;
  seconds: number;
  metres: number;
  kept: number;
  withoutHours: number;
  withoutWay: number;
}

export function sumsOf(entries: readonly Entry[]): Sums {
  const sum = (of: (entry: Entry) => number | undefined) =>
    entries.reduce((all, entry) => all + (of(entry) ?? 0), 0);
  return {
    trips: entries.length,
    seconds: sum(({ out }) => out),
    metres: sum(({ metres }) => metres),
    kept: sum(({ kept }) => kept),
    withoutHours: entries.filter(({ out }) => out === undefined).length,
    withoutWay: entries.filter(({ metres }) => metres === undefined).length,
  };
}

/** By one of its words, such as boat or water: the trips of each, the most first; those without the word last, as `undefined`. */
export function groupedBy(
  entries: readonly Entry[],
  name: 'boat' | 'water',
): { name?: string; sums: Sums }[] {
  const groups = new Map<string | undefined, Entry[]>();
  for (const entry of entries) {
    const held = groups.get(entry[name]);
    if (held) held.push(entry);
    else groups.set(entry[name], [entry]);
  }
  return [...groups]
    .map(([of, list]) => ({ ...(of === undefined ? {} : { name: of }), sums: sumsOf(list) }))
    .sort(
      (a, b) => Number(a.name === undefined) - Number(b.name === undefined) || b.sums.trips - a.sums.trips,
    );
}

/** Parts of the day by the hour of leaving, from the first on. */
export const PARTS_OF_DAY = ['night', 'morning', 'noon', 'evening'] as const;
export type PartOfDay = (typeof PARTS_OF_DAY)[number];
/** Until which hour each lasts; after the last it is night again. */
const UNTIL: readonly [number, PartOfDay][] = [
  [5, 'night'],
  [10, 'morning'],
  [16, 'noon'],
  [21, 'evening'],
];
const partOf = (hour: number): PartOfDay => UNTIL.find(([until]) => hour < until)?.[1] ?? 'night';

/** One thing that was forgotten: how often, at which part of the day and for which boat. */
export interface Forgot {
  what: string;
  times: number;
  on: string;
  parts: Partial<Record<PartOfDay, number>>;
  boats: { name: string; times: number }[];
}

/** What is forgotten and when, the most first. @param zone in which the hour of leaving is read where its water is not known */
export function forgottenWhen(entries: readonly Entry[], zone: string): Forgot[] {
  const all = new Map<string, Forgot>();
  // From the oldest on, so that its words are the newest.
  for (const entry of [...entries].reverse())
    for (const what of entry.forgotten) {
      const key = slug(what);
      const held = all.get(key) ?? { what, times: 0, on: entry.on, parts: {}, boats: [] };
      const { left, zone: there = zone } = entry;
      const part = left === undefined ? undefined : partOf(Number(wallTime(left, there).slice(0, 2)));
      const boats = held.boats.map((boat) =>
        boat.name === entry.boat ? { ...boat, times: boat.times + 1 } : boat,
      );
      const known = entry.boat === undefined || boats.some(({ name }) => name === entry.boat);
      all.set(key, {
        what,
        times: held.times + 1,
        on: entry.on,
        parts: part === undefined ? held.parts : { ...held.parts, [part]: (held.parts[part] ?? 0) + 1 },
        boats: known ? boats : [...boats, { name: entry.boat ?? '', times: 1 }],
      });
    }
  return [...all.values()].sort((a, b) => b.times - a.times || b.on.localeCompare(a.on));
}

/** How long a procedure took each time, and which of its steps costs most. Seconds. */
export interface Took {
  procedure: string;
  title: string;
  runs: { at: number; seconds: number }[];
  /** The mean of all that ended. */
  mean: number;
  steps: { id: string; what: Phrase; mean: number; times: number }[];
}

/**
 * Minutes at the ramp, or in any walk through a procedure on a trip that ended: from its beginning to its last tick, whenever it was
 * closed. The time of a step is from the tick before it, or from the beginning; a step that was skipped has none, and a pause longer
 * than an hour is none of a step.
 */
export function tookOf(runs: readonly Run[], rows: readonly ProcedureRow[]): Took[] {
  return rows.flatMap((row): Took[] => {
    const ended = runs.filter(
      ({ procedure, trip, endedAt, ticks }) =>
        procedure === row.id && trip !== undefined && endedAt !== undefined && ticks.some(isDone),
    );
    if (ended.length === 0) return [];
    const took = ended.map(({ startedAt, ticks }) => {
      const at = Date.parse(startedAt);
      const last = Math.max(at, ...ticks.filter(isDone).map((tick) => Date.parse(tick.at)));
      return { at, seconds: (last - at) / MS.second };
    });
    const each = new Map<string, number[]>();
    for (const { startedAt, ticks } of ended) {
      let before = Date.parse(startedAt);
      for (const { step, at, skipped } of [...ticks].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))) {
        const seconds = (Date.parse(at) - before) / MS.second;
        before = Date.parse(at);
        if (skipped !== true && seconds >= 0 && seconds <= HOUR)
          each.set(step, [...(each.get(step) ?? []), seconds]);
      }
    }
    const mean = (of: readonly number[]) => of.reduce((sum, value) => sum + value, 0) / of.length;
    const words = sentencesOf(row);
    return [
      {
        procedure: row.id,
        title: row.title,
        runs: took.sort((a, b) => a.at - b.at),
        mean: mean(took.map(({ seconds }) => seconds)),
        steps: [...each]
          .flatMap(([id, list]) => {
            const what = words.get(id);
            return what === undefined ? [] : [{ id, what, mean: mean(list), times: list.length }];
          })
          .sort((a, b) => b.mean - a.mean),
      },
    ];
  });
}

const isDone = ({ skipped }: Run['ticks'][number]): boolean => skipped !== true;

/** How the trips of one boat went by wind: what the picture of speed shows. Guesses are left out. */
export function speedAgainstWind(
  debriefs: readonly Debrief[],
  boat: string,
): { id: string; on: string; wind: number; speed: number }[] {
  return debriefs.flatMap((d) => {
    const { wind, metres, moving } = d.met ?? {};
    if (d.boat !== boat || wind === undefined || metres === undefined || moving === undefined) return [];
    if (moving <= 0 || ['/met/wind', '/met/metres', '/met/moving'].some((at) => guessed(d, at))) return [];
    return [{ id: d.id, on: d.on, wind, speed: metres / moving }];
  });
}
