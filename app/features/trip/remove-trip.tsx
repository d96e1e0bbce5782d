import { useRouter } from 'expo-router';
import { Button } from '../../ui/button';
import { remove, restore } from '../../data/outbox';
import { useUndo } from '../shell/undo';
import { useTrip } from './use-trip';

export function RemoveTrip() {
  const { held } = useTrip();
  const router = useRouter();
  const undo = useUndo();
  const go = () => {
    const said = `Removed ${held.doc.title}`;
    router.replace('/trips');
    void remove(held, said);
    undo(said, () => restore(held, `Put ${held.doc.title} back`));
  };
  return (
    <Button kind="quiet" label="Remove this trip" onPress={go}>
      Remove this trip
    </Button>
  );
}
