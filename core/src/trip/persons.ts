import { hullOf, personsRule, plateOf, type LoadSum, HULLS } from '../boat';
import type { Boat, Finding } from '../model';
import { phrase } from '../say';
import { finding, guessed, type Figures } from './context';

const base = { section: 'pack/load' as const };

/** How many people she carries, by plate, rule and seats; and their weight against the plate. What is not known is said. */
export function personsFindings(trip: string, boat: Boat, sum: LoadSum, figures: Figures): Finding[] {
  return [
    ...countFindings(trip, boat, sum, figures),
    ...seatFindings(trip, boat, sum),
    ...weightFindings(trip, boat, sum),
  ];
}

function countFindings(trip: string, boat: Boat, sum: LoadSum, figures: Figures): Finding[] {
  const id = `load/persons/${trip}`;
  const n = sum.persons;
  if (sum.personsLimit) {
    const most = sum.personsLimit.count;
    const over = n > most;
    const guess = guessed(boat, '/plate/persons');
    figures.personsMost = {
      value: most,
      quantity: 'count',
      inputs: {},
      formula: 'formula.plate-total',
      source: 'plate',
    };
    return [
      finding({
        ...base,
        id,
        level: over ? (guess ? 'fix' : 'stop') : guess ? 'know' : 'ready',
        title: phrase(over ? 'load.persons.over.title' : 'load.persons.title'),
        because: [phrase(over ? 'load.persons.plate' : 'load.persons.within', { n, most })],
        source: 'plate',
        figures: ['personsMost'],
      }),
    ];
  }
  const { length, beam } = boat;
  const most = length !== undefined && beam !== undefined ? personsRule(boat.kind, length, beam) : undefined;
  if (most !== undefined && length !== undefined && beam !== undefined) {
    figures.personsMost = {
      value: most,
      quantity: 'count',
      inputs: { length: { value: length, quantity: 'length' }, beam: { value: beam, quantity: 'length' } },
      formula: 'formula.persons-rule',
      source: 'no-plate-rule',
    };
    if (n > most) {
      return [
        finding({
          ...base,
          id,
          level: 'fix',
          title: phrase('load.persons.over.title'),
          because: [phrase('load.persons.rule', { n, most })],
          source: 'no-plate-rule',
          figures: ['personsMost'],
        }),
      ];
    }
  }
  const plate = plateOf(boat);
  // Seats that were stated say it for boats that are known to carry no plate.
  const bare = boat.plate === 'none' && !guessed(boat, '/plate');
  const seats = guessed(boat, '/seats') ? undefined : boat.seats;
  const settled = bare && seats !== undefined;
  const unsaid = !plate && !bare && seats !== undefined;
  const pointer = plate ? '/plate/persons' : unsaid ? '/plate' : '/seats';
  if (!plate && seats !== undefined && n > seats) return [];
  const said = () => {
    if (settled) return 'load.seats.ok';
    if (unsaid) return 'load.persons.unsaid';
    if (plate) return 'load.persons.unknown';
    return boat.seats === undefined ? 'load.persons.none' : 'load.persons.guess';
  };
  return [
    finding({
      ...base,
      id,
      level: settled ? 'ready' : 'know',
      title: phrase(settled ? 'load.persons.title' : 'load.persons.unknown.title'),
      because: [phrase(said(), { n, most: boat.seats ?? 0 })],
      ...(settled
        ? {}
        : {
            mend: {
              label: phrase(plate || unsaid ? 'load.plate.mend' : 'load.seats.mend'),
              go: { type: 'boat' as const, id: boat.id, pointer },
            },
          }),
    }),
  ];
}

/** More people than stated seats stops; more than her kind usually has is a Fix, and says that it is a guess. */
function seatFindings(trip: string, boat: Boat, sum: LoadSum): Finding[] {
  const known = boat.seats !== undefined && !guessed(boat, '/seats');
  const hull = hullOf(boat);
  const most = boat.seats ?? hull?.form.guess.seats ?? HULLS[boat.kind].guess.seats;
  if (sum.persons <= most) return [];
  return [
    finding({
      ...base,
      id: `load/seats/${trip}`,
      level: known ? 'stop' : 'fix',
      title: phrase('load.seats.over.title'),
      because: [phrase('load.seats.over', { n: sum.persons, most })],
      assumed: known ? [] : [phrase('load.seats.guess')],
      mend: known
        ? { label: phrase('crew.none.mend'), go: { type: 'trip', id: trip, pointer: '/crew' } }
        : { label: phrase('load.seats.mend'), go: { type: 'boat', id: boat.id, pointer: '/seats' } },
    }),
  ];
}

function weightFindings(trip: string, boat: Boat, { people, personsMass }: LoadSum): Finding[] {
  const plate = plateOf(boat);
  if (personsMass !== undefined) {
    if (people <= personsMass) return [];
    return [
      finding({
        ...base,
        id: `load/people/${trip}`,
        level: guessed(boat, '/plate/personsMass') ? 'fix' : 'stop',
        title: phrase('load.people.title'),
        because: [phrase('load.people.why', { people, most: personsMass })],
        source: 'plate',
        mend: { label: phrase('crew.none.mend'), go: { type: 'trip', id: trip, pointer: '/crew' } },
      }),
    ];
  }
  if (!plate) return [];
  return [
    finding({
      ...base,
      id: `load/people/${trip}`,
      level: 'know',
      title: phrase('load.people.unknown.title'),
      because: [phrase('load.people.unknown', { people })],
      mend: {
        label: phrase('load.plate.mend'),
        go: { type: 'boat', id: boat.id, pointer: '/plate/personsMass' },
      },
    }),
  ];
}
