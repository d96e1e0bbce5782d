import type { Phrase } from '../model';
import { phrase } from '../say';
import { BOAT } from './limits';

/** Somebody who goes in one of several boats, as far as is known. */
export interface Rider {
  id: string;
  name: string;
  /** kg */
  mass?: number;
  /** Swims weakly or not at all. */
  weak: boolean;
  /** Bad shoulder, arm or back. */
  shoulder: boolean;
  /** May lead a boat: the skipper, a second driver, somebody sure of the craft. */
  leads: boolean;
}
/** A boat that takes them. */
export interface Berth {
  id: string;
  name: string;
  seats?: number;
}
/** Who is in which boat, by id, in the order in which they sit from the bow. */
export type Shares = ReadonlyMap<string, readonly string[]>;

const WEIGH = {
  mass: BOAT.limit('share-mass'),
  weak: BOAT.limit('share-weak'),
  leader: BOAT.limit('share-leader'),
  seats: BOAT.limit('share-seats'),
};
/** Of somebody whose mass nobody said: only to share out, never told. */
const USUAL = BOAT.limit('share-usual');
const massOf = ({ mass = USUAL }: Rider) => mass;

/** How far from even: mass per seat, weak swimmers, shoulders, boats without anybody who leads, people without a seat. */
function unevenness(groups: readonly Rider[][], boats: readonly Berth[]): number {
  const all = groups.flat();
  const places = boats.map((boat, i) => boat.seats ?? groups[i].length);
  const share = (count: (who: Rider) => number) => {
    const whole = all.reduce((sum, who) => sum + count(who), 0);
    const seats = places.reduce((sum, n) => sum + n, 0) || 1;
    return groups.reduce((sum, group, i) => {
      const here = group.reduce((part, who) => part + count(who), 0);
      return sum + (here - (whole * places[i]) / seats) ** 2;
    }, 0);
  };
  const bare = groups.filter((group) => group.length > 0 && !group.some((who) => who.leads)).length;
  const over = groups.reduce(
    (sum, group, i) => sum + Math.max(0, group.length - (boats[i].seats ?? Infinity)) ** 2,
    0,
  );
  return (
    WEIGH.mass * share(massOf) +
    WEIGH.weak * (share((who) => Number(who.weak)) + share((who) => Number(who.shoulder))) +
    WEIGH.leader * bare +
    WEIGH.seats * over
  );
}

/**
 * Shares people out over boats: each boat with somebody who leads, mass even by her seats, weak swimmers and bad shoulders
 * spread. The heaviest are placed first; then single moves and swaps are made while they even it out. The same people in
 * another order give the same shares.
 */
export function shareOut(people: readonly Rider[], boats: readonly Berth[]): Shares {
  if (boats.length === 0) return new Map();
  const groups: Rider[][] = boats.map(() => []);
  const inTurn = [...people].sort(
    (a, b) => Number(b.leads) - Number(a.leads) || massOf(b) - massOf(a) || (a.id < b.id ? -1 : 1),
  );
  for (const who of inTurn)
    best(
      groups,
      boats,
      (group) => group.push(who),
      (group) => group.pop(),
    );
  while (improved(groups, boats));
  return new Map(boats.map(({ id }, i) => [id, seated(groups[i]).map((who) => who.id)]));
}

/** Does it to the group in which it leaves the least unevenness. */
function best(
  groups: Rider[][],
  boats: readonly Berth[],
  put: (group: Rider[]) => void,
  back: (group: Rider[]) => void,
): void {
  const costs = groups.map((group) => {
    put(group);
    const cost = unevenness(groups, boats);
    back(group);
    return cost;
  });
  put(groups[costs.indexOf(Math.min(...costs))]);
}

/** One move or swap that evens it out, done; false where there is none. */
function improved(groups: Rider[][], boats: readonly Berth[]): boolean {
  const before = unevenness(groups, boats);
  const better = () => unevenness(groups, boats) < before - 1e-9;
  for (const [i, from] of groups.entries())
    for (const [j, to] of groups.entries()) {
      if (i === j) continue;
      for (const [a, who] of from.entries()) {
        from.splice(a, 1);
        to.push(who);
        if (better()) return true;
        to.pop();
        for (const [b, other] of to.entries()) {
          to[b] = who;
          from.splice(a, 0, other);
          if (better()) return true;
          from.splice(a, 1);
          to[b] = other;
        }
        from.splice(a, 0, who);
      }
    }
  return false;
}

/** From bow to stern: the strong first, then bad shoulders, weak swimmers before the one who leads, who sits last. */
export function seated(group: readonly Rider[]): Rider[] {
  const leader = group.find((who) => who.leads);
  const rank = (who: Rider) => (who === leader ? 3 : who.weak ? 2 : who.shoulder ? 1 : 0);
  return [...group].sort((a, b) => rank(a) - rank(b) || massOf(b) - massOf(a) || (a.id < b.id ? -1 : 1));
}

/** What is uneven or missing, boat by boat. */
export function shareFaults(shares: Shares, people: readonly Rider[], boats: readonly Berth[]): Phrase[] {
  const of = (boat: Berth) =>
    (shares.get(boat.id) ?? []).flatMap((id) => people.find((p) => p.id === id) ?? []);
  const left = people.filter((who) => ![...shares.values()].some((ids) => ids.includes(who.id)));
  return [
    ...(left.length > 0 ? [phrase('share.left', { who: left.map((who) => who.name) })] : []),
    ...boats.flatMap((boat) => {
      const group = of(boat);
      if (group.length === 0) return [phrase('share.empty', { boat: boat.name })];
      const weak = group.filter((who) => who.weak);
      const unweighed = group.filter((who) => who.mass === undefined).map((who) => who.name);
      return [
        ...(group.some((who) => who.leads) ? [] : [phrase('share.no-leader', { boat: boat.name })]),
        ...(boat.seats !== undefined && group.length > boat.seats
          ? [phrase('share.seats', { boat: boat.name, n: group.length, seats: boat.seats })]
          : []),
        ...(weak.length > 0 && weak.length === group.length
          ? [phrase('share.all-weak', { boat: boat.name })]
          : []),
        ...(unweighed.length > 0 ? [phrase('share.unweighed', { boat: boat.name, who: unweighed })] : []),
      ];
    }),
  ];
}
