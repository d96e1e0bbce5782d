import { useCallback, useEffect, useRef, useState } from 'react';
import * as z from 'zod';
import type { Boat, Person, Place, Shed, StartingPoint, Trip, Water } from '@escale/core/model';
import { GROWN } from '@escale/core/boat';
import { CRAFT, WATERS, type Craft } from '@escale/core/model/lists';
import { setSetting, setting } from '../../data/store';

const kinds = Object.keys(CRAFT) as [Craft, ...Craft[]];
const classes = Object.keys(WATERS) as [Water['class'], ...Water['class'][]];

/** What was answered so far. Everything may be missing; nothing of it is a thing yet. */
const Draft = z.object({
  step: z.number().int().min(0).max(3),
  boat: z.object({
    /** One that is here already; else one of a kind, like a usual one, under a name. */
    id: z.string().optional(),
    kind: z.enum(kinds).optional(),
    like: z.string().optional(),
    name: z.string().optional(),
  }),
  people: z.array(
    z.object({ id: z.string().optional(), name: z.string(), child: z.boolean(), age: z.string().optional() }),
  ),
  place: z.object({
    id: z.string().optional(),
    name: z.string().optional(),
    where: z.string().optional(),
    water: z.enum(classes).optional(),
  }),
  when: z.object({ date: z.string().optional(), time: z.string(), hours: z.number().optional() }),
});
export type Draft = z.infer<typeof Draft>;

export const EMPTY: Draft = {
  step: 0,
  boat: {},
  people: [{ name: '', child: false }],
  place: {},
  when: { time: '09:00' },
};
const KEY = 'begin';

/** The answers of this device, kept as they are given: leaving and coming back loses nothing. */
export function useDraft(first: Draft): {
  draft: Draft | undefined;
  put: (next: Draft) => void;
  forget: () => Promise<void>;
} {
  const [draft, setDraft] = useState<Draft>();
  const begin = useRef(first);
  useEffect(() => {
    let there = true;
    setting(KEY).then(
      (kept) => {
        const read = Draft.safeParse(kept);
        if (there) setDraft(read.success ? read.data : begin.current);
      },
      () => there && setDraft(begin.current),
    );
    return () => {
      there = false;
    };
  }, []);
  const put = useCallback((next: Draft) => {
    setDraft(next);
    void setSetting(KEY, next);
  }, []);
  const forget = useCallback(() => setSetting(KEY, null), []);
  return { draft, put, forget };
}

/** What the answers become. */
export interface Made {
  boat?: Boat;
  people: Person[];
  water?: Water;
  place?: Place;
  trip: Trip;
}

interface Known {
  shed: Pick<Shed, 'boats' | 'people' | 'places' | 'waters'>;
  newId: () => string;
  /** Today at the launch, as a civil date. */
  today: string;
  /** Where the launch is, and the zone and the guessed country that follow from it. */
  position: { lat: number; lon: number } | undefined;
  zone: string;
  zoneGuessed: boolean;
  country: string | undefined;
  points: readonly StartingPoint[];
  startBoat: (point: StartingPoint, id: string, name: string) => Boat;
  title: string;
  last: Trip | undefined;
}

/** Things and a trip out of the answers. What nobody said stays out, or is marked a guess. */
export function madeFrom({ boat, people, place, when }: Draft, known: Known): Made {
  const { shed, newId, today, last } = known;
  const point = known.points.find((p) => p.id === boat.like);
  const newBoat =
    boat.id === undefined && point
      ? known.startBoat(point, newId(), boat.name?.trim() || point.title)
      : undefined;
  const crew = people.map(({ id, name, child, age }) => {
    const person = id === undefined ? personOf(newId(), { name, child, age }, today) : undefined;
    return { id: id ?? person!.id, person };
  });
  const chosen = shed.places.find((p) => p.id === place.id);
  const made = chosen ? undefined : waterOf(known, place);
  const launch = chosen?.id ?? made?.place?.id;
  const again = last !== undefined && chosen !== undefined && last.launch === chosen.id;
  const trip: Trip = {
    id: newId(),
    title: known.title,
    crew: crew.map(({ id }, i) => ({ person: id, role: i === 0 ? 'skipper' : 'crew' })),
    // Without a place to go to, the time is spent about the launch.
    halts:
      launch && when.hours ? [{ place: launch, minutes: when.hours * 60, doing: 'about the launch' }] : [],
    load: [],
    limits: last?.limits ?? {},
    contacts: last?.contacts ?? [],
    stow: [],
    status: 'planned',
    leave: { date: when.date ?? today, time: when.time },
    ...optional('boat', boat.id ?? newBoat?.id),
    // A launch that names no water is on the one that the last trip from it was on.
    ...optional('water', chosen?.water ?? (again ? last.water : made?.water.id)),
    ...optional('driveMinutes', again ? last.driveMinutes : undefined),
    ...optional('launch', launch),
  };
  return {
    ...optional('boat', newBoat),
    people: crew.flatMap(({ person }) => person ?? []),
    ...optional('water', made?.water),
    ...optional('place', made?.place),
    trip,
  };
}

function personOf(
  id: string,
  { name, child, age }: { name: string; child: boolean; age: string | undefined },
  today: string,
): Person {
  const years = Number(age);
  const born =
    child && age && Number.isInteger(years) ? String(Number(today.slice(0, 4)) - years) : undefined;
  return {
    id,
    name: name.trim(),
    ...optional('born', born),
    // A child's weight is not guessed: which jacket fits hangs on it.
    ...(child ? {} : { mass: GROWN, basis: { '/mass': 'guessed' as const } }),
  };
}

function waterOf(
  { newId, zone, zoneGuessed, country, position }: Known,
  { name, water: kind }: Draft['place'],
): { water: Water; place?: Place } | undefined {
  if (!kind) return undefined;
  const called = name?.trim() || 'The launch';
  const water: Water = {
    id: newId(),
    name: called,
    class: kind,
    zone,
    jurisdiction: country ? [country] : [],
    ...(position ? { forecastAt: position } : {}),
    basis: {
      ...(country ? { '/jurisdiction': 'guessed' as const } : {}),
      ...(zoneGuessed ? { '/zone': 'guessed' as const } : {}),
    },
  };
  if (!position) return { water };
  return { water, place: { id: newId(), name: called, kind: 'launch', position, water: water.id } };
}

const optional = <K extends string, V>(key: K, value: V | undefined) =>
  (value === undefined ? {} : { [key]: value }) as { [P in K]?: V };
