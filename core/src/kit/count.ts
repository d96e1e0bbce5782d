import { monthsBetween, plusMonths } from '../earth';
import type {
  Boat,
  Capability,
  Demand,
  GearItem,
  GearKind,
  NearMiss,
  Person,
  Phrase,
  PhraseValue,
  ReasonCode,
  RulePack,
  Stowage,
  Trip,
} from '../model';
import { STOWAGE } from '../model/lists';
import { phrase, phraseOf, type WordKey } from '../say';
import { asPrinted, siOf } from '../units';
import { approvalOf } from './approval';
import { monthsOf } from './inspect';

export type Reason = NearMiss['reasons'][number];

/** A thing with its kind and where it travels on this trip. */
export interface Piece {
  item: GearItem;
  kind: GearKind;
  place: Stowage;
  /** Nearer than `place`, if only a jacket is worn about which nobody said so. */
  maybe?: Stowage;
  /** On whose body it is, where it is fixed to a jacket that is worn. */
  wearer?: string;
  /** Why it can't be counted whatever is asked; those marked unknown only leave it open. */
  faults: Reason[];
}

const NEAREST = Object.keys(STOWAGE) as Stowage[];
export const reaches = (place: Stowage, within: Stowage | undefined) =>
  within === undefined || NEAREST.indexOf(place) <= NEAREST.indexOf(within);

export function reason(
  code: ReasonCode,
  values?: Record<string, PhraseValue>,
  unknown = false,
  word?: WordKey,
): Reason {
  return { code, phrase: phraseOf(word ?? (`reason.${code}` as WordKey), values), unknown };
}

export interface CountContext {
  boat?: Boat;
  people: Person[];
  /** Ids of everybody in the shed; absent: the crew is all there is. */
  household?: ReadonlySet<string>;
  gear: GearItem[];
  catalogue: Map<string, GearKind>;
  /** Civil date at the launch on which the trip ends: a thing must still be good then. */
  endsOn: string;
  /** Where nobody knows when the trip ends: what ends before this day is open. */
  openUntil?: string;
  /** Jackets that go, by item id, each with who has it and whether it was said to be worn. */
  worn: ReadonlyMap<string, Wearing[]>;
  /** Who wears which jacket hangs on a missing fact: what leans on it may count, no more. */
  unsettled?: boolean;
}

/** A jacket on its way onto a body: declared, denied, or not said. */
export interface Wearing {
  person: Person;
  wears?: boolean;
}

const JACKET: Capability = 'wearable';
export const isJacket = (kind: GearKind) => kind.supplies.some((s) => s.capability === JACKET);

/** Where each thing travels: the trip's word before the shed's, and things fixed to a jacket travel where the jacket does. */
export function stowages(gear: GearItem[], trip: Pick<Trip, 'stow'>): Map<string, Stowage> {
  const places = new Map<string, Stowage>(gear.map((item) => [item.id, item.stowage]));
  for (const { item, place } of trip.stow) places.set(item, place);
  return places;
}

/**
 * Each thing with the faults that are its own: its date is past, its test is overdue, its battery flat. A
 * fact nobody entered is a fault marked unknown.
 */
export function piecesOf(
  context: Omit<CountContext, 'worn' | 'unsettled'>,
  places: Map<string, Stowage>,
): Piece[] {
  return context.gear.flatMap((item) => {
    const kind = context.catalogue.get(item.kind);
    return kind
      ? [
          {
            item,
            kind,
            place: places.get(item.id) ?? item.stowage,
            faults: ownFaults(item, kind, places.get(item.id) ?? item.stowage, context),
          },
        ]
      : [];
  });
}

/** The same things, with what stands against them beside others: it stays ashore, what it is fixed to does, its companion is missing. */
export function settle(own: Piece[], context: Pick<CountContext, 'worn' | 'unsettled'>): Piece[] {
  const pieces = own.map((piece): Piece => ({ ...piece, faults: [...piece.faults] }));
  const byId = new Map(pieces.map((piece) => [piece.item.id, piece]));
  for (const piece of pieces)
    if (isJacket(piece.kind)) ontoBody(piece, context.worn.get(piece.item.id) ?? []);
  const done = new Set<Piece>();
  for (const piece of pieces) follow(piece, byId, context, done, new Set());
  for (const piece of pieces) if (piece.place === 'home') piece.faults.unshift(reason('stays-home'));
  companions(pieces);
  return pieces;
}

/** Worn is declared: a jacket is on a body because somebody said so, not because it usually travels there. */
function ontoBody(piece: Piece, wearings: readonly Wearing[]): void {
  const [first] = wearings;
  if (wearings.length > 0 && wearings.every((w) => w.wears === true)) {
    piece.place = 'on-body';
    if (wearings.length === 1) piece.wearer = first.person.id;
    return;
  }
  if (wearings.length > 0 && wearings.every((w) => w.wears !== false)) piece.maybe = 'on-body';
  if (piece.place !== 'on-body') return;
  // It goes along with whoever has it; that it is worn, nobody said.
  piece.place = 'in-reach';
  if (wearings.length === 0 || wearings.some((w) => w.wears === false))
    piece.faults.push(reason('where-unknown', undefined, true));
}

