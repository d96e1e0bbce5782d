import type { Boat, Finding, Phrase } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, guessed } from '../verdict';
import { plated, powering } from './capacity';
import { BOAT } from './limits';
import { drives, isMotor, plateOf } from './load';

/** Power against the plate; where there is none, against the federal table, from what is known of steering and transom. */
export function powerFindings(trip: string, boat: Boat): Finding[] {
  const { motor, power } = drives(boat);
  if (motor !== true) return [];
  const lacking = (
    why: Phrase,
    pointer: Parameters<typeof goTo.boat>[1],
    word: 'load.power.mend' | 'load.plate.mend',
  ) =>
    BOAT.finding('load/power', 'unknown', trip, {
      title: phrase('load.power.unknown.title'),
      because: [why],
      mend: { label: phrase(word), ...goTo.boat(boat.id, pointer) },
    });
  // Electric motors are rated in thrust; a plate's power is that of an engine.
  if (power === undefined) {
    const i = boat.propulsion.findIndex((p) => isMotor(p.kind) && p.power === undefined);
    const pointer = `/propulsion/${i}/power` as const;
    return [lacking(phrase('load.power.unknown.motor'), pointer, 'load.power.mend')];
  }
  const rough = boat.propulsion.some((_, i) => guessed(boat, `/propulsion/${i}/power`));
  const assumed = rough ? [phrase('load.guess', { what: phrase('load.guess.power') })] : [];
  const plate = plateOf(boat);
  if (plate?.power === undefined) {
    return plate
      ? [lacking(phrase('load.power.unknown.plate', { power }), '/plate/power', 'load.plate.mend')]
      : tableFindings(trip, boat, power, assumed);
  }
  const most = plate.power;
  if (!over(power, most)) return [];
  return [
    BOAT.finding('load/power', rough || guessed(boat, '/plate/power') ? 'guess' : 'over', trip, {
      title: phrase('load.power.title'),
      because: [phrase('load.power.plate', { power, most })],
      assumed,
      mend: { label: phrase('load.power.mend'), ...goTo.boat(boat.id, '/propulsion') },
    }),
  ];
}

const over = (power: number, most: number) => asPrinted(power, 'power') > asPrinted(most, 'power');

/** By the federal table: over it whatever the steering is a Fix; over it only if the worst holds is open. */
function tableFindings(trip: string, boat: Boat, power: number, assumed: Phrase[]): Finding[] {
  const outboard = boat.propulsion.some((p) => p.kind === 'outboard');
  if (!outboard || plated(boat) === false) return [];
  const width = boat.transomWidth ?? boat.beam;
  const { length } = boat;
  if (length === undefined || width === undefined) {
    return [
      BOAT.finding('load/power', 'unknown', trip, {
        title: phrase('load.power.unknown.title'),
        because: [phrase('load.power.unknown.measures', { power })],
        mend: {
          label: phrase('lie.measures.mend'),
          ...goTo.boat(boat.id, length === undefined ? '/length' : '/beam'),
        },
      }),
    ];
  }
  const bottom = guessed(boat, '/bottom') ? undefined : boat.bottom;
  const flats = bottom === undefined ? [true, false] : [bottom === 'flat'];
  const rates = hung(boat).flatMap((how) => flats.map((flat) => powering({ length, width, flat, ...how })));
  const low = Math.min(...rates);
  const most = Math.max(...rates);
  if (!over(power, low)) return [];
  const open = low < most;
  const certain = over(power, most);
  return [
    BOAT.finding('load/power', certain ? 'over-table' : 'open', trip, {
      title: phrase(certain ? 'load.power.title' : 'load.power.unknown.title'),
      because: [
        open
          ? phrase('load.power.unknown.rule', { power, low, most })
          : phrase('load.power.rule', { power, most }),
      ],
      assumed: open ? [...assumed, phrase('load.power.assumed')] : assumed,
      mend: {
        label: phrase('load.power.mend'),
        ...goTo.boat(boat.id, open ? '/controls' : '/propulsion'),
      },
    }),
  ];
}

/** A transom high enough for the table's greatest rating, metres. */
const HIGH = BOAT.limit('high-transom');

/** How the motor hangs and is steered, as the table asks it: both ways where nobody said. */
function hung(boat: Boat): { remote: boolean; transom: number }[] {
  const steering = guessed(boat, '/controls/steering') ? undefined : boat.controls?.steering;
  const transom = guessed(boat, '/transom') ? undefined : boat.transom;
  const hand = { remote: false, transom: 0 };
  if (steering !== undefined && steering !== 'wheel') return [hand];
  if (transom !== undefined && steering === 'wheel') return [{ remote: true, transom }];
  return [{ remote: true, transom: HIGH }, hand];
}
