import { drives, plated, plateOf, powering, POWERING } from '../boat';
import type { Boat, Finding, Phrase } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { finding, guessed } from './context';

const base = { section: 'pack/load' as const };

/** Power against the plate; where there is none, against the federal table, from what is known of steering and transom. */
export function powerFindings(trip: string, boat: Boat): Finding[] {
  const { motor, power } = drives(boat);
  if (motor !== true) return [];
  const id = `load/power/${trip}`;
  const plate = plateOf(boat);
  const at = (pointer: string, word: 'load.power.mend' | 'load.plate.mend' = 'load.power.mend') => ({
    label: phrase(word),
    go: { type: 'boat' as const, id: boat.id, pointer },
  });
  const unknown = (why: Phrase, mend: ReturnType<typeof at>) =>
    finding({ ...base, id, level: 'know', title: phrase('load.power.unknown.title'), because: [why], mend });
  // Electric motors are rated in thrust; a plate's power is that of an engine.
  if (power === undefined) {
    const i = boat.propulsion.findIndex((p) => MOTORS.has(p.kind) && p.power === undefined);
    return [unknown(phrase('load.power.unknown.motor'), at(`/propulsion/${i}/power`))];
  }
  const rough = boat.propulsion.some((_, i) => guessed(boat, `/propulsion/${i}/power`));
  const assumed = rough ? [phrase('load.guess', { what: phrase('load.guess.power') })] : [];
  const over = (most: number) => asPrinted(power, 'power') > asPrinted(most, 'power');
  if (plate?.power !== undefined) {
    const most = plate.power;
    if (!over(most)) return [];
    return [
      finding({
        ...base,
        id,
        level: rough || guessed(boat, '/plate/power') ? 'fix' : 'stop',
        title: phrase('load.power.title'),
        because: [phrase('load.power.plate', { power, most })],
        source: 'plate',
        assumed,
        mend: at('/propulsion'),
      }),
    ];
  }
  if (plate)
    return [unknown(phrase('load.power.unknown.plate', { power }), at('/plate/power', 'load.plate.mend'))];
  return ruleFindings(boat, power, { id, assumed, over, mend: at('/propulsion'), measure: at('/controls') });
}

const MOTORS: ReadonlySet<string> = new Set(['outboard', 'electric', 'inboard']);

interface Rated {
  id: string;
  assumed: Phrase[];
  over: (most: number) => boolean;
  mend: NonNullable<Finding['mend']>;
  measure: NonNullable<Finding['mend']>;
}

/** By the federal table: over it whatever the steering is a Fix; over it only if the worst holds is open. */
function ruleFindings(boat: Boat, power: number, { id, assumed, over, mend, measure }: Rated): Finding[] {
  const width = boat.transomWidth ?? boat.beam;
  const outboard = boat.propulsion.some((p) => p.kind === 'outboard');
  if (!outboard || plated(boat) === false) return [];
  if (boat.length === undefined || width === undefined) {
    return [
      finding({
        ...base,
        id,
        level: 'know',
        title: phrase('load.power.unknown.title'),
        because: [phrase('load.power.unknown.measures', { power })],
        mend: {
          label: phrase('lie.measures.mend'),
          go: { type: 'boat', id: boat.id, pointer: boat.length === undefined ? '/length' : '/beam' },
        },
      }),
    ];
  }
  const { length } = boat;
  const steering = guessed(boat, '/controls/steering') ? undefined : boat.controls?.steering;
  const transom = guessed(boat, '/transom') ? undefined : boat.transom;
  const bottom = guessed(boat, '/bottom') ? undefined : boat.bottom;
  const hung =
    steering !== undefined && steering !== 'wheel'
      ? [{ remote: false, transom: 0 }]
      : transom !== undefined && steering === 'wheel'
        ? [{ remote: true, transom }]
        : [
            { remote: true, transom: HIGH },
            { remote: false, transom: 0 },
          ];
  const flats = bottom === undefined ? [true, false] : [bottom === 'flat'];
  const rates = hung.flatMap((how) =>
    flats.map((flat) => powering({ length, width, flat, ...how }, POWERING)),
  );
  const low = Math.min(...rates),
    most = Math.max(...rates);
  if (!over(low)) return [];
  const open = low < most;
  const unsure = open ? [...assumed, phrase('load.power.assumed')] : assumed;
  const certain = over(most);
  return [
    finding({
      ...base,
      id,
      level: certain ? 'fix' : 'know',
      title: phrase(certain ? 'load.power.title' : 'load.power.unknown.title'),
      because: [
        open
          ? phrase('load.power.unknown.rule', { power, low, most })
          : phrase('load.power.rule', { power, most }),
      ],
      source: 'cfr-33-183',
      assumed: unsure,
      mend: open ? measure : mend,
    }),
  ];
}

/** A transom high enough for the table's greatest rating, metres. */
const HIGH = 0.6;
