import type {
  Boat,
  Contact,
  FieldRef,
  GearItem,
  Patch,
  Person,
  Place,
  SectionId,
  ThingType,
  Trip,
  Water,
} from '../model';

/** A JSON pointer into a document whose first part is one of its fields; empty for the thing itself. */
export type Pointer<D> = '' | `/${keyof D & string}` | `/${keyof D & string}/${string}`;

type Go = { go: FieldRef };
const to =
  <D>(type: ThingType) =>
  (id: string | undefined, pointer: Pointer<D>): Go => ({
    go: { type, ...(id === undefined ? {} : { id }), pointer },
  });

/**
 * Where a mend leads: to the very field of a thing, or to a section. `{ label, ...goTo.trip(id, '/leave/time') }`.
 * Without an id it leads to where such things are kept.
 */
export const goTo = {
  trip: to<Trip>('trip'),
  boat: to<Boat>('boat'),
  person: to<Person>('person'),
  gear: to<GearItem>('gear'),
  place: to<Place>('place'),
  water: to<Water>('water'),
  contact: to<Contact>('contact'),
  section: (open: SectionId) => ({ open }),
} as const;

/** A mend that is done on the spot: fields of a thing, changed by one tap. */
export const doTo = (type: ThingType, id: string, patch: Patch[]) => ({ do: { type, id, patch } });
