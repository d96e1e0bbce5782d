import type { Boat, Catalogue, GearItem, Person } from '../model';
import type { Stowage } from '../model/lists';
import { dueOn, toLookAt } from './inspect';

/** By what a locker is looked through. */
export const LOCKER_STATES = ['all', 'look', 'due', 'failed', 'ended', 'lent', 'borrowed'] as const;
export type LockerState = (typeof LOCKER_STATES)[number];

export interface LockerAsked {
  /** Words of which all stand in its name, its kind, or who has it. */
  find?: string;
  state?: LockerState;
  where?: Stowage;
  /** A person or a boat, by id; `nobody`: neither. */
  whose?: string;
}

interface InLocker {
  gear: readonly GearItem[];
  catalogue: Catalogue;
  people: readonly Pick<Person, 'id' | 'name'>[];
  boats: readonly Pick<Boat, 'id' | 'name'>[];
  /** Civil date. */
  today: string;
}

const words = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');

/** Made once for a locker: what is asked of it is answered as fast as one types. */
export function locker({ gear, catalogue, people, boats, today }: InLocker) {
  const kinds = new Map(catalogue.kinds.map((kind) => [kind.id, kind]));
  const names = new Map([...people, ...boats].map(({ id, name }) => [id, name]));
  const is: Record<LockerState, (item: GearItem) => boolean> = {
    all: () => true,
    look: (item) => toLookAt([item]).length > 0,
    due: (item) => {
      const test = kinds.get(item.kind)?.test;
      if (!test || item.count === 0 || item.state === 'failed' || item.state === 'used-up') return false;
      const on = dueOn(item, test);
      return on === undefined || on <= today;
    },
    failed: ({ state }) => state === 'failed' || state === 'used-up',
    ended: ({ expires }) => expires !== undefined && expires < today,
    lent: ({ lentTo }) => lentTo !== undefined,
    borrowed: ({ borrowedFrom }) => borrowedFrom !== undefined,
  };
  const rows = gear.map((item) => ({
    item,
    text: words(
      [
        item.name,
        kinds.get(item.kind)?.title ?? '',
        names.get(item.owner ?? '') ?? '',
        names.get(item.fittedTo ?? '') ?? '',
        item.lentTo ?? '',
        item.borrowedFrom ?? '',
      ].join(' '),
    ).join(' '),
  }));
  const whose = ({ owner, fittedTo }: GearItem, id: string) =>
    id === 'nobody' ? owner === undefined && fittedTo === undefined : owner === id || fittedTo === id;
  return {
    /** What is asked for, in the order of the locker. */
    found({ find = '', state = 'all', where, whose: id }: LockerAsked): GearItem[] {
      const wanted = words(find);
      return rows
        .filter(
          ({ item, text }) =>
            is[state](item) &&
            (where === undefined || item.stowage === where) &&
            (id === undefined || whose(item, id)) &&
            wanted.every((word) => text.includes(word)),
        )
        .map(({ item }) => item);
    },
    /** How many of each state there are. */
    counts: Object.fromEntries(
      LOCKER_STATES.map((state) => [state, gear.filter(is[state]).length]),
    ) as Record<LockerState, number>,
  };
}

/**
 * Things of a set once more, for somebody or some boat: what is printed on them stays, what was seen of the single thing (tests,
 * photos, its own dates and charge, who has it) does not, and nobody has looked at the new ones yet.
 */
export function copiesOf(
  set: readonly GearItem[],
  to: { owner?: string; fittedTo?: string },
  newId: () => string,
): GearItem[] {
  const ids = new Map(set.map(({ id }) => [id, newId()]));
  return set.map((item): GearItem => {
    const {
      inspected: _inspected,
      tests: _tests,
      photos: _photos,
      made: _made,
      expires: _expires,
      rearmBy: _rearm,
      charge: _charge,
      cylinder: _cylinder,
      registered: _registered,
      floatedIn: _floated,
      lentTo: _lent,
      lentOn: _since,
      backBy: _back,
      owner: _owner,
      fittedTo: _boat,
      on,
      basis: _basis,
      ...kept
    } = item;
    const host = on === undefined ? undefined : ids.get(on);
    return {
      ...kept,
      id: ids.get(item.id) ?? newId(),
      state: 'unknown',
      ...(host === undefined ? {} : { on: host }),
      ...to,
    };
  });
}
