import { companyOf, sheetFrom } from '@escale/core/floatplan';
import { conditionsFor } from '@escale/core/water';
import type { Sheet } from '@escale/core/model';
import type { TripView } from '../trip/use-trip';

/** The sheet of the trip as it stands, or undefined while something it needs is missing. */
export function draftSheet({ trip, shed, assessment, input }: TripView): Sheet | undefined {
  const boat = shed.boats.find((b) => b.id === trip.boat),
    water = shed.waters.find((w) => w.id === trip.water);
  const people = trip.crew.flatMap((c) => shed.people.find((who) => who.id === c.person) ?? []);
  const contacts = trip.contacts.flatMap((c) => shed.contacts.find((who) => who.id === c) ?? []);
  if (!boat || !water || people.length === 0 || contacts.length === 0 || !assessment.schedule?.home)
    return undefined;
  return sheetFrom({
    trip,
    boat,
    people,
    water,
    places: shed.places,
    gear: shed.gear,
    contacts,
    assessment,
    filedAt: input.now,
    company: companyOf(trip, shed.boats, shed.people),
    forecast: conditionsFor(trip, input.conditions).forecast,
  });
}
