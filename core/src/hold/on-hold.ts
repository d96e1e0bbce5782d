import type { Boat, GearItem, HoldPractice, Person, Place, Trip } from '../model';
import { stowages } from '../kit';
import type { Pace } from '../verdict';
import practice from '../../data/hold/practice.json';
import { comesAt, hoursIn, type Around, type Hour, type Stay } from './stay';
import { anchorOf } from './anchor';
import { lyingOf, type Lying, type Tackle } from './held';
import { rodeOf } from './line';

const PRACTICE = practice as unknown as HoldPractice;

/** What a trip says of holding. */
export interface OnHold extends Around {
  trip: Trip;
  boat?: Boat;
  people: readonly Person[];
  gear: readonly GearItem[];
  places: readonly Place[];
  /** Of the water, kg/m³. */
  density: number;
  /** Of the water, in which hours of traffic are told. */
  zone?: string;
  /** The speed that the hours hang on. */
  speed?: Pace;
}

/** Is she one of those of which practice says so? */
export const isSmall = (boat: Boat) => PRACTICE.small.includes(boat.kind);
export const notInRivers = (boat: Boat) => PRACTICE.river.includes(boat.kind);
export const bowOnly = (boat: Boat) => PRACTICE.bowOnly.includes(boat.kind);

/** What is not there any more, or does not hold. */
const GONE: ReadonlySet<string> = new Set(['failed', 'used-up']);
const IN_REACH: ReadonlySet<string> = new Set(['on-body', 'in-reach']);

/** Things of a kind that are aboard; of those fitted to a boat, hers. */
function aboard({ gear, trip, boat }: OnHold, kind: string): { item: GearItem; reach: boolean }[] {
  const places = stowages([...gear], trip);
  return gear
    .filter(
      (item) =>
        item.kind === kind &&
        item.count > 0 &&
        places.get(item.id) !== 'home' &&
        !GONE.has(item.state) &&
        (item.fittedTo === undefined || item.fittedTo === boat?.id),
    )
    .map((item) => ({ item, reach: IN_REACH.has(places.get(item.id) ?? item.stowage) }));
}
const KINDS = { anchor: 'anchor', knife: 'knife', pole: 'stake-pole' } as const;

/** The anchors aboard. */
export const anchorsAboard = (on: OnHold): GearItem[] => aboard(on, KINDS.anchor).map(({ item }) => item);
/** The poles aboard. */
export const polesAboard = (on: OnHold): GearItem[] => aboard(on, KINDS.pole).map(({ item }) => item);
/** Is a knife on somebody, or in reach of the seat? */
export const knifeInReach = (on: OnHold): boolean => aboard(on, KINDS.knife).some(({ reach }) => reach);

/** An anchor aboard with what leads to it and what it lies on. */
export function tackleOf(on: OnHold, item: GearItem, seabed: Place['seabed']): Tackle {
  const rode = rodeOf(item);
  return {
    anchor: anchorOf(item, on.boat !== undefined && isSmall(on.boat)),
    ...(rode ? { rode } : {}),
    ...(seabed === undefined ? {} : { seabed }),
  };
}

/** A stay with all that comes to it, hour by hour, and how she lies. */
export interface AtStay {
  on: OnHold;
  stay: Stay;
  hours: Hour[];
  at: (instant: number) => Hour;
  lying?: Lying;
}

export function atStay(on: OnHold, stay: Stay, lying: Lying | undefined): AtStay {
  const at = comesAt(on, stay.place);
  return { on, stay, at, hours: hoursIn(stay, on.tide).map(at), ...(lying ? { lying } : {}) };
}

/** How she lies under the trip's load. */
export const lyingOn = ({ boat, trip, people, density }: OnHold): Lying | undefined =>
  boat && people.length > 0 ? lyingOf(boat, trip, people, density) : undefined;
