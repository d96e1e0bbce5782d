import { useLocalSearchParams } from 'expo-router';
import { change } from '../../data/outbox';
import { ThingForm } from '../forms/thing-form';
import { useTrip } from './use-trip';
import { changeOf } from '../forms/words';

/** Some fields of the trip, saved as they are left. */
export function TripForm({ fields }: { fields: readonly string[] }) {
  const { held } = useTrip();
  const { at } = useLocalSearchParams<{ at?: string }>();
  return (
    <ThingForm
      type="trip"
      doc={held.doc}
      only={fields}
      at={at}
      basis={held.doc.basis}
      onPatch={(patch) => void change(held, patch, changeOf(patch[0].pointer, held.doc.title))}
    />
  );
}

/** A change to the trip at hand. */
export function useTripChange() {
  const { held } = useTrip();
  return (pointer: string, value: unknown, said: string) =>
    void change(held, [value === undefined ? { op: 'unset', pointer } : { op: 'set', pointer, value }], said);
}
