import type { Boat, GearItem, HoldPractice, Mend, Person, Place, Stowage, Trip } from '../model';
import { stowages, stowPatch } from '../kit';
import { phrase } from '../say';
import { doTo, type Pace } from '../verdict';
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

/** Things of a kind that could be hers, with where they travel; of those fitted to a boat, hers. */
function owned({ gear, trip, boat }: OnHold, kind: string): { item: GearItem; place: Stowage }[] {
  const places = stowages([...gear], trip);
  return gear
    .filter(
      (item) =>
        item.kind === kind &&
        item.count > 0 &&
        !GONE.has(item.state) &&
        (item.fittedTo === undefined || item.fittedTo === boat?.id),
    )
    .map((item) => ({ item, place: places.get(item.id) ?? item.stowage }));
}
const aboard = (on: OnHold, kind: string) => owned(on, kind).filter(({ place }) => place !== 'home');
const KINDS = { anchor: 'anchor', knife: 'knife', pole: 'stake-pole' } as const;

/** How one comes aboard and in reach: what is owned is taken along by one tap, else it is to be found. */
export function bring(on: OnHold, what: keyof typeof KINDS): Mend {
  const [first] = owned(on, KINDS[what]);
  if (!first)
    return {
      label: phrase('mend.add', { what: phrase(`hold.what.${what}`) }),
      add: { type: 'gear', kind: KINDS[what] },
    };
  const { item, place } = first;
  return {
    label:
      place === 'home'
        ? phrase('mend.take', { item: item.name })
        : phrase('mend.stow', { item: item.name, where: phrase('where.in-reach') }),
    ...doTo('trip', on.trip.id, stowPatch(on.trip, item.id, 'in-reach')),
  };
}

/** The anchors aboard. */
export const anchorsAboard = (on: OnHold): GearItem[] => aboard(on, KINDS.anchor).map(({ item }) => item);
/** The poles aboard. */
export const polesAboard = (on: OnHold): GearItem[] => aboard(on, KINDS.pole).map(({ item }) => item);
/** Is a knife on somebody, or in reach of the seat? */
export const knifeInReach = (on: OnHold): boolean =>
  aboard(on, KINDS.knife).some(({ place }) => IN_REACH.has(place));

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
