import { monthsBetween, plusMonths } from '../earth';
import type { Boat, Capability, Catalogue, Demand, GearItem, GearKind, NearMiss, Person, Phrase, PhraseValue, ReasonCode, Stowage, Trip } from '../model';
import { STOWAGE } from '../model/lists';
import { phrase, type WordKey } from '../say';
import { limitInSI } from '../units';

export type Reason = NearMiss['reasons'][number];

/** A thing with its kind and where it travels on this trip. */
export interface Piece {
  item: GearItem;
  kind: GearKind;
  place: Stowage;
  /** Why it can't be counted whatever is asked; those marked unknown only leave it open. */
  faults: Reason[];
}

const NEAREST = Object.keys(STOWAGE) as Stowage[];
export const reaches = (place: Stowage, within: Stowage | undefined) => within === undefined || NEAREST.indexOf(place) <= NEAREST.indexOf(within);

export function reason(code: ReasonCode, values?: Record<string, PhraseValue>, unknown = false, word?: WordKey): Reason {
  return { code, phrase: phrase(word ?? (`reason.${code}` as WordKey), values), unknown };
}

export interface CountContext {
  boat?: Boat;
  people: Person[];
  gear: GearItem[];
  catalogue: Map<string, GearKind>;
  /** Civil date at the launch on which the trip ends: a thing must still be good then. */
  endsOn: string;
  /** Jackets that go, by item id. Hosts of things fixed to them. */
  worn: ReadonlyMap<string, Person>;
  /** Who wears which jacket hangs on a missing fact: what leans on it may count, no more. */
  unsettled?: boolean;
}

export function indexCatalogue(catalogue: Catalogue): Map<string, GearKind> {
  return new Map(catalogue.kinds.map((kind) => [kind.id, kind]));
}

const JACKET: Capability = 'wearable';
export const isJacket = (kind: GearKind) => kind.supplies.some((s) => s.capability === JACKET);

/** Where each thing travels: the trip's word before the shed's, and things fixed to a jacket travel where the jacket does. */
export function stowages(gear: GearItem[], trip: Pick<Trip, 'stow'>): Map<string, Stowage> {
  const places = new Map<string, Stowage>(gear.map((item) => [item.id, item.stowage]));
  for (const { item, place } of trip.stow) places.set(item, place);
  return places;
}

/** Each thing with the faults that are its own: its date is past, its test is overdue, its battery flat. A fact nobody entered is a fault marked unknown. */
export function piecesOf(context: Omit<CountContext, 'worn' | 'unsettled'>, places: Map<string, Stowage>): Piece[] {
  return context.gear.flatMap((item) => {
    const kind = context.catalogue.get(item.kind);
    return kind ? [{ item, kind, place: places.get(item.id) ?? item.stowage, faults: ownFaults(item, kind, context) }] : [];
  });
}

/** The same things, with what stands against them beside others: it stays ashore, what it is fixed to does, its companion is missing. */
export function settle(own: Piece[], context: Pick<CountContext, 'worn' | 'unsettled'>): Piece[] {
  const pieces = own.map(({ item, kind, place, faults }): Piece => ({ item, kind, place, faults: [...faults] }));
  const byId = new Map(pieces.map((piece) => [piece.item.id, piece]));
  for (const piece of pieces) {
    const host = piece.item.on === undefined ? undefined : byId.get(piece.item.on);
    if (host) followHost(piece, host, context);
    if (piece.place === 'home') piece.faults.unshift(reason('stays-home'));
  }
  companions(pieces);
  return pieces;
}

/** Things without what they need don't count, nor does what leans on them in turn: until nothing more falls. */
function companions(pieces: Piece[]): void {
  const needy = pieces.filter((piece) => (piece.kind.needs ?? []).length > 0);
  const good = new Map<Capability, number>();
  const add = (piece: Piece, n: number) => { for (const { capability } of piece.kind.supplies) good.set(capability, (good.get(capability) ?? 0) + n); };
  for (const piece of pieces) if (piece.faults.length === 0) add(piece, 1);
  for (let fell = true; fell;) {
    fell = false;
    for (const piece of needy) {
      for (const need of piece.kind.needs ?? []) {
        const own = piece.faults.length === 0 && piece.kind.supplies.some((s) => s.capability === need) ? 1 : 0;
        if ((good.get(need) ?? 0) - own > 0 || piece.faults.some((f) => f.code === 'companion' && f.phrase.with?.what !== undefined && (f.phrase.with.what as Phrase).say === `capability.${need}`)) continue;
        if (piece.faults.length === 0) {
          add(piece, -1);
          fell = true;
        }
        piece.faults.push(reason('companion', { what: phrase(`capability.${need}`) }));
      }
    }
  }
}

