import type { Place } from '@escale/core/model';
import { readPosition } from '@escale/core/earth/read-position';
import type { Draft } from './draft';
import { ASK_BOAT, ASK_PEOPLE, ASK_PLACE, ASK_WHEN } from './words';
import { WHERE } from '../where/words';

const GROWN_AT = 18;

/** What the question at hand still lacks, in words; undefined when it can be left. */
export function faultOf(draft: Draft, places: readonly Pick<Place, 'id'>[]): string | undefined {
  return [boat, people, (d: Draft) => place(d, places), when][draft.step](draft);
}

const boat = ({ boat: { id, like } }: Draft) =>
  id === undefined && like === undefined ? ASK_BOAT.lacks : undefined;

function people({ people: all }: Draft): string | undefined {
  if (all.length === 0) return ASK_PEOPLE.lacksOne;
  if (all.some(({ id, name }) => id === undefined && name.trim() === '')) return ASK_PEOPLE.lacksName;
  const strange = all.some(({ id, child, age = '' }) => {
    const years = Number(age);
    return id === undefined && child && (!/^\d+$/.test(age.trim()) || years >= GROWN_AT);
  });
  return strange ? ASK_PEOPLE.lacksAge : undefined;
}

function place({ place: { id, name = '', where = '', water } }: Draft, places: readonly Pick<Place, 'id'>[]) {
  if (id !== undefined && places.some((known) => known.id === id)) return undefined;
  if (name.trim() === '') return ASK_PLACE.lacksName;
  if (where.trim() !== '' && !readPosition(where)) return WHERE.unread;
  return water ? undefined : ASK_PLACE.lacksWater;
}

function when({ when: { date, time, hours } }: Draft): string | undefined {
  if (date === undefined) return ASK_WHEN.lacksDay;
  if (date === '') return ASK_WHEN.badDay;
  if (!/^\d\d:\d\d$/.test(time)) return ASK_WHEN.badTime;
  return hours ? undefined : ASK_WHEN.lacksHours;
}