/** What is fixed to something travels where that does, and stays where that stays, however long the chain. */
function follow(
  piece: Piece,
  byId: ReadonlyMap<string, Piece>,
  context: Pick<CountContext, 'unsettled' | 'worn'>,
  done: Set<Piece>,
  above: Set<Piece>,
): void {
  if (done.has(piece)) return;
  const { on } = piece.item;
  if (on === undefined) return void done.add(piece);
  const host = byId.get(on);
  if (!host || above.has(host) || host === piece) {
    piece.faults.push(reason('host-gone', undefined, true));
    return void done.add(piece);
  }
  follow(host, byId, context, done, new Set([...above, piece]));
  done.add(piece);
  if (piece.place === 'home') return;
  // A jacket that usually travels on a body stays where its body stays; a spare that was stowed comes along.
  const idle = isJacket(host.kind) && !context.worn.has(host.item.id);
  const stays = host.place === 'home' || host.faults.some((f) => STAYS.has(f.code));
  if (stays || (idle && host.faults.some((f) => f.code === 'where-unknown'))) {
    piece.faults.push(reason('host-stays', { host: host.item.name }));
    return;
  }
  piece.place = host.place;
  if (host.maybe) piece.maybe = host.maybe;
  if (host.wearer) piece.wearer = host.wearer;
  for (const fault of host.faults.filter((f) => FOLLOWS.has(f.code))) piece.faults.push(fault);
  if (isJacket(host.kind) && !idle && context.unsettled)
    piece.faults.push(reason('unsettled', undefined, true));
}

/** What keeps a thing ashore keeps there whatever is fixed to it; what leaves its place open leaves theirs open. */
const STAYS: ReadonlySet<ReasonCode> = new Set(['host-stays', 'other-boat', 'none-left', 'elsewhere']);
const FOLLOWS: ReadonlySet<ReasonCode> = new Set([
  'host-gone',
  'where-unknown',
  'owner-gone',
  'owner-ashore',
  'which-boat',
  'unsettled',
]);

/** Things without what they need don't count, nor does what leans on them in turn: until nothing more falls. */
function companions(pieces: Piece[]): void {
  const needy = pieces.filter((piece) => (piece.kind.needs ?? []).length > 0);
  const good = new Map<Capability, number>();
  const add = (piece: Piece, n: number) => {
    for (const { capability } of piece.kind.supplies) good.set(capability, (good.get(capability) ?? 0) + n);
  };
  for (const piece of pieces) if (piece.faults.length === 0) add(piece, 1);
  for (let fell = true; fell;) {
    fell = false;
    for (const piece of needy) {
      for (const need of piece.kind.needs ?? []) {
        const own =
          piece.faults.length === 0 && piece.kind.supplies.some((s) => s.capability === need) ? 1 : 0;
        if (
          (good.get(need) ?? 0) - own > 0 ||
          piece.faults.some(
            (f) =>
              f.code === 'companion' &&
              f.phrase.with?.what !== undefined &&
              (f.phrase.with.what as Phrase).say === `capability.${need}`,
          )
        )
          continue;
        if (piece.faults.length === 0) {
          add(piece, -1);
          fell = true;
        }
        piece.faults.push(reason('companion', { what: phrase(`capability.${need}`) }));
      }
    }
  }
}

type Own = Pick<CountContext, 'boat' | 'people' | 'household' | 'endsOn' | 'openUntil'>;

function ownFaults(item: GearItem, kind: GearKind, place: Stowage, context: Own): Reason[] {
  const faults: Reason[] = [];
  const say = (...args: Parameters<typeof reason>) => faults.push(reason(...args));
  if (item.fittedTo !== undefined && item.fittedTo !== context.boat?.id) say('other-boat');
  ownerFault(item, kind, place, context, say);
  if (item.count === 0) say('none-left');
  if (item.lentTo !== undefined) lentFault(item, item.lentTo, context.endsOn, say);
  if (item.state === 'failed') say('failed');
  if (item.state === 'used-up') say('failed', undefined, false, 'reason.used-up');
  if (item.state === 'unknown') say('state-unknown', undefined, true);
  dateFaults(item, kind, context, say);
  if (kind.test?.mustHavePassed) testFault(item, monthsOf(item, kind.test), context.endsOn, say);
  if (kind.charged !== undefined) {
    if (item.charge === undefined) say('charge-unknown', undefined, true);
    else if (item.charge < kind.charged) say('uncharged', { charge: item.charge, least: kind.charged });
  }
  if (kind.cylinder) {
    if (item.cylinder === undefined) say('cylinder-unknown', undefined, true);
    else if (item.cylinder === 'fired') say('cylinder-fired');
  }
  if (kind.cased) {
    if (item.cased === undefined) say('case-unknown', undefined, true);
    else if (!item.cased) say('uncased');
  }
  if (kind.registered) {
    if (item.registered === undefined) say('registration-unknown', undefined, true);
    else if (item.registered === 'no') say('unregistered');
  }
  return faults;
}

