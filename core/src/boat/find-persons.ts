import type { Boat, Finding } from '../model';
import { phrase } from '../say';
import { goTo, guessed, type Figures } from '../verdict';
import { personsRule } from './capacity';
import { FIGURES } from './figures';
import { HULLS } from './hull';
import { BOAT } from './limits';
import { plateOf, type LoadSum } from './load';

/** How many people she carries, by plate, rule and seats; and their weight against the plate. What is not known is said. */
export function personsFindings(trip: string, boat: Boat, sum: LoadSum, figures: Figures): Finding[] {
  const count = plateCount(trip, boat, sum, figures) ?? ruleCount(trip, boat, sum, figures);
  return [
    ...(count ?? seatCount(trip, boat, sum)),
    ...seatFindings(trip, boat, sum),
    ...weightFindings(trip, boat, sum),
  ];
}

function plateCount(
  trip: string,
  boat: Boat,
  { persons: n, personsLimit }: LoadSum,
  figures: Figures,
): Finding[] | undefined {
  if (!personsLimit) return undefined;
  const { count: most } = personsLimit;
  const shown = [FIGURES.put(figures, 'boat/persons', boat.id, { value: most })];
  const guess = guessed(boat, '/plate/persons');
  if (n > most) {
    return [
      BOAT.finding('load/persons', guess ? 'over-guess' : 'over', trip, {
        title: phrase('load.persons.over.title'),
        because: [phrase('load.persons.plate', { n, most })],
        figures: shown,
      }),
    ];
  }
  return [
    BOAT.finding('load/persons', guess ? 'within-guess' : 'within', trip, {
      title: phrase('load.persons.title'),
      because: [phrase('load.persons.within', { n, most })],
      figures: shown,
    }),
  ];
}

/** More than length and beam allow, where no plate says. */
function ruleCount(
  trip: string,
  boat: Boat,
  { persons: n }: LoadSum,
  figures: Figures,
): Finding[] | undefined {
  const { kind, length, beam } = boat;
  if (length === undefined || beam === undefined) return undefined;
  const most = personsRule(kind, length, beam);
  if (most === undefined) return undefined;
  const shown = FIGURES.put(figures, 'boat/persons', boat.id, {
    value: most,
    inputs: { length: { value: length, quantity: 'length' }, beam: { value: beam, quantity: 'length' } },
    formula: 'formula.persons-rule',
    source: 'no-plate-rule',
  });
  if (n <= most) return undefined;
  return [
    BOAT.finding('load/persons', 'over-rule', trip, {
      title: phrase('load.persons.over.title'),
      because: [phrase('load.persons.rule', { n, most })],
      figures: [shown],
    }),
  ];
}

/** Seats that were stated say it for boats that are known to carry no plate; of others it stays open. */
function seatCount(trip: string, boat: Boat, { persons: n }: LoadSum): Finding[] {
  const plate = plateOf(boat);
  const bare = boat.plate === 'none' && !guessed(boat, '/plate');
  const seats = guessed(boat, '/seats') ? undefined : boat.seats;
  if (!plate && seats !== undefined && n > seats) return [];
  if (bare && seats !== undefined) {
    return [
      BOAT.finding('load/persons', 'seated', trip, {
        title: phrase('load.persons.title'),
        because: [phrase('load.seats.ok', { n, most: seats })],
      }),
    ];
  }
  const unsaid = !plate && !bare && seats !== undefined;
  const pointer = plate ? '/plate/persons' : unsaid ? '/plate' : '/seats';
  const said = () => {
    if (unsaid) return phrase('load.persons.unsaid', { n, most: seats });
    if (plate) return phrase('load.persons.unknown');
    if (boat.seats === undefined) return phrase('load.persons.none', { n });
    return phrase('load.persons.guess', { n, most: boat.seats });
  };
  return [
    BOAT.finding('load/persons', 'unknown', trip, {
      title: phrase('load.persons.unknown.title'),
      because: [said()],
      mend: {
        label: phrase(plate || unsaid ? 'load.plate.mend' : 'load.seats.mend'),
        ...goTo.boat(boat.id, pointer),
      },
    }),
  ];
}

/** More people than stated seats stops; more than her kind usually has is a Fix, and says that it is a guess. */
function seatFindings(trip: string, boat: Boat, { persons: n }: LoadSum): Finding[] {
  const known = boat.seats !== undefined && !guessed(boat, '/seats');
  const most = boat.seats ?? HULLS[boat.kind].guess.seats;
  if (n <= most) return [];
  return [
    BOAT.finding('load/seats', known ? 'over' : 'guess', trip, {
      title: phrase('load.seats.over.title'),
      because: [phrase('load.seats.over', { n, most })],
      assumed: known ? [] : [phrase('load.seats.guess')],
      mend: known
        ? { label: phrase('crew.none.mend'), ...goTo.trip(trip, '/crew') }
        : { label: phrase('load.seats.mend'), ...goTo.boat(boat.id, '/seats') },
    }),
  ];
}

function weightFindings(trip: string, boat: Boat, { people, personsMass: most }: LoadSum): Finding[] {
  if (most !== undefined) {
    if (people <= most) return [];
    return [
      BOAT.finding('load/people', guessed(boat, '/plate/personsMass') ? 'guess' : 'over', trip, {
        title: phrase('load.people.title'),
        because: [phrase('load.people.why', { people, most })],
        mend: { label: phrase('crew.none.mend'), ...goTo.trip(trip, '/crew') },
      }),
    ];
  }
  if (!plateOf(boat)) return [];
  return [
    BOAT.finding('load/people', 'unknown', trip, {
      title: phrase('load.people.unknown.title'),
      because: [phrase('load.people.unknown', { people })],
      mend: { label: phrase('load.plate.mend'), ...goTo.boat(boat.id, '/plate/personsMass') },
    }),
  ];
}
