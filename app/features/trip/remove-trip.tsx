import { useRouter } from 'expo-router';
import { Button } from '../../ui/button';
import { remove, restore } from '../../data/outbox';
import { useUndo } from '../shell/undo';
import { useTrip } from './use-trip';
import { TRIP } from './words';
import { plainly } from '../../data/settings';

export function RemoveTrip() {
  const { held } = useTrip();
  const router = useRouter();
  const undo = useUndo();
  const go = () => {
    const said = plainly(TRIP.removed, { name: held.doc.title });
    router.replace('/trips');
    void remove(held, said);
    undo(said, () => restore(held, plainly(TRIP.putBack, { name: held.doc.title })));
  };
  return (
    <Button kind="quiet" label="Remove this trip" onPress={go}>
      Remove this trip
    </Button>
  );
}
