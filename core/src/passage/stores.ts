import { isMotor, storeOf, type Rate } from '../boat';
import { LIQUIDS } from '../model/lists';
import type { Boat, Schedule, Trip } from '../model';
import { MS } from '../units';
import { guessed } from '../verdict';

/** What a motor's store holds when she leaves and after each leg: m³ of fuel, or J of a battery of which a part may be used. */
export interface Stores {
  boat: Boat;
  said: Motored['said'];
  /** Of the drive that she travels by. */
  kind: 'fuel' | 'charge';
  /** What may be used; absent where nobody said what she takes. */
  held?: number;
  /** Nobody said how much is in it: it is taken to be full. */
  full: boolean;
  rate?: Rate;
  /** For the whole way. */
  used?: number;
  /** Place by place as each leg ends. */
  legs: { to: string; used: number; left?: number }[];
  /** Something of it is only guessed. */
  guessed: boolean;
}

interface Motored {
  boat: Boat;
  /** Where on the trip it is said what is aboard: a JSON pointer, to which `/fuel` or `/charge` is added. */
  said: '' | `/company/${number}`;
  fuel?: number;
  charge?: number;
}

/** Boats of a trip that a motor moves, each with what was said to be in her as she leaves. */
export function motored(trip: Trip, boats: Boat[]): Motored[] {
  const known = (id: string | undefined) => boats.find((boat) => boat.id === id);
  const own = known(trip.boat);
  const carried = trip.load
    .filter(({ liquid }) => liquid !== undefined && FUELS.has(liquid))
    .reduce((sum, { volume = 0 }) => sum + volume, 0);
  const first = own && {
    boat: own,
    said: '' as const,
    ...((trip.fuel ?? (carried > 0 || undefined)) ? { fuel: trip.fuel ?? carried } : {}),
    ...(trip.charge === undefined ? {} : { charge: trip.charge }),
  };
  const others = (trip.company ?? []).flatMap(({ boat: id, fuel, charge }, i): Motored[] => {
    const boat = id === trip.boat ? undefined : known(id);
    return boat
      ? [
          {
            boat,
            said: `/company/${i}` as const,
            ...(fuel === undefined ? {} : { fuel }),
            ...(charge === undefined ? {} : { charge }),
          },
        ]
      : [];
  });
  return [...(first ? [first] : []), ...others].filter(({ boat }) =>
    boat.propulsion[0] ? isMotor(boat.propulsion[0].kind) : false,
  );
}
const FUELS: ReadonlySet<keyof typeof LIQUIDS> = new Set(['petrol', 'diesel']);

/**
 * What the way takes of her store, leg by leg. Her motor rests at halts; on a leg it runs all the time, also while others rest.
 * @param speed through the water, m/s
 */
export function storesOn(
  { boat, said: where, fuel, charge }: Motored,
  speed: number,
  schedule: Schedule,
): Stores | undefined {
  const [drive] = boat.propulsion;
  const store = drive && storeOf(drive, speed);
  if (!store) return undefined;
  const said = store.fuel ? fuel : charge;
  const takes = store.held;
  const inIt = store.fuel ? (fuel ?? takes) : takes === undefined ? undefined : takes * (charge ?? 1);
  const held = inIt === undefined ? undefined : inIt * store.usable;
  const { rate } = store;
  const guess = ['tank', 'battery', 'burn', 'draw', 'cruise', 'power'].some((field) =>
    guessed(boat, `/propulsion/0/${field}`),
  );
  const base = {
    boat,
    said: where,
    kind: store.fuel ? ('fuel' as const) : ('charge' as const),
    full: said === undefined,
    legs: [],
    guessed: guess,
  };
  if (!rate) return { ...base, ...(held === undefined ? {} : { held }) };
  let used = 0;
  const legs = schedule.legs.map(({ to, departs, arrives }) => {
    used += ((arrives - departs) / MS.second) * rate.value;
    return { to, used, ...(held === undefined ? {} : { left: held - used }) };
  });
  return { ...base, ...(held === undefined ? {} : { held }), rate, used, legs };
}
