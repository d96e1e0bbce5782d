import type { IncidentKind } from '../src/model/lists';
import type { Boat, GearItem, Person, Place, Trip, Water } from '../src/model';
import { render } from '../src/say';
import type { AssessInput } from '../src/trip';
import { ask, gapsOf, momentAt, reckon, standingOf, type Incident, type Reckoned } from '../src/whatif';
import { skiff, world, type Member } from './afloat';
import { anItem, aPerson, aPlace, steady, id } from './demo';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

export const ADA = { id: id(), name: 'Ada', phone: '+1 555 0100' };
/** Two hours out on a lake, in water of ten degrees; home at 14:00 or so by the plan. */
export const NOON = Date.UTC(2026, 4, 12, 12);

export interface Scene {
  boat?: Boat;
  people?: Person[];
  crew?: Member[];
  gear?: GearItem[];
  trip?: Partial<Trip>;
  water?: Partial<Water>;
  /** Of the forecast, °C; null: none is forecast at all. */
  cold?: number | null;
  wind?: number;
  places?: Place[];
  /** How far off the goal lies, degrees of latitude. */
  far?: number;
  more?: Partial<AssessInput>;
}

/** A skiff with one aboard on a lake; what is not said is not there. */
export function scene({
  boat = skiff({ propulsion: [{ kind: 'paddle', cruise: 1.5 }] }),
  people = [aPerson()],
  crew = [{ wearsJacket: true }],
  gear = [],
  trip = {},
  water = {},
  cold = 10,
  wind = 4,
  places = [],
  far = 0.04,
  more = {},
}: Scene = {}): AssessInput {
  const { input } = world(boat, people, {
    crew,
    water: { class: 'lake', ...water },
    trip: { contacts: [ADA.id], limits: {}, graceMinutes: 60, alarmMinutes: 120, checkInMinutes: 0, ...trip },
  });
  const [launch, goal] = input.shed.places;
  const jackets = people.map(({ id: owner }) => anItem('foam-jacket', { owner, maxMass: 120, minMass: 40 }));
  const there = { ...goal, position: { lat: launch.position.lat + far, lon: launch.position.lon } };
  const ramp = { ...launch, works: undefined, launchFrom: 'ramp' as const, water: input.trip.water };
  return {
    ...input,
    conditions:
      cold === null
        ? {}
        : { forecast: steady({ wind, gust: wind + 2, from: 180, water: cold, visibility: 10_000 }) },
    shed: {
      ...input.shed,
      gear: [...jackets, ...gear],
      contacts: [ADA],
      places: [ramp, there, ...places.map((place) => ({ ...place, water: input.trip.water }))],
    },
    ...more,
  };
}

/** What is reckoned of an incident so long after leaving, seconds. */
export function happens(input: AssessInput, incident: Incident | IncidentKind, after = 3600): Reckoned {
  const standing = standingOf(input);
  const leave = standing.assessment.schedule!.leave;
  const moment = momentAt(standing, leave + after * 1000)!;
  return reckon(standing, moment, typeof incident === 'string' ? { id: incident } : incident);
}

/** Its gap of one measure. */
export const gapOf = (
  input: AssessInput,
  incident: Incident | IncidentKind,
  measure: string,
  after?: number,
) => gapsOf(happens(input, incident, after)).find((gap) => gap.measure.id === measure);

/** What is told of it, by what it is about, in words. */
export function told(input: AssessInput, incident: Incident | IncidentKind, after = 3600) {
  const standing = standingOf(input);
  const leave = standing.assessment.schedule!.leave;
  const answer = ask(standing, {
    at: leave + after * 1000,
    incident: typeof incident === 'string' ? { id: incident } : incident,
  })!;
  const said = (about: string) =>
    answer.told
      .filter((each) => each.id === about)
      .flatMap(({ says }) => says.map((phrase) => render(phrase, reader)))
      .join(' ');
  return {
    answer,
    said,
    all: answer.told.flatMap(({ says }) => says.map((phrase) => render(phrase, reader))).join('\n'),
    worst: answer.gaps[0] && render(answer.gaps[0].says, reader),
  };
}

/** A beach to land on, so many degrees north of the launch. */
export const beachAt = (north: number, more: Partial<Place> = {}): Place =>
  aPlace({
    kind: 'haven',
    shore: 'beach',
    name: 'Beach',
    position: { lat: 41.2 + north, lon: -29.5 },
    works: undefined,
    ...more,
  });
