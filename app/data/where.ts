import type { FieldRef, Mend, SectionId, ThingType } from '@escale/core/model';

/** The one table from core's pointers to routes and fields. Core knows no route. */

/** What of a trip is answered on a page of its own. */
const PAGE_OF: Record<string, string> = { asked: 'whatif' };

/** Which section of a trip edits a field, by the first segment of its pointer. */
const SECTION_OF: Record<string, SectionId> = {
  boat: 'plan/boat',
  crew: 'plan/boat',
  stow: 'pack/kit',
  water: 'plan/water',
  launch: 'plan/water',
  return: 'plan/water',
  halts: 'plan/water',
  onHatch: 'pack/load',
  backToCar: 'plan/water',
  leave: 'plan/day',
  speed: 'plan/day',
  fuel: 'plan/day',
  fuelOn: 'plan/day',
  charge: 'plan/day',
  homeBy: 'plan/day',
  fishing: 'plan/boat',
  limits: 'plan/day',
  forecast: 'plan/day',
  driveMinutes: 'plan/day',
  checkInMinutes: 'plan/day',
  load: 'pack/load',
  comingHome: 'pack/load',
  company: 'plan/boat',
  contacts: 'pack/float-plan',
  graceMinutes: 'pack/float-plan',
  alarmMinutes: 'pack/float-plan',
  alternatives: 'pack/float-plan',
  provisionHours: 'pack/float-plan',
  sealSpot: 'pack/float-plan',
  toClub: 'pack/float-plan',
  ifLate: 'pack/float-plan',
  parked: 'pack/float-plan',
  title: 'plan/boat',
  notes: 'home/debrief',
  status: 'home/close',
};

export type ShedType = Exclude<ThingType, 'trip' | 'debrief' | 'run' | 'drill' | 'pack'>;
export const SHED_TYPES = [
  'boat',
  'person',
  'gear',
  'place',
  'water',
  'contact',
] as const satisfies readonly ShedType[];

export const sectionHref = (trip: string, section: SectionId) => `/trips/${trip}/${section}`;
/** Parts of a boat have a page of their own. */
const PARTS = /^\/parts(\/|$)/;
export const partsHref = (boat: string, part?: string) =>
  `/shed/parts?boat=${boat}${part === undefined ? '' : `&part=${part}`}`;
/** Where drills are noted; of one kind, if it is named. */
export const drillsHref = (kind?: string) =>
  kind === undefined ? '/practice/drills' : `/practice/drills?kind=${kind}`;
/** How far each has been; with a trip, how that goes beyond it. */
export const envelopeHref = (trip?: string) =>
  trip === undefined ? '/practice/envelope' : `/practice/envelope?trip=${trip}`;
export const thingHref = (type: string, id: string) => `/shed/${type}/${id}`;

/** Where a field is edited. Undefined when nothing edits it, which a test makes sure never happens for what core emits. */
export function fieldHref({ type, id, pointer }: FieldRef): string | undefined {
  const at = pointer === '' ? '' : `?at=${encodeURIComponent(pointer)}`;
  if (type === 'trip') {
    const field = pointer.split('/')[1] ?? '';
    if (id !== undefined && field in PAGE_OF) return `/trips/${id}/${PAGE_OF[field]}`;
    const section = SECTION_OF[field];
    return id !== undefined && section ? `${sectionHref(id, section)}${at}` : undefined;
  }
  if (type === 'debrief') return envelopeHref(id);
  if (type === 'drill') return drillsHref(pointer.split('/')[2]);
  if (!(SHED_TYPES as readonly string[]).includes(type)) return undefined;
  if (id === undefined) return '/shed';
  if (type === 'boat' && PARTS.test(pointer)) return partsHref(id, pointer.split('/')[2]);
  return `${thingHref(type, id)}${at}`;
}

/** Where a mend leads, or undefined for one that is done on the spot; from what is added one comes back to where one was. */
export function mendHref(mend: Mend, trip: string, from: SectionId): string | undefined {
  if ('go' in mend) return fieldHref(mend.go);
  // Where one is already, the button goes on to where it is done.
  if ('open' in mend) return `${sectionHref(trip, mend.open)}${mend.open === from ? DONE_HERE : ''}`;
  if ('add' in mend) {
    const asked = new URLSearchParams({ kind: mend.add.kind });
    if (mend.add.borrowed) asked.set('at', '/borrowedFrom');
    asked.set('back', sectionHref(trip, from));
    return `/shed/gear/new?${asked.toString()}`;
  }
  return undefined;
}

/** What a section calls the place of its own main deed. */
export const DEED = '/deed';
const DONE_HERE = `?at=${encodeURIComponent(DEED)}`;

/** The id of the element that edits a field, for `?at=`. */
export const fieldId = (pointer: string) => `field${pointer.replaceAll('/', '-')}`;
