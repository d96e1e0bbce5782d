import { drives, PADDLER, towingSpeed } from '../boat';
import type { Boat, Finding } from '../model';
import { phrase } from '../say';
import { finding, NOBODY, type Context } from './context';

/** One boat of a trip in company, the trip's own first. */
export interface Fellow {
  boat: Boat;
  people: string[];
  /** Who was said to wear a jacket; in the trip's own boat the crew says it. */
  wears?: string[];
  speed?: number;
  with?: string;
}

/** All boats of a trip with who is in them. Boats that are no longer in the shed are left out; a finding says so. */
export function fellows({
  trip,
  boat,
  shed,
  speed,
}: Pick<Context, 'trip' | 'boat' | 'shed' | 'speed'>): Fellow[] {
  const others = (trip.company ?? []).flatMap(({ boat: id, people, wears, with: mate }): Fellow[] => {
    const other = shed.boats.find((b) => b.id === id);
    const cruise = other?.propulsion[0]?.cruise;
    return other
      ? [
          {
            boat: other,
            people,
            ...(wears ? { wears } : {}),
            ...(cruise === undefined ? {} : { speed: cruise }),
            ...(mate ? { with: mate } : {}),
          },
        ]
      : [];
  });
  return boat
    ? [{ boat, people: trip.crew.map((c) => c.person), ...(speed ? { speed: speed.value } : {}) }, ...others]
    : others;
}

/** The trip as one of its other boats sees it: her hull, her people, the same water and hours. */
export function asFellow(context: Context, { boat, people, wears = [] }: Fellow): Context {
  const { trip, shed } = context;
  const crew = people.map((person) => ({
    person,
    role: 'crew' as const,
    ...(wears.includes(person) ? { wearsJacket: true } : {}),
  }));
  const known = new Map(shed.people.map((p) => [p.id, p]));
  return {
    ...context,
    boat,
    people: people.map((id) => known.get(id) ?? { id, name: NOBODY }),
    gone: new Set(people.filter((id) => !known.has(id))),
    trip: { ...trip, boat: boat.id, crew },
  };
}

/** Of the wind at ten metres, so much is left at a paddler's height (power law, our own estimate). */
const LOW_WIND = 0.75;

/** Speed at which one boat tows another of about her size into a forecast wind (m/s at 10 m); undefined where nobody said how she moves, 0 where she makes no way. */
export function towing(by: Boat, wind: number): number | undefined {
  const moves = drives(by);
  if (moves.motor)
    return by.propulsion.find((p) => p.kind === 'outboard' || p.kind === 'inboard' || p.kind === 'electric')
      ?.slow;
  return moves.human ? towingSpeed(PADDLER, wind * LOW_WIND, 2) : undefined;
}

/** Boats together: everyone in one boat, each boat in a pair, the slowest sets the pace. */
export function companyFindings(context: Context): Finding[] {
  const { trip, shed, speed, kinds } = context;
  if ((trip.company ?? []).length === 0) return [];
  const all = fellows(context);
  const base = { section: 'plan/boat' as const, source: 'practice' as const };
  const mend = {
    label: phrase('company.mend'),
    go: { type: 'trip' as const, id: trip.id, pointer: '/company' },
  };
  const name = (id: string) => shed.people.find((p) => p.id === id)?.name ?? '?';
  const seats = all.flatMap((f) => f.people);
  const twice = [...new Set(seats.filter((id, i) => seats.indexOf(id) !== i))];
  const found: Finding[] = [];
  if (twice.length > 0)
    found.push(
      finding({
        ...base,
        id: `company/twice/${trip.id}`,
        level: 'fix',
        title: phrase('company.twice.title'),
        because: [phrase('company.twice.why', { people: twice.map(name) })],
        mend,
      }),
    );
  const lost = (trip.company ?? []).filter((c) => !shed.boats.some((b) => b.id === c.boat)).length;
  if (lost > 0)
    found.push(
      finding({
        ...base,
        id: `company/gone/${trip.id}`,
        level: 'fix',
        title: phrase('company.gone.title'),
        because: [phrase('company.gone.why', { n: lost })],
        mend,
      }),
    );
  const empty = all.filter((f) => f.people.length === 0);
  if (empty.length > 0)
    found.push(
      finding({
        ...base,
        id: `company/empty/${trip.id}`,
        level: 'fix',
        title: phrase('company.empty.title'),
        because: [phrase('company.empty.why', { boats: empty.map((f) => f.boat.name) })],
        mend,
      }),
    );
  found.push(
    finding({
      ...base,
      id: `company/count/${trip.id}`,
      level: lost + twice.length + empty.length > 0 ? 'know' : 'ready',
      title: phrase('company.count.title'),
      because: [phrase('company.count.why', { people: new Set(seats).size, boats: all.length })],
    }),
  );
  const slow = all.filter((f) => f.speed !== undefined).sort((a, b) => a.speed! - b.speed!)[0];
  if (slow && speed && slow.speed! < speed.value - 1e-9)
    found.push(
      finding({
        ...base,
        id: `company/pace/${trip.id}`,
        level: 'fix',
        title: phrase('company.pace.title'),
        because: [phrase('company.pace.why', { boat: slow.boat.name, slow: slow.speed!, plan: speed.value })],
        mend: { label: phrase('speed.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/speed' } },
      }),
    );
  // With two boats each is the other's pair.
  const loose = all.length > 2 ? all.filter((f) => !f.with && !all.some((o) => o.with === f.boat.id)) : [];
  if (loose.length > 0)
    found.push(
      finding({
        ...base,
        id: `company/pairs/${trip.id}`,
        level: 'know',
        title: phrase('company.pairs.title'),
        because: [phrase('company.pairs.why', { boats: loose.map((f) => f.boat.name) })],
        mend,
      }),
    );
  const places = new Map(trip.stow.map((s) => [s.item, s.place]));
  const radios = shed.gear
    .filter(
      (g) =>
        (places.get(g.id) ?? g.stowage) !== 'home' &&
        kinds.get(g.kind)?.supplies.some((s) => s.capability === RADIO),
    )
    .reduce((sum, g) => sum + g.count, 0);
  if (radios < all.length)
    found.push(
      finding({
        ...base,
        id: `company/radio/${trip.id}`,
        level: 'know',
        title: phrase('company.radio.title'),
        because: [phrase('company.radio.why', { n: radios, boats: all.length })],
        mend: { label: phrase('company.radio.mend'), open: 'pack/kit' },
      }),
    );
  return found;
}

/** What a boat should have to be heard beyond a phone. */
const RADIO = 'call-beyond-phone';