type Say = (...args: Parameters<typeof reason>) => void;

/** What is lent is not here; where it was to be back before, nobody said that it is. */
function lentFault({ backBy }: GearItem, to: string, endsOn: string, say: Say): void {
  if (backBy !== undefined && backBy < endsOn) say('lent', { to, on: backBy }, true, 'reason.lent-back');
  else say('lent', { to });
}

/** What travels on the body of somebody who does not come, or of nobody that can be found, is not known to be here. Jackets are lent. */
function ownerFault(
  item: GearItem,
  kind: GearKind,
  place: Stowage,
  { people, household }: Own,
  say: Say,
): void {
  const { owner } = item;
  if (owner === undefined) return;
  if (household && !household.has(owner)) say('owner-gone', undefined, true);
  else if (
    household &&
    place === 'on-body' &&
    !isJacket(kind) &&
    item.on === undefined &&
    !people.some((p) => p.id === owner)
  ) {
    say('owner-ashore', { person: phrase('person.owner') }, true);
  }
}

/** The earliest of the dates that end it: the label's, and so many months from its making. */
function dateFaults(item: GearItem, kind: GearKind, { endsOn, openUntil }: Own, say: Say): void {
  const months = kind.lastsMonths;
  const worn = months !== undefined && item.made !== undefined ? plusMonths(item.made, months) : undefined;
  const ends =
    item.expires !== undefined && worn !== undefined && worn < item.expires ? worn : (item.expires ?? worn);
  if ((kind.dated || months !== undefined) && ends === undefined) say('expiry-unknown', undefined, true);
  else if (months !== undefined && item.made === undefined) say('made-unknown', { months }, true);
  if (ends === undefined) return;
  if (ends < endsOn) say('expired', { on: ends });
  else if (openUntil !== undefined && ends < openUntil) say('ends-soon', { on: ends }, true);
}

function testFault(
  item: GearItem,
  months: number,
  endsOn: string,
  say: (...args: Parameters<typeof reason>) => void,
): void {
  if (item.inspected === undefined) say('not-tested', undefined, true, 'reason.never-tested');
  else if (item.state === 'due' || monthsBetween(item.inspected, endsOn) >= months)
    say('not-tested', { on: item.inspected, months }, true);
}

/** What keeps a thing from counting for one demand, beyond its own faults: reach, approval, the length of its line. */
export function demandFaults(
  piece: Piece,
  { capability, within, approved, leastLength }: Demand,
  accepts?: Accepts,
): Reason[] {
  const faults: Reason[] = [];
  const own = piece.kind.supplies.find((s) => s.capability === capability)?.within;
  const limit = own !== undefined && !reaches(own, within) ? within : (own ?? within);
  if (piece.place !== 'home' && !reaches(piece.place, limit)) {
    if (piece.maybe !== undefined && reaches(piece.maybe, limit))
      faults.push(reason('not-worn', undefined, true, 'reason.not-said-worn'));
    else
      faults.push(
        reason('out-of-reach', {
          where: phrase(`where.${piece.place}`),
          within: phrase(`where.${limit ?? 'home'}`),
        }),
      );
  }
  if (approved) faults.push(...approvalFaults(piece.item.approval, accepts?.[capability] ?? accepts?.['*']));
  if (leastLength) {
    const least = siOf(leastLength);
    const { line } = piece.item;
    if (least === undefined) faults.push(reason('rule-unsettled', undefined, true));
    else if (line === undefined) faults.push(reason('length-unknown', undefined, true));
    else if (asPrinted(line, 'length') < asPrinted(least, 'length'))
      faults.push(reason('too-short', { line, least }));
  }
  return faults;
}

/** Whose approvals a rule list takes, by capability, `*` for all others. */
export type Accepts = RulePack['approvals'];

function approvalFaults(label: string | undefined, accepted: string[] | undefined): Reason[] {
  const read = approvalOf(label);
  if (read === 'denied') return [reason('not-approved')];
  if (read === 'unsaid') return [reason('approval-unknown', undefined, true)];
  if (read === 'unread') return [reason('approval-unread', { label: label ?? '' }, true)];
  if (accepted && !read.by.some((id) => accepted.includes(id)))
    return [reason('not-approved', { label: label ?? '' }, false, 'reason.other-approval')];
  return [];
}
