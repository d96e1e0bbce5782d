import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { isOpen } from '@escale/core/floatplan';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { Button, Row } from '../../ui/button';
import { RepeatButton } from '../trip/repeat-button';
import { remove, restore } from '../../data/outbox';
import { useUndo } from '../mishap/undo';
import { useTrip } from '../trip/use-trip';
import { TRIP } from '../trip/words';
import { plainly } from '../../data/settings';

/** What can be done with a trip as a whole. */
export function TripDoors() {
  const { trip } = useTrip();
  return (
    <Row style={{ paddingHorizontal: 12, paddingTop: 12, columnGap: 20 }}>
      <TextLink href={`/trips/${trip.id}/whatif`}>{TRIP.whatIf}</TextLink>
      {trip.fishing === false ? null : <TextLink href={`/trips/${trip.id}/catch`}>{TRIP.catch}</TextLink>}
      <RepeatButton trip={trip} />
      <Remove />
    </Row>
  );
}

function Remove() {
  const { held, plan } = useTrip();
  const router = useRouter();
  const undo = useUndo();
  const go = () => {
    const said = plainly(TRIP.removed, { name: held.doc.title });
    router.replace('/trips');
    void remove(held, said);
    undo(said, () => restore(held, plainly(TRIP.putBack, { name: held.doc.title })));
  };
  if (plan && isOpen(plan.state))
    return (
      <View style={{ gap: 4 }}>
        <T as="soft">{TRIP.watched}</T>
        <TextLink href={`/trips/${held.id}/home/close`}>{TRIP.watchedOut}</TextLink>
      </View>
    );
  return (
    <Button kind="quiet" label="Remove this trip" onPress={go}>
      Remove this trip
    </Button>
  );
}
