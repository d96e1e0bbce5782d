import { useLocalSearchParams, useRouter } from 'expo-router';
import { Page } from '../../ui/page';
import { Button } from '../../ui/button';
import { useNow } from '../../data/hooks';
import { useTrip } from '../trip/use-trip';
import type { Procedure } from '@escale/core/procedure';
import { OnWater } from './on-water';
import { HowOff } from './how-off';
import { Runner } from './runner';
import { useProcedure, useRun } from './use-run';

/** Launches in which she comes off a trailer. */
const OFF_TRAILER: ReadonlySet<string> = new Set(['ramp-launch', 'beach-launch']);

/** Where the steps are read before they are walked. */
function cameFrom({ id, group }: Procedure): string {
  if (group === 'trouble') return `trouble/${id}`;
  if (group === 'fish') return 'go/trouble';
  if (group === 'hold') return 'go/hold';
  return group === 'home' ? 'home/retrieve' : 'go/launch';
}

/** A procedure of a trip in the runner. */
export function RunPage() {
  const { id, procedure } = useLocalSearchParams<{ id: string; procedure: string }>();
  const { trip, shed, reader } = useTrip();
  const router = useRouter();
  const now = useNow();
  const made = useProcedure(procedure);
  const run = useRun(procedure, trip.id);
  const back = () => router.replace(`/trips/${id}/${made ? cameFrom(made) : 'go'}`);
  if (!made)
    return (
      <Page title="No such procedure">
        <Button onPress={back}>Back</Button>
      </Page>
    );
  const skipper = trip.crew.find((c) => c.role === 'skipper')?.person ?? trip.crew[0]?.person;
  const crew = [...trip.crew]
    .sort((a, b) => Number(b.person === skipper) - Number(a.person === skipper))
    .flatMap((c) => shed.people.filter((who) => who.id === c.person))
    .map(({ id: who, name }) => ({ id: who, name }));
  return (
    <OnWater>
      <Runner
        procedure={made}
        run={run}
        now={now}
        leave={back}
        reader={reader}
        crew={crew}
        trouble={`/trips/${id}/go/trouble`}
        {...(OFF_TRAILER.has(made.id) ? { after: <HowOff /> } : {})}
      />
    </OnWater>
  );
}
