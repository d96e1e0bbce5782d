import { drives } from '../boat';
import type { LatLon } from '../earth';
import type { Boat, Finding, Leg, Person, Place, Schedule } from '../model';
import { phrase } from '../say';
import { asPrinted, MS } from '../units';
import { goTo } from '../verdict';
import { PASSAGE } from './limits';
import type { Outing } from './outing';
import type { Meets, Stuck } from './route';

/** How fast they go, who is slower than that, and where they make no way. */
export interface Pacing extends Outing {
  /** The boats that go together with who is in them, the trip's own first. */
  crewed: { boat: Boat; people: Person[] }[];
  /** All places of the shed. */
  places: Place[];
}

const toSpeed = ({ trip }: Outing) => ({
  label: phrase('speed.none.mend'),
  ...goTo.trip(trip.id, '/speed'),
});
const toTime = ({ trip }: Outing) => ({ label: phrase('light.mend'), ...goTo.trip(trip.id, '/leave/time') });

/** Nobody said how fast she goes: no times can be reckoned; or one of them says less than the plan reckons with. */
export function paceFindings(pacing: Omit<Pacing, 'places'>): Finding[] {
  const { trip, boat, speed } = pacing;
  if (!boat) return [];
  if (!speed) {
    return [
      PASSAGE.finding('boat/speed', 'missing', boat.id, {
        title: phrase('speed.none.title'),
        because: [phrase('speed.none.why', { boat: boat.name })],
        mend: toSpeed(pacing),
      }),
    ];
  }
  const unknown = unknownFindings(pacing, speed.value);
  const slowest = slowestOf(pacing);
  if (!slowest || asPrinted(slowest.makes, 'speed') >= asPrinted(speed.value, 'speed')) return unknown;
  return [
    ...unknown,
    PASSAGE.finding('day/pace', 'slower', trip.id, {
      title: phrase('company.pace.title'),
      because: [phrase('pace.person', { ...slowest, plan: speed.value })],
      mend: toSpeed(pacing),
    }),
  ];
}

/** Of a boat in company nobody said how fast she goes: she may be the slowest. */
function unknownFindings({ trip, boat, crewed }: Omit<Pacing, 'places'>, plan: number): Finding[] {
  if (trip.speed !== undefined) return [];
  return crewed
    .filter((one) => one.boat.id !== boat?.id && one.boat.propulsion[0]?.cruise === undefined)
    .map((one) =>
      PASSAGE.finding('boat/speed', 'company', one.boat.id, {
        title: phrase('pace.unknown.title', { boat: one.boat.name }),
        because: [phrase('pace.unknown', { plan })],
        mend: { label: phrase('speed.none.mend'), ...goTo.boat(one.boat.id, '/propulsion') },
      }),
    );
}

/** Who of those in boats that arms move is slowest in such a one, as far as it was said. */
function slowestOf({ crewed }: Omit<Pacing, 'places'>): { who: string; makes: number } | undefined {
  return crewed
    .filter(({ boat }) => drives(boat).human === true)
    .flatMap(({ boat, people }) =>
      people.flatMap(({ name: who, skills = [] }) =>
        skills.flatMap(({ craft, speed: makes }) =>
          craft === boat.kind && makes !== undefined ? [{ who, makes }] : [],
        ),
      ),
    )
    .sort((a, b) => a.makes - b.makes)[0];
}

/** Where the stream is faster than she goes no hours can be told; where only a wind holds her up, a calm's are. */
export function stuckFinding(pacing: Pacing, { stuck }: Stuck): Finding {
  const { trip, speed } = pacing;
  const { at, flow, wind } = stuck;
  const mend = toTime(pacing);
  const leg = legNames(pacing, stuck);
  if (wind !== undefined) {
    return PASSAGE.finding('way/wind', 'none', trip.id, {
      title: phrase('way.wind.none.title'),
      because: [phrase('way.wind.none', { ...leg, at, wind })],
      assumed: [phrase('way.wind.model'), phrase('way.wind.calm')],
      mend,
    });
  }
  // Of a speed that was only guessed it is not sure.
  return PASSAGE.finding('way/stuck', speed?.guessed ? 'guess' : 'stuck', trip.id, {
    title: phrase('way.stuck.title'),
    because: [phrase('way.stuck', { ...leg, at, stream: flow.speed, bearing: Math.round(flow.direction) })],
    mend,
  });
}

const WORTH = PASSAGE.at('way/wind', 'slower');

/** Which leg the wind lengthens most for who is moved by arms, and what that makes of the hour at home. */
export function windFindings(pacing: Pacing, { legs, home }: Schedule): Finding[] {
  const { trip } = pacing;
  const [worst] = legs.filter((leg) => lost(leg) > WORTH * MS.second).sort((a, b) => lost(b) - lost(a));
  if (!worst || home === undefined) return [];
  const { departs, arrives, soonest = arrives } = worst;
  const said = phrase('way.wind.slower', {
    ...legNames(pacing, worst),
    least: (soonest - departs) / MS.second,
    most: (arrives - departs) / MS.second,
  });
  return [
    PASSAGE.finding('way/wind', 'slower', trip.id, {
      title: phrase('way.wind.title'),
      because: [
        said,
        phrase('way.wind.home', { home, soonest: home - legs.reduce((sum, leg) => sum + lost(leg), 0) }),
      ],
      assumed: [phrase('way.wind.model')],
      mend: toTime(pacing),
    }),
  ];
}

/** Goes any of them by arms, through hours or at places of which no wind is known? Their hours are those of a calm then. */
export const windUnsure = (
  { route, places }: Pick<Pacing, 'route' | 'places'>,
  { legs }: Schedule,
  windAt: Meets['windAt'],
): boolean =>
  (route?.arms.length ?? 0) > 0 &&
  legs.some(({ from, to, departs, arrives, metres }) => {
    const at = (id: string) => places.find((place) => place.id === id)?.position;
    const met = (when: number, here: LatLon | undefined) => here && windAt?.(when, here);
    return metres > 0 && !(met(departs, at(from)) && met(arrives, at(to)));
  });

/** What the wind may take on a leg, ms: between the two ends of the band. */
export const lost = ({ arrives, soonest = arrives }: Leg): number => arrives - soonest;

function legNames({ places }: Pacing, leg: { from: string; to: string }): { from: string; to: string } {
  const name = (id: string) => places.find((place) => place.id === id)?.name ?? '?';
  return { from: name(leg.from), to: name(leg.to) };
}
