import { useLocalSearchParams, useRouter } from 'expo-router';
import { Page } from '../../ui/page';
import { Button } from '../../ui/button';
import { useNow } from '../../data/hooks';
import { useTrip } from '../trip/use-trip';
import { Runner } from './runner';
import { useProcedure, useRun } from './use-run';

/** A procedure of a trip in the runner. */
export function RunPage() {
  const { id, procedure } = useLocalSearchParams<{ id: string; procedure: string }>();
  const { trip, shed, reader } = useTrip();
  const router = useRouter();
  const now = useNow();
  const made = useProcedure(procedure);
  const run = useRun(procedure, trip.id);
  const back = () =>
    router.replace(
      `/trips/${id}/${made?.group === 'home' ? 'home/retrieve' : made?.group === 'trouble' ? 'go/trouble' : 'go/launch'}`,
    );
  if (!made)
    return (
      <Page title="No such procedure">
        <Button onPress={back}>Back</Button>
      </Page>
    );
  const skipper = trip.crew.find((c) => c.role === 'skipper')?.person ?? trip.crew[0]?.person;
  const others = trip.crew
    .flatMap((c) => (c.person === skipper ? [] : shed.people.filter((who) => who.id === c.person)))
    .map(({ id: who, name }) => ({ id: who, name }));
  return <Runner procedure={made} run={run} now={now} leave={back} reader={reader} others={others} />;
}
