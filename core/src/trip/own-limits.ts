import table from '../../data/trip/usual-limits.json';
import { drives } from '../boat';
import type { Boat, Finding, LimitName, Limits, Person, PhraseValue, Trip } from '../model';
import { limitInSI } from '../units';

/** A boat of the trip and who is in her. */
export interface Crewed {
  boat: Boat;
  people: Person[];
}

type Level = 'new' | 'some' | 'sure';
export const LIMIT_NAMES = Object.keys(table.units) as LimitName[];

/** Whose limit it is that counts, where it is that of somebody in particular. */
export type Whose = Partial<Record<LimitName, string>>;

/** Of the water it is the least that counts, of all else the most. */
const LEAST: ReadonlySet<LimitName> = new Set(['waterTemperature']);
const stricter = (name: LimitName, a: number, b: number): boolean => (LEAST.has(name) ? a > b : a < b);

/** Does a value go beyond a limit? */
export const goesBeyond = (name: LimitName, value: number, limit: number): boolean =>
  stricter(name, limit, value);

/** How well somebody knows a kind of boat, and what they said of themselves in it. */
const skillIn = (person: Person, { kind }: Pick<Boat, 'kind'>) =>
  person.skills?.find(({ craft }) => craft === kind);

/** The limits of the trip with those of everyone in her own kind of boat: the strictest of each counts. */
export function strictest(trip: Trip, all: readonly Crewed[]): { limits: Limits; whose: Whose } {
  const limits: Limits = { ...trip.limits };
  const whose: Whose = {};
  for (const { boat, people } of all)
    for (const person of people)
      for (const name of LIMIT_NAMES) {
        const own = skillIn(person, boat)?.limits?.[name];
        const held = limits[name];
        if (own === undefined || (held !== undefined && !stricter(name, own, held))) continue;
        limits[name] = own;
        whose[name] = person.name;
      }
  return { limits, whose };
}

/** What is usual, and cautious, in a kind of boat for somebody who knows it so well, SI. Source `practice` and our own estimate. */
export function usualLimits(kind: Boat['kind'], level: Level): Record<LimitName, number> {
  const row = table.rows.find(({ craft }) => (craft as string[]).includes(kind)) ?? table.rows[0];
  const units = table.units as Record<LimitName, string>;
  return Object.fromEntries(
    LIMIT_NAMES.map((name) => [
      name,
      limitInSI({ value: row[level][name as keyof (typeof row)['new']], unit: units[name] }),
    ]),
  ) as Record<LimitName, number>;
}

/** What somebody sure of such a boat does not go beyond, of what stops whoever did not say that they will. */
export const usualForAnybody = (name: LimitName, { kind }: Pick<Boat, 'kind'>): number | undefined =>
  STOPS.has(name) ? usualLimits(kind, 'sure')[name] : undefined;
const STOPS: ReadonlySet<string> = new Set(table.stops);

/** The wind and the gusts at which the trip stops: at a limit that was said, or at the end of what is usual for anybody. */
export function blowsOver(trip: Trip, own: Limits, all: readonly Crewed[]): Pick<Limits, 'wind' | 'gust'> {
  const most = (name: 'wind' | 'gust') => {
    const usual = own[name] === undefined ? usualOf(name, trip, all) : undefined;
    const anybody = usual && usualForAnybody(name, usual.boat);
    const known = [trip.limits[name], anybody].filter((limit) => limit !== undefined);
    return known.length > 0 ? { [name]: Math.min(...known) } : {};
  };
  return { ...most('wind'), ...most('gust') };
}

/** Somebody's usual limit of one kind, where they said none of their own. */
export interface Usual {
  person: Person;
  boat: Boat;
  level: Level;
  /** Whether somebody said how well they know her kind. */
  said: boolean;
  limit: number;
}

/**
 * The strictest of the usual limits of those who said none of their own. In a boat that arms move everybody's counts; in another
 * that of whoever handles her.
 */
export function usualOf(name: LimitName, trip: Trip, all: readonly Crewed[]): Usual | undefined {
  return all
    .flatMap(({ boat, people }) => handlers(trip, boat, people).map((person) => usual(name, person, boat)))
    .filter((each) => each !== undefined)
    .reduce<Usual | undefined>(
      (held, each) => (!held || stricter(name, each.limit, held.limit) ? each : held),
      undefined,
    );
}

function usual(name: LimitName, person: Person, boat: Boat): Usual | undefined {
  const skill = skillIn(person, boat);
  if (skill?.limits?.[name] !== undefined) return undefined;
  const level = skill?.level ?? 'new';
  return { person, boat, level, said: skill !== undefined, limit: usualLimits(boat.kind, level)[name] };
}

function handlers(trip: Trip, boat: Boat, people: Person[]): Person[] {
  if (drives(boat).human !== false || boat.id !== trip.boat) return people;
  const driving = trip.crew.filter(({ role }) => role !== 'crew').map(({ person }) => person);
  const hands = people.filter(({ id }) => driving.includes(id));
  return hands.length > 0 ? hands : people;
}

/** Kinds of finding that hold something against a limit. */
const KINDS: Record<string, LimitName> = {
  'day/wind': 'wind',
  'day/wind-ok': 'wind',
  'day/gust': 'gust',
  'day/cold-limit': 'waterTemperature',
  'sea/waves': 'waves',
  'trip/off': 'off',
  'trip/hours': 'hours',
};

/** Does a sentence, or one within it, name a limit? */
const speaksOfLimit = (value: PhraseValue): boolean =>
  typeof value === 'object' &&
  !Array.isArray(value) &&
  Object.entries(value.with ?? {}).some(([name, inner]) => name === 'limit' || speaksOfLimit(inner));

/** Findings about a limit that is somebody's own, with whose it is. */
export function withWhose(
  findings: Finding[],
  whose: Whose,
  said: (who: string) => Finding['because'][number],
): Finding[] {
  return findings.map((finding) => {
    const name = KINDS[finding.id.slice(0, finding.id.lastIndexOf('/'))];
    const who = name && whose[name];
    return who && finding.because.some(speaksOfLimit)
      ? { ...finding, because: [...finding.because, said(who)] }
      : finding;
  });
}