function followHost(piece: Piece, host: Piece, context: Pick<CountContext, 'worn' | 'unsettled'>): void {
  const wearer = context.worn.get(host.item.id);
  if (wearer) {
    piece.place = 'on-body';
    if (context.unsettled) piece.faults.push(reason('unsettled', undefined, true));
  }
  else if (isJacket(host.kind) || host.place === 'home') piece.faults.push(reason('host-stays', { host: host.item.name }));
  else piece.place = host.place;
}

function ownFaults(item: GearItem, kind: GearKind, { boat, endsOn }: Pick<CountContext, 'boat' | 'endsOn'>): Reason[] {
  const faults: Reason[] = [];
  const say = (...args: Parameters<typeof reason>) => faults.push(reason(...args));
  if (item.fittedTo !== undefined && item.fittedTo !== boat?.id) say('other-boat');
  if (item.count === 0) say('none-left');
  if (item.state === 'failed') say('failed');
  if (item.state === 'used-up') say('failed', undefined, false, 'reason.used-up');
  if (item.state === 'unknown') say('state-unknown', undefined, true);
  const ends = item.expires ?? (kind.lastsMonths !== undefined && item.made !== undefined ? plusMonths(item.made, kind.lastsMonths) : undefined);
  if ((kind.dated || kind.lastsMonths !== undefined) && ends === undefined) say('expiry-unknown', undefined, true);
  if (ends !== undefined && ends < endsOn) say('expired', { on: ends });
  if (kind.test?.mustHavePassed) testFault(item, kind.test.everyMonths, endsOn, say);
  if (kind.charged !== undefined) {
    if (item.charge === undefined) say('charge-unknown', undefined, true);
    else if (item.charge < kind.charged) say('uncharged', { charge: item.charge, least: kind.charged });
  }
  if (kind.cylinder) {
    if (item.cylinder === undefined) say('cylinder-unknown', undefined, true);
    else if (item.cylinder === 'fired') say('cylinder-fired');
  }
  if (kind.registered) {
    if (item.registered === undefined) say('registration-unknown', undefined, true);
    else if (item.registered === 'no') say('unregistered');
  }
  return faults;
}

function testFault(item: GearItem, months: number, endsOn: string, say: (...args: Parameters<typeof reason>) => void): void {
  if (item.inspected === undefined) say('not-tested', undefined, true, 'reason.never-tested');
  else if (item.state === 'due' || monthsBetween(item.inspected, endsOn) >= months) say('not-tested', { on: item.inspected, months }, true);
}

/** What keeps a thing from counting for one demand, beyond its own faults: reach, approval, the length of its line. */
export function demandFaults(piece: Piece, { capability, within, approved, leastLength }: Demand): Reason[] {
  const faults: Reason[] = [];
  const own = piece.kind.supplies.find((s) => s.capability === capability)?.within;
  const limit = own !== undefined && !reaches(own, within) ? within : (own ?? within);
  if (piece.place !== 'home' && !reaches(piece.place, limit)) faults.push(reason('out-of-reach', { where: phrase(`where.${piece.place}`), within: phrase(`where.${limit ?? 'home'}`) }));
  if (approved) {
    if (piece.item.approval === undefined) faults.push(reason('approval-unknown', undefined, true));
    else if (/^\s*(none|no)?\s*$/i.test(piece.item.approval)) faults.push(reason('not-approved'));
  }
  if (leastLength) {
    const least = limitInSI(leastLength), { line } = piece.item;
    if (line === undefined) faults.push(reason('length-unknown', undefined, true));
    else if (line < least) faults.push(reason('too-short', { line, least }));
  }
  return faults;
}
